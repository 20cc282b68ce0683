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
  const at = { lift: 0, drag: 0 };
  for (let step = 0; step <= STEPS; step++) {
    const angle = leaves + (LETS_GO * step) / STEPS;
    lifted(slope, Math.sin(angle), Math.cos(angle), attachedBeyond(angle - leaves), at);
    peak = Math.max(peak, at.lift);
  }
  return peak;
}

const attachedBeyond = (over: number): number =>
  over <= 0 ? 1 : over >= LETS_GO ? STAYS : STAYS + (1 - STAYS) * Math.cos((Math.PI / 2) * (over / LETS_GO)) ** 2;

/** The angle itself, folded into 0° to 90°. */
const foldedAngle = (sine: number): number => Math.asin(Math.min(1, Math.abs(sine)));

/** Share of the chord over which the flow is attached when the angle stands still. */
export const attachedAt = (section: StallingSection, angle: Radians): number =>
  attachedMeeting(section, Math.sin(angle));

/** The same by the sine of the angle. */
export const attachedMeeting = ({ leavesAbove, leavesBelow }: StallingSection, sine: number): number =>
  attachedBeyond(foldedAngle(sine) - (sine >= 0 ? leavesAbove : leavesBelow));

/** Lift and drag coefficients against the air that the section meets. */
interface Lifted {
  readonly lift: number;
  readonly drag: number;
}

/**
 * With a share x of the chord attached: C_N = (a/4)(1 + √x)² sin α and nose
 * suction 0.95 a √x sin² α; at x = 1 lift a sin α without drag, as the lattice
 * has it. Source: Kirchhoff’s flow after Goman & Khrabrov, J. Aircraft 31
 * (1994), and Leishman & Beddoes. Written into `out`.
 */
function lifted(slope: number, sine: number, cosine: number, attached: number, out: { lift: number; drag: number }) {
  const root = Math.sqrt(attached);
  // Attached flow has both in full; what is lost of them grows as it leaves.
  const normal = (slope / 4) * (1 + root) ** 2 * sine * (attached * cosine + 1 - attached);
  const suction = slope * root * sine ** 2 * (SUCTION + (1 - SUCTION) * attached);
  out.lift = normal * cosine + suction * sine;
  out.drag = normal * sine - suction * cosine;
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
  const [sine, cosine] = [Math.sin(angle), Math.cos(angle)];
  const out = { lift: 0, drag: 0, behindQuarter: behindQuarter(sine, cosine, attached) };
  meetingLoads(section, sine, cosine, attached, out);
  return out;
}

/** Below this sine nothing of the plate is there. */
const PLATE_SINE = Math.sin(PLATE_FROM);

/** What of a section at an angle is a plate across the wind. From behind the nose has no suction and the flow leaves at once: a plate all the way. */
function plateShare(sine: number, cosine: number): number {
  if (cosine < 0) return 1;
  if (Math.abs(sine) <= PLATE_SINE) return 0;
  const share = Math.min(1, (foldedAngle(sine) - PLATE_FROM) / (PLATE_ALL - PLATE_FROM));
  return share * share * (3 - 2 * share);
}

/** Lift and drag by sine and cosine of the angle, written into `out`: they are asked for every strip, many times in every step of a flight. */
export function meetingLoads(
  { slope, aspectRatio }: StallingSection,
  sine: number,
  cosine: number,
  attached: number,
  out: { lift: number; drag: number },
): void {
  lifted(slope, sine, cosine, attached, out);
  const plate = plateShare(sine, cosine);
  if (plate === 0) return;
  const square = (1.11 + 0.018 * Math.min(MOST_ASPECT, aspectRatio)) / ENDLESS_90;
  const size = Math.abs(sine);
  const normal = size < 1e-9 ? 0 : (square * Math.sign(sine)) / (0.222 + 0.283 / size);
  out.lift += plate * (normal * cosine - out.lift);
  out.drag += plate * (normal * sine - out.drag);
}

/** Where along the chord behind its quarter the load acts [share of the chord]. */
export function behindQuarter(sine: number, cosine: number, attached: number): number {
  const separated = Math.max(1 - attached, plateShare(sine, cosine));
  if (separated === 0) return 0;
  return (PLATE_CENTRE * separated * (cosine < 0 ? Math.PI / 2 : foldedAngle(sine))) / (Math.PI / 2);
}
