import { field, type FieldChange } from '@/core/2-document/edit/field';
import { millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { joined, metres, millimetres, radians, say } from '@/core/1-base/words/phrase';
import { tenths } from '../changes';
import { undercarriageOf } from '@/core/4-weight/undercarriage';
import { makeRule } from '../makeRule';

/** Tip angle that a remedy aims at: in the middle of what is usual [rad]. */
const AIM = radiansFromDegrees(18);

/** The wheels stand where it tips over, cannot rotate, or lets the propeller strike. */
export const undercarriagePlace = makeRule(
  {
    id: 'undercarriagePlace',
    stage: 'balance',
    source: 'Currey, Aircraft Landing Gear Design, 1988; Raymer, Aircraft Design, ch. 11',
  },
  (design, { mass }) => {
    if (mass.cg === null) return null;
    const gear = undercarriageOf(design, mass.cg);
    if (!gear || gear.words.length === 0) return null;
    const main = design.wheels.reduce((a, b) => (Math.abs(b.position.y) > Math.abs(a.position.y) ? b : a));
    const height = millimetresFromMetres(mass.cg[2]) - (main.position.z - main.diameter / 2);
    const aft = gear.layout === 'tricycle' ? 1 : -1;
    const x = tenths(millimetresFromMetres(mass.cg[0]) + aft * height * Math.tan(AIM));
    const change: FieldChange[] = [field('wheels', main.id, 'position', 'x').to(x)];
    return {
      severity: 'caution',
      message: joined(gear.words, ' '),
      numbers: {
        tipAngle: radians(gear.tipAngle),
        ...(gear.propellerClearance === null ? {} : { propellerClearance: metres(gear.propellerClearance) }),
      },
      remedies: [
        {
          label: say`Set the main wheels ${millimetres(Math.abs(x - main.position.x))} ${x > main.position.x ? 'back' : 'forward'}`,
          change,
        },
        {
          label: 'Set the main wheels a fifth wider',
          change: [field('wheels', main.id, 'position', 'y').to(tenths(main.position.y * 1.2))],
        },
        {
          label: say`Put ${millimetres(20)} longer legs under it`,
          change: design.wheels.map((wheel) => field('wheels', wheel.id, 'position', 'z').to(wheel.position.z - 20)),
        },
      ],
    };
  },
);
