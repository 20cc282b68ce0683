import { degreesFromRadians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { DesignInput } from '@/core/2-document/schema/design';
import type { WingSizes } from './drawPlan';
import { freshControl } from '@/core/2-document/freshControl';
import type { Recipe } from './recipe';

type SurfaceInput = NonNullable<DesignInput['surfaces']>[number];

export interface TailPlan {
  readonly recipe: Pick<Recipe, 'tail' | 'horizontalVolume' | 'verticalVolume'>;
  readonly wing: WingSizes;
  /** Wing area [mm²]. */
  readonly area: number;
  readonly board: number;
  readonly material: string;
  /** Leading edge of the wing root, x from the datum [mm]. */
  readonly wingX: number;
  /** From the quarter chord of the wing to that of the tail [mm], aft positive. */
  readonly arm: number;
  /** Tail or foreplane against the datum [°]. */
  readonly incidence: number;
  /** Tip of the wing: leading edge and half span, for fins that sit there [mm]. */
  readonly wingTip: { readonly x: number; readonly y: number; readonly z: number; readonly chord: number };
}

const round = Math.round;

/** Tail arm as a share of the span, within what is usual for the chord. */
export function usualArm(recipe: Recipe, { span, meanChord }: WingSizes): number {
  if (recipe.tail === 'canard') return -2.6 * meanChord;
  return Math.min(Math.max(0.42 * span, 2.3 * meanChord), 3.6 * meanChord);
}

/** Tail surfaces for the wanted volumes: S_t = V_H S c̄/l, S_f = V_V S b/l. */
export function tailSurfaces(plan: TailPlan): SurfaceInput[] {
  const { recipe, wing, area, arm } = plan;
  const level = Math.abs((recipe.horizontalVolume * area * wing.meanChord) / arm);
  const upright = Math.abs((recipe.verticalVolume * area * wing.span) / arm);
  switch (recipe.tail) {
    case 'tailplane':
      return [levelTail(plan, level, 'tailplane'), centreFin(plan, upright, plan.wingX + wing.rootChord / 4 + arm)];
    case 'vTail':
      return [veeTail(plan, level, upright)];
    case 'canard':
      return [levelTail(plan, level, 'canard'), tipFins(plan, 0.14 * area)];
    case 'tipFins':
      return [tipFins(plan, 0.12 * area)];
    case 'centreFin':
      return [centreFin(plan, 0.14 * area, plan.wingX + wing.rootChord * 1.05)];
  }
}

const sheet = (thickness: number) => ({ kind: 'flatPlate', thickness, edge: 'rounded' }) as const;

function levelTail(plan: TailPlan, area: number, role: 'tailplane' | 'canard'): SurfaceInput {
  const aspect = role === 'canard' ? 5 : 4;
  const chord = Math.sqrt(area / aspect);
  const section =
    role === 'canard'
      ? ({ kind: 'curvedPlate', thickness: plan.board, camber: 0.06, camberPosition: 0.4 } as const)
      : sheet(plan.board);
  const root = round(1.08 * chord);
  const tip = round(0.92 * chord);
  return {
    id: role === 'canard' ? 'foreplane' : 'tailplane',
    name: role === 'canard' ? 'Foreplane' : 'Tailplane',
    role,
    position: {
      x: round(plan.wingX + plan.wing.meanChord / 4 + plan.arm - chord / 4),
      y: 0,
      z: role === 'canard' ? 10 : 0,
    },
    incidence: plan.incidence,
    construction: { material: plan.material, countedBy: 'parts' },
    stations: [
      { distanceFromRoot: 0, chord: root, section },
      {
        distanceFromRoot: round((aspect * chord) / 2),
        chord: tip,
        leadingEdgeOffset: round((root - tip) / 2),
        section,
      },
    ],
    controls: [freshControl('elevator', 'Elevator', 'elevator', { hingeInboard: 0.65, hingeOutboard: 0.62 })],
  };
}

/** Taller than deep, raked a little; the rudder takes the rear two fifths. */
function centreFin(plan: TailPlan, area: number, quarterX: number): SurfaceInput {
  const height = Math.sqrt(1.5 * area);
  const chord = area / height;
  const root = round(1.25 * chord);
  const tip = round(0.75 * chord);
  return {
    id: 'fin',
    name: 'Fin',
    role: 'fin',
    mirrored: false,
    position: { x: round(quarterX - 0.35 * chord), y: 0, z: 4 },
    construction: { material: plan.material, countedBy: 'parts' },
    stations: upright(plan, height, root, tip),
    controls: [freshControl('rudder', 'Rudder', 'rudder', { hingeInboard: 0.6, hingeOutboard: 0.5 })],
  };
}

/** Stations of a fin that stands straight up, trailing edge upright too. Lengths in mm. */
function upright({ board }: TailPlan, height: number, root: number, tip: number) {
  const station = { dihedral: 90, section: sheet(board) };
  return [
    { ...station, distanceFromRoot: 0, chord: root },
    { ...station, distanceFromRoot: round(height), chord: tip, leadingEdgeOffset: root - tip },
  ];
}

function tipFins(plan: TailPlan, area: number): SurfaceInput {
  const one = area / 2;
  const height = Math.sqrt(1.3 * one);
  const chord = one / height;
  const root = round(1.2 * chord);
  const tip = round(0.8 * chord);
  const { wingTip } = plan;
  return {
    id: 'tipFins',
    name: 'Tip fins',
    role: 'tipFin',
    position: { x: round(wingTip.x + wingTip.chord - 0.75 * root), y: round(wingTip.y), z: round(wingTip.z) },
    construction: { material: plan.material, countedBy: 'parts' },
    stations: upright(plan, height, root, tip),
  };
}

/** Both jobs in two panels: areas add, the angle follows from their ratio, kept between 33° and 42°. */
function veeTail(plan: TailPlan, level: number, upright: number): SurfaceInput {
  const dihedral = Math.min(42, Math.max(33, degreesFromRadians(Math.atan(Math.sqrt((2 * upright) / level)))));
  const area = level / Math.cos(radiansFromDegrees(dihedral)) ** 2;
  const aspect = 4.4;
  const chord = Math.sqrt(area / aspect);
  const root = round(1.15 * chord);
  const tip = round(0.85 * chord);
  return {
    id: 'vTail',
    name: 'V-tail',
    role: 'vTail',
    position: { x: round(plan.wingX + plan.wing.meanChord / 4 + plan.arm - chord / 4), y: 0, z: 2 },
    incidence: plan.incidence,
    construction: { material: plan.material, countedBy: 'parts' },
    stations: [
      { distanceFromRoot: 0, chord: root, dihedral: round(dihedral), section: sheet(plan.board) },
      {
        distanceFromRoot: round((aspect * chord) / 2),
        chord: tip,
        leadingEdgeOffset: round((root - tip) / 2),
        section: sheet(plan.board),
      },
    ],
    controls: [freshControl('ruddervators', 'Ruddervators', 'ruddervator', { hingeInboard: 0.62, hingeOutboard: 0.6 })],
  };
}
