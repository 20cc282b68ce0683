import { type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';

/** A section through the stall, angles from zero lift. */
export interface StallingSection {
  /** Lift slope of the attached flow [1/rad]. */
  readonly slope: number;
  /** Angles at which the flow begins to leave the upper and the lower side. */
  readonly leavesAbove: Radians;
  readonly leavesBelow: Radians;
  /** Aspect ratio of the surface it belongs to: across the wind air goes round the tips. */
  readonly aspectRatio: number;
}

/** Over so much more angle the flow leaves the whole side: thin low-speed sections let go gently. C. */
const LETS_GO: Radians = radiansFromDegrees(10);
/** What stays attached at most beyond it. */
const STAYS = 0.002;
/** Nose suction that sections reach, of what the theory has (Leishman & Beddoes). */
const SUCTION = 0.95;
/** Between these angles the separated section goes over to a plate across the wind. C. */
export const PLATE_FROM: Radians = radiansFromDegrees(30);
const PLATE_ALL: Radians = radiansFromDegrees(40);
/** Normal force of an endless plate square to the wind, by its own formula below. */
const ENDLESS_90 = 1 / (0.222 + 0.283);
/** The finite plate of Viterna & Corrigan holds up to that aspect ratio. */
const MOST_ASPECT = 48;
/** Beyond the quarter chord the load of a plate square to the wind lies by so much of the chord. */
const PLATE_CENTRE = 0.25;
const STEPS = 60;

/** A section that lets go so that it lifts no more than it was measured to. @param most greatest lift coefficients above and below, both positive */
export function stallingSection(
  slope: number,
  most: { readonly above: number; readonly below: number },
  aspectRatio: number,
): StallingSection {
  return {
    slope,
    leavesAbove: leavesAt(slope, most.above),
    leavesBelow: leavesAt(slope, most.below),
    aspectRatio,
  };
}

/** Angle at which the flow has to begin to leave for the lift never to pass `most`. Halving; the peak grows with the angle. */
function leavesAt(slope: number, most: number): Radians {
  let [low, high] = [0, Math.PI / 2];
  for (let step = 0; step < STEPS; step++) {
    const middle = (low + high) / 2;
    if (peakLift(slope, middle) > most) high = middle;
    else low = middle;
  }
  return low as Radians;
}

function peakLift(slope: number, leaves: number): number {
  let peak = 0;
  for (let step = 0; step <= STEPS; step++) {
    const angle = leaves + (LETS_GO * step) / STEPS;
    peak = Math.max(peak, lifted(slope, angle, attachedBeyond(angle - leaves)).lift);
  }
  return peak;
}

const attachedBeyond = (over: number): number =>
  over <= 0 ? 1 : over >= LETS_GO ? STAYS : STAYS + (1 - STAYS) * Math.cos((Math.PI / 2) * (over / LETS_GO)) ** 2;

/** Share of the chord over which the flow is attached when the angle stands still. */
export function attachedAt({ leavesAbove, leavesBelow }: StallingSection, angle: Radians): number {
  const folded = Math.abs(angle) > Math.PI / 2 ? Math.PI - Math.abs(angle) : Math.abs(angle);
  return attachedBeyond(folded - (angle >= 0 ? leavesAbove : leavesBelow));
}

/** Lift and drag coefficients against the air that the section meets. */
interface Lifted {
  readonly lift: number;
  readonly drag: number;
}

/**
 * With a share x of the chord attached: C_N = (a/4)(1 + √x)² sin α and nose
 * suction 0.95 a √x sin² α; at x = 1 lift a sin α without drag, as the lattice
 * has it. Source: Kirchhoff’s flow after Goman & Khrabrov, J. Aircraft 31
 * (1994), and Leishman & Beddoes.
 */
function lifted(slope: number, angle: number, attached: number): Lifted {
  const [sine, cosine] = [Math.sin(angle), Math.cos(angle)];
  const root = Math.sqrt(attached);
  // Attached flow has both in full; what is lost of them grows as it leaves.
  const normal = (slope / 4) * (1 + root) ** 2 * sine * (attached * cosine + 1 - attached);
  const suction = slope * root * sine ** 2 * (SUCTION + (1 - SUCTION) * attached);
  return { lift: normal * cosine + suction * sine, drag: normal * sine - suction * cosine };
}

/** Loads of a section at any angle, and where along the chord behind its quarter they act [share of the chord]. */
export interface SectionLoads extends Lifted {
  readonly behindQuarter: number;
}

/**
 * A section at an angle to the air that it meets, with a share of its chord
 * attached; from 30° to 40° over to a plate: C_N = 1/(0.222 + 0.283/|sin α|)
 * (Hoerner), for a finite one times C_N90/1.98, C_N90 = 1.11 + 0.018 A
 * (Viterna & Corrigan). The centre goes from the quarter attached to half the
 * chord square to the wind. ±30 % beyond the stall.
 */
export function sectionLoads(section: StallingSection, angle: Radians, attached: number): SectionLoads {
  const { slope, aspectRatio } = section;
  const steep = Math.min(Math.abs(angle), Math.PI - Math.abs(angle));
  const share = Math.min(1, Math.max(0, (steep - PLATE_FROM) / (PLATE_ALL - PLATE_FROM)));
  // From behind the nose has no suction and the flow leaves at once: a plate all the way.
  const plate = Math.abs(angle) > Math.PI / 2 ? 1 : share * share * (3 - 2 * share);
  const bent = lifted(slope, angle, attached);
  const sine = Math.sin(angle);
  const square = (1.11 + 0.018 * Math.min(MOST_ASPECT, aspectRatio)) / ENDLESS_90;
  const normal = Math.abs(sine) < 1e-9 ? 0 : (square * Math.sign(sine)) / (0.222 + 0.283 / Math.abs(sine));
  const lift = bent.lift + plate * (normal * Math.cos(angle) - bent.lift);
  const drag = bent.drag + plate * (normal * sine - bent.drag);
  const separated = Math.max(1 - attached, plate);
  return {
    lift,
    drag,
    behindQuarter: (PLATE_CENTRE * separated * Math.min(Math.abs(angle), Math.PI / 2)) / (Math.PI / 2),
  };
}
