import { LIMITS } from '@/core/2-document/schema/limits';
import { isWing } from '@/core/2-document/schema/roles';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import { kilogramsFromGrams, metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Numbers } from '@/core/6-groups/page';
import { grams, millimetres, percent, say, type Words } from '@/core/1-base/words/phrase';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
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
}

/** A shift that keeps a part within what a document can hold; none by something without weight [mm]. */
const isReachable = (shift: number): boolean => Math.abs(shift) < LIMITS.position.maximum;

const tenth = (value: number) => Math.round(value * 10) / 10;
const nameOf = ({ name, id }: { readonly name: string; readonly id: string }) => name || id;

/** Ballast beyond this share of the flying mass is no remedy. */
const MOST_BALLAST = 0.25;

/**
 * Ways to balance at a target [m from the datum]: slide what slides, shift a
 * body with everything that moves with it, shift the wing (the balance follows
 * only by its mass, the neutral point along with it, so this aims at the margin
 * between the two), or add nose ballast. Sums of moments; masses in kg.
 */
export function balanceWays(
  design: Design,
  { mass, pitch }: Pick<Numbers, 'mass' | 'pitch'>,
  target: number,
): BalanceWay[] {
  if (mass.total === null || mass.cg === null) return [];
  const balance = { total: mass.total, x: mass.cg[0] };
  return [
    ...slidingItems(design).map((item) => slideWay(item, target, balance)),
    ...design.bodies.flatMap((body) => podWay(design, body, { target, balance, parts: mass.parts })),
    ...wingWay(design, { target, balance, neutralPoint: pitch.neutralPoint, parts: mass.parts }),
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

interface PodInput {
  readonly target: number;
  readonly balance: Balance;
  readonly parts: Numbers['mass']['parts'];
}

/** A body whose equipment moves with it, such as a pod on a stick. */
function podWay(design: Design, body: Design['bodies'][number], { target, balance, parts }: PodInput): BalanceWay[] {
  const riders = design.massItems.filter(
    ({ attachment }) => attachment.kind === 'movesWith' && attachment.body === body.id,
  );
  if (riders.length === 0) return [];
  const moved = new Set([body.id, ...riders.map(({ id }) => id)]);
  const weight = parts.filter(({ id }) => moved.has(id)).reduce((sum, part) => sum + part.mass, 0);
  const shift = millimetresFromMetres((target - balance.x) * balance.total) / weight;
  if (!isReachable(shift)) return [];
  return [
    {
      id: `pod-${body.id}`,
      kind: 'pod',
      label: say`${nameOf(body)} with ${riders.map(nameOf).join(', ')} ${millimetres(Math.abs(shift), 1)} ${shift > 0 ? 'back' : 'forward'}`,
      change: [
        field('bodies', body.id, 'position', 'x').to(tenth(body.position.x + shift)),
        ...riders.map((rider) => field('massItems', rider.id, 'position', 'x').to(tenth(rider.position.x + shift))),
      ],
      works: true,
      because: null,
    },
  ];
}

/** The wings moved so that the same distance to the neutral point results. */
function wingWay(
  design: Design,
  { target, balance, neutralPoint, parts }: PodInput & { readonly neutralPoint: number | null },
): BalanceWay[] {
  const wings = design.surfaces.filter(isWing);
  if (wings.length === 0 || neutralPoint === null) return [];
  const ids = new Set(wings.map(({ id }) => id));
  const weight = parts.filter(({ id }) => ids.has(id)).reduce((sum, part) => sum + part.mass, 0);
  // Distance wanted between neutral point and balance; the neutral point goes along almost whole.
  const missing = neutralPoint - target - (neutralPoint - balance.x);
  const shift = millimetresFromMetres(missing) / (1 - weight / balance.total);
  if (Math.abs(shift) < 0.05 || !isReachable(shift)) return [];
  return [
    {
      id: 'wing',
      kind: 'wing',
      label: say`${wings.map(nameOf).join(' and ')} ${millimetres(Math.abs(shift), 1)} ${shift > 0 ? 'back' : 'forward'}`,
      change: wings.map((wing) => field('surfaces', wing.id, 'position', 'x').to(tenth(wing.position.x + shift))),
      works: Math.abs(shift) <= wings[0]!.stations[0]!.chord / 2,
      because:
        Math.abs(shift) <= wings[0]!.stations[0]!.chord / 2
          ? null
          : 'That is more than half a chord: the tail arm would change too much for this to hold.',
    },
  ];
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
  return {
    id,
    name: 'Ballast',
    category: 'ballast',
    mass,
    position: { x: Math.round(x), y: 0, z: 0 },
    mirrored: false,
    attachment: { kind: 'fixed' },
  };
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
