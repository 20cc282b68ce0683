import type { LineKind, PartOutline } from '@/core/3-shape/outline/partOutline';
import type { Path } from '@/core/3-shape/outline/path';

/** What a line on a drawing is for, as cutters and people sort it. */
export const LAYERS = ['cut', 'score', 'peel', 'mark', 'text'] as const;
export type Layer = (typeof LAYERS)[number];

/** Colours of the layers, and their numbers in drawing exchange files. */
export const LAYER_LOOKS: Readonly<
  Record<Layer, { readonly colour: string; readonly index: number; readonly dash: string | null }>
> = {
  cut: { colour: '#000000', index: 7, dash: null },
  score: { colour: '#b3261e', index: 1, dash: '4 2' },
  peel: { colour: '#1f7a3a', index: 3, dash: '6 2 1 2' },
  mark: { colour: '#1d5fa8', index: 5, dash: '1 1.5' },
  text: { colour: '#555555', index: 8, dash: null },
};

const LAYER_OF: Readonly<Record<LineKind, Layer>> = {
  cut: 'cut',
  score: 'score',
  dent: 'score',
  hinge: 'score',
  peel: 'peel',
  bevel: 'mark',
  mark: 'mark',
};

/** Every line of a part with its layer. */
export const linesOf = ({ edge, holes, lines }: PartOutline): readonly (readonly [Layer, Path])[] => [
  ['cut', edge],
  ...holes.map((hole) => ['cut', hole] as const),
  ...lines.map(({ kind, path }) => [LAYER_OF[kind], path] as const),
];
