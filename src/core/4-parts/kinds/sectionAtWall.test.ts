import { expect, test } from 'vitest';
import { surface, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { passingAt } from './sectionAtWall';

/** A straight panel to 400 mm, a tapered one beyond, a flap from 20 to 50 % of the span. */
const wing = surface(
  trapezoid(600, 200, 100, {
    position: { x: 50, z: 10 },
    stations: [
      { distanceFromRoot: 0, chord: 200 },
      { distanceFromRoot: 400, chord: 200 },
      { distanceFromRoot: 600, chord: 100 },
    ],
    controls: [{ id: 'flap', function: 'flap', from: 0.2, to: 0.5, hingeInboard: 0.7, hingeOutboard: 0.8 }],
  }),
);
const [root, middle, tip] = wing.stations as [(typeof wing.stations)[number], ...typeof wing.stations];
const longer = { ...wing, stations: [root, middle!, { ...tip!, distanceFromRoot: 700 }] };
const passing = (of: typeof wing, y: number) => passingAt([of], y)[0];

test('a wing that moves only farther out passes a wall as it did', () => {
  expect(passing(longer, 30)).toBe(passing(wing, 30));
});

test('what it follows from makes it another: chord, angle, place, mount, name', () => {
  const before = passing(wing, 30)!;
  for (const other of [
    { ...wing, stations: [{ ...root, chord: 190 }, middle!, tip!] },
    { ...wing, stations: [root, { ...middle!, chord: 190 }, tip!] },
    { ...wing, incidence: 2 },
    { ...wing, position: { ...wing.position, z: 11 } },
    { ...wing, mount: { ...wing.mount, kind: 'bands' as const } },
    { ...wing, name: 'Main' },
  ])
    expect(passing(other, 30)).not.toBe(before);
  expect(passing({ ...wing, incidence: 2 }, 30)!.surface.incidence).toBe(2);
  expect(passing({ ...wing, name: 'Main' }, 30)!.surface.name).toBe('Main');
});

test('where a control reaches through the wall its hinge follows the span', () => {
  expect(passing(wing, 30)!.swinging).toEqual([]);
  // At 180 of 600 mm: a third of the way from 20 to 50 % of the span.
  expectWithin(passing(wing, 180)!.swinging[0]!.hinge, 0.7 + 0.1 / 3, 1e-12);
  // At 180 of 700 mm.
  expectWithin(passing(longer, 180)!.swinging[0]!.hinge, 0.7 + (0.1 * (180 / 700 - 0.2)) / 0.3, 1e-12);
});

test('nothing passes a wall beyond the tip, nor one inside of where the surface begins', () => {
  expect(passing(wing, 601)).toBeUndefined();
  expect(passing({ ...wing, position: { ...wing.position, y: 40 } }, 30)).toBeUndefined();
});
