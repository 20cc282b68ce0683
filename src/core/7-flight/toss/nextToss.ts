import type { Steps } from '@/core/1-base/steps';
import type { Degrees, MetresPerSecond } from '@/core/1-base/units/convert';
import type { Glider } from './glider';
import { believedAfter, liftBy, seenOf } from './infer';
import { settingOf, type Toss, usualSpeed } from './settings';

/** A toss that could be next, and how well hands-off lift is expected to be known after it, ±1σ. */
export interface NextToss {
  /** Turn of the surface that trims, nose up beyond the drawing. */
  readonly shim: Degrees;
  readonly launchSpeed: MetresPerSecond;
  readonly sigma: number;
}

/** Shims [°] and speeds, as shares of the usual throw, that a next toss may have. */
const SHIMS = [0, -0.5, 0.5, -1, 1] as const;
const SPEEDS = [1, 1.2] as const;

/** A toss as it would be logged, measured by its distance and its time. */
export const tossWith = (
  last: Toss | undefined,
  glider: Glider,
  shim: Degrees,
  launchSpeed: MetresPerSecond,
): Toss => ({
  id: 'next',
  at: '',
  scale: glider.scale,
  ...(last?.mass === undefined ? {} : { mass: last.mass }),
  ...(last?.balance === undefined ? {} : { balance: last.balance }),
  ...(last?.ballast === undefined ? {} : { ballast: last.ballast }),
  ...(last?.ballastAt === undefined ? {} : { ballastAt: last.ballastAt }),
  shim,
  launchSpeed,
  result: 'other',
  track: [],
  notes: '',
});

/** Everything that may be tossed next with what is on the glider now. */
export function plansAfter(glider: Glider, tosses: readonly Toss[]): readonly Omit<NextToss, 'sigma'>[] {
  const last = tosses.at(-1);
  const mass = last ? settingOf(glider, last).mass : undefined;
  const speed = usualSpeed(glider, mass ?? glider.model.body.mass * glider.scale ** 3);
  const around = last?.shim ?? 0;
  return SHIMS.flatMap((shim) => SPEEDS.map((share) => ({ shim: around + shim, launchSpeed: share * speed })));
}

/** The same, what is expected to teach most first. */
export function* nextTosses(glider: Glider, tosses: readonly Toss[]): Steps<readonly NextToss[]> {
  const belief = believedAfter(glider, tosses);
  const lift = liftBy(glider);
  const all: NextToss[] = [];
  const plans = plansAfter(glider, tosses);
  for (const { shim, launchSpeed } of plans) {
    const seen = seenOf(glider, tossWith(tosses.at(-1), glider, shim, launchSpeed), belief);
    all.push({ shim, launchSpeed, sigma: Math.sqrt(belief.leftBy(lift, seen)) });
    yield { done: all.length, total: plans.length };
  }
  return all.toSorted((a, b) => a.sigma - b.sigma);
}
