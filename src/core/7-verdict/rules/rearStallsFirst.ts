import { isAftTail } from '@/core/2-document/schema/roles';
import { degrees, nameOf, plain, say } from '@/core/1-base/words/phrase';
import { turned } from '../changes';
import { makeRule } from '../makeRule';

/** Of two wings behind one another, the front one must stall first: then the nose drops. */
export const rearStallsFirst = makeRule(
  { id: 'rearStallsFirst', stage: 'wing', source: 'Critical section on both wings' },
  (design, { stall }) => {
    const lifting = design.surfaces
      .filter(({ id }) => Object.hasOwn(stall.liftLeft, id))
      .sort((a, b) => a.position.x - b.position.x);
    const [front, ...others] = lifting;
    const rear = others.at(-1);
    if (!front || !rear || rear.position.x - front.position.x < front.stations[0]!.chord) return null;
    const [left, mine] = [stall.liftLeft[front.id]!, stall.liftLeft[rear.id]!];
    if (left <= mine + 1e-9 || isAftTail(rear)) return null;
    const turn = (angle: number) => ({
      label: say`Turn ${nameOf(front)} ${degrees(angle, 0)} nose up`,
      change: turned(front, angle),
    });
    return {
      severity: 'stop',
      message: say`${nameOf(rear)} stalls before ${nameOf(front).toLowerCase()} (which still has ${plain(left)} of lift left): the tail drops, the nose rears up, and nothing brings it down.`,
      numbers: { frontLiftLeft: plain(left), rearLiftLeft: plain(mine) },
      remedies: [turn(1), turn(2), turn(3)],
    };
  },
);
