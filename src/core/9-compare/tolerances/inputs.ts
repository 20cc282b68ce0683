import {
  type Fraction,
  type Metres,
  metresFromMillimetres,
  type Radians,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import type { Numbers } from '@/core/6-groups/page';
import { widestWing } from '@/core/8-field/faults';
import { HAND_SPREADS } from '@/core/8-field/handSpreads';
import type { MeasuredBalance } from './measuredBalance';

/** What may come out other than drawn. */
export type ToleranceKind =
  'incidence' | 'warp' | 'balance' | 'neutralPoint' | 'mass' | 'boards' | 'greatestLift' | 'drag' | 'control' | 'field';

/** One input and how far it is off, ±1σ: radians, metres, or a share of itself; a field of the document in its own unit. */
export interface Tolerance {
  /** Such as `incidence wing`, or the path of a field. */
  readonly id: string;
  readonly kind: ToleranceKind;
  /** The surface whose it is, by its id. */
  readonly surface?: string;
  readonly sigma: Radians | Metres | Fraction;
  /** How far it was found off on the finished aircraft, where that was read; none is as drawn. */
  readonly mean?: Radians | Metres | Fraction;
}

const ANGLE = {
  shimmed: radiansFromDegrees(HAND_SPREADS.shimmed),
  hotGlue: radiansFromDegrees(HAND_SPREADS.hotGlue),
} as const;
const WARP = radiansFromDegrees(HAND_SPREADS.warp);
const BALANCE = metresFromMillimetres(HAND_SPREADS.balance);
/** Of boards, sections and controls, ±1σ. C (practice). */
const BOARDS: Fraction = 0.08;
const GREATEST_LIFT: Fraction = 0.06;
const CONTROL: Fraction = 0.08;
/** What a tilt meter leaves open of an angle that was measured. C. */
const METER = radiansFromDegrees(0.2);
/** What a scale leaves open. */
const SCALE: Fraction = 0.005;
/** Hot glue weighs so much and more [g/m]; other glues are thinner. */
const HOT_GLUE = 8;

const incidenceOf = (id: string) => `/surfaces/${id}/incidence`;

/** As its own ± says, which is twice the spread as every band is; else by how it is fixed or was measured. */
function angleOf({ tolerances }: Design, { id, asBuilt, construction }: Surface): Radians {
  const own = tolerances.find(({ field }) => field === incidenceOf(id));
  if (own) return radiansFromDegrees(own.plusMinus / 2);
  if (asBuilt?.left?.incidence !== undefined || asBuilt?.right?.incidence !== undefined) return METER;
  return construction && construction.glueLength > 0 && construction.glueDensity >= HOT_GLUE
    ? ANGLE.hotGlue
    : ANGLE.shimmed;
}

/** All that is off in a design, by how it is built; what was measured is off by its meter alone, own figures by their spread. @param balance where it was read */
export function tolerancesOf(
  design: Design,
  numbers: Pick<Numbers, 'rigging' | 'mass' | 'reference'>,
  balance: MeasuredBalance | null = null,
): Tolerance[] {
  const { rigging, mass, reference } = numbers;
  const spreads = design.figures?.spreads ?? {};
  const angles = rigging.surfaces.flatMap((line): Tolerance[] => {
    const surface = design.surfaces.find(({ id }) => id === line.surface);
    return surface
      ? [{ id: `incidence ${surface.id}`, kind: 'incidence', surface: surface.id, sigma: angleOf(design, surface) }]
      : [];
  });
  const wing = widestWing(design.surfaces);
  const isWarpKnown = wing?.asBuilt?.left?.tipTwist !== undefined && wing.asBuilt.right?.tipTwist !== undefined;
  const total = mass.total ?? 0;
  const shareOf = (isOf: (part: Numbers['mass']['parts'][number]) => boolean) =>
    total > 0 ? mass.parts.filter(isOf).reduce((sum, part) => sum + part.mass, 0) / total : 0;
  const open = shareOf(({ measured }) => measured === null);
  const boards = shareOf(({ measured, kind }) => measured === null && kind !== 'item');
  return [
    ...angles,
    ...(wing
      ? [{ id: `warp ${wing.id}`, kind: 'warp' as const, surface: wing.id, sigma: isWarpKnown ? METER : WARP }]
      : []),
    { id: 'balance', kind: 'balance', sigma: BALANCE, ...balance },
    { id: 'neutralPoint', kind: 'neutralPoint', sigma: HAND_SPREADS.neutralPoint * (reference.meanChord ?? 0) },
    { id: 'mass', kind: 'mass', sigma: Math.hypot(HAND_SPREADS.mass * open, SCALE) },
    { id: 'boards', kind: 'boards', sigma: (spreads.boards ?? BOARDS) * boards },
    { id: 'greatestLift', kind: 'greatestLift', sigma: spreads.greatestLift ?? GREATEST_LIFT },
    { id: 'drag', kind: 'drag', sigma: spreads.drag ?? HAND_SPREADS.drag },
    { id: 'control', kind: 'control', sigma: CONTROL },
    // Any other number with a ± of its own.
    ...design.tolerances
      .filter(({ field }) => !design.surfaces.some(({ id }) => field === incidenceOf(id)))
      .map(({ field, plusMinus }): Tolerance => ({ id: field, kind: 'field', sigma: plusMinus / 2 })),
  ];
}
