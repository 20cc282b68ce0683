import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import {
  millimetresFromMetres,
  type Vector3,
  type Fraction,
  type Kilograms,
  type Metres,
  type MetresPerSecond,
  type SquareMetres,
} from '@/core/1-base/units/convert';
import { type Air, GRAVITY } from './atmosphere';
import type { AeroModel } from './aeroModel';
import { combineCases, type FlowCase } from './flowCase';
import { farField, stripLifts } from './farField';
import { trim, type TrimResult } from './trim';
import {
  greatestLiftOf,
  profileDrag,
  type SectionData,
  sectionDataOf,
  type SectionShape,
  shapeOf,
} from '@/core/3-shape/section/lowReynolds';
import { type Figures, NO_FIGURES } from '@/core/2-document/schema/figures';
import type { SectionKind } from '@/core/2-document/schema/section';

/**
 * The trimmed aircraft at any lift coefficient: circulations between two exact
 * trims are linear in C_L (the loads are quadratic only through drag), so one
 * pair serves the whole polar.
 */
export interface TrimmedLine {
  /** Lift coefficient of every strip. */
  readonly stripLiftsAt: (lift: number) => Float64Array;
  /** Pitch command of that trim; 0 without a pitch control. */
  readonly commandAt: (lift: number) => number;
  /** Induced drag coefficient: a quadratic in lift, through three exact points. */
  readonly inducedAt: (lift: number) => number;
}

const LOW_LIFT = 0.2;
const HIGH_LIFT = 0.8;

export function trimmedLine(model: AeroModel, about: Vector3): TrimmedLine | { readonly reason: string } {
  const low = trim(model, { lift: LOW_LIFT, about });
  const high = trim(model, { lift: HIGH_LIFT, about });
  if (!low.ok) return { reason: low.reason };
  if (!high.ok) return { reason: high.reason };
  const state = ({ state: { alpha, elevator } }: Extract<TrimResult, { ok: true }>) =>
    model.stateAt(alpha, elevator ?? 0);
  const [a, b] = [state(low), state(high)];
  const [atLow, atHigh] = [a, b].map((flow) => stripLifts(model.matrices, flow));
  const induced = (flow: FlowCase) => (2 * farField(model.matrices, flow).drag) / model.reference.area;
  const middle = induced(
    combineCases([
      [0.5, a],
      [0.5, b],
    ]),
  );
  const [inducedLow, inducedHigh] = [induced(a), induced(b)];
  const share = (lift: number) => (lift - LOW_LIFT) / (HIGH_LIFT - LOW_LIFT);
  return {
    stripLiftsAt: (lift) => atLow!.map((value, index) => value + share(lift) * (atHigh![index]! - value)),
    commandAt: (lift) => {
      const [first, last] = [low.state.elevator ?? 0, high.state.elevator ?? 0];
      return first + share(lift) * (last - first);
    },
    inducedAt: (lift) => {
      const t = share(lift);
      return inducedLow * (1 - t) * (1 - 2 * t) + 4 * middle * t * (1 - t) + inducedHigh * t * (2 * t - 1);
    },
  };
}

/** Section shape of every strip, between its inboard and outboard station. */
export interface StripSection {
  readonly kind: SectionKind;
  readonly shape: SectionShape;
  readonly chord: Metres;
  /** cos Λ of the quarter chord line: what of its greatest lift a swept wing has (Raymer, Aircraft Design, ch. 12). */
  readonly sweepCosine: number;
  /** What the builder’s own figures say of greatest lift and of drag. */
  readonly own: Pick<Figures, 'greatestLift' | 'drag'>;
}

export function stripSections(
  model: Pick<AeroModel, 'lattice'>,
  own: StripSection['own'] = NO_FIGURES,
): StripSection[] {
  const { lattice } = model;
  const shapes = lattice.surfaces.map(({ stations }) =>
    stations.map(({ section, chord }) => shapeOf(section, millimetresFromMetres(chord))),
  );
  return lattice.strips.map((strip) => {
    const inner = shapes[strip.surface]![strip.panel]!;
    const outer = shapes[strip.surface]![strip.panel + 1]!;
    const between = (key: keyof SectionShape) => inner[key] + (outer[key] - inner[key]) * strip.within;
    const [a, b] = [0, 1].map((step) => lattice.surfaces[strip.surface]!.stations[strip.panel + step]!);
    const back = b!.x + b!.chord / 4 - a!.x - a!.chord / 4;
    const along = b!.distance - a!.distance;
    return {
      kind: lattice.surfaces[strip.surface]!.stations[strip.panel]!.section.kind,
      shape: {
        camber: between('camber'),
        thicknessRatio: between('thicknessRatio'),
        thicknessPosition: between('thicknessPosition'),
        rear: between('rear'),
        step: between('step'),
        openBays: between('openBays'),
      },
      chord: strip.m.chord,
      sweepCosine: along / Math.hypot(along, back),
      own,
    };
  });
}

/** Section data of every strip at a speed. */
export function stripData(sections: readonly StripSection[], air: Air, speed: number): SectionData[] {
  const perChord = (air.density * speed) / air.viscosity;
  return sections.map(({ kind, shape, chord, sweepCosine, own }) => {
    const data = sectionDataOf(kind, shape, perChord * chord, sweepCosine);
    return {
      ...data,
      maximumLift: data.maximumLift * own.greatestLift,
      invertedLift: data.invertedLift * own.greatestLift,
      leastDrag: data.leastDrag * own.drag,
    };
  });
}

/** Greatest lift of every strip at a speed. */
export function stripLimits(sections: readonly StripSection[], air: Air, speed: number): Float64Array {
  const perChord = (air.density * speed) / air.viscosity;
  return mapToNumbers(
    sections,
    ({ kind, shape, chord, sweepCosine, own }) =>
      own.greatestLift * greatestLiftOf(kind, shape, perChord * chord, sweepCosine),
  );
}

export interface DragParts {
  readonly induced: Fraction;
  readonly profile: Fraction;
  /** Profile drag of each surface, in the order of the lattice. */
  readonly bySurface: readonly Fraction[];
  readonly parasite: Fraction;
  readonly total: Fraction;
  readonly spanEfficiency: Fraction | null;
}

/** Roughness, joints, gaps and interference on top of clean strips. Stated, not hidden. */
export const INTERFERENCE_FACTOR = 1.1;

export interface PolarInput {
  readonly model: AeroModel;
  readonly line: TrimmedLine;
  readonly sections: readonly StripSection[];
  readonly air: Air;
  readonly mass: Kilograms;
  /** Drag area of everything beside the surfaces [m²]. */
  readonly dragArea: SquareMetres;
  /** Drag area of the propellers as they are without power [m²]. */
  readonly restingPropellers: SquareMetres;
}

export function liftCoefficientAt(
  { model, air, mass }: Pick<PolarInput, 'model' | 'air' | 'mass'>,
  speed: number,
): number {
  return (2 * mass * GRAVITY) / (air.density * speed ** 2 * model.reference.area);
}

/** Drag coefficients without power at a speed: C_D = C_Di + F (Σ c_d S_strip/S) + ΣC_D S_item/S. */
function glideDragAt(input: PolarInput, speed: number): DragParts {
  const { model, line, sections, air } = input;
  const lift = liftCoefficientAt(input, speed);
  const data = stripData(sections, air, speed);
  return sumDrag(model, {
    lift,
    lifts: line.stripLiftsAt(lift),
    induced: line.inducedAt(lift),
    data,
    dragArea: input.dragArea + input.restingPropellers,
  });
}

/** The same with power, at any state, trimmed or not. */
export function dragOf(
  model: AeroModel,
  state: FlowCase,
  data: readonly SectionData[] | null,
  lift: number,
  dragArea: number,
): DragParts {
  const induced = (2 * farField(model.matrices, state).drag) / model.reference.area;
  return sumDrag(model, { lift, lifts: stripLifts(model.matrices, state), induced, data, dragArea });
}

interface DragInput {
  readonly lift: number;
  readonly lifts: Float64Array;
  readonly induced: number;
  readonly data: readonly SectionData[] | null;
  readonly dragArea: number;
}

function sumDrag({ reference, lattice }: AeroModel, { lift, lifts, induced, data, dragArea }: DragInput): DragParts {
  const bySurface = lattice.surfaces.map(() => 0);
  data?.forEach((section, index) => {
    const strip = lattice.strips[index]!;
    const sides = lattice.surfaces[strip.surface]!.mirrored ? 2 : 1;
    const area = (sides * strip.width * strip.m.chord) / reference.area;
    bySurface[strip.surface]! += INTERFERENCE_FACTOR * profileDrag(section, lifts[index]!) * area;
  });
  const profile = bySurface.reduce((sum, one) => sum + one, 0);
  const parasite = dragArea / reference.area;
  return {
    induced,
    profile,
    bySurface,
    parasite,
    total: induced + profile + parasite,
    spanEfficiency: induced > 1e-9 ? lift ** 2 / (Math.PI * reference.aspectRatio * induced) : null,
  };
}

export interface PolarPoint {
  readonly speed: MetresPerSecond;
  readonly lift: Fraction;
  readonly drag: Fraction;
  /** Sinking speed [m/s] and glide ratio without power. */
  readonly sink: MetresPerSecond;
  readonly glideRatio: Fraction;
}

/** Points from the stall on, and the two best of them. */
export interface GlidePolar {
  readonly points: readonly PolarPoint[];
  readonly bestGlide: PolarPoint;
  readonly minimumSink: PolarPoint;
}

/** The glide polar from stall speed up to three times that, and its two best points. */
export function glidePolar(input: PolarInput, stallSpeed: number): GlidePolar {
  const point = (speed: number): PolarPoint => {
    const lift = liftCoefficientAt(input, speed);
    const drag = glideDragAt(input, speed).total;
    return { speed, lift, drag, sink: (speed * drag) / lift, glideRatio: lift / drag };
  };
  const count = 25;
  const points = Array.from({ length: count }, (_, i) => point(stallSpeed * (1 + (2 * i) / (count - 1)) * 1.001));
  const bestOf = (value: (p: PolarPoint) => number): PolarPoint => {
    const index = points.reduce((best, p, i) => (value(p) > value(points[best]!) ? i : best), 0);
    if (index === 0 || index === count - 1) return points[index]!;
    return point(vertex(points.slice(index - 1, index + 2).map((p) => [p.speed, value(p)] as const)));
  };
  return {
    points,
    bestGlide: bestOf(({ glideRatio }) => glideRatio),
    minimumSink: bestOf(({ sink }) => -sink),
  };
}

/** Summit of the parabola through three points at equal steps. */
function vertex(three: readonly (readonly [number, number])[]): number {
  const [[x0, y0], [x1, y1], [, y2]] = three as [
    readonly [number, number],
    readonly [number, number],
    readonly [number, number],
  ];
  const bend = y0 - 2 * y1 + y2;
  return bend === 0 ? x1 : x1 + ((x1 - x0) * (y0 - y2)) / (2 * bend);
}
