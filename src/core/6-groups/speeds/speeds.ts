import { z } from 'zod';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { alphaForLift, FLARE_LOAD_FACTOR, liftAtFullCommand } from '@/core/5-aero/controlReach';
import type { MetresPerSecond } from '@/core/1-base/units/convert';
import { emptyNumbers, numbersGroup } from '../group';
import { maybe } from '../keys';
import { mass } from '../mass/mass';
import { reference } from '../reference/reference';
import type { Solution } from '../solution/solution';
import { groundLoad } from '../solution/groundEffect';
import { usableCommand } from '../solution/usableCommand';
import { stall } from '../stall/stall';
import { NO_PITCH, NO_VISCOSITY } from '../words';
import { explainSpeeds } from './workings';

const keys = z.object({
  stall: maybe('speed', 'Stall speed, wings level, power off'),
  approach: maybe('speed', 'The larger of 1.3 stall speeds and the pitch floor'),
  bestGlide: maybe('speed', 'Speed of the flattest glide'),
  minimumSink: maybe('speed', 'Speed of the slowest sink'),
  pitchFloor: maybe('speed', 'Slowest speed at which full nose-up control still flares near the ground'),
  glideRatio: maybe('ratio', 'Glide ratio at best glide'),
  sink: maybe('speed', 'Least sinking speed'),
});

export const APPROACH_OVER_STALL = 1.3;
/** Less lift than this is none to flare with. */
const LEAST_FLARE_LIFT = 0.01;

/** Speeds worth knowing before the first throw. */
export const speeds = numbersGroup(keys, {
  id: 'speeds',
  title: 'Speeds',
  needs: { reference, mass, stall },
  compute: (solution, { stall: { liftCoefficient, speed, reasons } }) => {
    const { prepared, line, fullNoseUp } = solution;
    const { weights } = prepared;
    const weighed = weights.properties?.total;
    if (line === null) return emptyNumbers(keys, NO_VISCOSITY);
    if (weighed === undefined || speed === null || liftCoefficient === null)
      return emptyNumbers(keys, reasons['speed'] ?? reasons['liftCoefficient'] ?? 'The stall could not be found.');
    const pitchFloor = pitchFloorSpeed(solution, weighed, liftCoefficient);
    const polar = solution.glideFrom(speed);
    return {
      stall: speed,
      approach: Math.max(APPROACH_OVER_STALL * speed, pitchFloor ?? 0),
      bestGlide: polar?.bestGlide.speed ?? null,
      minimumSink: polar?.minimumSink.speed ?? null,
      pitchFloor,
      glideRatio: polar?.bestGlide.glideRatio ?? null,
      sink: polar?.minimumSink.sink ?? null,
      reasons:
        pitchFloor === null
          ? {
              pitchFloor: fullNoseUp === null ? NO_PITCH : 'Full nose-up control cannot hold the nose up at any speed.',
            }
          : {},
    };
  },
  explain: ({ prepared }, value, { mass: { wingLoading }, reference: { area } }) =>
    explainSpeeds(value, { wingLoading, area, density: prepared.air.density, figures: prepared.design.figures }),
});

/** Slowest speed at which full nose-up control, as far as the tail carries it, gives the load factor of a flare. */
function pitchFloorSpeed(solution: Solution, mass: number, maximumLift: number): MetresPerSecond | null {
  const { prepared, model, fullNoseUp } = solution;
  const { about, air, reference: of } = prepared;
  if (fullNoseUp === null) return null;
  const stallAlpha = alphaForLift(model, maximumLift, prepared.reach.pitch.held(fullNoseUp), about) ?? 0;
  const usable = usableCommand(solution, fullNoseUp, stallAlpha);
  const reachable = liftAtFullCommand(model, usable, about, groundLoad(solution, usable));
  const lift = reachable === null ? maximumLift : Math.min(reachable, maximumLift);
  return lift <= LEAST_FLARE_LIFT
    ? null
    : Math.sqrt((2 * FLARE_LOAD_FACTOR * mass * GRAVITY) / (air.density * of.area * lift));
}
