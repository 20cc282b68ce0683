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

/**
 * How hard a section is worked under moments up and aft [N·m]. When the weakest
 * member gives way the others share the moment anew; the section breaks where
 * the best of these states does, so that a member more never weakens it.
 */
export function bearing(whole: Composite, up: number, aft: number): Utilisation {
  let best: Utilisation | null = null;
  let left = whole;
  for (let losses = 0; losses < MOST_LOSSES && left.pull > 0; losses++) {
    const worked = utilisation(left, curvatureOf(left, up, aft));
    if (best === null || worked.share < best.share) best = worked;
    const { fibre } = worked;
    if (!fibre || worked.share === 0) break;
    const others = left.fibres.filter((other) => !isSame(other, fibre));
    if (others.length === 0 || others.length === left.fibres.length) break;
    left = composite(others);
  }
  return best ?? { share: up === 0 && aft === 0 ? 0 : Infinity, fibre: null, isPressed: false };
}
