import type { Design } from '@/core/2-document/schema/design';
import type { Control, ControlFunction } from '@/core/2-document/schema/surface';
import type { Mix } from '@/core/2-document/schema/brief';
import { standsAt } from '@/core/3-shape/geometry/asBuilt';
import { developedLength, panelAt, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { effectiveTurn } from './controlHold';
import { controlTurn, type Lattice, type PanelTurn } from './lattice';

export type Command = Mix['command'];
export const COMMANDS: readonly Command[] = ['pitch', 'roll', 'yaw', 'flap'];

/** How far one control follows a command, trailing edge down positive, per side. */
export interface MixTerm {
  readonly surface: string;
  /** A single surface has no left side: what moves right moves it. */
  readonly mirrored: boolean;
  readonly control: Control;
  readonly left: number;
  readonly right: number;
}

const ANSWERS: Record<ControlFunction, readonly Command[]> = {
  aileron: ['roll'],
  elevator: ['pitch'],
  rudder: ['yaw'],
  elevon: ['pitch', 'roll'],
  flaperon: ['roll', 'flap'],
  ruddervator: ['pitch', 'yaw'],
  flap: ['flap'],
};

/**
 * The controls that follow a command: the design's own mix, or the usual one.
 * Pitch and flap: trailing edges down; a canard’s up where another surface pitches too. Roll to the right: right one up, left
 * one down. Yaw to the right: trailing edges to the right, which on a panel
 * that leans outboard means down on the right side and up on the left.
 */
export function mixOf(design: Design, placed: readonly PlacedSurface[], command: Command): MixTerm[] {
  const own = design.mixes.find((mix) => mix.command === command);
  return placed.flatMap((surface) =>
    surface.source.controls.flatMap((control): MixTerm[] => {
      if (own) {
        const term = own.terms.find((candidate) => candidate.control === control.id);
        return term
          ? [{ surface: surface.id, mirrored: surface.mirrored, control, left: term.left, right: term.right }]
          : [];
      }
      if (!ANSWERS[control.function].includes(command)) return [];
      if (command === 'flap') return [{ surface: surface.id, mirrored: surface.mirrored, control, left: 1, right: 1 }];
      if (command === 'pitch') {
        // Ahead of the wing it lifts the nose by lifting: against a control behind it turns the other way.
        const gain = surface.role === 'canard' && answersElsewhere(placed, surface) ? -1 : 1;
        return [{ surface: surface.id, mirrored: surface.mirrored, control, left: gain, right: gain }];
      }
      if (command === 'roll') return [{ surface: surface.id, mirrored: surface.mirrored, control, left: 1, right: -1 }];
      const lean = leanOf(surface, control);
      return lean === 0 ? [] : [{ surface: surface.id, mirrored: surface.mirrored, control, left: -lean, right: lean }];
    }),
  );
}

/** True when a control of another surface follows pitch as well. */
const answersElsewhere = (placed: readonly PlacedSurface[], canard: PlacedSurface): boolean =>
  placed.some(
    ({ id, role, source }) =>
      id !== canard.id &&
      role !== 'canard' &&
      source.controls.some((control) => ANSWERS[control.function].includes('pitch')),
  );

/** +1 where the panel under a control rises outboard, −1 where it falls, 0 where it is level. */
function leanOf(surface: PlacedSurface, control: Control): number {
  const middle = ((control.from + control.to) / 2) * developedLength(surface);
  const rise = Math.sin(surface.panelDihedrals[panelAt(surface, middle)]!);
  return Math.abs(rise) < 1e-3 ? 0 : Math.sign(rise);
}

/** How the panels of the right half turn for one radian of a command: the part that is alike on both sides, and the opposite one. */
export interface CommandAngles {
  readonly even: PanelTurn;
  readonly odd: PanelTurn;
  readonly hasEven: boolean;
  readonly hasOdd: boolean;
}

/** How much of its ideal effect a control has on a strip. */
export type EffectAt = (control: Control, stripIndex: number) => number;

export function commandAngles(lattice: Lattice, mix: readonly MixTerm[], effectAt?: EffectAt): CommandAngles {
  const still = (): PanelTurn => ({ angles: new Float64Array(lattice.panels), lean: new Float64Array(lattice.panels) });
  const [even, odd] = [still(), still()];
  let hasEven = false;
  let hasOdd = false;
  for (const { surface, control, left, right } of mix) {
    const surfaceIndex = lattice.surfaces.findIndex(({ id }) => id === surface);
    const placed = lattice.surfaces[surfaceIndex]!;
    const controlIndex = placed.source.controls.findIndex(({ id }) => id === control.id);
    const turn = controlTurn(lattice, surfaceIndex, controlIndex, effectAt);
    const evenGain = placed.mirrored ? (left + right) / 2 : 0;
    const oddGain = placed.mirrored ? (right - left) / 2 : right;
    hasEven ||= evenGain !== 0;
    hasOdd ||= oddGain !== 0;
    addTurn(even, turn, evenGain);
    addTurn(odd, turn, oddGain);
  }
  return { even, odd, hasEven, hasOdd };
}

/**
 * How the places of a surface's controls with the stick in the middle turn its
 * panels: the part that is alike on both sides, or half of what differs.
 */
export function neutralTurn(
  lattice: Lattice,
  surfaceIndex: number,
  effectAt?: EffectAt,
  part: 'mean' | 'half' = 'mean',
): PanelTurn {
  const total: PanelTurn = { angles: new Float64Array(lattice.panels), lean: new Float64Array(lattice.panels) };
  const { source, mirrored } = lattice.surfaces[surfaceIndex]!;
  source.controls.forEach((control, index) => {
    const { allMoving } = control;
    const stands = standsAt(control);
    const turn = mirrored ? stands[part] : stands.right;
    if (turn === 0) return;
    addTurn(total, controlTurn(lattice, surfaceIndex, index, effectAt), allMoving ? turn : effectiveTurn(turn));
  });
  return total;
}

export function addTurn(to: PanelTurn, { angles, lean }: PanelTurn, gain: number): void {
  for (let i = 0; i < angles.length; i++) {
    to.angles[i]! += gain * angles[i]!;
    to.lean[i]! += gain * lean[i]!;
  }
}
