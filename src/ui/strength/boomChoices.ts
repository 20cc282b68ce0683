import type { Analysis } from '@/core/analyse';

type Boom = Pick<Analysis['strength']['booms'][number], 'body' | 'isAft' | 'pitchFactor' | 'yawFactor'>;

/** Booms from the softest on, each with a name that no other has and an id that no surface has. */
export function boomChoices<Known extends Boom>(booms: readonly Known[]) {
  const softness = ({ pitchFactor, yawFactor }: Boom) => Math.min(pitchFactor ?? 1, yawFactor ?? 1);
  const isAlone = ({ body }: Boom) => booms.filter((one) => one.body === body).length === 1;
  const name = (boom: Boom) =>
    booms.length === 1 ? 'Boom' : isAlone(boom) ? boom.body : `${boom.body}, ${boom.isAft ? 'aft' : 'ahead'}`;
  return booms
    .toSorted((a, b) => softness(a) - softness(b))
    .map((boom, index) => ({ id: `*boom ${index}`, name: name(boom), boom }));
}
