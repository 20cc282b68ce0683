import { isWing } from '@/core/2-document/schema/roles';
import { z } from 'zod';
import { tailVolume } from '@/core/3-shape/geometry/planform';
import { valueGroup } from '../group';
import { quantity, text } from '../keys';

const value = z.array(
  z.object({
    surface: text('Surface'),
    arm: quantity('length', 'From the quarter mean chord of the wings to its own, aft positive'),
    horizontal: quantity('ratio', 'Volume S_t l/(S c̄) of its plan area'),
    vertical: quantity('ratio', 'Volume S_f l/(S b) of its side area'),
  }),
);

/** Arms and volumes of the stabilising surfaces. */
export const tails = valueGroup(value, {
  id: 'tails',
  title: 'Tail volumes',
  needs: {},
  compute: ({ prepared: { placed, reference } }) =>
    placed.filter((surface) => !isWing(surface)).map((surface) => tailVolume(surface, reference)),
});
