import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { numbersOf } from '@/core/6-groups/solve';
import { massItemSchema } from '@/core/2-document/schema/airframe';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { burstAngle, isSlenderDelta, vortexLift } from './vortexLift';

const degrees = Math.PI / 180;
/** A wing with a swept leading edge. Half span and chords in mm. */
const swept = (half: number, root: number, tip: number, back: number) =>
  trapezoid(half, root, tip, {
    stations: [
      { distanceFromRoot: 0, chord: root },
      { distanceFromRoot: half, chord: tip, leadingEdgeOffset: back },
    ],
  });
const flown = (wing: ReturnType<typeof swept>) => ({
  ...designOf([wing]),
  massItems: [massItemSchema.parse({ id: 'all', mass: 500, position: { x: 120 } })],
});

describe('lift of slender deltas', () => {
  // Polhamus: K_p sin α cos²α + K_v cos α sin²α. At 20°, K_p 2.3, K_v π: 0.695 + 0.345.
  test('by leading-edge suction analogy', () => {
    expect(vortexLift(20 * degrees, 2.3, 1)).toBeCloseTo(2.3 * 0.34202 * 0.88302 + Math.PI * 0.93969 * 0.11698, 4);
    expect(vortexLift(1e-4, 2.3, 1) / 1e-4).toBeCloseTo(2.3, 2);
  });

  test('is for deltas only: aspect ratio below 2.5 and 45° of leading edge', () => {
    const is = (half: number, root: number, tip: number, back: number) =>
      isSlenderDelta(placeSurface(designOf([swept(half, root, tip, back)]).surfaces[0]!));
    expect(is(300, 600, 60, 500)).toBe(true);
    expect(is(600, 300, 200, 300)).toBe(false);
    expect(is(300, 400, 300, 60)).toBe(false);
  });

  test('vortices burst later over a more swept edge', () => {
    const at = (back: number) => burstAngle(placeSurface(designOf([swept(300, 600, 60, back)]).surfaces[0]!));
    expect(at(300 * Math.tan(60 * degrees))).toBeCloseTo(27 * degrees, 3);
    expect(at(600)).toBeGreaterThan(at(450));
  });

  test('no strip of a delta stalls first, and it carries far more than its section would', () => {
    const { stall } = numbersOf(flown(swept(320, 620, 80, 500)));
    expect(stall.startsAtSpanFraction).toBeNull();
    expect(stall.reasons['startsAtSpanFraction']).toMatch(/vortices/);
    expect(stall.liftCoefficient!).toBeGreaterThan(0.9);
    expect(stall.liftCoefficient!).toBeLessThan(1.5);
  });
});

describe('swept wings', () => {
  // Raymer, ch. 12: C_Lmax ≈ C_Lmax,straight · cos Λ¼.
  test('have the cosine of their quarter-chord sweep of what their sections lift', () => {
    const limitOf = (back: number) => {
      const { stall } = numbersOf(flown(swept(700, 180, 180, back)));
      return stall.strips.find(({ spanFraction }) => spanFraction > 0.5)!.limit;
    };
    const ratio = limitOf(700 * Math.tan(30 * degrees)) / limitOf(0);
    // The stall is faster, and the sections a little better for it.
    expectWithin(ratio, Math.cos(30 * degrees), 0.02);
  });
});
