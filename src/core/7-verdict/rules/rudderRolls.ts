import { isWing } from '@/core/2-document/schema/roles';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { degrees, radians, say } from '@/core/1-base/words/phrase';
import { controlsOf, ROLL_CONTROLS, withDihedral, YAW_CONTROLS } from '../changes';
import { makeRule } from '../makeRule';

/** Bank after a second of full rudder that still turns it [rad]. */
const LEAST_BANK = radiansFromDegrees(8);

/** It has to turn by rudder, and rudder hardly banks it, or banks it the wrong way. */
export const rudderRolls = makeRule(
  { id: 'rudderRolls', stage: 'stability', source: 'Roll through dihedral: C_lβ β + C_lδr δr against C_lp' },
  (design, { feel }) => {
    const hasAilerons = controlsOf(design, ROLL_CONTROLS).length > 0;
    const bank = feel.bankByRudder;
    if (bank === null || controlsOf(design, YAW_CONTROLS).length === 0) return null;
    const reversed = bank < 0;
    if (bank >= LEAST_BANK || (hasAilerons && !reversed)) return null;
    const wings = design.surfaces.filter(isWing);
    const more = (angle: number) => ({
      label: say`Give the wing ${degrees(angle, 0)} more dihedral`,
      change: wings.flatMap((wing) => withDihedral(wing, angle)),
    });
    return {
      severity: hasAilerons ? 'note' : reversed ? 'stop' : 'caution',
      message: reversed
        ? say`Rudder to the right rolls it to the left: after a second it banks ${radians(Math.abs(bank))} the wrong way. The rudder’s own roll beats the dihedral.`
        : say`It turns by rudder alone, and a second of full rudder banks it only ${radians(bank)}: more dihedral lets it follow.`,
      numbers: { bank: radians(bank) },
      remedies: [more(2), more(4), more(6)],
    };
  },
);
