import { airAt, GRAVITY } from '../aero/atmosphere';
import type { Analysis } from '../analysis/types';
import type { Design } from '../document/schema/design';
import { LAUNCH_SPEED, targetsOf } from '../sizing/targets';
import { kilogramsFromGrams } from '../units/convert';
import type { CeilingInput } from './massCeiling';

/** Static thrust of a motor over its weight with a usual propeller; the middle of what generic sizes give, ±30 %. */
const THRUST_OVER_MOTOR = 16.5;

/** What the ceilings of a design depend on; null before there is a wing. */
export function ceilingInput(
  design: Design,
  { reference, stall, speeds }: Pick<Analysis, 'reference' | 'stall' | 'speeds'>,
): CeilingInput | null {
  if (reference.area === null || reference.span === null) return null;
  const { elevation, temperature } = design.conditions;
  const air = airAt(elevation, temperature);
  const targets = targetsOf(design.brief, air, stall.liftCoefficient ?? 1);
  const motors = design.massItems
    .filter(({ category }) => category === 'motor')
    .reduce((sum, { mass, measuredMass, mirrored }) => sum + (measuredMass ?? mass) * (mirrored ? 2 : 1), 0);
  const launch = LAUNCH_SPEED[design.brief.launch];
  return {
    density: air.density,
    area: reference.area,
    span: reference.span,
    maximumLift: stall.liftCoefficient,
    stallSpeed: targets.stallSpeed,
    stallBecause: targets.stallBecause,
    launchSpeed: Number.isFinite(launch) ? launch : null,
    thrust: motors > 0 ? kilogramsFromGrams(motors) * THRUST_OVER_MOTOR * GRAVITY : null,
    liftOverDrag: speeds.glideRatio,
    wing: design.surfaces.find(({ role }) => role === 'wing') ?? null,
    limit: design.brief.maximumMass === undefined ? null : kilogramsFromGrams(design.brief.maximumMass),
  };
}
