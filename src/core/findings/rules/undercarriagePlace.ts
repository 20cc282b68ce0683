import { undercarriageOf } from '../../balance/undercarriage';
import type { FieldChange } from '../finding';
import { makeRule } from '../makeRule';
import { tenths } from '../words';

/** Tip angle that a remedy aims at: in the middle of what is usual [rad]. */
const AIM = (18 * Math.PI) / 180;

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
    const height = mass.cg[2] * 1000 - (main.position.z - main.diameter / 2);
    const aft = gear.layout === 'tricycle' ? 1 : -1;
    const x = tenths(mass.cg[0] * 1000 + aft * height * Math.tan(AIM));
    const change: FieldChange[] = [{ field: `/wheels/${main.id}/position/x`, value: x }];
    return {
      severity: 'caution',
      message: gear.words.join(' '),
      numbers: {
        tipAngle: gear.tipAngle,
        ...(gear.propellerClearance === null ? {} : { propellerClearance: gear.propellerClearance }),
      },
      remedies: [
        {
          label: `Set the main wheels ${Math.abs(Math.round(x - main.position.x))} mm ${x > main.position.x ? 'back' : 'forward'}`,
          change,
        },
        {
          label: 'Set the main wheels a fifth wider',
          change: [{ field: `/wheels/${main.id}/position/y`, value: tenths(main.position.y * 1.2) }],
        },
        {
          label: 'Put 20 mm longer legs under it',
          change: design.wheels.map((wheel) => ({
            field: `/wheels/${wheel.id}/position/z`,
            value: wheel.position.z - 20,
          })),
        },
      ],
    };
  },
);
