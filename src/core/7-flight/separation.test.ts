import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { attachedAt, sectionLoads, stallingSection } from './separation';

const SLOPE = 5.6;
const section = stallingSection(SLOPE, { above: 1.1, below: 0.7 }, 6);
const at = (degrees: number, attached = attachedAt(section, radiansFromDegrees(degrees))) =>
  sectionLoads(section, radiansFromDegrees(degrees), attached);
const sweep = (from: number, to: number) =>
  Array.from({ length: 10 * Math.abs(to - from) }, (_, index) => from + index / 10);

describe('a section through the stall', () => {
  test('attached it lifts a sin α without drag, at the quarter', () => {
    for (const degrees of [-4, -2, 0, 3, 8]) {
      const { lift, drag, behindQuarter } = at(degrees);
      expectWithin(lift + 1, SLOPE * Math.sin(radiansFromDegrees(degrees)) + 1, 1e-12);
      expect(Math.abs(drag)).toBeLessThan(1e-12);
      expect(behindQuarter).toBe(0);
    }
  });

  test('below and above it lifts as much as was measured, and no more until the separated plate lifts again', () => {
    const lifts = (from: number, to: number) => sweep(from, to).map((degrees) => at(degrees).lift);
    expectWithin(Math.max(...lifts(0, 22)), 1.1, 2e-3);
    expectWithin(Math.min(...lifts(-20, 0)), -0.7, 2e-3);
  });

  test('wholly separated its normal force is a quarter: (π/2) sin α for a = 2π', () => {
    const thin = stallingSection(2 * Math.PI, { above: 1, below: 1 }, 6);
    const angle = radiansFromDegrees(20);
    const { lift, drag } = sectionLoads(thin, angle, 0);
    expectWithin(lift * Math.cos(angle) + drag * Math.sin(angle), (Math.PI / 2) * Math.sin(angle), 1e-9);
    // No suction: the force stands square on the chord.
    expectWithin(drag / lift, Math.tan(angle), 1e-9);
  });

  test('square to the wind a plate: 1.98 when endless, 1.11 + 0.018 A when not, at half its chord', () => {
    const endless = stallingSection(SLOPE, { above: 1, below: 1 }, 48);
    const quarter = radiansFromDegrees(90);
    expectWithin(sectionLoads(endless, quarter, 0).drag, 1.11 + 0.018 * 48, 1e-9);
    expectWithin(at(90).drag, 1.11 + 0.018 * 6, 1e-9);
    expect(Math.abs(at(90).lift)).toBeLessThan(1e-9);
    expectWithin(at(90).behindQuarter, 0.25, 1e-9);
    expectWithin(at(-90).drag, at(90).drag, 1e-9);
  });

  test('nothing jumps from −180° to 180° but the reversed nose, and drag is never negative', () => {
    let before = at(-89.9);
    for (const degrees of sweep(-89.8, 89.9)) {
      const now = at(degrees);
      expect(Math.abs(now.lift - before.lift)).toBeLessThan(0.05);
      expect(Math.abs(now.drag - before.drag)).toBeLessThan(0.05);
      expect(now.drag).toBeGreaterThan(-1e-9);
      before = now;
    }
    for (const degrees of [-170, -120, 120, 170]) expect(at(degrees).drag).toBeGreaterThan(0);
  });
});
