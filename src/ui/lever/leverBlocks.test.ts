import { expect, test } from 'vitest';
import type { WeightRow } from '@/core/4-weight/weightRows';
import { leverBlocks, pullAbout } from './leverBlocks';

const part = (id: string, x: number, counts: number) => ({ id, x, counts }) as WeightRow;

test('weights stand where they sit, the heavier below, and none within another', () => {
  const blocks = leverBlocks({
    rows: [part('servo', 102, 20), part('pack', 100, 100), part('motor', 0, 60), part('film', 50, 0)],
    u: (x) => 2 * x,
    width: 16,
    room: 240,
  });
  expect(blocks.map(({ row }) => row.id)).toEqual(['pack', 'motor', 'servo']);
  const [pack, motor, servo] = blocks;
  expect([pack!.foot, motor!.foot]).toEqual([0, 0]);
  expect(servo!.foot).toBeCloseTo(pack!.height, 9);
  expect(servo!.foot + servo!.height).toBeCloseTo(240, 9);
  expect(pack!.height / servo!.height).toBeCloseTo(5, 9);
  expect(pack!.left).toBe(192);
});

test('pulls about the balance point sum to nothing', () => {
  const parts = [part('a', 0, 60), part('b', 100, 100), part('c', 400, 40)];
  const balance = (100 * 100 + 400 * 40) / 200;
  expect(parts.reduce((sum, one) => sum + pullAbout(one, balance), 0)).toBeCloseTo(0, 9);
  expect(pullAbout(parts[0]!, balance)).toBeLessThan(0);
});
