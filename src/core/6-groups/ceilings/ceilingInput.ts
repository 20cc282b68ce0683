import { airAt } from '@/core/5-aero/atmosphere';
import type { ValueOf } from '../group';
import type { reference } from '../reference/reference';
import type { speeds } from '../speeds/speeds';
import type { stall } from '../stall/stall';
import type { Design } from '@/core/2-document/schema/design';
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
  },
): CeilingInput | null {
  const {
    reference: of,
    stall: { liftCoefficient },
    speeds: { glideRatio },
  } = numbers;
  if (of.area === null || of.span === null) return null;
  const { elevation, temperature } = design.conditions;
  const air = airAt(elevation, temperature);
  const targets = targetsOf(design.brief, air, liftCoefficient ?? 1);
  return {
    density: air.density,
    area: of.area,
    span: of.span,
    maximumLift: liftCoefficient,
    stallSpeed: targets.stallSpeed,
    stallBecause: targets.stallBecause,
    stallKind: targets.stallKind,
    launchSpeedOf: design.brief.launch === 'wheels' ? null : (mass) => launchSpeed(design.brief, mass),
    thrust: thrustGiven(design, air),
    liftOverDrag: glideRatio,
    wing: design.surfaces.find(({ role }) => role === 'wing') ?? null,
    limit: design.brief.maximumMass === undefined ? null : kilogramsFromGrams(design.brief.maximumMass),
  };
}
