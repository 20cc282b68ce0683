import {
  type Composite,
  composite,
  curvatureOf,
  type Fibre,
  type Utilisation,
  utilisation,
} from '../section/composite';

/** Members that may give way one after another before all is counted as broken. */
const MOST_LOSSES = 4;

const isSame = (a: Fibre, b: Fibre): boolean => a.member === b.member && a.rod === b.rod;

/** More rods than that at one place are left out one by one only, not in all ways. */
const MOST_WAYS = 4;

/** By the section: it is asked again for every load factor. */
const known = new WeakMap<Composite, readonly Composite[]>();

function withoutRods(whole: Composite): readonly Composite[] {
  const before = known.get(whole);
  if (before) return before;
  const made = waysWithoutRods(whole);
  known.set(whole, made);
  return made;
}

/** The section with some of its rods taking no part: all ways for a few of them. */
function waysWithoutRods(whole: Composite): Composite[] {
  const rods = [...new Set(whole.fibres.flatMap(({ rod }) => (rod === undefined ? [] : [rod])))];
  const sets =
    rods.length <= MOST_WAYS
      ? Array.from({ length: 2 ** rods.length }, (_, way) => rods.filter((__, rod) => (way >> rod) % 2 === 1))
      : [[], rods, ...rods.map((rod) => [rod])];
  return sets.map((idle) =>
    idle.length === 0 ? whole : composite(whole.fibres.filter(({ rod }) => rod === undefined || !idle.includes(rod))),
  );
}

interface Loss {
  readonly fibre: Fibre;
  readonly left: Composite | null;
}

/** By the section, what each member that may give way leaves of it. */
const losses = new WeakMap<Composite, Loss[]>();

/** A section without the member that a fibre is of; null where that leaves nothing, or all of it. */
function withoutMember(whole: Composite, fibre: Fibre): Composite | null {
  const before = losses.get(whole) ?? [];
  const same = before.find((loss) => isSame(loss.fibre, fibre));
  if (same) return same.left;
  const others = whole.fibres.filter((other) => !isSame(other, fibre));
  const left = others.length === 0 || others.length === whole.fibres.length ? null : composite(others);
  losses.set(whole, [...before, { fibre, left }]);
  return left;
}

/**
 * How hard a section is worked under moments up and aft [N·m]. When the weakest
 * member gives way the others share the moment anew, and a rod may take no
 * part; the section breaks where the best of these states does, so that a
 * member more never weakens it. Source: the static theorem of limit analysis:
 * it bears whatever some sharing that balances bears (Megson, ch. 9).
 */
export function bearing(whole: Composite, up: number, aft: number): Utilisation {
  let best: Utilisation | null = null;
  for (const state of withoutRods(whole)) {
    let left: Composite | null = state;
    for (let lost = 0; left && lost < MOST_LOSSES && left.pull > 0; lost++) {
      const worked = utilisation(left, curvatureOf(left, up, aft));
      if (best === null || worked.share < best.share) best = worked;
      const { fibre } = worked;
      if (!fibre || worked.share === 0) break;
      left = withoutMember(left, fibre);
    }
  }
  return best ?? { share: up === 0 && aft === 0 ? 0 : Infinity, fibre: null, isPressed: false };
}
