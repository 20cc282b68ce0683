import type { MetresPerSecond, Pascals } from '@/core/1-base/units/convert';
import type { AeroModel } from '@/core/5-aero/aeroModel';
import type { Load } from '@/core/5-aero/forces';
import type { Prepared } from '@/core/6-groups/solution/prepare';
import { attachedLoads, type Motion, motionCases } from './attachedLoads';
import { airOfCase, angles, answersOf, type StripMeeting } from './stripAir';
import { type MetAir, stripForces, SUMS, type Told } from './stripForces';
import { stripJets } from './stripJets';
import { liftingShares, nodesOf } from './stripNodes';
import { washBalance } from './washBalance';

export interface StripFlow {
  /** How many strips there are, left and right counted apart. */
  readonly nodes: number;
  /** Share of the area of all wings that each strip is; none on other surfaces. */
  readonly liftingShare: Float64Array;
  /**
   * Loads per density about the balance point in document axes, at a share of
   * attached flow for every strip; with `told`, writes the share that each
   * would come to and the time constant over the chord and speed. @param jets dynamic pressure that each drive adds behind it [Pa]
   */
  readonly loads: (motion: Motion, attached: ArrayLike<number>, told?: Told, jets?: readonly Pascals[]) => Load;
  /**
   * Lets shares of attached flow go half way to where they would come to, again
   * and again until they stay, without jets. @param told holds at the end what they would come to
   */
  readonly settle: (motion: Motion, attached: Float64Array, told: Told) => void;
  /** Forgets what was before: a flight never hangs on the one before it. */
  readonly forget: () => void;
}

/** Rounds in which shares of attached flow go half way to where they settle, and how near is there. */
const SETTLING = 40;
const SETTLED = 1e-4;
/** At unit speed along the datum. */
const AHEAD = { u: 1, v: 0, w: 0, p: 0, q: 0, r: 0 } as const;

/**
 * An aircraft as strips that each meet their own air. Attached, its loads are
 * those of the lattice itself. Where a strip lifts less than the lattice says,
 * the missing circulation is missing in the wash of all: an upwash d stands in
 * for it at that strip, with the answers of the full lattice to it (one solved
 * case for every strip), until section and wash agree. Section data at a
 * reference speed. Built once for a geometry.
 */
export function stripFlow(prepared: Prepared, model: AeroModel, speed: MetresPerSecond): StripFlow {
  const cases = motionCases(prepared, model);
  const attachedForm = attachedLoads(prepared, model, cases);
  const nodes = nodesOf(prepared, speed);
  const size = nodes.length;
  const answers = answersOf(model, nodes);
  const asAngles = angles(answers, size);
  // One after another, so that what is met is one sum over all.
  const air = cases.map((one) => {
    const { along, across, strength, own } = airOfCase(model, nodes, one, asAngles);
    return Float64Array.from([...along, ...across, ...strength, ...own]);
  });
  const reach = Float64Array.from(nodes, ({ chord, section }) => (chord * section.slope) / 2);
  const empty = () => new Float64Array(size);
  const still = new Float64Array(3 * size);
  const met: MetAir = {
    ...metIn(still, size),
    wash: empty(),
    missing: empty(),
    faster: empty(),
    gained: empty(),
    risen: empty(),
  };
  const blown = new Float64Array(4 * size);
  const perSpeed: StripMeeting = { ...metIn(blown, size), own: blown.subarray(3 * size) };
  /** Cases that a motion has a part of, and the parts; in fours. */
  const nothing = new Float64Array(4 * size);
  const moved = Array.from({ length: 4 * Math.ceil(cases.length / 4) }, () => nothing);
  const parts = new Float64Array(moved.length);
  const blow = stripJets(prepared, nodes, { reach, answers });
  const { tell, sumUp } = stripForces(nodes, reach);
  const balance = washBalance({
    sections: nodes.map(({ section }) => section),
    isPaired: nodes.map(({ side }) => side === 1),
    reach,
    answers,
  });

  /** Air that every strip meets with attached flow, and its circulation; its own angles only where there is room for them. */
  function meet(motion: Motion, into: Float64Array): void {
    into.fill(0);
    let count = 0;
    for (let index = 0; index < cases.length; index++) {
      const part = cases[index]!.share(motion);
      if (part === 0) continue;
      moved[count] = air[index]!;
      parts[count++] = part;
    }
    for (let index = count; index < moved.length; index++) {
      moved[index] = nothing;
      parts[index] = 0;
    }
    for (let index = 0; index < count; index += 4) addFour(into, moved, parts, index);
  }

  /** The same without jets. */
  function meetStill(motion: Motion): void {
    meet(motion, still);
    for (const values of [met.faster, met.gained, met.risen]) values.fill(0);
  }

  return {
    nodes: size,
    liftingShare: liftingShares(prepared, nodes),
    forget: () => {
      met.wash.fill(0);
      met.missing.fill(0);
    },
    settle: (motion, attached, told) => {
      meetStill(motion);
      for (let round = 0; round < SETTLING; round++) {
        balance(met, attached);
        tell(met, attached, told);
        let most = 0;
        for (let i = 0; i < size; i++) {
          const change = (told.steady[i]! - attached[i]!) / 2;
          attached[i]! += change;
          most = Math.max(most, Math.abs(change));
        }
        if (most < SETTLED) return;
      }
    },
    loads: (motion, attached, told, jets) => {
      meetStill(motion);
      if (jets?.some((pressure) => pressure > 0)) {
        meet({ ...motion, ...AHEAD }, blown);
        blow(jets, { ...met, perSpeed });
      }
      balance(met, attached);
      const { force, moment } = attachedForm(motion);
      const sums = sumUp(met, attached, told);
      // What the lattice has beside its strips, such as the pull on the legs, goes with the square of what circulates.
      const [full, left] = [sums[SUMS.full]!, sums[SUMS.left]!];
      const kept = full > 0 ? Math.max(0, left / full) ** 2 : 1;
      const total = (axis: number, attachedLoad: number) =>
        sums[SUMS.own + axis]! + kept * (attachedLoad - sums[SUMS.lattice + axis]!);
      return {
        force: [total(0, force[0]), total(1, force[1]), total(2, force[2])],
        moment: [total(3, moment[0]), total(4, moment[1]), total(5, moment[2])],
      };
    },
  };
}

/** Adds four cases, each so many times; summed as if one came after another. */
function addFour(to: Float64Array, cases: readonly Float64Array[], parts: Float64Array, from: number): void {
  const [a, b, c, d] = [cases[from]!, cases[from + 1]!, cases[from + 2]!, cases[from + 3]!];
  const [p, q, r, s] = [parts[from]!, parts[from + 1]!, parts[from + 2]!, parts[from + 3]!];
  for (let i = 0; i < to.length; i++) to[i] = to[i]! + p * a[i]! + q * b[i]! + r * c[i]! + s * d[i]!;
}

/** Where air along, across and what circulates lie in what is met. */
const metIn = (all: Float64Array, size: number): Pick<MetAir, 'along' | 'across' | 'strength'> => ({
  along: all.subarray(0, size),
  across: all.subarray(size, 2 * size),
  strength: all.subarray(2 * size, 3 * size),
});
