import { kilogramsOverArea, say, type Words } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import type { Brief } from '@/core/2-document/schema/brief';
import { EQUIPMENT, type Equipment, packFor } from '@/core/2-document/catalogue/library';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { referenceOf } from '@/core/3-shape/geometry/planform';
import { weigh } from '@/core/4-weight/massModel';
import { weighedBySkin } from '@/core/4-weight/skinEstimate';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import { gramsFromKilograms, kilogramsFromGrams } from '@/core/1-base/units/convert';
import { buildRecipe, type BuildInput } from './buildRecipe';
import type { Closing } from './closing';
import { sectionFor, wingSizes } from './drawPlan';
import type { Recipe } from './recipe';

/** Static thrust over weight that each purpose asks for. */
const THRUST_TO_WEIGHT: Readonly<Record<Brief['purpose'], number>> = {
  float: 0.6,
  train: 0.75,
  payload: 0.7,
  soar: 0.45,
  wind: 0.9,
  aerobatics: 1.2,
  experiment: 0.8,
};
/** Spans from which each purpose is worth building [mm]: smaller ones suffer from low Reynolds numbers. Practice of the field. */
const LEAST_SPAN: Readonly<Record<Brief['purpose'], number>> = {
  float: 800,
  train: 950,
  payload: 1200,
  soar: 1400,
  wind: 850,
  aerobatics: 800,
  experiment: 850,
};
/** Least and greatest wing area that is looked at [mm²]. */
const AREAS = { low: 1.5e4, high: 2.5e6 } as const;
/** A span limit makes chords longer, up to this [mm]. */
const LONGEST_CHORD = 600;

/** Flying mass [g]. */
export const massOf = (design: Design) =>
  gramsFromKilograms(weigh(design, placeAll(design.surfaces)).properties?.total ?? 0);

/** Motors of the drawer if there are any, else generic ones, smallest first; the same for packs. */
function stock({ drawer }: Brief, kind: 'motor' | 'pack'): readonly Equipment[] {
  const category = kind === 'pack' ? 'battery' : 'motor';
  const own = drawer.flatMap((entry, index): Equipment[] =>
    entry.kind === kind && entry.mass
      ? [
          {
            id: `drawer${index}`,
            name: entry.name,
            category,
            mass: entry.mass,
            size: { length: 60, width: 30, height: 24 },
            thrust: 16 * entry.mass,
          },
        ]
      : [],
  );
  return (own.length > 0 ? own : EQUIPMENT)
    .filter((entry) => entry.category === category)
    .sort((a, b) => a.mass - b.mass);
}

/** Motors to try, smallest first; none for gliders off a bungee. */
export function motorsFor({ propeller }: Recipe, brief: Brief): readonly (Equipment | null)[] {
  const isGlider = propeller === 'none' || (brief.launch === 'bungee' && brief.purpose === 'soar');
  return isGlider ? [null] : stock(brief, 'motor');
}

/** Why there is no answer. */
export interface Refusal {
  readonly because: Words;
}

type Solved = { readonly build: SizedBuild; readonly area: number };

/** Drawn with a nose in proportion to the chord, so that its mass follows the size; weighed as a sketch. */
type SizedBuild = BuildInput & { readonly noseOverChord: number; readonly closing: Closing };

/** Flying mass of a sketch with what its parts add [g]. */
const sketchMass = (design: Design, { share }: Closing) => share * massOf(weighedBySkin(design));

/**
 * Tries motors from the smallest: the first that lifts what it then weighs,
 * and whose size is worth building, is taken; a mass limit stops the search.
 */
export function solveSize(
  input: Omit<SizedBuild, 'area' | 'motor' | 'pack'>,
  wingLoading: number,
  motors: readonly (Equipment | null)[],
): Solved | Refusal {
  const { brief, recipe } = input;
  const packs = stock(brief, 'pack');
  let best: Solved | null = null;
  let refusal: Refusal = { because: 'There is no motor to try.' };
  for (const motor of motors) {
    const build: SizedBuild = { ...input, area: 2e5, motor, pack: motor ? packFor(motor, packs) : packs[0]! };
    const area = solveArea(build, wingLoading);
    if (typeof area !== 'number') {
      refusal = area;
      continue;
    }
    const sizes = wingSizes(recipe, area, brief.maximumSpan);
    const drawn = buildRecipe({ ...build, area, noseLength: input.noseOverChord * sizes.meanChord });
    const mass = sketchMass(drawn, build.closing);
    if (best && brief.maximumMass !== undefined && mass > brief.maximumMass) break;
    best = { build, area };
    const strong = !motor || (motor.thrust ?? 0) >= THRUST_TO_WEIGHT[brief.purpose] * mass;
    const least = Math.min(LEAST_SPAN[brief.purpose], 0.95 * (brief.maximumSpan ?? Infinity));
    if (strong && sizes.span >= least * (recipe.wing === 'biplane' ? 0.75 : recipe.wing === 'delta' ? 0.6 : 1)) break;
  }
  return best ?? refusal;
}

/** Wing area at which the mass over it is the wanted wing loading [mm²], or why there is none. */
function solveArea(build: SizedBuild, wingLoading: number): number | Refusal {
  const excess = (logarithm: number) => {
    const area = Math.exp(logarithm);
    const { meanChord } = wingSizes(build.recipe, area, build.brief.maximumSpan);
    const design = buildRecipe({ ...build, area, noseLength: build.noseOverChord * meanChord });
    // The area as drawn: whole millimetres and dihedral move it a little.
    const drawn = referenceOf(placeAll(design.surfaces))!.area;
    return kilogramsFromGrams(sketchMass(design, build.closing)) / drawn / wingLoading - 1;
  };
  const found = findRoot(excess, {
    low: Math.log(AREAS.low),
    high: Math.log(Math.min(AREAS.high, LONGEST_CHORD * (build.brief.maximumSpan ?? Infinity))),
    tolerance: 1e-6,
  });
  if (found.kind === 'root') return Math.exp(found.x);
  const board = build.materials[0]!;
  const section = sectionFor(build.recipe, 200, board.thickness);
  return {
    because: say`${board.name || board.id} alone is too heavy for ${kilogramsOverArea(wingLoading)} when built as ${section.kind === 'foldedOverSpar' ? 'a fold' : 'this section'}: take lighter board, or let it stall faster.`,
  };
}
