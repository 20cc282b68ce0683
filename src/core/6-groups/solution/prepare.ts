import { inMode } from '@/core/2-document/inMode';
import type { Design } from '@/core/2-document/schema/design';
import { type AeroModel, aeroModel, NO_EXTRA_LOADS } from '@/core/5-aero/aeroModel';
import { type Air, airAt } from '@/core/5-aero/atmosphere';
import { extraLoadsOf } from '@/core/5-aero/bodies';
import { type DragPart, dragParts } from '@/core/5-aero/dragParts';
import { restingPropellerArea } from '../power/restingPropellers';
import {
  type Command,
  type CommandAngles,
  commandAngles,
  COMMANDS,
  type MixTerm,
  type EffectAt,
  mixOf,
} from '@/core/5-aero/commands';
import { hingeEffect } from '@/core/5-aero/controlHold';
import { type EvenReach, evenReach, type OddReach, oddReach } from '@/core/5-aero/commandReach';
import type { Control } from '@/core/2-document/schema/surface';
import type { FlowCase } from '@/core/5-aero/flowCase';
import { buildLattice, DEFAULT_GRID, type Grid, type Lattice, MOST_PANELS, QUICK_GRID } from '@/core/5-aero/lattice';
import { stripData, type StripSection, stripSections } from '@/core/5-aero/polar';
import { type PlacedSurface, placeAll } from '@/core/3-shape/geometry/layout';
import { type Reference, referenceOf } from '@/core/3-shape/geometry/planform';
import { type MassModel, weigh } from '@/core/4-weight/massModel';
import type { Radians, SquareMetres, Vector3 } from '@/core/1-base/units/convert';
import { influenceOf } from './influenceCache';

export interface AnalyseOptions {
  /** Leave out fuselage, propeller and viscosity. */
  readonly surfacesOnly?: boolean;
  /** Wakes straight along the datum (headline), or leaving along the wind at trim. */
  readonly wake?: 'datum' | 'wind';
  /** Cut just so, however many panels that takes; without it as finely as time allows. */
  readonly grid?: Grid;
  /** While something is dragged: a lighter lattice, and no bands. What is let go is computed whole. */
  readonly quick?: boolean;
  /** What to leave out: remedies cost an analysis each, bands a second lattice. */
  readonly without?: readonly Omission[];
}

export type Omission = 'remedies' | 'bands' | 'workings' | 'findings';

/** Everything the parts of an analysis share. */
export interface Prepared {
  readonly design: Design;
  readonly surfacesOnly: boolean;
  readonly placed: readonly PlacedSurface[];
  readonly reference: Reference;
  readonly air: Air;
  readonly weights: MassModel;
  /** Centre of gravity, or the quarter mean chord when nothing has a mass. */
  readonly about: Vector3;
  readonly lattice: Lattice;
  readonly sections: readonly StripSection[];
  readonly commands: Readonly<Record<Command, CommandAngles>>;
  /** How far pitch and flaps go and what that does; roll and yaw at full stick, as small commands of the same effect. */
  readonly reach: {
    readonly pitch: EvenReach;
    readonly flap: EvenReach;
    readonly roll: OddReach;
    readonly yaw: OddReach;
  };
  /** How much of its ideal effect a control has on a strip. */
  readonly effectAt: EffectAt | undefined;
  readonly mixes: Readonly<Record<Command, readonly MixTerm[]>>;
  /** What drags beside the surfaces, part by part and in all, and the propellers without power. */
  readonly dragParts: readonly DragPart[];
  readonly dragArea: SquareMetres;
  readonly restingPropellers: SquareMetres;
  /** Wakes straight along the datum, or along the wind at an angle of attack. */
  readonly modelAt: (wind: Radians | null) => AeroModel;
}

/** Lays out, weighs and cuts a design, in the flight mode that is set. Null when there is no wing with area. */
export function prepare(drawn: Design, { surfacesOnly = false, quick = false, grid }: AnalyseOptions): Prepared | null {
  const design = inMode(drawn);
  const placed = placeAll(design.surfaces);
  const reference = referenceOf(placed);
  if (!reference) return null;
  const air = airAt(design.conditions.elevation, design.conditions.temperature);
  const weights = weigh(design, placed);
  const about: Vector3 = weights.properties?.centreOfGravity ?? [
    reference.meanChordLeadingEdge + reference.meanChord / 4,
    0,
    reference.height,
  ];
  const lattice = buildLattice(placed, grid ?? (quick ? QUICK_GRID : DEFAULT_GRID), grid ? Infinity : MOST_PANELS);
  const sections = stripSections({ lattice }, design.figures);
  const mixes = Object.fromEntries(COMMANDS.map((command) => [command, mixOf(design, placed, command)])) as Record<
    Command,
    ReturnType<typeof mixOf>
  >;
  const factors = surfacesOnly
    ? null
    : stripData(sections, air, design.conditions.cruiseSpeed).map(({ liftSlopeFactor }) => liftSlopeFactor);
  const effectAt = factors
    ? (control: Control, stripIndex: number) => hingeEffect(control, factors[stripIndex]!)
    : undefined;
  const commands = Object.fromEntries(
    COMMANDS.map((command) => [command, commandAngles(lattice, mixes[command], effectAt)]),
  ) as Record<Command, CommandAngles>;
  const own = design.figures?.drag ?? 1;
  const parts = surfacesOnly ? [] : dragParts(design).map((part) => ({ ...part, area: part.area * own }));
  const modelAt = (wind: Radians | null): AeroModel => {
    const matrices = influenceOf(lattice, wind === null ? 0 : Math.tan(wind), factors);
    const extra = (rising: FlowCase) => (surfacesOnly ? NO_EXTRA_LOADS : extraLoadsOf(design, matrices, rising));
    return aeroModel({ matrices, reference, pitch: commands.pitch, extra, turnsWakes: wind !== null, effectAt });
  };
  return {
    design,
    surfacesOnly,
    placed,
    reference,
    air,
    weights,
    about,
    lattice,
    sections,
    commands,
    reach: {
      pitch: evenReach(mixes.pitch),
      flap: evenReach(mixes.flap),
      roll: oddReach(mixes.roll),
      yaw: oddReach(mixes.yaw),
    },
    effectAt,
    mixes,
    dragParts: parts,
    dragArea: parts.reduce((sum, { area }) => sum + area, 0),
    restingPropellers: surfacesOnly ? 0 : restingPropellerArea(design, air),
    modelAt,
  };
}
