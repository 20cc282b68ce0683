import { describe, expect, test } from 'vitest';
import { withFields } from '@/core/2-document/edit/withFields';
import { analyse } from '@/core/analyse';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { said } from '#/tests/matchers';

const tailAt = (x: number, z: number) =>
  withFields(demoDesign('lagoon-postman'), [
    { field: '/surfaces/tailplane/position/x', value: x },
    { field: '/surfaces/tailplane/position/z', value: z },
  ]);
const WING = { x: 190, z: 34 };
const pitchAt = (x: number, z: number) => analyse(tailAt(x, z), { without: ['remedies'] }).pitch;

describe('surfaces that lie in one another', () => {
  test.each([
    [10, 0],
    [40, 0],
    [60, 1],
    [120, 0],
    [150, 2],
  ])('a tail %i mm behind the nose of the wing and %i mm above it: a reason with the place, no number', (aft, up) => {
    const pitch = pitchAt(WING.x + aft, WING.z + up);
    for (const key of ['neutralPoint', 'staticMargin', 'liftSlope'] as const) {
      expect(pitch[key]).toBeNull();
      expect(said(pitch.reasons[key])).toMatch(
        /(Wing and Tailplane|Tailplane and Wing) lie in one another|turned by more/,
      );
      expect(said(pitch.reasons[key])).toMatch(/[Mm]ove one of them/);
    }
  });

  test('apart by a few centimetres the numbers are back, and lie where the parts are', () => {
    const pitch = pitchAt(WING.x + 40, WING.z + 60);
    expect(pitch.neutralPoint!).toBeGreaterThan(0.19);
    expect(pitch.neutralPoint!).toBeLessThan(0.36);
    expect(Math.abs(pitch.staticMargin!)).toBeLessThan(0.5);
  });

  test('two fins in one place say nothing of yaw, and leave pitch alone', () => {
    const design = demoDesign('lagoon-postman');
    const fin = design.surfaces.find(({ role }) => role === 'fin')!;
    const twice = {
      ...design,
      surfaces: [...design.surfaces, { ...fin, id: 'second', name: 'Second fin', controls: [] }],
    };
    const { pitch, lateral } = analyse(twice, { without: ['remedies'] });
    expect(lateral.yawStiffness).toBeNull();
    expect(said(lateral.reasons['yawStiffness'])).toMatch(/Fin.*Second fin|Second fin.*Fin/);
    expect(pitch.neutralPoint).toBeCloseTo(analyse(design, { without: ['remedies'] }).pitch.neutralPoint!, 3);
  });

  test.each(DEMO_NAMES)('%s is believed on every usual lattice', (name) => {
    for (const grid of [{ strips: 6, chordwise: 3 }, { strips: 12, chordwise: 4 }, undefined])
      expect(analyse(demoDesign(name), { grid, without: ['remedies', 'findings'] }).pitch.neutralPoint).not.toBeNull();
  });
});
