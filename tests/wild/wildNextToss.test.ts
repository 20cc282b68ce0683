import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { finish } from '@/core/1-base/steps';
import { type Glider, gliderOf } from '@/core/7-flight/toss/glider';
import { believedAfter, liftBy } from '@/core/7-flight/toss/infer';
import { nextTosses, plansAfter, tossWith } from '@/core/7-flight/toss/nextToss';
import { type Toss, usualSetting } from '@/core/7-flight/toss/settings';
import { builtGlider, normalNumbers, tossed } from './tossed';

/** Two hundred with `CAMPAIGN=25`; a few say nothing, and so are not thrown. */
const SETS = 8 * Number(process.env['CAMPAIGN'] ?? 0);
/** Hands-off lift is known when its standard deviation is that small; more tosses nobody throws. */
const AIM = 0.045;
const MOST = 5;

/** How many tosses it takes until hands-off lift is known, each chosen by a policy among those that could be next. */
function tossesUntilKnown(glider: Glider, set: number, choose: (first: readonly Toss[]) => Toss): number {
  const truth = builtGlider(glider, set, SETS);
  const normal = normalNumbers(1000 + set);
  const lift = liftBy(glider);
  const tosses: Toss[] = [];
  for (let thrown = 0; thrown < MOST; thrown++) {
    const asked = thrown === 0 ? tossWith(undefined, glider, 0, usualSetting(glider).speed) : choose(tosses);
    tosses.push(tossed(glider, truth, normal, { ...asked, id: `toss${thrown}` }));
    if (believedAfter(glider, tosses).told(lift).sigma < AIM) return thrown + 1;
  }
  return MOST + 1;
}

test.skipIf(SETS === 0)(
  'the toss that is advised leads to a known hands-off lift sooner than one by chance',
  () => {
    const glider = gliderOf(demoDesign('tern-tender'), 0.25) as Glider;
    const even = normalNumbers(7);
    let [advised, byChance] = [0, 0];
    for (let set = 0; set < SETS; set++) {
      const asToss = ({ shim, launchSpeed }: { shim: number; launchSpeed: number }, tosses: readonly Toss[]) =>
        tossWith(tosses.at(-1), glider, shim, launchSpeed);
      advised += tossesUntilKnown(glider, set, (tosses) => asToss(finish(nextTosses(glider, tosses))[0]!, tosses));
      byChance += tossesUntilKnown(glider, set, (tosses) => {
        const plans = plansAfter(glider, tosses);
        return asToss(plans[Math.floor(Math.abs(1000 * even())) % plans.length]!, tosses);
      });
    }
    const summary = `${(advised / SETS).toFixed(2)} tosses by advice, ${(byChance / SETS).toFixed(2)} by chance, of ${SETS} sets`;
    process.stdout.write(`  ${summary}\n`);
    expect(advised, summary).toBeLessThan(byChance);
  },
  1_800_000,
);
