import '@/core/1-base/zodSetup';
import { finish } from '@/core/1-base/steps';
import { tolerate } from '@/core/9-compare/tolerances/tolerances';
import { readCommand, readOneDesign } from './command';
import { numberOf, refuse } from './refuse';

const HELP = `Usage: npm run -s tolerances -- FILE.json [options]

Builds a design many times, each a little off as hands and boards are, and prints
as one JSON object how its numbers are spread and how often every verdict holds.
SI units and radians.

  --draws N      how many, 16 to 100000 (1024 without it)
  --seed S       a whole number; the same one draws the same (1 without it)
  --help         this text

outputs: median, the middle nine tenths (p05, p95), mean, sigma and what is drawn;
chances: inWindow (balances in its window), handsOff (flies hands off between dive
and stall), noTipStall, rollTrimmable, firstThrow (all of them, and a throw by hand
that goes well, with full power where its drive is known; null where it is not
launched by hand); shares: what of the variance
of an output each input brings; inputs: what was off by how much, one standard
deviation; found: how far off the finished aircraft was read to be, about which it
is drawn then (a balance point among the bench readings of the file); all: chance that all verdicts hold that building decides, throws left
out; tighten: to how much each input alone, and to what share all that hands set
together, would have to come down for that to be 0.95 (null where even exact ones
do not do), and what exact ones bring;
failed: draws in which nothing holds the nose. Errors of building and
of the sections alone: no wind, no pilot. Nothing here says that an aircraft is safe.
Faults of the file go to standard error with their place; exit status 2.`;

const OPTIONS = {
  draws: { type: 'string', default: '1024' },
  seed: { type: 'string', default: '1' },
} as const;

/** A whole number between limits, or the end. */
function wholeOf(name: string, text: string, least: number, most: number): number {
  const value = numberOf(name, text, least, most);
  return Number.isInteger(value) ? value : refuse([`--${name} ${text}: give a whole number.`]);
}

function main(): void {
  const { values, positionals } = readCommand(OPTIONS, HELP);
  const read = readOneDesign(positionals);
  const draws = wholeOf('draws', values.draws, 16, 100_000);
  const seed = wholeOf('seed', values.seed, 0, 0x7fffffff);
  const told = finish(tolerate(read.design, { draws, seed, readings: read.records.benchReadings }));
  if (!told.ok) return refuse([`${read.file}: ${told.because}`]);
  const { failed, outputs, chances, reasons, tolerances } = told;
  const entries = Object.entries(outputs);
  const result = {
    format: 'inclinar-tolerances',
    version: 1,
    draws,
    seed,
    failed,
    inputs: Object.fromEntries(tolerances.map(({ id, sigma }) => [id, sigma])),
    found: Object.fromEntries(tolerances.flatMap(({ id, mean }) => (mean === undefined ? [] : [[id, mean]]))),
    outputs: Object.fromEntries(
      entries.map(([name, { shares: _shares, counts: _counts, from: _from, to: _to, ...spread }]) => [name, spread]),
    ),
    chances,
    all: told.all,
    tighten: told.tighten,
    shares: Object.fromEntries(entries.map(([name, { shares }]) => [name, shares])),
    reasons,
  };
  process.stdout.write(`${JSON.stringify(result, null, 2)}\n`);
}

main();
