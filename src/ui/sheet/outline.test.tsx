import { render } from '@testing-library/react';
import { expect, test } from 'vitest';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { polygon } from '@/core/3-shape/outline/path';
import { pathThrough } from './scale';
import { around, Outline } from './Outline';

/** What is drawn of a path. */
function drawn(d: string) {
  const { container } = render(
    <svg>
      <Outline d={d} fill="none" />
    </svg>,
  );
  const [element] = container.querySelectorAll('svg > *');
  return {
    kind: element!.tagName,
    points: element!.getAttribute('points'),
    d: element!.getAttribute('d'),
    fill: element!.getAttribute('fill'),
  };
}

test('straight lines are drawn by their corners, closed ones as a polygon', () => {
  expect(drawn('M1 2 L3 4.5 L-5 6 Z')).toEqual({ kind: 'polygon', points: '1 2  3 4.5  -5 6', d: null, fill: 'none' });
  expect(drawn('M1,2L3e-7,4')).toEqual({ kind: 'path', points: null, d: 'M1,2L3e-7,4', fill: 'none' });
  expect(drawn('M1,2L3,4')).toMatchObject({ kind: 'polyline', points: '1,2 3,4' });
  expect(
    drawn(
      svgPath(
        polygon([
          [0, 0],
          [4, 0],
          [4, 2],
        ]),
      ),
    ),
  ).toMatchObject({ kind: 'polygon' });
  expect(
    drawn(
      pathThrough([
        [0, 1],
        [2, 3],
      ]),
    ),
  ).toMatchObject({ kind: 'polyline' });
});

test('what bends, or is broken off and begun anew, stays a path', () => {
  for (const d of ['M0 0 C1 1 2 2 3 0 Z', 'M0 0 L1 1 M2 2 L3 3', 'M0 0 H5', 'M0 0 l1 1', ''])
    expect(drawn(d)).toMatchObject({ kind: 'path', d });
});

test('what looks round lies all on its circle', () => {
  const corners = around(10, 20, 5, 8)
    .split(' ')
    .map((place) => place.split(',').map(Number));
  expect(corners).toHaveLength(8);
  for (const [x, y] of corners) expect(Math.hypot(x! - 10, y! - 20)).toBeCloseTo(5, 1);
  expect(new Set(corners.map(String)).size).toBe(8);
});
