import { airAt } from '@/core/5-aero/atmosphere';
import type { ValueOf } from '../group';
import type { reference } from '../reference/reference';
import type { speeds } from '../speeds/speeds';
import type { stall } from '../stall/stall';
import type { mass } from '../mass/mass';
import type { strength } from '../strength/strength';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import { NO_MASS } from '../words';
import { targetsOf } from './briefTargets';
import { launchSpeed } from './launchSpeed';
import { thrustGiven } from '../power/thrustGiven';
import { kilogramsFromGrams } from '@/core/1-base/units/convert';
import type { CeilingInput } from './massCeiling';

/** What the ceilings of a design depend on; null before there is a wing. */
export function ceilingInput(
  design: Design,
  numbers: {
    readonly reference: ValueOf<typeof reference>;
    readonly stall: ValueOf<typeof stall>;
    readonly speeds: ValueOf<typeof speeds>;
    readonly mass: ValueOf<typeof mass>;
    readonly strength: ValueOf<typeof strength>;
  },
): CeilingInput | null {
  const {
    reference: of,
    stall: { liftCoefficient },
    speeds: { glideRatio },
    mass: { total, parts },
    strength: { breakingLoadFactor: factor, breakingBand: band, breaksAt, reasons },
  } = numbers;
  if (of.area === null || of.span === null) return null;
  const { elevation, temperature } = design.conditions;
  const air = airAt(elevation, temperature);
  const wings = new Set(design.surfaces.filter(isWing).map(({ id }) => id));
  const targets = targetsOf(design.brief, air, liftCoefficient ?? 1);
  return {
    density: air.density,
    area: of.area,
    maximumLift: liftCoefficient,
    stallSpeed: targets.stallSpeed,
    stallBecause: targets.stallBecause,
    stallKind: targets.stallKind,
    launchSpeedOf: design.brief.launch === 'wheels' ? null : (mass) => launchSpeed(design.brief, mass),
    thrust: thrustGiven(design, air),
    liftOverDrag: glideRatio,
    total,
    wingMass: parts.reduce((sum, { id, mass: own }) => sum + (wings.has(id) ? own : 0), 0),
    breaks:
      factor !== null && band !== null && breaksAt
        ? { factor, band, part: breaksAt.surface }
        : (reasons['breakingLoadFactor'] ?? NO_MASS),
    limit: design.brief.maximumMass === undefined ? null : kilogramsFromGrams(design.brief.maximumMass),
  };
}
