import { amperes, joined, nameOf, percent, say, type Words } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import { field } from '@/core/2-document/edit/field';
import type { Remedy } from '../finding';
import { makeRule } from '../makeRule';

type Limits = Numbers['driveLimits'][number];

/** More than what is typed is a caution, half as much again burns; what is only estimated is no more than a note. */
const BURNS = 1.5;
/** What an estimate may be off. */
const ESTIMATED_OVER = 1.3;

const CARRIERS = ['motor', 'controller', 'pack'] as const;

interface Carrier {
  readonly drive: Limits;
  readonly what: (typeof CARRIERS)[number];
  readonly current: number;
  readonly bears: number;
  readonly isEstimated: boolean;
}

/** What carries more than it bears, the worst first. */
function overloaded(limits: readonly Limits[]): Carrier[] {
  return limits
    .flatMap((drive) => CARRIERS.map((what) => ({ drive, what, ...drive[what] })))
    .filter(
      (one): one is Carrier => one.bears !== null && one.current > one.bears * (one.isEstimated ? ESTIMATED_OVER : 1),
    )
    .toSorted((a, b) => b.current / b.bears - a.current / a.bears);
}

const told = ({ what, current, bears, isEstimated }: Carrier): Words =>
  say`the ${what === 'controller' ? 'speed controller' : what} carries ${amperes(current)} and ${isEstimated ? 'usually ' : ''}bears ${amperes(bears)}`;

/** A smaller propeller of the same shape takes less, by the fourth power of its diameter. */
function smaller({ propulsion }: Design, id: string): Remedy[] {
  const drive = propulsion.find((one) => one.id === id);
  if (!drive) return [];
  return [0.93, 0.86, 0.8].map((share) => ({
    label: say`Take a propeller ${percent(1 - share, 0)} smaller`,
    change: [
      field('propulsion', id, 'propellerDiameter').to(Math.round(drive.propellerDiameter * share)),
      field('propulsion', id, 'propellerPitch').to(Math.round(drive.propellerPitch * share)),
    ],
  }));
}

/** Motor, controller or pack carry more at full throttle than they bear. */
export const currentOverLimit = makeRule(
  {
    id: 'currentOverLimit',
    stage: 'power',
    source: 'Drela, First-order DC motor model; limits as typed, else by mass and capacity, ±30 %',
  },
  (design, { driveLimits }) => {
    const over = overloaded(driveLimits);
    const [worst] = over;
    if (!worst) return null;
    const isTyped = over.some(({ isEstimated }) => !isEstimated);
    const burns = over.some(({ isEstimated, current, bears }) => !isEstimated && current > BURNS * bears);
    return {
      severity: burns ? 'stop' : isTyped ? 'caution' : 'note',
      message: say`${nameOf({ name: worst.drive.drive, id: worst.drive.id })} at full throttle, full pack: ${joined(over.filter(({ drive }) => drive === worst.drive).map(told), ', ')}. Take a smaller propeller or what bears more; on the bench feel for heat after ten seconds, the model held fast.`,
      numbers: { current: amperes(worst.current), bears: amperes(worst.bears) },
      remedies: isTyped ? smaller(design, worst.drive.id) : [],
    };
  },
);
