import {
  metresFromMillimetres,
  type NewtonMetres,
  newtonMetresFromNewtonCentimetres,
  type Newtons,
  type Pascals,
  type Radians,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import { type Control, servoSchema } from '@/core/2-document/schema/surface';
import { developedLength, type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { rodMember } from '../materials/rods';
import { hingeMomentSlope, LEFT_BY_FRICTION } from './hingeMoment';

/** What one control asks of its linkage at a dynamic pressure. */
export interface LinkageLoad {
  readonly control: string;
  /** Moment about the hinge at full throw, and what the servo turns with against it [N·m]. */
  readonly hinge: NewtonMetres;
  readonly servo: NewtonMetres;
  /** What the servo gives; null where nobody typed it. */
  readonly torque: NewtonMetres | null;
  /** Free play at the control. */
  readonly slop: Radians;
  /** Push in the rod, and push under which it buckles; null without a rod. */
  readonly push: Newtons;
  readonly buckles: Newtons | null;
}

/** Where nobody typed one. */
const USUAL_SERVO = servoSchema.parse({});

/** Strips along a control. */
const STRIPS = 12;

/**
 * H = 0.7 · C_hδ δ q Σ c_f² Δy · A/(A + 2) at full throw: thin-aerofoil theory
 * for the strip, slope of a wing of aspect ratio A for its ends (Prandtl), 0.7
 * for friction. The servo turns by H × arm/horn; the rod pushes with H/horn and
 * buckles, hinged at both ends, at π² E I/L² (Euler). One side of a mirrored one.
 */
export function linkageLoad(surface: PlacedSurface, control: Control, pressure: Pascals): LinkageLoad {
  const length = developedLength(surface);
  const { from, to, hingeInboard, hingeOutboard, allMoving } = control;
  let area = 0;
  let sum = 0;
  for (let strip = 0; strip < STRIPS; strip++) {
    const share = (strip + 0.5) / STRIPS;
    const { chord } = planformAt(surface, (from + (to - from) * share) * length);
    // What turns as a whole is balanced about a third of its chord or so: the air’s centre lies a little off its axis.
    const hinge = allMoving ? BALANCED : hingeInboard + (hingeOutboard - hingeInboard) * share;
    const flap = (1 - hinge) * chord;
    const width = ((to - from) * length) / STRIPS;
    const slope = allMoving ? WHOLE_SLOPE : hingeMomentSlope(Math.round((1 - hinge) * 1000) / 1000);
    sum += slope * (allMoving ? chord : flap) ** 2 * width;
    area += chord * width;
  }
  const aspect = (to - from) * length > 0 ? ((to - from) * length) ** 2 / area : 0;
  const wide = surface.mirrored ? 2 * aspect : aspect;
  const throwMost = radiansFromDegrees(Math.max(control.throwUp, control.throwDown));
  const hinge = LEFT_BY_FRICTION * sum * throwMost * pressure * (wide / (wide + 2));
  const given = control.servo ?? USUAL_SERVO;
  const [arm, horn] = [given.arm, given.horn].map((size) => metresFromMillimetres(Math.max(1, size))) as [
    number,
    number,
  ];
  const { pushrod } = given;
  const rod = pushrod ? rodMember({ ...pushrod, name: '' }) : null;
  const span = pushrod ? metresFromMillimetres(pushrod.length) : 0;
  return {
    control: control.id,
    hinge,
    servo: (hinge * arm) / horn,
    torque: control.servo?.torque === undefined ? null : newtonMetresFromNewtonCentimetres(control.servo.torque),
    slop: metresFromMillimetres(given.slop) / horn,
    push: hinge / horn,
    buckles:
      rod && span > 0
        ? (Math.PI ** 2 * rod.solid.young * Math.min(rod.section.secondMoment, rod.section.sideways)) / span ** 2
        : null,
  };
}

/** Axis of what turns as a whole, and the moment that is then left: a tenth of the chord off the centre of the air, on a slope of 2π. */
const BALANCED = 0.25;
const WHOLE_SLOPE = 2 * Math.PI * 0.1;
