import { finish } from '@/core/1-base/steps';
import type { Kilograms, Radians, Seconds } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { type FlightPlan, fly } from '@/core/7-flight/fly';
import type { Throw } from '@/core/7-flight/flightRecord';
import { type ThrustOf, thrustOf } from '@/core/7-flight/thrust';
import { prepare } from '@/core/6-groups/solution/prepare';
import { errorLoads, type Errors, flyGlider } from '@/core/7-flight/toss/flyGlider';
import { type Glider, gliderOf } from '@/core/7-flight/toss/glider';
import { handError, thrownOff } from '@/core/7-flight/toss/hand';
import { usualSetting } from '@/core/7-flight/toss/settings';
import { COARSELY, landingOf, SEEN, SOFT, STALL_FREE, stalledAtOnce } from '@/core/7-flight/toss/tossOften';

/** What is thrown, and the power that is on. */
export interface Thrown {
  readonly glider: Glider;
  readonly thrust?: ThrustOf;
}

/** With full power where its drive can be computed, else as a glider. */
export function thrownOf(design: Design): Thrown | { readonly because: string } {
  const prepared = prepare(design, {});
  const thrust = prepared && thrustOf(prepared, 1);
  const isPowered = thrust !== null && !('because' in thrust);
  const glider = gliderOf(design, 1, { isPowered });
  if ('because' in glider) return glider;
  return isPowered ? { glider, thrust } : { glider };
}

/** How one was built otherwise than drawn, as a throw has it. */
export interface BuiltOff {
  readonly errors: Errors;
  /** What errors of angles and a warp come to as commands, which meet the jets that the controls do. */
  readonly stands: { readonly pitch: Radians | null; readonly roll: Radians | null };
  readonly mass: Kilograms;
}

/** Thrown as a hand throws it: no stall for three seconds, and down softly, or still carried. With power strip by strip, as jets matter; else by the tables of the glider. @param index of the throw in a row that spreads as hands do */
export const goesWell = (thrown: Thrown, built: BuiltOff, index: number): boolean =>
  thrown.thrust ? powered({ ...thrown, thrust: thrown.thrust }, built, index) : glides(thrown.glider, built, index);

function glides(glider: Glider, { errors, mass }: BuiltOff, index: number): boolean {
  const usual = usualSetting(glider);
  const { speed, path, alpha, roll, rollRate, pitchRate } = handError(index);
  const { stallsAt, endSpeed, endPath } = flyGlider(
    glider,
    {
      ...usual,
      mass,
      speed: usual.speed * (1 + speed),
      path: usual.path + path,
      hand: { alpha, roll, rollRate, pitchRate },
    },
    errors,
  );
  return (stallsAt === null || stallsAt >= STALL_FREE) && -endSpeed * Math.sin(endPath) < SOFT;
}

function powered({ glider, thrust }: Required<Thrown>, built: BuiltOff, index: number): boolean {
  const { speed, path, height } = usualSetting(glider);
  const launch = thrownOff({ speed, path, height } as Throw, handError(index));
  return landingOf(0 as Seconds, () =>
    finish(
      fly(glider.model, {
        launch,
        pilot: 'handsOff',
        longest: SEEN,
        thrust,
        relative: COARSELY,
        // Its verdict is known then: nobody looks at the rest.
        isSeen: (_, happened) => stalledAtOnce(0 as Seconds, happened),
        ...builtPlan(glider, built),
      }),
    ),
  ).isWell;
}

/** A flight plan for one that was built so. */
export function builtPlan(
  glider: Glider,
  { errors, stands: { pitch, roll }, mass }: BuiltOff,
): Pick<FlightPlan, 'beside' | 'heavier' | 'stands'> {
  const rest = { ...errors, ...(pitch === null ? {} : { decalage: 0 }), ...(roll === null ? {} : { warp: 0 }) };
  return {
    beside: errorLoads(glider, rest),
    heavier: mass / glider.model.body.mass,
    stands: { pitch: (pitch ?? 0) as Radians, roll: (roll ?? 0) as Radians },
  };
}
