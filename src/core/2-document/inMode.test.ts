import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { withFields } from './edit/withFields';
import { inMode } from './inMode';
import { readDesign } from './readDesign';
import type { Design } from './schema/design';

const base = simpleAircraft();
const modes = [
  {
    id: 'thermal',
    name: 'Thermal',
    neutrals: [{ control: 'elevator', angle: -3 }],
    mixes: [{ command: 'roll', terms: [{ control: 'aileron', left: 0.5, right: -0.5 }], drives: [] }],
  },
];
const flown = (mode: string | undefined, ...more: [string, unknown][]): Design =>
  withFields(base, [
    { field: '/modes', value: modes },
    { field: '/mode', value: mode },
    ...more.map(([field, value]) => ({ field, value })),
  ]);
const elevator = (design: Design) =>
  design.surfaces.flatMap(({ controls }) => controls).find(({ id }) => id === 'elevator')!;
const numbersOf = (design: Design) => analyse(design, { without: ['remedies', 'workings', 'bands'] });

describe('flight modes', () => {
  test('without one it is as drawn; with one neutrals and mixes are those of the mode', () => {
    expect(inMode(flown(undefined))).toEqual(flown(undefined));
    const thermal = inMode(flown('thermal'));
    expect(elevator(thermal).neutral).toBe(-3);
    expect(thermal.mixes).toEqual(modes[0]!.mixes);
  });

  test('the whole analysis flies in it: half the aileron, and the elevator trimmed by its neutral', () => {
    const [drawn, thermal] = [numbersOf(flown(undefined)), numbersOf(flown('thermal'))];
    expect(thermal.lateral.rollFromAileron! / drawn.lateral.rollFromAileron!).toBeCloseTo(0.5, 2);
    expect(thermal.trim.elevator! - drawn.trim.elevator!).toBeCloseTo((3 * Math.PI) / 180, 2);
  });

  test('what was measured off the drawn neutral is off that of the mode as well', () => {
    const asBuilt = { left: 1, right: -0.5 };
    const built = inMode(flown('thermal', ['/surfaces/tail/controls/elevator/asBuilt', asBuilt]));
    expect(elevator(built).asBuilt).toEqual({ left: -2, right: -3.5 });
  });

  test('a mode that is not there, and a control that is not, are refused with their place', () => {
    const issues = (design: Design) => {
      const read = readDesign(design);
      return read.ok ? [] : read.issues.map(({ path, message }) => `${path} ${message}`);
    };
    expect(issues(flown('speed')).join()).toMatch(/\/mode .*not among the flight modes/);
    const wrong = withFields(flown('thermal'), [{ field: '/modes/0/neutrals/0/control', value: 'kite' }]);
    expect(issues(wrong).join()).toMatch(/\/modes\/thermal\/neutrals|\/modes\/0\/neutrals/);
    const four = withFields(base, [{ field: '/modes', value: ['a', 'b', 'c', 'd'].map((id) => ({ id, name: id })) }]);
    expect(issues(four).join()).toMatch(/at most 3/);
  });
});
