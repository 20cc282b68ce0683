import { airAt, GRAVITY } from '@/core/5-aero/atmosphere';
import type { ValueOf } from '../group';
import type { reference } from '../reference/reference';
import type { speeds } from '../speeds/speeds';
import type { stall } from '../stall/stall';
import type { Design } from '@/core/2-document/schema/design';
import { LAUNCH_SPEED, targetsOf } from './briefTargets';
import { kilogramsFromGrams } from '@/core/1-base/units/convert';
import type { CeilingInput } from './massCeiling';

/** Static thrust of a motor over its weight with a usual propeller; the middle of what generic sizes give, ±30 %. */
const THRUST_OVER_MOTOR = 16.5;

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
  const motors = design.massItems
    .filter(({ category }) => category === 'motor')
    .reduce((sum, { mass, measuredMass, mirrored }) => sum + (measuredMass ?? mass) * (mirrored ? 2 : 1), 0);
  const launch = LAUNCH_SPEED[design.brief.launch];
  return {
    density: air.density,
    area: of.area,
    span: of.span,
    maximumLift: liftCoefficient,
    stallSpeed: targets.stallSpeed,
    stallBecause: targets.stallBecause,
    launchSpeed: Number.isFinite(launch) ? launch : null,
    thrust: motors > 0 ? kilogramsFromGrams(motors) * THRUST_OVER_MOTOR * GRAVITY : null,
    liftOverDrag: glideRatio,
    wing: design.surfaces.find(({ role }) => role === 'wing') ?? null,
    limit: design.brief.maximumMass === undefined ? null : kilogramsFromGrams(design.brief.maximumMass),
  };
}
