import { LIMITS } from '@/core/2-document/schema/limits';
import { isWing } from '@/core/2-document/schema/roles';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import { kilogramsFromGrams, metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Numbers } from '@/core/6-groups/page';
import { grams, millimetres, percent, say, type Words } from '@/core/1-base/words/phrase';
import { type MassItem, massItemSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { type Carried, carriedByBody, carriedByWings, shifted } from './carried';
import { ballastFor, placeForBalance, slidingItems } from '@/core/4-weight/placement';

/** One way to bring the balance to a target. Document units in `change`. */
export interface BalanceWay {
  readonly id: string;
  readonly kind: 'slide' | 'pod' | 'wing' | 'ballast';
  readonly label: Words;
  readonly change: readonly FieldChange[];
  /** False when the part would leave its bay or the ballast would be absurd; then `because` says what would help. */
  readonly works: boolean;
  readonly because: Words | null;
  /** The same, nearer to the distance that was asked for, from the numbers that it came to; null when it is there. */
  readonly mend?: (reached: Pick<Numbers, 'mass' | 'pitch'>) => BalanceWay | null;
}

/** A shift that keeps a part within what a document can hold; none by something without weight [mm]. */
const isReachable = (shift: number): boolean => Math.abs(shift) < LIMITS.position.maximum;

const nameOf = ({ name, id }: { readonly name: string; readonly id: string }) => name || id;

/** Ballast beyond this share of the flying mass is no remedy. */
const MOST_BALLAST = 0.25;

/** What ways are reckoned from. */
export type WayNumbers = Pick<Numbers, 'mass' | 'pitch' | 'reference' | 'tails'>;

/**
 * Ways to balance at a target [m from the datum]: slide what slides, shift a
 * body or the wings with everything that sits on them (the balance follows only
 * by their mass, the neutral point by what lifts of them, so both aim at the
 * distance between the two), or add nose ballast. Sums of moments; masses in kg.
 */
export function balanceWays(design: Design, numbers: WayNumbers, target: number): BalanceWay[] {
  const { mass } = numbers;
  if (mass.total === null || mass.cg === null) return [];
  const balance = { total: mass.total, x: mass.cg[0] };
  return [
    ...slidingItems(design).map((item) => slideWay(item, target, balance)),
    ...design.bodies.flatMap((body) => podWay(design, numbers, body, { target, balance })),
    ...wingWay(design, numbers, { target, balance }),
    ...ballastWay(design, target, balance),
  ];
}

interface Balance {
  readonly total: number;
  readonly x: number;
}

function slideWay(item: MassItem, target: number, balance: Balance): BalanceWay {
  const { position, reachable, withinTravel } = placeForBalance(item, target, balance);
  const { attachment } = item;
  const end = attachment.kind === 'slides' && position < attachment.from ? 'front' : 'rear';
  return {
    id: `slide-${item.id}`,
    kind: 'slide',
    label: say`${nameOf(item)} to ${millimetres(reachable, 1)}`,
    change: [field('massItems', item.id, 'position', 'x').to(reachable)],
    works: withinTravel,
    because: withinTravel
      ? null
      : say`It would have to sit at ${millimetres(position)}, ${millimetres(Math.abs(position - reachable))} beyond the ${end} end of its bay: lengthen the bay, move something else, or add ballast.`,
  };
}

interface Aim {
  readonly target: number;
  readonly balance: Balance;
}

/** Distances that differ by less are one [m]: a tenth of a millimetre is set. */
const CLOSE = 1.5e-4;

interface Shift {
  readonly carried: Carried;
  /** How far the distance from balance to neutral point grows when all is moved so far aft. */
  readonly gain: number;
  /** That distance as it is wanted; null where only the balance counts. */
  readonly wanted: number | null;
}

/** A way by moving parts so far aft, and how to mend it once its numbers are known. */
function shiftWay(
  design: Design,
  by: number,
  { carried, gain, wanted }: Shift,
  make: (by: number) => Pick<BalanceWay, 'id' | 'kind' | 'label' | 'works' | 'because'>,
): BalanceWay {
  return {
    ...make(by),
    change: shifted(design, carried, by),
    mend: ({ pitch, mass }) => {
      if (wanted === null || pitch.neutralPoint === null || mass.cg === null) return null;
      const missing = wanted - (pitch.neutralPoint - mass.cg[0]);
      if (Math.abs(missing) < CLOSE) return null;
      const next = by + millimetresFromMetres(missing) / gain;
      return isReachable(next) ? shiftWay(design, next, { carried, gain, wanted }, make) : null;
    },
  };
}

const weightOf = (parts: Numbers['mass']['parts'], { surfaces, bodies, massItems }: Carried): number =>
  parts
    .filter(({ id, kind }) => (kind === 'surface' ? surfaces : kind === 'body' ? bodies : massItems).has(id))
    .reduce((sum, part) => sum + part.mass, 0);

/** A body with what sits on it, such as a pod on a stick. */
function podWay(
  design: Design,
  { mass, pitch }: WayNumbers,
  body: Design['bodies'][number],
  { target, balance }: Aim,
): BalanceWay[] {
  const carried = carriedByBody(design, body);
  const riders = [
    ...design.massItems.filter(({ id }) => carried.massItems.has(id)),
    ...design.propulsion.filter(({ id }) => carried.propulsion.has(id)),
  ];
  if (carried.massItems.size === 0) return [];
  const weight = weightOf(mass.parts, carried);
  const shift = millimetresFromMetres((target - balance.x) * balance.total) / weight;
  if (!isReachable(shift)) return [];
  return [
    shiftWay(
      design,
      shift,
      {
        carried,
        gain: -weight / balance.total,
        wanted: pitch.neutralPoint === null ? null : pitch.neutralPoint - target,
      },
      (by) => ({
        id: `pod-${body.id}`,
        kind: 'pod',
        label: say`${nameOf(body)} with ${riders.map(nameOf).join(', ')} ${millimetres(Math.abs(by), 1)} ${by > 0 ? 'back' : 'forward'}`,
        works: true,
        because: null,
      }),
    ),
  ];
}

/**
 * Share by which the neutral point follows the wings: it lies between that of
 * the aircraft without its tail and the tail itself, and the tail stays.
 */
function followsWings({ pitch, reference, tails }: WayNumbers): number {
  const { neutralPoint, neutralPointWithoutTail } = pitch;
  const greatest = tails.toSorted((a, b) => Math.abs(b.horizontal) - Math.abs(a.horizontal))[0];
  if (neutralPoint === null || neutralPointWithoutTail === null || !greatest) return 1;
  if (reference.meanChord === null || reference.meanChordLeadingEdge === null) return 1;
  const tail = reference.meanChordLeadingEdge + reference.meanChord / 4 + greatest.arm;
  const share = (neutralPoint - neutralPointWithoutTail) / (tail - neutralPointWithoutTail);
  return Number.isFinite(share) ? 1 - Math.min(0.6, Math.max(-0.6, share)) : 1;
}

/** The wings moved so that the same distance to the neutral point results. */
export function wingWay(design: Design, numbers: WayNumbers, { target, balance }: Aim): BalanceWay[] {
  const { mass, pitch } = numbers;
  const wings = design.surfaces.filter(isWing);
  if (wings.length === 0 || pitch.neutralPoint === null) return [];
  const carried = carriedByWings(design);
  const gain = followsWings(numbers) - weightOf(mass.parts, carried) / balance.total;
  const shift = millimetresFromMetres(balance.x - target) / gain;
  if (gain < LEAST_GAIN || Math.abs(shift) < WORTH_SHIFTING || !isReachable(shift)) return [];
  const half = wings[0]!.stations[0]!.chord / 2;
  return [
    shiftWay(design, shift, { carried, gain, wanted: pitch.neutralPoint - target }, (by) => ({
      id: 'wing',
      kind: 'wing',
      label: say`${wings.map(nameOf).join(' and ')}${alongWith(design, carried)} ${millimetres(Math.abs(by), 1)} ${by > 0 ? 'back' : 'forward'}`,
      works: Math.abs(by) <= half,
      because:
        Math.abs(by) <= half
          ? null
          : 'That is more than half a chord: the tail arm would change too much for this to hold.',
    })),
  ];
}

/** Where nearly everything moves along, moving it says nothing. */
const LEAST_GAIN = 0.1;
/** A shift smaller than this is lost in building [mm]. */
const WORTH_SHIFTING = 0.05;

/** What sits on the wings, to be said with them. */
function alongWith(design: Design, carried: Carried): string {
  const others = [
    ...design.surfaces.filter((surface) => carried.surfaces.has(surface.id) && !isWing(surface)),
    ...design.massItems.filter(({ id }) => carried.massItems.has(id)),
    ...design.propulsion.filter(({ id }) => carried.propulsion.has(id)),
  ];
  return others.length === 0 ? '' : ` with ${others.map(nameOf).join(', ')}`;
}

function ballastWay(design: Design, target: number, balance: Balance): BalanceWay[] {
  const own = design.massItems.find(
    ({ category, measuredMass }) => category === 'ballast' && measuredMass === undefined,
  );
  const forward = balance.x > target;
  const ends = design.bodies.flatMap(({ frames, position }) => [
    position.x + frames[0]!.x,
    position.x + frames.at(-1)!.x,
  ]);
  const nose = Math.min(
    ...ends,
    ...design.massItems.map(({ position }) => position.x),
    ...design.surfaces.map(({ position }) => position.x),
  );
  const tail = Math.max(...ends, ...design.surfaces.map(({ position, stations }) => position.x + stations[0]!.chord));
  const place = own?.position.x ?? (forward ? nose + 10 : tail - 10);
  if (!Number.isFinite(place)) return [];
  const without = own
    ? {
        total: balance.total - kilogramsFromGrams(own.mass),
        x:
          (balance.total * balance.x - kilogramsFromGrams(own.mass) * metresFromMillimetres(own.position.x)) /
          (balance.total - kilogramsFromGrams(own.mass)),
      }
    : balance;
  const needed = ballastFor(place, target, without);
  if (needed === null) return [];
  const works = kilogramsFromGrams(needed) <= MOST_BALLAST * balance.total;
  return [
    {
      id: 'ballast',
      kind: 'ballast',
      label: own
        ? say`${nameOf(own)} to ${grams(needed, 1)}`
        : say`${grams(needed, 1)} of ballast at ${millimetres(place)}`,
      change: own
        ? [field('massItems', own.id, 'mass').to(needed)]
        : [field('massItems').to([...design.massItems, ballastItem(design, place, needed)])],
      works,
      because: works
        ? null
        : say`That is ${percent(kilogramsFromGrams(needed) / balance.total, 0)} of its weight: move something heavy instead.`,
    },
  ];
}

function ballastItem({ massItems }: Design, x: number, mass: number): MassItem {
  let id = 'ballast';
  for (let number = 2; massItems.some((item) => item.id === id); number++) id = `ballast${number}`;
  // Not checked here: ballast may be too heavy for a document, and says so as a way that does not work.
  const plain = massItemSchema.parse({ id, name: 'Ballast', category: 'ballast', mass: 0 });
  return { ...plain, mass, position: { x: Math.round(x), y: 0, z: 0 } } as MassItem;
}

/** Readings of two scales under two supports [kg]: R_rear = m (x_cg − x₁)/(x₂ − x₁). Places in m. */
export function standReadings(
  { total, x }: Balance,
  front: number,
  rear: number,
): { readonly front: number; readonly rear: number } | null {
  if (rear - front < 1e-6) return null;
  const share = (x - front) / (rear - front);
  return { front: total * (1 - share), rear: total * share };
}
