import type { Steps } from '@/core/1-base/steps';
import {
  kilogramsFromGrams,
  metresFromMillimetres,
  millimetresFromMetres,
  type MetresPerSecond,
} from '@/core/1-base/units/convert';
import type { DriveParts, MotorPart, PackPart, PropellerPart } from '@/core/2-document/catalogue/driveParts';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Propulsion } from '@/core/2-document/schema/propulsion';
import { bellyClearance, undercarriageOf } from '@/core/4-weight/undercarriage';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { runDrive, type Drive } from '@/core/5-power/drive/drive';
import { currentByHeat } from '@/core/5-power/motor/motorByMass';
import { noLoadAt } from '@/core/5-power/motor/motor';
import { packOf, usualPackCurrent } from '@/core/5-power/pack/pack';
import { calibrated } from '@/core/5-power/propeller/calibrated';
import { motorOf, propellerMissing, tableOf } from '@/core/6-groups/power/drives';
import { FULL, HALF } from '@/core/6-groups/power/flight';
import { levelAt } from '@/core/6-groups/power/performance';
import { poweredDrag, type DragAt } from '@/core/6-groups/power/poweredDrag';
import { solve } from '@/core/6-groups/solve';

/** What a combination has to do. SI. */
export interface Demands {
  readonly climbRate: MetresPerSecond;
  /** Level flight at cruise, a fifth of the pack left [s]. */
  readonly duration: number;
  /** Opening of the throttle in level flight at most. */
  readonly throttle: number;
}

/** What it fails first, in the order in which it is looked at. */
export type Failing =
  | 'data'
  | 'clearance'
  | 'motorCurrent'
  | 'controllerCurrent'
  | 'packCurrent'
  | 'climb'
  | 'throttle'
  | 'duration'
  | 'mass'
  | 'balance';

/** One motor, propeller and pack by their places in the lists, and what they give. SI; null where it was not looked at any more. */
export interface Combination {
  readonly motor: number;
  readonly propeller: number;
  readonly pack: number;
  readonly failing: Failing | null;
  /** Flying mass with them, and what they weigh themselves [kg]. */
  readonly mass: number;
  readonly own: number;
  /** Of all of them; null where one has no price. */
  readonly price: number | null;
  readonly current: number | null;
  readonly climbRate: MetresPerSecond | null;
  readonly throttle: number | null;
  readonly duration: number | null;
}

export interface Choice {
  /** Those that do first, the longest flight first; then by what they fail. */
  readonly combinations: readonly Combination[];
  readonly milliseconds: number;
}

export interface ChoiceInput {
  readonly design: Design;
  readonly drive: string;
  readonly parts: DriveParts;
  readonly demands: Demands;
}

/** Faults that keep any from being looked at, in words. */
export type ChoiceResult = ({ readonly ok: true } & Choice) | { readonly ok: false; readonly reason: string };

/** Climb at so much over the stall, and somewhat faster. */
const CLIMB_SPEEDS = [1.3, 1.7, 2.2] as const;
/** A tip this near to the belly strikes in a landing without wheels; with wheels it wants room over grass [m]. */
const OVER_GRASS = 0.02;

interface Ground {
  readonly design: Design;
  readonly source: Propulsion;
  readonly demands: Demands;
  readonly dragAt: DragAt;
  readonly stallSpeed: MetresPerSecond;
  /** Mass and moment of all but motor, propeller and pack; with them as drawn. */
  readonly mass: number;
  readonly bare: number;
  readonly bareMoment: number;
  readonly window: readonly [number, number] | null;
  readonly places: Readonly<Record<'motor' | 'propeller' | 'battery', Place>>;
  readonly density: number;
  readonly viscosity: number;
}

/** Where a thing sits, or between where it can [m]; how many of them there are. */
interface Place {
  readonly from: number;
  readonly to: number;
  readonly count: number;
  readonly mass: number;
}

/** Tries all combinations; the mass of each counts for climb, duration and balance, the airframe stays. */
export function* chooseDrive({ design, drive, parts, demands }: ChoiceInput): Steps<ChoiceResult> {
  const start = performance.now();
  const ground = groundOf(design, drive, demands);
  if (typeof ground === 'string') return { ok: false, reason: ground };
  const { motors, propellers, packs } = parts;
  if (motors.length === 0 || propellers.length === 0 || packs.length === 0)
    return {
      ok: false,
      reason:
        'There is nothing to choose from: put motors, propellers and packs into the drawer, or take the usual sizes.',
    };
  const combinations: Combination[] = [];
  for (const [propeller, propellerPart] of propellers.entries()) {
    yield { done: propeller, total: propellers.length };
    const room = clearanceOf(ground, propellerPart);
    for (const [motor, motorPart] of motors.entries()) {
      if (motor % 4 === 3) yield { done: propeller + motor / motors.length, total: propellers.length };
      for (const [pack, packPart] of packs.entries())
        combinations.push({ motor, propeller, pack, ...tried(ground, motorPart, propellerPart, packPart, room) });
    }
  }
  return { ok: true, combinations: combinations.toSorted(ranked), milliseconds: performance.now() - start };
}

const ORDER: readonly (Failing | null)[] = [
  null,
  'balance',
  'mass',
  'duration',
  'throttle',
  'climb',
  'packCurrent',
  'controllerCurrent',
  'motorCurrent',
  'clearance',
  'data',
];

const ranked = (a: Combination, b: Combination): number =>
  ORDER.indexOf(a.failing) - ORDER.indexOf(b.failing) ||
  (b.duration ?? 0) - (a.duration ?? 0) ||
  (b.climbRate ?? 0) - (a.climbRate ?? 0) ||
  a.own - b.own;

function groundOf(design: Design, driveId: string, demands: Demands): Ground | string {
  const source = design.propulsion.find(({ id }) => id === driveId);
  if (!source) return 'That drive is not drawn any more.';
  const { numbers, solution } = solve(design, { without: ['bands', 'workings'] });
  const { total, cg } = numbers.mass;
  const stallSpeed = numbers.stall.speed;
  if (total === null || !cg) return 'Nothing has a mass yet: add weights first.';
  const dragAt = stallSpeed === null || !solution ? null : poweredDrag(solution, stallSpeed);
  if (stallSpeed === null || !dragAt || !solution)
    return 'Its stall or its drag could not be computed: see the findings first.';
  const places = {
    motor: placeOf(design, 'motor', source),
    propeller: placeOf(design, 'propeller', source),
    battery: placeOf(design, 'battery', source),
  };
  const drawn = [places.motor, places.propeller, places.battery];
  const { forward, aft } = numbers.window;
  const now = (['motor', 'propeller', 'battery'] as const).map((category) => itemsOf(design, category));
  return {
    design,
    source,
    demands,
    dragAt,
    stallSpeed,
    mass: total,
    bare: total - drawn.reduce((sum, { mass, count }) => sum + mass * count, 0),
    bareMoment:
      total * cg[0] - now.flat().reduce((sum, item) => sum + massOf(item) * metresFromMillimetres(item.position.x), 0),
    window: forward === null || aft === null ? null : [forward, aft],
    places,
    ...solution.prepared.air,
  };
}

const itemsOf = ({ massItems }: Design, category: MassItem['category']): readonly MassItem[] =>
  massItems.filter((item) => item.category === category);
const massOf = ({ mass, measuredMass, mirrored }: MassItem): number =>
  kilogramsFromGrams(measuredMass ?? mass) * (mirrored ? 2 : 1);

/** Where those of a kind are now; where the drive is, where there is none. */
function placeOf(design: Design, category: 'motor' | 'propeller' | 'battery', source: Propulsion): Place {
  const items = itemsOf(design, category);
  const count = category === 'battery' ? 1 : source.mirrored ? 2 : 1;
  const mass = items.reduce((sum, item) => sum + massOf(item), 0) / count;
  const [first] = items;
  const x = metresFromMillimetres(first?.position.x ?? source.position.x);
  return first?.attachment.kind === 'slides'
    ? {
        from: metresFromMillimetres(first.attachment.from),
        to: metresFromMillimetres(first.attachment.to),
        count,
        mass,
      }
    : { from: x, to: x, count, mass };
}

/** Whether the propeller stays clear of grass, on wheels or on its belly. */
function clearanceOf({ design, source }: Ground, { propeller }: PropellerPart): boolean {
  const changed = withFields(design, [
    { field: `/propulsion/${source.id}/propellerDiameter`, value: propeller.propellerDiameter },
  ]);
  const cg = [0, 0, 0] as const;
  const gear = undercarriageOf(changed, cg);
  if (gear) return (gear.propellerClearance ?? 1) >= OVER_GRASS;
  return source.atRest === 'folds' || (bellyClearance(changed) ?? 1) >= LEAST_UNDER_BELLY;
}

/** How far a held propeller may reach under the belly [m]: it stops across, or breaks. */
const LEAST_UNDER_BELLY = -0.12;

type Tried = Omit<Combination, 'motor' | 'propeller' | 'pack'>;

function tried(
  ground: Ground,
  motorPart: MotorPart,
  propellerPart: PropellerPart,
  packPart: PackPart,
  isClear: boolean,
): Tried {
  const { design, source, places, bare, mass: before, dragAt, demands } = ground;
  const { count } = places.motor;
  const masses = [
    kilogramsFromGrams(motorPart.mass) * count,
    kilogramsFromGrams(propellerPart.mass) * count,
    kilogramsFromGrams(packPart.mass),
  ] as const;
  const own = masses[0] + masses[1] + masses[2];
  const mass = bare + own;
  const base: Tried = {
    failing: null,
    mass,
    own,
    price: priceOf([motorPart.price, count], [propellerPart.price, count], [packPart.price, 1]),
    current: null,
    climbRate: null,
    throttle: null,
    duration: null,
  };
  const motor = motorOf(motorPart.motor);
  if (!motor || propellerMissing({ ...propellerPart.propeller, blade: [] })) return { ...base, failing: 'data' };
  if (!isClear) return { ...base, failing: 'clearance' };
  const drive: Drive = {
    motor,
    propeller: calibrated(
      tableOf(propellerPart.propeller, ground),
      propellerPart.propeller.thrustFactor ?? design.figures?.thrust ?? 1,
      propellerPart.propeller.torqueFactor ?? 1,
    ),
    count,
    pack: packOf(packPart.pack),
    ...(source.controller?.resistance === undefined ? {} : { controller: source.controller.resistance }),
  };
  const still = runDrive(drive, 0, 1, FULL);
  const withCurrent = { ...base, current: still.packCurrent };
  const over = overLimit(drive, { motorPart, packPart, source }, still);
  if (over) return { ...withCurrent, failing: over };
  // Heavier, it flies at the same lift faster: V √(m/m₀), D m/m₀.
  const heavier = mass / before;
  const drag: DragAt = (speed) => dragAt(speed / Math.sqrt(heavier)) * heavier;
  const stallSpeed = ground.stallSpeed * Math.sqrt(heavier);
  const weight = mass * GRAVITY;
  const climbRate = Math.max(
    ...CLIMB_SPEEDS.map((share) => {
      const speed = share * stallSpeed;
      return speed * Math.min(1, (runDrive(drive, speed, 1, FULL).thrust - drag(speed)) / weight);
    }),
  );
  const withClimb = { ...withCurrent, climbRate };
  if (climbRate < demands.climbRate) return { ...withClimb, failing: 'climb' };
  const cruise = Math.max(ground.design.conditions.cruiseSpeed, CRUISE_OVER_STALL * stallSpeed);
  const level = levelAt([drive], cruise, drag(cruise), HALF);
  if (!level) return { ...withClimb, failing: 'throttle' };
  const whole = { ...withClimb, throttle: level.duty, duration: level.duration };
  if (level.duty > demands.throttle) return { ...whole, failing: 'throttle' };
  if (level.duration < demands.duration) return { ...whole, failing: 'duration' };
  const { maximumMass } = ground.design.brief;
  if (maximumMass !== undefined && mass > kilogramsFromGrams(maximumMass)) return { ...whole, failing: 'mass' };
  return { ...whole, failing: balances(ground, masses) ? null : 'balance' };
}

/** Slower nobody cruises. */
const CRUISE_OVER_STALL = 1.2;

function priceOf(...all: readonly (readonly [price: number | undefined, count: number])[]): number | null {
  let sum = 0;
  for (const [price, count] of all) {
    if (price === undefined) return null;
    sum += price * count;
  }
  return sum;
}

interface Carriers {
  readonly motorPart: MotorPart;
  readonly packPart: PackPart;
  readonly source: Propulsion;
}

function overLimit(
  drive: Drive,
  { motorPart, packPart, source }: Carriers,
  { motorCurrent, packCurrent, perSecond }: ReturnType<typeof runDrive>,
): Failing | null {
  const omega = 2 * Math.PI * perSecond;
  const idle = (noLoadAt(drive.motor, omega) * omega) / drive.motor.speedConstant;
  const motorBears =
    motorPart.motor.maximumCurrent ?? currentByHeat(drive.motor, kilogramsFromGrams(motorPart.mass), idle);
  if (motorCurrent > motorBears) return 'motorCurrent';
  if (motorCurrent > (source.controller?.maximumCurrent ?? Infinity)) return 'controllerCurrent';
  return packCurrent > (packPart.pack.maximumCurrent ?? usualPackCurrent(packPart.pack)) ? 'packCurrent' : null;
}

/** Whether the pack can slide to where the balance point lies in its window. */
function balances(
  { window, places: { motor, propeller, battery }, bare, bareMoment }: Ground,
  [motorMass, propellerMass, packMass]: readonly [number, number, number],
): boolean {
  if (!window) return true;
  const mass = bare + motorMass + propellerMass + packMass;
  const fixed = bareMoment + motorMass * motor.from + propellerMass * propeller.from;
  const [foremost, rearmost] = [battery.from, battery.to].map((x) => (fixed + packMass * x) / mass) as [number, number];
  return foremost <= window[1] && rearmost >= window[0];
}

/** Where the pack has to sit for the middle of the window, as near as its bay lets it [mm]; null where it is fixed. */
export function packPlaceFor(
  design: Design,
  driveId: string,
  masses: readonly [motor: number, propeller: number, pack: number],
): number | null {
  const ground = groundOf(design, driveId, { climbRate: 0, duration: 0, throttle: 1 });
  if (typeof ground === 'string' || !ground.window) return null;
  const { battery, motor, propeller } = ground.places;
  if (battery.from === battery.to || masses[2] <= 0) return null;
  const mass = ground.bare + masses[0] + masses[1] + masses[2];
  const fixed = ground.bareMoment + masses[0] * motor.from + masses[1] * propeller.from;
  const wanted = (mass * (ground.window[0] + ground.window[1])) / 2;
  return millimetresFromMetres(Math.min(battery.to, Math.max(battery.from, (wanted - fixed) / masses[2])));
}
