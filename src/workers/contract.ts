import type { Progress } from '@/core/1-base/steps';
import type { Analysis, AnalyseOptions } from '@/core/analyse';
import type { FoldOfSheet } from '@/core/3-shape/pattern/foldPattern';
import type { Layout, LayoutOptions } from '@/core/4-parts/layout';
import type { CutList } from '@/core/4-parts/part';
import type { Metres } from '@/core/1-base/units/convert';
import type { Correction } from '@/core/7-flight/toss/correction';
import type { Glide } from '@/core/7-flight/toss/glideOf';
import type { Inferred } from '@/core/7-flight/toss/infer';
import type { NextToss } from '@/core/7-flight/toss/nextToss';
import type { Toss } from '@/core/7-flight/toss/settings';
import type { SmallMade } from '@/core/7-flight/toss/smallGlider';
import type { Spread } from '@/core/7-flight/toss/tossOften';
import type { Tossed, VirtualToss } from '@/core/7-flight/toss/virtualToss';
import type { Material } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { FileResult } from '@/files/designFile';
import type { Finding } from '@/core/7-verdict/finding';
import type { GateVerdict } from '@/core/8-bench/judgeGate';
import type { CutTarget, CutTold } from '@/core/8-field/cutBack';
import type { Diagnosis } from '@/core/8-field/diagnose';
import type { OutputRow, OutputValue } from '@/core/9-compare/outputs';
import type { Goal } from '@/core/9-compare/search/goal';
import type { SearchTold } from '@/core/9-compare/search/search';
import type { Tolerated, ToleranceOptions } from '@/core/9-compare/tolerances/tolerances';
import type { Varied } from '@/core/9-compare/variedInput';
import type { Variant } from '@/core/9-compare/variants/variant';
import type { Lesson, LessonSources } from '@/core/8-field/learn';
import type { NextChange } from '@/core/8-field/nextChange';
import type { Flight } from '@/core/8-field/sights';
import type { SizingInput, SizingResult } from '@/core/8-sizing/sizeDesign';
import type { ChoiceInput, ChoiceResult } from '@/core/8-sizing/chooseDrive';
import type { MapPoint, TailMapRowInput } from '@/core/8-sizing/tail/tailMap';
import type { TailSizingInput, TailSizingResult } from '@/core/8-sizing/tail/tailSizing';

/** What workers do: plain data in and out. A new kind of job is one line here and one in `jobs.ts`. */
export interface Jobs {
  analyse: { input: AnalyseInput; output: Analysed };
  remedies: { input: AnalyseInput; output: readonly Finding[] };
  size: { input: SizingInput; output: SizingResult };
  sizeTail: { input: TailSizingInput; output: TailSizingResult };
  tailMapRow: { input: TailMapRowInput; output: readonly MapPoint[] };
  /** Everything that is cut, laid on sheets. */
  layOut: { input: LayOutInput; output: LaidOut };
  /** A toss as drawn and with one thing changed; the same throw many times; what logged tosses tell. */
  toss: { input: VirtualToss; output: Tossed };
  tossOften: { input: Omit<VirtualToss, 'change'>; output: Spread };
  inferTosses: { input: InferInput; output: TossesTell };
  /** How it glides at full size and at a scale, each at its own Reynolds numbers. */
  compareScales: { input: { readonly design: Design; readonly scale: number }; output: ScalesCompared };
  /** What a small one is made of, cut of a board, and how large it may be on one sheet. */
  smallMade: { input: { readonly design: Design; readonly board: Material | null }; output: SmallMade };
  /** What the gates of its build bear, and what was read means. */
  judgeGates: { input: { readonly design: Design }; output: readonly GateVerdict[] };
  /** What explains flights, and what to change next. */
  explain: { input: { readonly design: Design; readonly flights: readonly Flight[] }; output: Explained };
  /** What flights, weights and the bench say of this builder’s own figures. */
  lessons: { input: { readonly design: Design } & LessonSources; output: readonly Lesson[] };
  /** What every step of a row that cuts something back is told to do. */
  cutBack: { input: CutBackInput; output: readonly (CutTold | null)[] };
  /** Built often, as hands and boards are. */
  tolerate: {
    input: { readonly design: Design } & ToleranceOptions;
    output: TolerancesTold;
  };
  /** One or two inputs from one end to the other, and what comes out. */
  sweep: { input: SweepInput; output: SweepTold };
  /** What of the analysis a sweep may look at. */
  outputTable: { input: Readonly<Record<string, never>>; output: readonly OutputRow[] };
  /** A design with some inputs set, at one place of a sweep. */
  vary: { input: VaryInput; output: Varied };
  /** What one of several designs comes to. */
  variant: { input: { readonly design: Design }; output: Variant };
  /** Designs that meet the brief, at the best of one number. */
  search: { input: SearchInput; output: SearchTold };
  chooseDrive: { input: ChoiceInput; output: ChoiceResult };
  /** Reads the bytes of a design file: twenty megabytes would hold up a page. */
  readFile: { input: { readonly bytes: Uint8Array }; output: FileResult };
}

export type TolerancesTold = Tolerated | { readonly ok: false; readonly because: string };

/** An input by its path or name, from one end to the other in the unit of the document. */
export interface InputRange {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

export interface SweepInput {
  readonly design: Design;
  /** One of them, or two of which all pairs are computed. */
  readonly inputs: readonly { readonly name: string; readonly values: readonly number[] }[];
  /** What slides so that the static margin stays as drawn; null for nothing. */
  readonly slides: string | null;
  /** Names of the numbers that are looked at. */
  readonly outputs: readonly string[];
}

export interface VaryInput {
  readonly design: Design;
  readonly inputs: readonly { readonly name: string; readonly value: number }[];
  readonly slides: string | null;
}

export interface SweptPlace {
  readonly at: readonly number[];
  readonly outputs: Readonly<Record<string, OutputValue>>;
}

export type SweepTold =
  { readonly ok: true; readonly places: readonly SweptPlace[] } | { readonly ok: false; readonly because: string };

export interface SearchInput {
  readonly design: Design;
  readonly goal: Goal;
  readonly free: readonly InputRange[];
  /** Surfaces whose board, and whose rods, may be any of those at hand. */
  readonly boards: readonly string[];
  readonly rods: readonly string[];
  readonly slides: string | null;
}

export interface CutBackInput {
  readonly design: Design;
  readonly target: Pick<CutTarget, 'what' | 'of'>;
  readonly steps: readonly number[];
}

export interface Explained {
  readonly diagnosis: Diagnosis;
  readonly next: NextChange | null;
}

export interface LayOutInput {
  readonly design: Design;
  readonly folds: readonly FoldOfSheet[];
  readonly options: LayoutOptions;
}

export interface InferInput {
  readonly design: Design;
  readonly scale: number;
  readonly tosses: readonly Toss[];
}

/** What tosses of one glider tell, what sets it right, and what should be tossed next. */
export type TossesTell =
  | {
      readonly ok: true;
      readonly inferred: Inferred;
      readonly correction: Correction | null;
      readonly next: NextToss | null;
      readonly chord: Metres;
    }
  | { readonly ok: false; readonly because: string };

export type ScalesCompared =
  | { readonly ok: true; readonly large: Glide; readonly small: Glide }
  | { readonly ok: false; readonly because: string };

export interface LaidOut {
  readonly list: CutList;
  readonly layout: Layout;
}

export type JobName = keyof Jobs;
export type InputOf<Name extends JobName> = Jobs[Name]['input'];
export type OutputOf<Name extends JobName> = Jobs[Name]['output'];

export interface AnalyseInput {
  readonly design: Design;
  readonly options?: AnalyseOptions;
}

export interface Analysed {
  readonly analysis: Analysis;
  readonly milliseconds: number;
}

export type { Progress } from '@/core/1-base/steps';

/** How a job ended in the worker. Errors cross as data: a thrown one would lose all but its message. */
export type Answer<Output> =
  | { readonly kind: 'done'; readonly output: Output }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'cancelled' };

/** How a job ended for the one who asked. */
export type Outcome<Output> = Answer<Output> | { readonly kind: 'superseded' };

/** What a worker offers across the border. */
export interface WorkerService {
  /** Resolves when the worker can be watched: it then holds the lock of its name. */
  ready(): Promise<void>;
  run<Name extends JobName>(
    id: number,
    name: Name,
    input: InputOf<Name>,
    report: ((progress: Progress) => void) | null,
  ): Promise<Answer<OutputOf<Name>>>;
  /** Ends a job at its next pause. */
  cancel(id: number): void;
}
