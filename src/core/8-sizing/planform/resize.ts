import { isWing } from '@/core/2-document/schema/roles';
import { kilogramsOverArea, say, type Words } from '@/core/1-base/words/phrase';
import type { Kilograms } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { referenceOf } from '@/core/3-shape/geometry/planform';
import { weigh } from '@/core/4-weight/massModel';
import { findRoot } from '@/core/1-base/numeric/findRoot';

/** Sizes of all wings together that can be asked for or held. */
export const WING_SIZES = ['span', 'area', 'aspectRatio', 'loading'] as const;
export type WingSize = (typeof WING_SIZES)[number];

/** SI: m, m², pure, kg/m². */
export type WingSizeValues = Readonly<Record<WingSize, number | null>>;

/** How far lengths along the span and along the chord are stretched. */
export interface Stretch {
  readonly spanwise: number;
  readonly chordwise: number;
}

export type StretchResult =
  | { readonly kind: 'stretched'; readonly design: Design; readonly stretch: Stretch }
  | { readonly kind: 'impossible'; readonly because: Words };

const NAMES: Record<WingSize, string> = {
  span: 'the span',
  area: 'the area',
  aspectRatio: 'the aspect ratio',
  loading: 'the wing loading',
};

/** Present sizes of a design; null where they cannot be said. @param known what it weighs, where that was worked out [kg] */
export function wingSizesOf(design: Design, known: Kilograms | null = null): WingSizeValues {
  const placed = placeAll(design.surfaces);
  const reference = referenceOf(placed);
  const mass = known ?? weigh(design, placed).properties?.total ?? null;
  return {
    span: reference?.span ?? null,
    area: reference?.area ?? null,
    aspectRatio: reference?.aspectRatio ?? null,
    loading: reference && mass !== null ? mass / reference.area : null,
  };
}

/** A ten-thousandth of a millimetre: finer than any knife, so that sixteenths of an inch stay what they are. */
const fine = (value: number) => Math.round(value * 1e4) / 1e4;

/** All wings stretched; each keeps its shape, its incidence and the place of its root. */
export function stretchWings(design: Design, { spanwise, chordwise }: Stretch): Design {
  return {
    ...design,
    surfaces: design.surfaces.map((surface) =>
      isWing(surface)
        ? {
            ...surface,
            stations: surface.stations.map((station) => ({
              ...station,
              distanceFromRoot: fine(station.distanceFromRoot * spanwise),
              chord: fine(station.chord * chordwise),
              leadingEdgeOffset: fine(station.leadingEdgeOffset * chordwise),
            })),
            spars: surface.spars.map((spar) => ({
              ...spar,
              start: {
                distanceFromRoot: fine(spar.start.distanceFromRoot * spanwise),
                x: fine(spar.start.x * chordwise),
              },
              end: { distanceFromRoot: fine(spar.end.distanceFromRoot * spanwise), x: fine(spar.end.x * chordwise) },
            })),
          }
        : surface,
    ),
  };
}

/** Logarithms of span and area factors that one size asks for, as weights of (ln spanwise, ln chordwise). */
const WEIGHTS: Readonly<Record<Exclude<WingSize, 'loading'>, readonly [number, number]>> = {
  span: [1, 0],
  area: [1, 1],
  aspectRatio: [1, -1],
};

/** What is held when nothing is locked: chords for a span, shape for an area or a loading, area for an aspect ratio. */
const FREE: Readonly<Record<WingSize, readonly [number, number]>> = {
  span: [0, 1],
  area: [1, -1],
  loading: [1, -1],
  aspectRatio: [1, 1],
};

/**
 * Brings one size to a wanted value while the locked ones stay: span ∝ s, area
 * ∝ s c, aspect ratio ∝ s/c with the stretches s along the span and c along
 * the chord, so two sizes fix both. Wing loading also moves the mass; its
 * stretch is found by Brent's method on the weighed design.
 */
export function resizeWings(
  design: Design,
  wanted: { readonly size: WingSize; readonly value: number },
  locked: readonly WingSize[],
): StretchResult {
  const present = wingSizesOf(design);
  if (present.span === null) return { kind: 'impossible', because: 'Draw a wing first.' };
  const held = locked.filter((size) => size !== wanted.size);
  if (locked.includes(wanted.size)) {
    return { kind: 'impossible', because: `${NAMES[wanted.size]} is locked: unlock it to change it` };
  }
  if (held.length > 1) {
    return {
      kind: 'impossible',
      because: `${held.map((size) => NAMES[size]).join(' and ')} are locked, which fixes the wing: unlock one of them`,
    };
  }
  if (!(wanted.value > 0) || !Number.isFinite(wanted.value))
    return { kind: 'impossible', because: 'must be more than nought' };
  const usesLoading = wanted.size === 'loading' || held.includes('loading');
  if (usesLoading && present.loading === null)
    return { kind: 'impossible', because: 'nothing has a mass yet, so there is no wing loading: add weights first' };
  const direction = held[0] && held[0] !== 'loading' ? WEIGHTS[held[0]] : FREE[wanted.size];
  const stretch = usesLoading
    ? stretchForLoading(design, present, { wanted, held, direction })
    : stretchFor(wanted.size as Exclude<WingSize, 'loading'>, wanted.value / present[wanted.size]!, direction);
  if ('because' in stretch) return { kind: 'impossible', because: stretch.because };
  return { kind: 'stretched', design: stretchWings(design, stretch), stretch };
}

/** Two linear equations in the logarithms: the wanted size moves by ln k, the held one by nought. */
function stretchFor(
  size: Exclude<WingSize, 'loading'>,
  factor: number,
  [heldSpan, heldChord]: readonly [number, number],
): Stretch {
  const [a, b] = WEIGHTS[size];
  const determinant = a * heldChord - b * heldSpan;
  const moved = Math.log(factor);
  return {
    spanwise: Math.exp((moved * heldChord) / determinant),
    chordwise: Math.exp((-moved * heldSpan) / determinant),
  };
}

const CANNOT_HOLD = 'the wing loading cannot be held at that size: unlock it';

const RANGE = { low: Math.log(0.2), high: Math.log(5) } as const;

interface LoadingAsk {
  readonly wanted: { readonly size: WingSize; readonly value: number };
  readonly held: readonly WingSize[];
  readonly direction: readonly [number, number];
}

function stretchForLoading(
  design: Design,
  present: WingSizeValues,
  { wanted, held, direction }: LoadingAsk,
): Stretch | { readonly because: Words } {
  const goal = wanted.size === 'loading' ? wanted.value : present.loading!;
  const at = (logarithm: number): Stretch => {
    if (wanted.size === 'loading') {
      // Along the line on which the held size does not move.
      const [heldSpan, heldChord] = direction;
      return { spanwise: Math.exp(-logarithm * heldChord), chordwise: Math.exp(logarithm * heldSpan) };
    }
    const [a, b] = WEIGHTS[wanted.size as Exclude<WingSize, 'loading'>];
    const moved = Math.log(wanted.value / present[wanted.size]!);
    // Span is fixed by itself; area and aspect ratio leave the span as the free number.
    return a !== 0 && b !== 0
      ? { spanwise: Math.exp(logarithm), chordwise: Math.exp((moved - a * logarithm) / b) }
      : { spanwise: Math.exp(moved), chordwise: Math.exp(logarithm) };
  };
  const off = (logarithm: number) => (wingSizesOf(stretchWings(design, at(logarithm))).loading ?? 0) / goal - 1;
  const found = findRoot(off, { ...RANGE, tolerance: 1e-7 });
  if (found.kind === 'root') return at(found.x);
  const because = held.includes('loading')
    ? CANNOT_HOLD
    : say`no wing of this shape between a fifth and five times its size carries ${kilogramsOverArea(goal)}: the board alone weighs too much, or the load too little`;
  return { because };
}

/**
 * Brings locked sizes back after an edit: a lock on area, aspect ratio or
 * loading is met by stretching what was not driven. Returns why it cannot be.
 */
export function holdSizes(
  before: Design,
  after: Design,
  { locked, driven }: { readonly locked: readonly WingSize[]; readonly driven: 'span' | 'chord' },
): Design | { readonly because: Words } {
  const wanted = wingSizesOf(before);
  const [first, second] = locked;
  if (first === undefined) return after;
  if (second !== undefined) {
    return {
      because: `${locked.map((size) => NAMES[size]).join(' and ')} are locked, which fixes the wing: unlock one of them`,
    };
  }
  const target = wanted[first];
  const reached = wingSizesOf(after)[first];
  if (target === null || reached === null) return after;
  if (first === 'span')
    return driven === 'span' && Math.abs(reached / target - 1) > 1e-6
      ? { because: 'the span is locked: unlock it to change it' }
      : after;
  if (first !== 'loading') {
    const factor = target / reached;
    const stretch =
      driven === 'chord'
        ? { spanwise: factor, chordwise: 1 }
        : { spanwise: 1, chordwise: first === 'area' ? factor : 1 / factor };
    return stretchWings(after, stretch);
  }
  const off = (logarithm: number) => {
    const factor = Math.exp(logarithm);
    const stretched = stretchWings(
      after,
      driven === 'chord' ? { spanwise: factor, chordwise: 1 } : { spanwise: 1, chordwise: factor },
    );
    return (wingSizesOf(stretched).loading ?? 0) / target - 1;
  };
  const found = findRoot(off, { ...RANGE, tolerance: 1e-6 });
  if (found.kind !== 'root') return { because: CANNOT_HOLD };
  const factor = Math.exp(found.x);
  return stretchWings(
    after,
    driven === 'chord' ? { spanwise: factor, chordwise: 1 } : { spanwise: 1, chordwise: factor },
  );
}
