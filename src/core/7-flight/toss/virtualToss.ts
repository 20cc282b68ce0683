import { UnsteadyError } from '@/core/1-base/numeric/dormandPrince';
import type { Steps } from '@/core/1-base/steps';
import {
  type Degrees,
  type Fraction,
  type Grams,
  kilogramsFromGrams,
  type Metres,
  type MetresPerSecond,
  type Millimetres,
  millimetresFromMetres,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import { massItemSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';
import { type AirField, evenWind, type Terrain } from '../air';
import { type FlightPlan, type Flown, fly } from '../fly';
import { gustyWind } from '../gusts';
import type { Throw } from '../flightRecord';
import { type FlyingModel, flyingModel } from '../flyingModel';
import { type Carrier, type LaunchKind, launchingOf } from '../launches';
import type { PilotName } from '../pilots';
import { type ThrustOf, thrustOf } from '../thrust';
import { trimmerOf } from './glider';

/** One thing that is changed for a second toss beside the first. */
export type Change =
  | { readonly what: 'balance'; readonly by: Millimetres }
  | { readonly what: 'tail'; readonly by: Degrees }
  | { readonly what: 'mass'; readonly by: Grams };

export interface VirtualToss {
  readonly design: Design;
  readonly scale: number;
  /** Out of the hand; without it as an arm throws that mass. */
  readonly speed?: MetresPerSecond | undefined;
  readonly path: Degrees;
  readonly height: Metres;
  readonly pilot: PilotName;
  /** From the hand without. */
  readonly launch?: LaunchKind;
  /** False where it begins where line or wheels let go; from rest without. */
  readonly fromRest?: boolean;
  /** Of the drives; without power without. */
  readonly throttle?: Fraction;
  /** Mean wind against the throw, and whether it gusts as it does near the ground. */
  readonly wind?: MetresPerSecond;
  readonly isGusty?: boolean;
  readonly change: Change | null;
}

export type Tossed =
  | {
      readonly ok: true;
      readonly launch: Throw;
      readonly own: Flown;
      readonly changed: Flown | null;
      /** Span of what is tossed. */
      readonly span: Metres;
    }
  | { readonly ok: false; readonly because: string };

/** Longer nobody watches a toss [s]. */
const LONGEST = 20;
/** On a line or on wheels, before that [s]. */
const CARRIED = 10;

/** The heaviest thing on board, which is what is moved to move the balance point. */
const heaviest = ({ massItems }: Design) =>
  massItems.toSorted((a, b) => (b.measuredMass ?? b.mass) - (a.measuredMass ?? a.mass))[0];

/** A design with one thing changed; as it was where there is nothing to change it by. */
export function changed(design: Design, { mass, balance }: { mass: number; balance: Metres }, change: Change): Design {
  if (change.what === 'tail') {
    const trimmer = trimmerOf(design, numbersOf(design, { without: ['bands'] }));
    return {
      ...design,
      surfaces: design.surfaces.map((one) =>
        one.id === trimmer ? { ...one, incidence: one.incidence + change.by } : one,
      ),
    };
  }
  if (change.what === 'mass') {
    const x = millimetresFromMetres(balance);
    const more = massItemSchema.parse({ id: 'more-mass', mass: Math.max(0, change.by), position: { x, y: 0, z: 0 } });
    return { ...design, massItems: [...design.massItems, more] };
  }
  const moved = heaviest(design);
  if (!moved) return design;
  const own = kilogramsFromGrams(moved.measuredMass ?? moved.mass) * (moved.mirrored ? 2 : 1);
  if (own <= 0) return design;
  const by = (change.by * mass) / own;
  return {
    ...design,
    massItems: design.massItems.map((item) =>
      item === moved ? { ...item, position: { ...item.position, x: item.position.x + by } } : item,
    ),
  };
}

/** The air of a toss; none where it is still. @param seed which gusts blow */
export function airOf(
  { wind = 0, isGusty = false, height }: Pick<VirtualToss, 'wind' | 'isGusty' | 'height'>,
  seed = 0,
): AirField | undefined {
  return wind === 0 ? undefined : isGusty ? gustyWind(wind, height, seed) : evenWind(wind);
}

/** Everything that a toss is flown with. */
export interface Ready {
  readonly model: FlyingModel;
  readonly launch: Throw;
  readonly thrust: ThrustOf | undefined;
  readonly carriedBy: Carrier | undefined;
  readonly terrain: Terrain | undefined;
  /** None where the air is what the toss says. */
  readonly airOverHill: AirField | undefined;
}

/** Model and launch; the reason where there is none. */
export function readied(toss: Omit<VirtualToss, 'change' | 'pilot'>): Ready | { readonly because: string } {
  const { design, scale, speed, path, height, launch: kind = 'hand', fromRest, throttle = 0 } = toss;
  if (throttle > 0 && scale !== 1) return { because: 'A scaled one flies without power: close the throttle.' };
  const isPowered = throttle > 0;
  const model = flyingModel(design, { scale, isPowered });
  if ('because' in model) return model;
  const begins = launchingOf(kind, model, kind === 'wheels' ? numbersOf(design).speeds.stall : null, fromRest);
  if (begins.needsPower && !isPowered) return { because: 'Off wheels it needs power: open the throttle.' };
  const thrust = isPowered ? thrustOf(model.prepared, throttle) : undefined;
  if (thrust && 'because' in thrust) return thrust;
  const usual = begins.launch.speed * Math.sqrt(Math.min(1, scale));
  const launch: Throw = { speed: speed ?? usual, path: radiansFromDegrees(path), height };
  return { model, launch, thrust, carriedBy: begins.carriedBy, terrain: begins.terrain, airOverHill: begins.air };
}

/** How a toss that is ready is flown, in its own air. */
export function planOf(
  { launch, carriedBy, terrain, thrust, airOverHill }: Ready,
  toss: Pick<VirtualToss, 'pilot' | 'wind' | 'isGusty' | 'height'>,
): FlightPlan {
  const given = { air: airOverHill ?? airOf(toss), terrain, thrust, carriedBy };
  const known = Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));
  return { launch, pilot: toss.pilot, longest: carriedBy ? LONGEST + CARRIED : LONGEST, ...known };
}

const NO_NUMBERS = 'The flight ends in no numbers: it tumbles faster than can be followed.';

/** A toss as drawn, and beside it the same with one thing changed. */
export function* tossVirtually(toss: VirtualToss): Steps<Tossed> {
  const { design, scale, change } = toss;
  const ready = readied(toss);
  if ('because' in ready) return { ok: false, because: ready.because };
  const { model, thrust } = ready;
  try {
    const plan = planOf(ready, toss);
    const own = yield* fly(model, plan, scale);
    let other: Flown | null = null;
    if (change) {
      const drawnOtherwise = changed(design, { mass: model.body.mass, balance: model.prepared.about[0] }, change);
      const second = flyingModel(drawnOtherwise, { scale, isPowered: thrust !== undefined });
      if ('because' in second) return { ok: false, because: second.because };
      // Shafts and balance point are those of what is changed.
      const pulling = thrust && thrustOf(second.prepared, toss.throttle ?? 0);
      if (pulling && 'because' in pulling) return { ok: false, because: pulling.because };
      other = yield* fly(second, pulling ? { ...plan, thrust: pulling } : plan, scale);
    }
    return { ok: true, launch: ready.launch, own, changed: other, span: model.prepared.reference.span * scale };
  } catch (error) {
    if (error instanceof UnsteadyError) return { ok: false, because: NO_NUMBERS };
    throw error;
  }
}
