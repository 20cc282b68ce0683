import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { analyse } from '@/core/analyse';
import { METRIC } from '@/words/formatQuantity';
import { bentLine, between, boomAt, flexAt, pressureShare, strengthCurves, tipWords } from './flexOf';

const design = demoDesign('gannet-vee');
const { strength } = analyse(design, { without: ['remedies', 'bands', 'workings'] });
const speeds = [design.conditions.cruiseSpeed, strength.bentUpTo!] as const;
const found = strength.surfaces.find(({ id }) => id === 'wing')!;
const tip = found.nodes.at(-1)!;

describe('between three speeds', () => {
  test('a parabola goes through all three, and is met exactly', () => {
    const known = (x: number) => 3 - 2 * x + 5 * x ** 2;
    for (const share of [0, 0.2, 0.5, 0.9, 1])
      expectWithin(between(share, [known(0), known(0.5), known(1)]), known(share), 1e-12);
  });

  test('what grows as it nears divergence is within three percent half way up to it', () => {
    const known = (x: number) => 1 / (1 - 0.5 * x);
    for (const share of [0.25, 0.75]) expectWithin(between(share, [1, known(0.5), known(1)]), known(share), 0.03);
  });

  test('speeds lie by their dynamic pressure', () => {
    expect(pressureShare(speeds[0], speeds)).toBe(0);
    expectWithin(pressureShare(Math.sqrt((speeds[0] ** 2 + speeds[1] ** 2) / 2), speeds), 0.5, 1e-12);
    expect(pressureShare(12, [12, 12])).toBe(0);
  });
});

test.each([
  [0.0435, 0.052, 'tip 43.5 mm up, turned 3° leading edge up'],
  [0.1155, -0.0003, 'tip 115.5 mm up, turned less than 0.1°'],
  [-0.002, -0.0035, 'tip 2 mm down, turned 0.2° leading edge down'],
])('a tip that stands %s m up and is turned by %s says which way', (bends, twists, words) => {
  expect(tipWords({ bends, twists }, METRIC)).toBe(words);
});

describe('a pull', () => {
  test('at one g and cruise speed is what is told of level flight; more of it bends more', () => {
    const level = flexAt(tip, { factor: 1, speed: speeds[0] }, speeds);
    expectWithin(level.bends, strength.tipDeflection!, 1e-9);
    expectWithin(level.twists, strength.tipTwist!, 1e-9);
    const [two, three] = [2, 3].map((factor) => flexAt(tip, { factor, speed: speeds[0] }, speeds).bends);
    expectWithin(three! - two!, two! - level.bends, 1e-9);
    expect(two).toBeGreaterThan(level.bends);
  });

  test('the bent line leaves the drawn one by so much, and so many times as far when enlarged', () => {
    const surface = placeAll(design.surfaces).find(({ id }) => id === 'wing')!;
    const pull = { factor: 4, speed: speeds[1] };
    const off = (enlarged: number) => {
      const { drawn, bent } = bentLine(surface, found, pull, speeds, enlarged);
      return Math.hypot(bent.at(-1)![0] - drawn.at(-1)![0], bent.at(-1)![1] - drawn.at(-1)![1]);
    };
    expectWithin(off(1), 1000 * Math.abs(flexAt(tip, pull, speeds).bends), 1e-6);
    expectWithin(off(5), 5 * off(1), 1e-6);
  });

  test('members along the span: all of them, the hardest worked first, none twice, as hard at the root as is told', () => {
    const { members } = strengthCurves(found, { factor: 1, speed: speeds[0] }, speeds);
    const all = new Set(found.nodes.flatMap((node) => node.members.map(({ member }) => member)));
    expect(members.length).toBe(all.size);
    expect(members.length).toBeGreaterThan(2);
    expect(new Set(members.map(({ member }) => member)).size).toBe(members.length);
    const most = members.map(({ places }) => Math.max(...places.map(([, share]) => share)));
    expect([...most].sort((a, b) => b - a)).toEqual(most);
    expect(members[0]!.places[0]![1]).toBe(
      found.nodes[0]!.members.find(({ member }) => member === members[0]!.member)!.share,
    );
  });

  test('a boom gives way to its tail: full yaw to the right turns it nose right, faster the more', () => {
    const boom = strength.booms[0]!;
    const [slow, fast] = speeds.map((speed) => boomAt(boom, { factor: 1, speed }, speeds)!);
    expect(slow!.yaw).toBeGreaterThan(0);
    expect(fast!.yaw).toBeGreaterThan(slow!.yaw);
    // What pushes the tail to the left over its boom turns its left side down.
    expect(slow!.roll).toBeGreaterThan(0);
  });
});
