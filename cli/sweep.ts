import { valuesBetween } from '@/core/1-base/numeric/valuesBetween';
import '@/core/1-base/zodSetup';
import { finish } from '@/core/1-base/steps';
import type { Design } from '@/core/2-document/schema/design';
import { holdingMargin, inputNamed } from '@/core/9-compare/linkedInputs';
import { outputFault } from '@/core/9-compare/outputs';
import { sweep, type Swept } from '@/core/9-compare/sweep';
import { sentence } from '@/words/formatQuantity';
import { readCommand, readOneDesign } from './command';
import { numberOf, refuse } from './refuse';

const HELP = `Usage: npm run -s sweep -- FILE.json --field /path --from A --to B --steps N --outputs a,b,c

Takes one number of a design through N values from A to B, both among them, and
prints what the analysis says at each as one JSON object. Values in the units of
the document (mm, g, °, m/s), outputs in SI units and radians.

  --field PATH       such as /surfaces/wing/stations/0/chord; parts by their id or place;
                     or what moves several numbers, in per cent of what is drawn:
                     tips/wing (cut), chords/wing (all of them), spans/wing (stretched)
  --from A --to B    its ends
  --steps N          how many values, 1 to 2001 (11 without it)
  --field2, --from2, --to2, --steps2
                     a second one: outputs are then a row for each value of the first
  --slides ID        slides that item in its bay so that the static margin stays as drawn
  --outputs LIST     names such as pitch.staticMargin,stall.speed,findings.cautions,cost.estimate
  --help             this text

Where there is no number it is null, and "reasons" says why at that place. What
cannot be swept goes to standard error with the place and the remedy; exit status 2.`;

const MOST_STEPS = 2001;
const MOST_POINTS = 10_000;
const FAR = 1e9;

const OPTIONS = {
  field: { type: 'string' },
  from: { type: 'string' },
  to: { type: 'string' },
  steps: { type: 'string', default: '11' },
  field2: { type: 'string' },
  from2: { type: 'string' },
  to2: { type: 'string' },
  steps2: { type: 'string', default: '11' },
  slides: { type: 'string' },
  outputs: { type: 'string' },
} as const;

type Values = ReturnType<typeof readCommand<typeof OPTIONS>>['values'];

/** One input and its values, or the end. */
function sweptOf(design: Design, values: Values, place: '' | '2'): Swept {
  const path = values[`field${place}`];
  if (path === undefined) return refuse([`--field${place}: give the path of a number. See --help.`]);
  const varied = inputNamed(design, path);
  if (!varied.ok) return refuse([`--field${place}: ${varied.because}`]);
  const ends = (['from', 'to'] as const).map((end) => {
    const text = values[`${end}${place}`];
    if (text === undefined) return refuse([`--${end}${place}: give a value in the unit of ${path}.`]);
    const value = numberOf(`${end}${place}`, text, -FAR, FAR);
    const set = varied.input.set(design, value);
    return set.ok ? value : refuse([`--${end}${place} ${text}: ${sentence(set.because)}`]);
  }) as [number, number];
  const steps = numberOf(`steps${place}`, values[`steps${place}`], 1, MOST_STEPS);
  if (!Number.isInteger(steps)) return refuse([`--steps${place} ${steps}: give a whole number.`]);
  return { input: varied.input, values: valuesBetween(...ends, steps) };
}

function main(): void {
  const { values, positionals } = readCommand(OPTIONS, HELP);
  const read = readOneDesign(positionals);
  const names = (values.outputs ?? '')
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '');
  if (names.length === 0) return refuse(['--outputs: name at least one number, such as pitch.staticMargin.']);
  const faults = [...new Set(names)].flatMap((name) => outputFault(name) ?? []);
  if (faults.length > 0) return refuse(faults.map((because) => `--outputs: ${because}`));
  if (values.field2 !== undefined && values.field2 === values.field)
    return refuse(['--field2: is the first one again; name another.']);
  const swept = [
    sweptOf(read.design, values, ''),
    ...(values.field2 === undefined ? [] : [sweptOf(read.design, values, '2')]),
  ];
  const { slides } = values;
  if (slides !== undefined) {
    const item = read.design.massItems.find(({ id }) => id === slides);
    if (item?.attachment.kind !== 'slides')
      return refuse([`--slides ${slides}: is no item of this design that slides in a bay.`]);
    const last = swept.at(-1)!;
    swept[swept.length - 1] = { ...last, input: holdingMargin(read.design, last.input, slides) };
  }
  const points = swept.reduce((product, one) => product * one.values.length, 1);
  if (points > MOST_POINTS) return refuse([`That are ${points} analyses: at most ${MOST_POINTS}; take fewer steps.`]);
  const told = finish(sweep(read.design, swept, names));
  /** In rows of the first input, where there are two. */
  const laidOut = <Value>(all: readonly Value[]): readonly Value[] | readonly Value[][] => {
    const wide = swept[1]?.values.length;
    return wide === undefined
      ? all
      : Array.from({ length: all.length / wide }, (_, row) => all.slice(row * wide, (row + 1) * wide));
  };
  const result = {
    format: 'inclinar-sweep',
    version: 1,
    inputs: Object.fromEntries(swept.map(({ input, values: own }) => [input.name, own])),
    units: Object.fromEntries(swept.map(({ input }) => [input.name, input.unit])),
    drawn: Object.fromEntries(swept.map(({ input }) => [input.name, input.valueIn(read.design)])),
    outputs: Object.fromEntries(
      names.map((name) => [name, laidOut(told.map(({ outputs }) => outputs.get(name)!.value))]),
    ),
    reasons: told.flatMap(({ at, outputs }) =>
      names.flatMap((output) => {
        const one = outputs.get(output)!;
        return one.value === null ? [{ at, output, because: sentence(one.because) }] : [];
      }),
    ),
  };
  process.stdout.write(`${JSON.stringify(result, null, 2)}\n`);
}

main();
