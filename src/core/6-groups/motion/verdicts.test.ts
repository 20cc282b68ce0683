import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { analyse } from '@/core/analyse';
import type { Analysis } from '@/core/analyse';
import type { Mode } from './linearModes';
import { verdicts } from './verdicts';

const calm = analyse(demoDesign('lagoon-postman'), { without: ['remedies'] });
const mode = (kind: Mode['kind'], more: Partial<Mode>): Mode => ({
  kind,
  real: -1,
  imaginary: 0,
  period: null,
  timeToHalf: 1,
  grows: false,
  ...more,
});
const words = (change: { yaw?: number; roll?: number; lateral?: Mode[]; longitudinal?: Mode[]; margin?: number }) =>
  verdicts({
    lateral: { ...calm.lateral, yawStiffnessInWind: change.yaw ?? 0.06, dihedralEffect: change.roll ?? -0.05 },
    motion: { lateral: change.lateral ?? [], longitudinal: change.longitudinal ?? [], reasons: {} },
    pitch: { ...calm.pitch, staticMargin: change.margin ?? 0.1 },
  } as Pick<Analysis, 'lateral' | 'motion' | 'pitch'>);

test('a trainer tracks, settles and says why', () => {
  const list = verdicts(analyse(demoDesign('polly-drift'), { without: ['remedies'] }));
  expect(list.map(({ about }) => about)).toEqual(
    expect.arrayContaining(['yaw', 'roll', 'bank', 'wag', 'nose', 'speed']),
  );
  expect(list.find(({ about }) => about === 'yaw')).toMatchObject({ word: 'tracks', isGood: true });
  expect(list.map(({ because }) => because).join()).not.toMatch(/NaN|null|undefined/);
});

test.each([
  [{ yaw: -0.01 }, 'yaw', 'turns away from its path', false],
  [{ yaw: 0.02 }, 'yaw', 'wanders', false],
  [{ roll: 0.02 }, 'roll', 'rolls further into a slip', false],
  [{ lateral: [mode('spiral', { grows: true, timeToHalf: 2 })] }, 'bank', 'spirals in', false],
  [{ lateral: [mode('spiral', { grows: true, timeToHalf: 12 })] }, 'bank', 'winds in slowly', true],
  [{ lateral: [mode('spiral', { grows: false, timeToHalf: 4 })] }, 'bank', 'rolls level by itself', true],
  [{ lateral: [mode('spiral', { timeToHalf: null })] }, 'bank', 'keeps its bank', true],
  [{ lateral: [mode('dutchRoll', { period: 1, timeToHalf: 5 })] }, 'wag', 'wallows', false],
  [{ lateral: [mode('dutchRoll', { period: 1, timeToHalf: 0.5 })] }, 'wag', 'settles at once', true],
  [{ longitudinal: [mode('slow', { grows: true, timeToHalf: 2 })], margin: -0.02 }, 'nose', 'departs', false],
  [{ longitudinal: [mode('slow', { grows: true, timeToHalf: 2 })] }, 'speed', 'runs away under power', false],
  [
    { longitudinal: [mode('slow', { grows: true, timeToHalf: 9 })] },
    'speed',
    'leaves its speed slowly under power',
    true,
  ],
] as const)('%j: %s %s', (change, about, word, isGood) => {
  expect(words(change as Parameters<typeof words>[0]).find((verdict) => verdict.about === about)).toMatchObject({
    word,
    isGood,
  });
});
