import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { field } from '@/core/2-document/edit/field';
import { checkChange } from '@/core/2-document/edit/checkChange';
import { withFields } from '@/core/2-document/edit/withFields';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import { documentEdited, documentOpened, documentReducer, type DocumentState, undone } from '@/store/documentSlice';
import { demoDesign } from '../demo';
import { median, show, time } from './timing';

const EDITS = 2000;
const UNDONE = 200;

/** A drawing with 200 mass items; revisions and flights lie beside it and are not touched by an edit. */
function largeDesign(): Design {
  const design = demoDesign('lagoon-postman');
  const item = design.massItems[0]!;
  const more = Array.from({ length: 200 - design.massItems.length }, (_, index) => ({
    ...item,
    id: `item-${index}`,
    name: `Item ${index}`,
  }));
  const massItems = [...design.massItems, ...more];
  return designSchema.parse({ ...design, massItems });
}

/** Bytes that are held once everything else was given back. */
function heldBytes(): number {
  setFlagsFromString('--expose_gc');
  const collect = runInNewContext('gc') as () => void;
  collect();
  return process.memoryUsage().heapUsed;
}

/** The change, its check and the step of the history, as an edit in the interface does them. */
function edit(state: DocumentState, step: number): DocumentState {
  const present = state.present!;
  const change =
    step % 2 === 0
      ? field('massItems', `item-${step % 100}`, 'mass').to(10 + (step % 90))
      : field('surfaces', present.surfaces[0]!.id, 'incidence').to((step % 50) / 10);
  const checked = checkChange(present, withFields(present, [change]));
  if (!checked.ok) throw new Error(`The edit was refused: ${JSON.stringify(checked.issues)}`);
  return documentReducer(state, documentEdited({ design: checked.design }));
}

/** Edits of a large document against checking the whole of it, taking turns; memory over many; undo. */
export function measureEdits(print: (line: string) => void): void {
  const opened = documentReducer(undefined, documentOpened(largeDesign()));
  let state = opened;
  const edits: number[] = [];
  const wholes: number[] = [];
  let early = 0;
  for (let step = 0; step < EDITS; step++) {
    const spent = time(() => (state = edit(state, step)));
    if (step >= 50) edits.push(spent);
    if (step % 20 === 0) {
      const whole = time(() => designSchema.parse(structuredClone(state.present)));
      if (step >= 50) wholes.push(whole);
    }
    // The history is full from here on.
    if (step === 600) early = heldBytes();
  }
  print('document of 200 mass items');
  print(
    `  one edit: ${median(edits).toFixed(3)} median ms (copying and checking the whole: ${show(wholes)}); ratio ${(median(wholes) / median(edits)).toFixed(0)}`,
  );
  print(
    `  memory after 600 and ${EDITS} edits: ${(early / 1e6).toFixed(1)} and ${(heldBytes() / 1e6).toFixed(1)} MB held`,
  );
  const before = state.past.length;
  const all = time(() => {
    for (let step = 0; step < UNDONE; step++) state = documentReducer(state, undone());
  });
  if (state.past.length !== before - UNDONE) throw new Error('The steps were not undone.');
  print(`  undo of ${UNDONE}: ${all.toFixed(1)} ms`);
}
