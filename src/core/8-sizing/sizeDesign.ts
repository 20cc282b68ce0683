import { ZodError } from 'zod';
import { finish, type Steps } from '@/core/1-base/steps';
import { airAt } from '@/core/5-aero/atmosphere';
import type { Numbers } from '@/core/6-groups/page';
import { numbersOf } from '@/core/6-groups/solve';
import { placeForBalance } from '@/core/4-weight/placement';
import { materialSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { designSchema } from '@/core/2-document/schema/design';
import type { Brief } from '@/core/2-document/schema/brief';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { weigh } from '@/core/4-weight/massModel';
import { weighedBySkin } from '@/core/4-weight/skinEstimate';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import { degreesFromRadians, millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { grams, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import { massOf, motorsFor, solveSize } from './solveSize';
import { roundSizes } from './roundSizes';
import { stiffened } from './stiffened';
import { buildRecipe, type BuildInput, isTailless } from './buildRecipe';
import { type Closing, closingOf, UNKNOWN_CLOSING } from './closing';
import { wingSizes } from './drawPlan';
import type { Recipe } from './recipe';
import { field } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import { isPitchTail } from '@/core/2-document/schema/roles';
import { hingeClearances, LEAST_GAP } from '@/core/3-shape/geometry/hingeClearance';
import { controlsOf, PITCH_CONTROLS } from '@/core/7-verdict/changes';
import { type Targets, targetsOf } from '@/core/6-groups/ceilings/briefTargets';

/** One layout sized for a brief, or why it cannot be. */
export interface Candidate {
  readonly recipe: Recipe;
  readonly targets: Targets;
  readonly design: Design;
  readonly analysis: Numbers;
  /** What had to give way. */
  readonly remarks: readonly Words[];
}

export type SizingResult =
  | { readonly kind: 'sized'; readonly candidate: Candidate }
  | { readonly kind: 'impossible'; readonly recipe: Recipe; readonly because: Words };

export interface SizingInput {
  readonly recipe: Recipe;
  readonly brief: Brief;
  readonly conditions: Design['conditions'];
  readonly materials: Design['materials'];
  /** Own figures of the builder; none without. */
  readonly figures?: Design['figures'];
  /** Spans and chords come out in whole steps of this, as the builder’s ruler has them [mm]; 5 mm without it. */
  readonly step?: number;
}

/** A first lift coefficient at the stall, before the lattice says better. */
const FIRST_MAXIMUM_LIFT: Readonly<Record<Recipe['build'], number>> = {
  flat: 0.72,
  stepped: 0.78,
  curved: 0.95,
  folded: 0.95,
};
/** Length of the nose over the mean chord to begin with. */
const FIRST_NOSE = { canard: 3.6, other: 1.1 } as const;
/** Coarse on purpose: a first sizing is drawn again by hand. */
const GRID = { strips: 10, chordwise: 4 } as const;
const ROUNDS = 12;
const SETTLED = 0.02;
/**
 * Aimed a little lighter than the bound, so that what does not settle to the last
 * percent stays within it; a control in the wing that is set up costs lift besides.
 */
const ROOM = { tailless: 0.9, other: 0.95 } as const;

/** Where no board is named: the one that most builders start with. */
const USUAL_BOARD = materialSchema.parse({ id: 'board5', name: 'Faced board 5 mm', thickness: 5, arealDensity: 410 });

/**
 * Sizes a layout: area and mass chase one another (more area weighs more, and
 * more mass wants more area) until m(S)/S is the wing loading of the stall
 * speed; then the nose length that balances it and the angle that trims it
 * hands off at cruise. The lattice's own C_Lmax replaces the first guess.
 */
export function* sizeStepwise(asked: SizingInput): Steps<SizingResult> {
  try {
    return yield* sizeInRounds(asked);
  } catch (error) {
    // The search met sizes that no design document may have.
    if (error instanceof ZodError) return { kind: 'impossible', recipe: asked.recipe, because: BEYOND };
    throw error;
  }
}

/** Said where only sizes beyond the limits of a design would do. */
const BEYOND =
  'Only an aircraft larger than can be drawn here would fly so slowly with what it carries: let it stall faster, take lighter board, or carry less.';

function* sizeInRounds(asked: SizingInput): Steps<SizingResult> {
  const input = asked.materials.length > 0 ? asked : { ...asked, materials: [USUAL_BOARD] };
  const { recipe, brief } = input;
  const air = airAt(input.conditions.elevation, input.conditions.temperature);
  const room = ROOM[isTailless(recipe) ? 'tailless' : 'other'];
  const remarks = new Set<Words>();
  let maximumLift = FIRST_MAXIMUM_LIFT[recipe.build];
  let targets = targetsOf(brief, air, maximumLift);
  let trimAngle = isTailless(recipe) ? -3 : recipe.tail === 'canard' ? 4 : 0;
  let design: Design | null = null;
  let numbers: Candidate['analysis'] | null = null;
  let motors = motorsFor(recipe, brief);
  let noseLength = 200;
  let closing = UNKNOWN_CLOSING;
  let noseOverChord: number = FIRST_NOSE[recipe.tail === 'canard' ? 'canard' : 'other'];
  let isSecondTry = false;
  let previous: { angle: number; elevator: number } | null = null;
  for (let round = 0; round < ROUNDS; round++) {
    if (round > 0) yield { done: round, total: ROUNDS };
    const conditions = { ...input.conditions, cruiseSpeed: Math.round(targets.cruiseSpeed * 10) / 10 };
    const solved = solveSize(
      { ...input, conditions, noseLength, trimAngle, noseOverChord, closing },
      targets.wingLoading * room,
      motors,
    );
    if ('because' in solved) {
      // A small wing with a long nose may have led astray from a larger one that can be: once more from the start.
      if (round === 0 || isSecondTry) return { kind: 'impossible', recipe, because: solved.because };
      isSecondTry = true;
      maximumLift = Math.max(maximumLift, FIRST_MAXIMUM_LIFT[recipe.build]);
      targets = targetsOf(brief, air, maximumLift);
      noseOverChord = FIRST_NOSE[recipe.tail === 'canard' ? 'canard' : 'other'];
      continue;
    }
    const { build, area } = solved;
    const { meanChord } = wingSizes(recipe, area, brief.maximumSpan);
    if (!numbers) noseLength = noseOverChord * meanChord;
    design = slidePackTo(buildRecipe({ ...build, area, noseLength }), 0.5);
    numbers = numbersOf(design, { grid: GRID });
    noseLength = solveNose({ ...build, area, closing: closingOf(design) }, numbers, noseLength);
    noseOverChord = noseLength / meanChord;
    design = slidePackTo(buildRecipe({ ...build, area, noseLength }), 0.5);
    closing = closingOf(design);
    numbers = numbersOf(design, { grid: GRID });
    // Half a step at a time: size, section data and nose length chase one another.
    if (numbers.stall.liftCoefficient !== null) maximumLift = (maximumLift + numbers.stall.liftCoefficient) / 2;
    targets = targetsOf(brief, air, maximumLift, numbers.mass.total ?? undefined);
    const next = trimmedAngle(recipe, numbers, trimAngle, previous);
    if (numbers.trim.elevator !== null) previous = { angle: trimAngle, elevator: numbers.trim.elevator };
    const off = (is: number | null, wanted: number) => Math.abs((is ?? Infinity) / wanted - 1);
    const isSettled =
      off(numbers.mass.wingLoading, room * targets.wingLoading) < SETTLED &&
      off(numbers.speeds.stall, targets.stallSpeed) < 3 * SETTLED &&
      (numbers.speeds.stall ?? Infinity) <= targets.stallSpeed;
    if (round > 1) motors = [build.motor];
    if (round > 1 && isSettled && Math.abs(next - trimAngle) < 1) break;
    trimAngle = next;
  }
  design = trimmedOut(slidePack(designSchema.parse({ ...design, surfaces: design!.surfaces }), numbers!), input.step);
  return {
    kind: 'sized',
    candidate: {
      recipe,
      targets,
      design,
      analysis: { ...numbersOf(design, { grid: GRID }) },
      remarks: [...remarks, ...limitsMissed(brief, design, targets)],
    },
  };
}

/** The same without a pause. */
export const sizeDesign = (asked: SizingInput): SizingResult => finish(sizeStepwise(asked));

/** Middle of the wanted margins. */
const wantedMargin = (design: Design) =>
  (design.balance.minimumStaticMargin + Math.min(design.balance.maximumStaticMargin, 0.15)) / 2 + 0.01;

/** Nose length that balances it with the pack in the middle of its bay; the neutral point moves with the wing. */
function solveNose(build: BuildInput & { closing: Closing }, numbers: Candidate['analysis'], before: number): number {
  const { neutralPoint } = numbers.pitch;
  const chord = numbers.reference.meanChord;
  if (neutralPoint === null || chord === null) return before;
  const behind = (noseLength: number) => {
    const design = buildRecipe({ ...build, noseLength });
    const { properties } = weigh(weighedBySkin(slidePackTo(design, 0.5)), placeAll(design.surfaces));
    const target =
      millimetresFromMetres(neutralPoint) + (noseLength - before) - wantedMargin(design) * millimetresFromMetres(chord);
    return millimetresFromMetres(properties!.centreOfGravity[0]) + build.closing.setback - target;
  };
  const least = build.recipe.tail === 'canard' ? 3 : 0.15;
  const found = findRoot(behind, {
    low: millimetresFromMetres(least * chord),
    high: millimetresFromMetres(3.8 * chord),
    tolerance: 0.05,
  });
  // A long nose moves the neutral point too: small steps keep the two from chasing one another apart.
  const near = (length: number) => Math.round(Math.min(1.5 * before, Math.max(0.6 * before, length)));
  if (found.kind === 'root') return near(found.x);
  const atLeast = found.kind === 'notBracketed' && Math.abs(found.atLow) < Math.abs(found.atHigh);
  return near(millimetresFromMetres((atLeast ? least : 3.8) * chord));
}

function slidePackTo(design: Design, share: number): Design {
  return {
    ...design,
    massItems: design.massItems.map((item) =>
      item.attachment.kind === 'slides'
        ? {
            ...item,
            position: {
              ...item.position,
              x: Math.round(item.attachment.from + share * (item.attachment.to - item.attachment.from)),
            },
          }
        : item,
    ),
  };
}

/** The pack takes up what the nose left over. */
function slidePack(design: Design, numbers: Candidate['analysis']): Design {
  const item = design.massItems.find(({ attachment }) => attachment.kind === 'slides');
  const { neutralPoint } = numbers.pitch;
  if (!item || neutralPoint === null || numbers.reference.meanChord === null) return design;
  const { properties } = weigh(design, placeAll(design.surfaces));
  const target = neutralPoint - wantedMargin(design) * numbers.reference.meanChord;
  const { reachable } = placeForBalance(item, target, { total: properties!.total, x: properties!.centreOfGravity[0] });
  return {
    ...design,
    massItems: design.massItems.map((other) =>
      other === item ? { ...item, position: { ...item.position, x: Math.round(reachable) } } : other,
    ),
  };
}

/** Rounds until a change of the angles moves neither trim nor balance that a builder would see. */
const TRIM_ROUNDS = 3;

/**
 * The last touches of a builder: whole spans and chords, controls cut free of the fuselage, the thrust
 * line through the balance point, the tail
 * turned to a tenth of a degree, the neutral of a control in the wing set so
 * that it flies hands off, rods where it would bend or twist too far, and the pack slid to where it then balances.
 */
function trimmedOut(drawn: Design, step?: number): Design {
  const trimmed = inTrim(cutFree(roundSizes(drawn, step)));
  const stiff = stiffened(trimmed);
  // Trimming turns tails: what it brought beside a body is cut free again.
  return cutFree(stiff === trimmed ? trimmed : inTrim(stiff));
}

function inTrim(drawn: Design): Design {
  let design = drawn;
  for (let round = 0; round < TRIM_ROUNDS; round++) {
    const numbers = numbersOf(design, { grid: GRID });
    design = slidePack(withNeutralTrim(withThrustThrough(design, numbers), numbers), numbers);
  }
  return design;
}

/** Thrust lines further off the datum than this are not drawn [°]. */
const STEEPEST_THRUST = 5;

/** The thrust line laid through the balance point, so that the throttle does not pitch it: tan τ = Δz/Δx. */
function withThrustThrough(design: Design, { mass }: Candidate['analysis']): Design {
  if (mass.cg === null) return design;
  const [x, , z] = mass.cg.map(millimetresFromMetres) as [number, number, number];
  return withFields(
    design,
    design.propulsion.map(({ id, position }) => {
      const tilt = half(degreesFromRadians(Math.atan((position.z - z) / (position.x - x))));
      return field('propulsion', id, 'downThrust').to(
        Math.max(-STEEPEST_THRUST, Math.min(STEEPEST_THRUST, Number.isFinite(tilt) ? tilt : 0)),
      );
    }),
  );
}

/** Controls begin where they pass the bodies beside them. */
function cutFree(design: Design): Design {
  const tight = hingeClearances(design).filter(({ gap }) => gap < LEAST_GAP + 1);
  return {
    ...design,
    surfaces: design.surfaces.map((surface) => ({
      ...surface,
      controls: surface.controls.map((control) => {
        const missing = tight.find((entry) => entry.surface === surface.id && entry.control === control.id);
        const more = missing ? (LEAST_GAP + 1 - missing.gap) / surface.stations.at(-1)!.distanceFromRoot : 0;
        return { ...control, from: (Math.ceil((control.from + more) * 1000) / 1000) as typeof control.from };
      }),
    })),
  };
}

function withNeutralTrim(design: Design, { trim }: Candidate['analysis']): Design {
  const tail = design.surfaces.find(isPitchTail);
  if (tail) {
    if (trim.tailIncidence === null) return design;
    const incidence = Math.max(-8, Math.min(10, tenth(degreesFromRadians(trim.tailIncidence))));
    return withFields(design, [field('surfaces', tail.id, 'incidence').to(incidence)]);
  }
  const turn = trim.elevator === null ? 0 : degreesFromRadians(trim.elevator);
  return withFields(
    design,
    controlsOf(design, PITCH_CONTROLS).map(({ surface, control }) =>
      field('surfaces', surface.id, 'controls', control.id, 'neutral').to(
        Math.max(-12, Math.min(12, half(control.neutral + turn))),
      ),
    ),
  );
}

const tenth = (degrees: number) => Math.round(degrees * 10) / 10;
const half = (degrees: number) => Math.round(degrees * 2) / 2;

/** The angle at which the pitch control would be neutral at cruise: of the tail as computed, of a tip by secant. */
function trimmedAngle(
  recipe: Recipe,
  numbers: Candidate['analysis'],
  angle: number,
  previous: { angle: number; elevator: number } | null,
): number {
  const { tailIncidence, elevator } = numbers.trim;
  if (!isTailless(recipe)) {
    if (tailIncidence === null) return angle;
    return Math.max(-6, Math.min(9, half(degreesFromRadians(tailIncidence))));
  }
  if (elevator === null) return angle;
  // Without a slope yet: a degree of elevon does about what a degree and a half of tip twist does.
  const slope =
    previous && previous.angle !== angle
      ? (elevator - previous.elevator) / (angle - previous.angle)
      : radiansFromDegrees(-0.7);
  const next = slope === 0 ? angle : angle - elevator / slope;
  return Math.max(-7, Math.min(1, Math.round(next * 10) / 10));
}

/** Limits of the brief that the layout does not keep. */
function limitsMissed(brief: Brief, design: Design, targets: Targets): Words[] {
  const remarks: Words[] = [...targets.conflicts];
  const mass = massOf(design);
  if (brief.maximumMass !== undefined && mass > brief.maximumMass)
    remarks.push(
      say`It weighs ${grams(mass)}, over the ${grams(brief.maximumMass)} of the brief: local rules decide what that means.`,
    );
  const wing = design.surfaces[0]!;
  const panel = wing.stations.at(-1)!.distanceFromRoot;
  if (brief.longestPanel !== undefined && panel > brief.longestPanel)
    remarks.push(
      say`A wing panel is ${millimetres(panel)} long, more than the ${millimetres(brief.longestPanel)} that can be carried: join it further out.`,
    );
  return remarks;
}
