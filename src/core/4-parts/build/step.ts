import type { Words } from '@/core/1-base/words/phrase';
import type { CutPart } from '../part';

/** What kind of work a step is; a gate is measured and passed before what follows. */
export type StepKind = 'test' | 'cut' | 'shape' | 'gate' | 'glue' | 'fit' | 'check';

/** One step of the build. */
export interface BuildStep {
  readonly id: string;
  readonly kind: StepKind;
  readonly title: Words;
  /** Names of the parts it takes. */
  readonly parts: readonly string[];
  /** Gauge that is held to it, and what has to be read. */
  readonly gauge: string | null;
  readonly reading: Words | null;
  readonly minutes: number;
  readonly caution: Words | null;
}

export const BLADE = 'Fresh blade, cut away from the hand on a mat.';
export const GLUE = 'Ventilate; keep glue off skin and eyes, and try on scrap that it does not eat the foam.';
export const HOT_WIRE = 'Hot wire burns and fumes: outside or under a fan, two people, switch off between cuts.';
export const ARMING = 'Propeller off while anything is set up; pack last in, first out.';

interface Draft extends Partial<Omit<BuildStep, 'id' | 'kind' | 'title'>> {
  readonly id: string;
  readonly kind: StepKind;
  readonly title: Words;
}

/** A step with what is usual where nothing else is said. */
export const step = ({
  parts = [],
  gauge = null,
  reading = null,
  minutes = 5,
  caution = null,
  ...rest
}: Draft): BuildStep => ({
  ...rest,
  parts,
  gauge,
  reading,
  minutes,
  caution,
});

/** Minutes that cutting takes, by how many pieces there are. */
export const CUT_EACH = 3;

export const namesOf = (parts: readonly CutPart[]): string[] => parts.map(({ name }) => name);

/** The gauge of a part by what it measures; null where there is none. */
export const gaugeNamed = (parts: readonly CutPart[], owner: string, suffix: string): string | null =>
  parts.find(({ id }) => id === `${owner}-gauge-${suffix}`)?.name ?? null;
