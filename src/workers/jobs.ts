import { analyse, findingsStepwise } from '@/core/analyse';
import { weightRows } from '@/core/4-weight/weightRows';
import { cutListOf } from '@/core/4-parts/cutList';
import { layOut } from '@/core/4-parts/layout';
import { correctionFor } from '@/core/7-flight/toss/correction';
import { glideOf } from '@/core/7-flight/toss/glideOf';
import { gliderOf } from '@/core/7-flight/toss/glider';
import { infer } from '@/core/7-flight/toss/infer';
import { nextTosses } from '@/core/7-flight/toss/nextToss';
import { smallMade } from '@/core/7-flight/toss/smallGlider';
import { tossOften } from '@/core/7-flight/toss/tossOften';
import { tossVirtually } from '@/core/7-flight/toss/virtualToss';
import { gatesOf } from '@/core/8-bench/gates';
import { judgeGates } from '@/core/8-bench/judgeGate';
import { cutBackRow } from '@/core/8-field/cutBack';
import { diagnose } from '@/core/8-field/diagnose';
import { lessonOfWeights, lessonsOf } from '@/core/8-field/learn';
import { lessonsOfBench } from '@/core/8-field/learnBench';
import { nextChange } from '@/core/8-field/nextChange';
import { numbersOf } from '@/core/6-groups/solve';
import { outputTable } from '@/core/9-compare/outputs';
import { sweep, type Swept } from '@/core/9-compare/sweep';
import { tolerate } from '@/core/9-compare/tolerances/tolerances';
import { boardChoice, rodChoice } from '@/core/9-compare/search/choices';
import { type FreeInput, search } from '@/core/9-compare/search/search';
import { variantOf } from '@/core/9-compare/variants/variant';
import { holdingMargin, inputNamed } from '@/core/9-compare/linkedInputs';
import { chooseDrive } from '@/core/8-sizing/chooseDrive';
import { sizeStepwise } from '@/core/8-sizing/sizeDesign';
import { tailMapRow } from '@/core/8-sizing/tail/tailMap';
import { sizeTail } from '@/core/8-sizing/tail/tailSizing';
import { reconcile } from '@/core/2-document/edit/reconcile';
import type { Design } from '@/core/2-document/schema/design';
import { readDesignBytes } from '@/files/designFile';
import type { Steps } from '@/core/1-base/steps';
import type { InputOf, InputRange, JobName, OutputOf } from './contract';

type Workers = { readonly [Name in JobName]: (input: InputOf<Name>) => Steps<OutputOf<Name>> };

let last: unknown;

/** The design as it came, its parts that did not change since the last job being the same objects: what was worked out of them is known. */
const recalled = (design: Design): Design => {
  const same = reconcile(last, design);
  last = same;
  return same;
};

/** Inputs by their names, with ends that the document allows; else why not. */
function rangesOf(
  design: Design,
  ranges: readonly InputRange[],
): FreeInput[] | { readonly ok: false; readonly because: string } {
  const found: FreeInput[] = [];
  for (const { name, from, to } of ranges) {
    const named = inputNamed(design, name);
    if (!named.ok) return named;
    for (const end of [from, to]) {
      const varied = named.input.set(design, end);
      if (!varied.ok) return varied;
    }
    found.push({ input: named.input, from: Math.min(from, to), to: Math.max(from, to) });
  }
  return found;
}

/** What each job does. */
export const WORK: Workers = {
  *analyse({ design, options }) {
    const start = performance.now();
    const analysis = analyse(recalled(design), options);
    return { analysis, milliseconds: performance.now() - start };
  },
  *remedies({ design, options }) {
    return yield* findingsStepwise(recalled(design), options);
  },
  *size(input) {
    return yield* sizeStepwise(input);
  },
  *layOut({ design, folds, options }) {
    const list = cutListOf(design, { folds });
    return { list, layout: yield* layOut(design, list, options) };
  },
  *toss(input) {
    return yield* tossVirtually(input);
  },
  *tossOften(input) {
    return yield* tossOften(input);
  },
  *inferTosses({ design, scale, tosses }) {
    const glider = gliderOf(design, scale);
    if ('because' in glider) return { ok: false, because: glider.because };
    const inferred = yield* infer(glider, tosses);
    const isClear = inferred.contradictions.length === 0;
    return {
      ok: true,
      inferred,
      correction: isClear ? correctionFor(glider, inferred) : null,
      next: isClear && tosses.length > 0 ? ((yield* nextTosses(glider, tosses))[0] ?? null) : null,
      chord: glider.chord * scale,
    };
  },
  *compareScales({ design, scale }) {
    const large = gliderOf(design);
    yield { done: 1, total: 2 };
    const small = gliderOf(design, scale);
    if ('because' in large) return { ok: false, because: large.because };
    if ('because' in small) return { ok: false, because: small.because };
    return { ok: true, large: glideOf(large), small: glideOf(small) };
  },
  *explain({ design, flights }) {
    const diagnosis = yield* diagnose(design, flights);
    return { diagnosis, next: nextChange(design, diagnosis) };
  },
  *lessons({ design, flights, folds }) {
    const parts = numbersOf(design).mass.parts;
    yield { done: 1, total: 2 };
    return [
      ...lessonsOf(design, flights),
      ...lessonOfWeights(design, weightRows(design, parts)),
      ...lessonsOfBench(design, folds),
    ];
  },
  *tolerate({ design, ...asked }) {
    return yield* tolerate(design, asked);
  },
  *sweep({ design, inputs, slides, outputs }) {
    const swept: Swept[] = [];
    for (const [index, { name, values }] of inputs.entries()) {
      const named = inputNamed(design, name);
      if (!named.ok) return named;
      for (const value of [values[0]!, values.at(-1)!]) {
        const varied = named.input.set(design, value);
        if (!varied.ok) return varied;
      }
      // What holds the margin comes after all inputs are set.
      const isLast = slides !== null && index === inputs.length - 1;
      swept.push({ input: isLast ? holdingMargin(design, named.input, slides) : named.input, values });
    }
    // What is found hangs on all numbers: each of them is known then.
    const all = [...new Set([...outputs, ...outputTable().map(({ name }) => name)])];
    const points = yield* sweep(design, swept, all);
    return { ok: true, places: points.map(({ at, outputs: found }) => ({ at, outputs: Object.fromEntries(found) })) };
  },
  *outputTable() {
    return outputTable();
  },
  *vary({ design, inputs, slides }) {
    let varied: OutputOf<'vary'> = { ok: true, design };
    for (const [index, { name, value }] of inputs.entries()) {
      const named = inputNamed(design, name);
      if (!named.ok) return named;
      const isLast = slides !== null && index === inputs.length - 1;
      if (varied.ok)
        varied = (isLast ? holdingMargin(design, named.input, slides) : named.input).set(varied.design, value);
    }
    return varied;
  },
  *variant({ design }) {
    return yield* variantOf(design);
  },
  *search({ design, free, boards, rods, ...asked }) {
    const ranges = rangesOf(design, free);
    if (!Array.isArray(ranges)) return { kind: 'none', because: ranges.because };
    const choices = [
      ...boards.map((surface) => boardChoice(design, surface)),
      ...rods.map((surface) => rodChoice(design, surface)),
    ];
    return yield* search(design, { ...asked, free: ranges, choices });
  },
  *cutBack({ design, target, steps }) {
    const told = [];
    for (const [index, step] of steps.entries()) {
      told.push(...cutBackRow(design, target, [step]));
      yield { done: index + 1, total: steps.length };
    }
    return told;
  },
  *smallMade({ design, board }) {
    return smallMade(design, board);
  },
  *judgeGates({ design }) {
    const own = recalled(design);
    return judgeGates(own, gatesOf(own));
  },
  *chooseDrive(input) {
    return yield* chooseDrive(input);
  },
  *sizeTail(input) {
    return sizeTail(input);
  },
  *tailMapRow(input) {
    return tailMapRow(input);
  },
  *readFile({ bytes }) {
    return readDesignBytes(bytes);
  },
};
