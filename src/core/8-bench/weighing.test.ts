import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import type { WeightRow } from '@/core/4-weight/weightRows';
import type { Design } from '@/core/2-document/schema/design';
import { balanceOnStand, packMove } from './balanceStand';
import { expectedMass } from './expectedMass';

const row = (id: string, kind: WeightRow['kind'], computed: number, measured: number | null = null): WeightRow => ({
  id,
  kind,
  name: id,
  group: 'airframe',
  computed,
  measured,
  counts: measured ?? computed,
  x: 0,
  y: 0,
  z: 0,
  share: 0,
});

describe('what it will fly at', () => {
  test('nothing weighed: as computed, with the band of boards, parts and equipment', () => {
    const { expected, sigma, creep } = expectedMass([row('wing', 'surface', 100), row('pack', 'item', 50)]);
    expect(expected).toBeCloseTo(150, 12);
    expect(creep).toBeCloseTo(0, 12);
    // √((0.08 · 100)² + (0.06 · 100)² + (0.03 · 50)²)
    expect(sigma).toBeCloseTo(Math.sqrt(64 + 36 + 2.25), 9);
  });

  test('one board 12 % too heavy moves the others by its share of what is known', () => {
    const { expected, creep } = expectedMass([row('tail', 'surface', 20, 22.4), row('wing', 'surface', 100)]);
    // Precision 1/0.08² of the prior, 1/0.06² of the reading: 0.64 of 12 %.
    expect(creep).toBeCloseTo(0.12 / 0.06 ** 2 / (1 / 0.08 ** 2 + 1 / 0.06 ** 2), 9);
    expect(expected).toBeCloseTo(22.4 + 100 * (1 + creep), 9);
  });

  test('with every part that is weighed the band shrinks, and in the end it is that of the scale', () => {
    const names = ['wing', 'tail', 'fin', 'body'];
    const bands = names.map(
      (_, weighed) =>
        expectedMass(names.map((name, index) => row(name, 'surface', 50, index < weighed ? 52 : null))).sigma,
    );
    bands.slice(1).forEach((sigma, index) => expect(sigma).toBeLessThan(bands[index]!));
    expect(expectedMass(names.map((name) => row(name, 'surface', 50, 52))).sigma).toBeCloseTo(1.2, 9);
  });
});

describe('on two scales', () => {
  test('levers say what it weighs and where it balances', () => {
    expect(balanceOnStand({ front: 100, rear: 300 }, { front: 300, rear: 100 })).toEqual({ mass: 400, at: 150 });
    expect(balanceOnStand({ front: 300, rear: 100 }, { front: 300, rear: 100 })).toBeNull();
    expect(balanceOnStand({ front: 100, rear: 300 }, { front: 0, rear: 0 })).toBeNull();
  });

  const sliding = (from: number, to: number): Design => {
    const design = demoDesign('lagoon-postman');
    const pack = { ...design.massItems[0]!, name: 'Pack', mass: 100, measuredMass: undefined, mirrored: false };
    const at = { position: { ...pack.position, x: 120 }, attachment: { kind: 'slides' as const, from, to } };
    return { ...design, massItems: [{ ...pack, ...at }] } as Design;
  };

  test('the pack goes as far as the moment asks, and no farther than its bay', () => {
    // 500 g that balance 6 mm too far aft: 100 g go 30 mm forward.
    expect(packMove(sliding(50, 160), { mass: 500, at: 256 }, 250)).toEqual({ name: 'Pack', by: -30, left: 0 });
    const short = packMove(sliding(100, 160), { mass: 500, at: 256 }, 250)!;
    expect(short.by).toBe(-20);
    expect(short.left).toBeCloseTo(-2, 12);
    expect(packMove({ ...sliding(0, 1), massItems: [] } as Design, { mass: 500, at: 256 }, 250)).toBeNull();
  });
});
