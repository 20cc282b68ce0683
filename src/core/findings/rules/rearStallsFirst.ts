import { turned } from '../changes';
import { makeRule } from '../makeRule';
import { nameOf } from '../words';

/** Of two wings behind one another, the front one must stall first: then the nose drops. */
export const rearStallsFirst = makeRule(
  { id: 'rearStallsFirst', stage: 'wing', source: 'Critical section on both wings' },
  (design, { stall }) => {
    const lifting = design.surfaces
      .filter(({ id }) => stall.liftLeft[id] !== undefined)
      .sort((a, b) => a.position.x - b.position.x);
    const [front, ...others] = lifting;
    const rear = others.at(-1);
    if (!front || !rear || rear.position.x - front.position.x < front.stations[0]!.chord) return null;
    const [left, mine] = [stall.liftLeft[front.id]!, stall.liftLeft[rear.id]!];
    if (left <= mine + 1e-9 || rear.role === 'tailplane' || rear.role === 'vTail') return null;
    const turn = (degrees: number) => ({
      label: `Turn ${nameOf(front)} ${degrees}° nose up`,
      change: turned(front, degrees),
    });
    return {
      severity: 'stop',
      message: `${nameOf(rear)} stalls before ${nameOf(front).toLowerCase()} (which still has ${left.toFixed(2)} of lift left): the tail drops, the nose rears up, and nothing brings it down.`,
      numbers: { frontLiftLeft: left, rearLiftLeft: mine },
      remedies: [turn(1), turn(2), turn(3)],
    };
  },
);
