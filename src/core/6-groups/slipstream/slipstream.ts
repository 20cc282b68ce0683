import { z } from 'zod';
import { valueGroup } from '../group';
import { quantity } from '../keys';

const value = z
  .object({
    pressureRatio: quantity('ratio', 'Dynamic pressure in the stream over that outside'),
    tailShare: quantity('percent', 'Share of the blown tail area'),
  })
  .nullable();

/** Air of the propellers over the tail in level flight; null without a drive. */
export const slipstream = valueGroup(value, {
  id: 'slipstream',
  title: 'Slipstream',
  needs: {},
  compute: ({ cruise }) => {
    const stream = cruise.isTrimmed ? cruise.slipstream : null;
    return stream && { pressureRatio: stream.pressureRatio, tailShare: Math.max(0, ...stream.shares.values()) };
  },
});
