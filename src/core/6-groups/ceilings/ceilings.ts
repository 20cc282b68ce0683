import { z } from 'zod';
import { valueGroup } from '../group';
import { maybe, sentenceKey } from '../keys';
import { reference } from '../reference/reference';
import { speeds } from '../speeds/speeds';
import { stall } from '../stall/stall';
import { mass } from '../mass/mass';
import { strength } from '../strength/strength';
import { ceilingInput } from './ceilingInput';
import { massCeilings } from './massCeiling';

const value = z.array(
  z.object({
    reason: z.enum(['stall', 'launch', 'climb', 'strength', 'class']),
    kind: z.enum(['physics', 'habit', 'rule']),
    mass: maybe('mass', 'Greatest flying mass for this reason; null when it cannot be said'),
    because: sentenceKey('Why'),
  }),
);

/** How heavy it may get, by reason. */
export const ceilings = valueGroup(value, {
  id: 'ceilings',
  title: 'How heavy it may get',
  needs: { reference, stall, speeds, mass, strength },
  compute: ({ prepared: { design } }, numbers) => {
    const input = ceilingInput(design, numbers);
    return input ? massCeilings(input) : [];
  },
});
