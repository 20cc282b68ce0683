import { z } from 'zod';
import { stripLifts } from '@/core/5-aero/farField';
import { valueGroup } from '../group';
import { quantity, text } from '../keys';

const value = z.array(
  z.object({
    surface: text('Surface'),
    spanFraction: quantity('percent', '0 at the root, 1 at the tip'),
    y: quantity('length', 'To the right of the plane of symmetry'),
    z: quantity('length', 'Above the datum'),
    lift: quantity('ratio', 'c_l of the strip at trim'),
    chord: quantity('length', 'Chord of the strip'),
  }),
);

/** Lift along the span at trim. */
export const spanLoading = valueGroup(value, {
  id: 'spanLoading',
  title: 'Lift along the span',
  needs: {},
  compute: ({ model, state }) => {
    const { strips, surfaces } = model.lattice;
    const lifts = stripLifts(model.matrices, state);
    return strips.map((strip, index) => {
      const { id, stations } = surfaces[strip.surface]!;
      return {
        surface: id,
        spanFraction: strip.middle / stations.at(-1)!.distance,
        y: strip.m.y,
        z: strip.m.z,
        lift: lifts[index]!,
        chord: strip.m.chord,
      };
    });
  },
});
