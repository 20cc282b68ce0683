import type { UnitKind } from '@/core/1-base/units/unitKind';
import type { Variant } from '@/core/9-compare/variants/variant';
import type { VariantBeside } from '@/store/compareSlice';

/** One that is known, with its letter and its place among all. */
export type KnownVariant = VariantBeside & {
  readonly letter: string;
  readonly place: number;
  readonly told: Variant;
};

/** A, B, C… */
export const letterOf = (index: number): string => String.fromCharCode('A'.charCodeAt(0) + index);

const countOf = ({ findings }: Variant, severity: string): number =>
  findings.filter((finding) => finding.severity === severity).length;

/** All that is known of what it costs. */
export const costOfVariant = ({ cost }: Variant): number | null =>
  cost.boards === null ? null : cost.boards + (cost.rods ?? 0) + (cost.glue ?? 0) + (cost.covering ?? 0);

/** Numbers that stand side by side: by the names of the analysis where they have one; no unit for money and counts. */
export const VARIANT_ROWS: readonly (readonly [
  name: string,
  words: string,
  unit: UnitKind | null,
  read: (variant: Variant) => number | null,
])[] = [
  ['reference.span', 'Span', 'length', ({ numbers }) => numbers.reference.span],
  ['reference.area', 'Wing area', 'area', ({ numbers }) => numbers.reference.area],
  ['mass.total', 'Mass', 'mass', ({ numbers }) => numbers.mass.total],
  ['mass.wingLoading', 'Wing loading', 'wingLoading', ({ numbers }) => numbers.mass.wingLoading],
  ['mass.cg.0', 'Balances at', 'length', ({ numbers }) => numbers.mass.cg?.[0] ?? null],
  ['pitch.neutralPoint', 'Neutral point', 'length', ({ numbers }) => numbers.pitch.neutralPoint],
  ['pitch.staticMargin', 'Static margin', 'percent', ({ numbers }) => numbers.pitch.staticMargin],
  ['stall.speed', 'Stall speed', 'speed', ({ numbers }) => numbers.stall.speed],
  ['speeds.glideRatio', 'Best glide ratio', 'ratio', ({ numbers }) => numbers.speeds.glideRatio],
  ['speeds.sink', 'Least sink', 'speed', ({ numbers }) => numbers.speeds.sink],
  ['drag.total', 'Drag coefficient at cruise', 'ratio', ({ numbers }) => numbers.drag.total],
  ['rigging.handsOffSpeed', 'Hands-off speed', 'speed', ({ numbers }) => numbers.rigging.handsOffSpeed],
  ['power.duration', 'Duration', 'time', ({ numbers }) => numbers.power.duration],
  ['power.climbRate', 'Climb', 'speed', ({ numbers }) => numbers.power.climbRate],
  [
    'strength.breakingLoadFactor',
    'Breaks at load factor',
    'ratio',
    ({ numbers }) => numbers.strength.breakingLoadFactor,
  ],
  ['cost', 'Costs, as far as known', null, costOfVariant],
  ['findings.stops', 'Findings that stop', null, (variant) => countOf(variant, 'stop')],
  ['findings.cautions', 'Cautions', null, (variant) => countOf(variant, 'caution')],
];
