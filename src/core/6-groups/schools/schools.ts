import { z } from 'zod';
import { valueGroup } from '../group';
import { quantity, text } from '../keys';
import { balanceSchools } from './rulesOfThumb';

const value = z.array(
  z.object({
    id: z.enum(['quarterChord', 'tailless', 'betweenQuarterChords', 'combinedLength']),
    name: text('The rule in words'),
    from: quantity('length', 'Where it would balance, aft of the datum'),
    to: quantity('length', 'Up to here, aft of the datum'),
  }),
);

/** Where rules of thumb would put the balance point. */
export const schools = valueGroup(value, {
  id: 'schools',
  title: 'Schools of balance',
  needs: {},
  compute: ({ prepared: { placed, reference } }) => balanceSchools(placed, reference),
});
