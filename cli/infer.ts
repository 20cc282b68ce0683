import '@/core/1-base/zodSetup';
import { finish } from '@/core/1-base/steps';
import { correctionFor } from '@/core/7-flight/toss/correction';
import { gliderOf } from '@/core/7-flight/toss/glider';
import { infer, type Told } from '@/core/7-flight/toss/infer';
import { nextTosses } from '@/core/7-flight/toss/nextToss';
import { readCommand, readOneDesign } from './command';
import { refuse } from './refuse';

const HELP = `Usage: npm run -s infer -- FILE.json [options]

What the tosses in a file tell of the glider: its errors against the drawing
with their bands, by Bayes, from the bands of hand building on. Prints one JSON
object: SI units and radians, sigma one standard deviation.

  --scale S         of the tossed glider; without it that of the last toss
  --next            also what the next toss should be (takes some seconds)
  --help            this text

handsOffLift is counted as the numbers of the design count it. decalage is the
turn of the surface that trims, nose up beyond what is drawn and shimmed; balance
is aft of what is drawn, at the size of the glider; drag a share of the least
drag; warp from tip to tip, the left one nose up. Where tosses contradict one
another or the drawing by more than three standard deviations, values are null
and contradictions name them. Nothing here says that an aircraft is safe.
Faults of the file go to standard error with their place; exit status 2.`;

const OPTIONS = {
  scale: { type: 'string' },
  next: { type: 'boolean', default: false },
} as const;

function main(): void {
  const { values, positionals } = readCommand(OPTIONS, HELP);
  const { file, design, records } = readOneDesign(positionals);
  const all = records.tosses;
  const scale = values.scale === undefined ? (all.at(-1)?.scale ?? 1) : Number(values.scale);
  if (!(scale >= 0.01 && scale <= 10)) return refuse([`--scale ${values.scale}: give a number from 0.01 to 10.`]);
  const glider = gliderOf(design, scale);
  if ('because' in glider) return refuse([`${file}: ${glider.because}`]);
  const tosses = all.filter((toss) => toss.scale === scale);
  const inferred = finish(infer(glider, tosses));
  const { errors, prior, handsOffLift, priorLift, contradictions } = inferred;
  const length = glider.chord * scale;
  const isRefused = contradictions.length > 0;
  const told = (own: Told | null, before: Told | null, by = 1) => ({
    value: isRefused || !own ? null : own.value * by,
    sigma: isRefused || !own ? null : own.sigma * by,
    prior: before && { value: before.value * by, sigma: before.sigma * by },
  });
  const correction = isRefused ? null : correctionFor(glider, inferred);
  const result = {
    format: 'inclinar-inference',
    version: 1,
    scale,
    tosses: tosses.length,
    handsOffLift: told(handsOffLift, priorLift),
    balance: told(errors.balance, prior.balance, length),
    decalage: told(errors.decalage, prior.decalage),
    drag: told(errors.drag, prior.drag),
    warp: told(errors.warp, prior.warp),
    contradictions,
    because: isRefused
      ? 'Tosses contradict one another or the drawing: look at those named, at what was on the glider, and at its build.'
      : handsOffLift
        ? null
        : 'With the pitch control left alone it settles nowhere.',
    correction,
    next: values.next && !isRefused ? (finish(nextTosses(glider, tosses))[0] ?? null) : null,
  };
  process.stdout.write(`${JSON.stringify(result, null, 2)}\n`);
}

main();
