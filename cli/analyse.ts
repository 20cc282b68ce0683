import '@/core/1-base/zodSetup';
import { analyse } from '@/core/analyse';
import { designJsonSchema } from '@/core/2-document/readDesign';
import { analysisJsonSchema, tableOfUnits } from '@/core/6-groups/describe';
import { printAnalysis } from '@/words/printAnalysis';
import { DEMO_NAMES, demoDesign } from '../demo';
import { readCommand, readOneDesign } from './command';
import { refuse } from './refuse';

const HELP = `Usage: npm run -s analyse -- FILE.json [options]

Reads one design document and prints one JSON object: SI units and radians,
numbers or null with a reason under the same key of the group's "reasons".

  --surfaces-only   leave out fuselage, propeller and viscosity
  --wake=wind       let wakes leave along the wind (default: straight along the datum)
  --grid=SxC        strips on the longest surface and chordwise panels (default 18x5)
  --example NAME    write a demo design to standard output
  --list            name the demo designs
  --schema          print the JSON Schema of the design document
  --output-schema   print the JSON Schema of the analysis
  --units           print every number of the analysis with unit and meaning
  --help            this text

Faults of the file go to standard error with their place; exit status 2.`;

const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);

const OPTIONS = {
  'surfaces-only': { type: 'boolean', default: false },
  wake: { type: 'string', default: 'datum' },
  grid: { type: 'string' },
  example: { type: 'string' },
  list: { type: 'boolean', default: false },
  schema: { type: 'boolean', default: false },
  'output-schema': { type: 'boolean', default: false },
  units: { type: 'boolean', default: false },
} as const;

function readGrid(text: string | undefined) {
  if (text === undefined) return undefined;
  const match = /^(\d{1,3})x(\d{1,2})$/.exec(text);
  const [strips, chordwise] = [Number(match?.[1]), Number(match?.[2])];
  if (!match || strips < 2 || strips > 200 || chordwise < 2 || chordwise > 40) {
    return refuse([`--grid=${text}: give strips (2 to 200) and chordwise panels (2 to 40), such as --grid=18x5.`]);
  }
  return { strips, chordwise };
}

function main(): void {
  const { values, positionals } = readCommand(OPTIONS, HELP);
  if (values.list) return void process.stdout.write(`${DEMO_NAMES.join('\n')}\n`);
  if (values.schema) return print(designJsonSchema());
  if (values['output-schema']) return print(analysisJsonSchema());
  if (values.units) return print(tableOfUnits());
  if (values.example !== undefined) {
    try {
      return print(demoDesign(values.example));
    } catch (error) {
      return refuse([error instanceof Error ? error.message : String(error)]);
    }
  }
  if (values.wake !== 'datum' && values.wake !== 'wind')
    refuse([`--wake=${values.wake}: only "datum" and "wind" are known.`]);
  const grid = readGrid(values.grid);
  const { design } = readOneDesign(positionals);
  print(printAnalysis(analyse(design, { surfacesOnly: values['surfaces-only'], wake: values.wake, grid })));
}

main();
