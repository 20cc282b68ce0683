import type { Fraction, Pascals } from '@/core/1-base/units/convert';
import type { Lattice } from '@/core/5-aero/lattice';
import type { StripLoads } from '../aeroelastic/stripLoads';
import type { Twists } from '../aeroelastic/twists';
import { scaled } from '@/core/1-base/numeric/scaled';
import { addTwo, type Passing } from '../beam/passing';

/** What of a pull-up presses on its beams. */
export interface Pulled {
  readonly factor: Fraction;
  readonly pressure: Pascals;
  /** Of the unit cases with everything stiff. */
  readonly shares: readonly number[];
  /** Loads per dynamic pressure as it bends. */
  readonly bent: StripLoads;
  /** One that lies between two others, or beyond them: what passes under it is known from theirs. */
  readonly between?: { readonly one: Pulled; readonly two: Pulled; readonly share: Fraction };
}

/** What passes the beam of a surface in a pull-up, under the air and its own weights; worked out once for each. */
export interface Passings {
  readonly bent: PassingIn;
  /** With everything stiff. */
  readonly stiff: PassingIn;
}

type PassingIn = (surface: number, pull: Pulled) => Passing;

interface Loaded {
  /** Under the weights of the parts at one g, by surface. */
  readonly byWeight: ReadonlyMap<number, Passing>;
  /** Loads of the unit cases per dynamic pressure. */
  readonly unit: readonly StripLoads[];
}

export function passingsOf(lattice: Lattice, twists: Twists, { byWeight, unit }: Loaded): Passings {
  const inPull = (add: (passing: Passing, surface: number, pull: Pulled) => void): PassingIn => {
    const known = new WeakMap<Pulled, Map<number, Passing>>();
    const passingIn: PassingIn = (surface, pull) => {
      const before = known.get(pull) ?? new Map<number, Passing>();
      known.set(pull, before);
      const found = before.get(surface);
      if (found) return found;
      const passing = pull.between ? mixedOf(surface, pull.between) : scaled(byWeight.get(surface)!, pull.factor);
      if (!pull.between) add(passing, surface, pull);
      before.set(surface, passing);
      return passing;
    };
    const mixedOf = (surface: number, { one, two, share }: NonNullable<Pulled['between']>): Passing => {
      const [from, to] = [passingIn(surface, one), passingIn(surface, two)];
      return from.map((value, at) => value + share * (to[at]! - value));
    };
    return passingIn;
  };
  /** Sums what every strip brings by itself. */
  const addStrips = (passing: Passing, surface: number, { force, moment }: StripLoads, times: number) => {
    const { each } = twists(surface);
    const first = lattice.firstStrip[surface]!;
    for (let strip = first; strip < lattice.firstStrip[surface + 1]!; strip++)
      addTwo(passing, each, 2 * (strip - first), [times * force[strip]!, times * moment[strip]!]);
  };
  const units = new Map<number, readonly Passing[]>();
  const unitsOf = (surface: number): readonly Passing[] => {
    const before = units.get(surface);
    if (before) return before;
    const made = unit.map((loads) => {
      const passing: Passing = new Float64Array(byWeight.get(surface)!.length);
      addStrips(passing, surface, loads, 1);
      return passing;
    });
    units.set(surface, made);
    return made;
  };
  return {
    bent: inPull((passing, surface, { bent, pressure }) => addStrips(passing, surface, bent, pressure)),
    stiff: inPull((passing, surface, { shares, pressure }) => {
      unitsOf(surface).forEach((of, index) => {
        const times = pressure * shares[index]!;
        for (let at = 0; at < passing.length; at++) passing[at]! += times * of[at]!;
      });
    }),
  };
}
