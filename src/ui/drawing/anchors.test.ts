import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { anchorsOf, nearestAnchor } from './anchors';

const design = demoDesign('lagoon-postman');
const anchors = anchorsOf(design, placeAll(design.surfaces));
const named = (words: string) => anchors.find((anchor) => anchor.words === words)!;

test('corners of the wing lie where the document says', () => {
  const [wing] = design.surfaces;
  const { position, stations } = wing!;
  expect(named('Wing, root, leading edge').at).toEqual(
    [position.x, position.y, position.z].map((v) => expect.closeTo(v, 6)),
  );
  const [front, rear] = [named('Wing, tip, leading edge'), named('Wing, tip, trailing edge')];
  expect(rear.at[0] - front.at[0]).toBeCloseTo(stations.at(-1)!.chord, 6);
  expect(new Set(anchors.map(({ id }) => id)).size).toBe(anchors.length);
});

test('the nearest one within reach is met, each view by its own axes', () => {
  const { at } = named('Wing, tip, leading edge');
  expect(nearestAnchor(anchors, 'plan', [at[0] + 3, at[1] - 2], 10)?.words).toBe('Wing, tip, leading edge');
  expect(nearestAnchor(anchors, 'plan', [at[0] + 3, at[1] + 40], 10)).toBeNull();
  const pack = anchors.find(({ words }) => words.startsWith('middle of Pack'))!;
  expect(nearestAnchor(anchors, 'side', [pack.at[0] + 0.5, pack.at[2]], 4)?.id).toBe(pack.id);
});
