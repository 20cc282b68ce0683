import { expect, test } from 'vitest';
import fc from 'fast-check';
import { spacedLabels } from './spacedLabels';

test('labels keep their order and distance, and rest where there is room', () => {
  expect(spacedLabels([10, 50, 90], 14, [0, 100])).toEqual([10, 50, 90]);
  // Pooled and centred on what they want: 51.
  expect(spacedLabels([50, 52, 51], 14, [0, 200])).toEqual([37, 65, 51]);
  expect(spacedLabels([2, 3], 14, [0, 100])).toEqual([0, 14]);
  expect(spacedLabels([98, 99], 14, [0, 100])).toEqual([86, 100]);
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { maxLength: 8 }), (wanted) => {
      const placed = [...spacedLabels(wanted, 14, [0, 300])].sort((a, b) => a - b);
      for (let index = 1; index < placed.length; index++)
        expect(placed[index]! - placed[index - 1]!).toBeGreaterThan(14 - 1e-6);
    }),
  );
});
