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
  /** Forgets what was before: a flight never hangs on the one before it. */
  readonly forget: () => void;
}

type Meeting = Omit<StripMeeting, 'own'> & Partial<Pick<StripMeeting, 'own'>>;

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
  const air = cases.map((one) => airOfCase(model, nodes, one, asAngles));
  const reach = Float64Array.from(nodes, ({ chord, section }) => (chord * section.slope) / 2);
  const empty = () => new Float64Array(size);
  const met: MetAir = {
    along: empty(),
    across: empty(),
    strength: empty(),
    wash: empty(),
    missing: empty(),
    faster: empty(),
    gained: empty(),
    risen: empty(),
  };
  const perSpeed: StripMeeting = { along: empty(), across: empty(), strength: empty(), own: empty() };
  const blow = stripJets(prepared, nodes, { reach, answers });
  const sumUp = stripForces(nodes, reach);
  const balance = washBalance({
    sections: nodes.map(({ section }) => section),
    isPaired: nodes.map(({ side }) => side === 1),
    reach,
    answers,
  });

  /** Air that every strip meets with attached flow, and its circulation; its own angles only where they are asked for. */
  function meet(motion: Motion, { along, across, strength, own }: Meeting): void {
    for (const values of [along, across, strength]) values.fill(0);
    own?.fill(0);
    for (const [index, { share }] of cases.entries()) {
      const part = share(motion);
      if (part === 0) continue;
      const one = air[index]!;
      addTimes(along, one.along, part);
      addTimes(across, one.across, part);
      addTimes(strength, one.strength, part);
      if (own) addTimes(own, one.own, part);
    }
  }

  return {
    nodes: size,
    liftingShare: liftingShares(prepared, nodes),
    forget: () => {
      met.wash.fill(0);
      met.missing.fill(0);
    },
    loads: (motion, attached, told, jets) => {
      meet(motion, met);
      for (const values of [met.faster, met.gained, met.risen]) values.fill(0);
      if (jets?.some((pressure) => pressure > 0)) {
        meet({ ...motion, ...AHEAD }, perSpeed);
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

function addTimes(to: Float64Array, values: Float64Array, times: number): void {
  for (let i = 0; i < to.length; i++) to[i]! += times * values[i]!;
}
