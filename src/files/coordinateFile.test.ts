import { describe, expect, test } from 'vitest';
import { shapeOf } from '@/core/3-shape/section/lowReynolds';
import { readCoordinates } from './coordinateFile';

/** A lens 8 % thick, cambered by 2 %. */
const upper = (x: number) => 0.24 * x * (1 - x);
const lower = (x: number) => -0.08 * x * (1 - x);
const places = Array.from({ length: 21 }, (_, index) => index / 20);

const run = [...[...places].reverse().map((x) => [x, upper(x)]), ...places.slice(1).map((x) => [x, lower(x)])];
const oneRun = (scale = 1) => run.map(([x, y]) => `${x! * scale} ${y! * scale}`).join('\n');
const twoBlocks = `Lens\n21. 21.\n\n${places.map((x) => `${x} ${upper(x)}`).join('\n')}\n\n${places.map((x) => `${x} ${lower(x)}`).join('\n')}\n`;

const shape = (text: string) => {
  const read = readCoordinates(text);
  if (!read.ok) throw new Error(read.message);
  return shapeOf(read.section, 200);
};

describe('plain coordinate files', () => {
  test.each([
    ['one run with a name', `Lens\n${oneRun()}`],
    ['one run without a name', oneRun()],
    ['a chord of 100', oneRun(100)],
    ['commas and remarks', `# made up\n${oneRun().replaceAll(' ', ', ')}`],
    ['two blocks', twoBlocks],
    [
      'the other way round',
      run
        .toReversed()
        .map(([x, y]) => `${x} ${y}`)
        .join('\n'),
    ],
    ['round from the nose', [...run.slice(20), ...run.slice(1, 21)].map(([x, y]) => `${x} ${y}`).join('\n')],
  ])('%s', (_, text) => {
    const { thicknessRatio, camber } = shape(text);
    expect(thicknessRatio).toBeCloseTo(0.08, 3);
    expect(camber).toBeCloseTo(0.02, 3);
  });

  test('the name is kept', () => {
    const read = readCoordinates(twoBlocks);
    expect(read.ok && read.section.name).toBe('Lens');
  });

  test.each([
    ['words only', 'a tale\nof two wings', /Line 2/],
    ['too few', '1 0\n0 0\n1 0', /Only 3 points/],
    ['no chord', '0 0\n0 1\n0 2\n0 3\n0 4', /same place/],
    ['half a contour', '0 0\n0.2 0.1\n0.5 0.1\n0.8 0.05\n1 0', /over the nose/],
    ['a line', '1 0\n0.6 0\n0.3 0\n0 0\n0.3 0\n0.6 0\n1 0', /no thickness/],
    ['sides that cross', '1 0\n0.7 0.1\n0.3 -0.1\n0 0\n0.3 0.1\n0.7 -0.1\n1 0', /crosses itself/],
    ['a barrel', '1 0\n0.5 0.5\n0 0\n0.5 -0.5\n1 0', /no wing section/],
    ['blocks that do not add up', '5. 5.\n0 0\n0.5 0.1\n1 0\n', /announces 5 and 5/],
    [
      'far too many',
      Array.from({ length: 2100 }, (_, index) => `${Math.abs(1 - index / 1050)} 0`).join('\n'),
      /Thin them out/,
    ],
  ])('%s is refused in words', (_, text, message) => {
    expect(readCoordinates(text)).toMatchObject({ ok: false, message: expect.stringMatching(message) });
  });
});
