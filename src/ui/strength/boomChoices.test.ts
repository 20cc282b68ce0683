import { expect, test } from 'vitest';
import { boomChoices } from './boomChoices';

const boom = (body: string, isAft: boolean, pitchFactor: number, yawFactor: number | null = null) => ({
  body,
  isAft,
  pitchFactor,
  yawFactor,
});
const names = (booms: Parameters<typeof boomChoices>[0]) => boomChoices(booms).map(({ name }) => name);

test('one boom needs no name of its own; of several the softest comes first, and none is called as another', () => {
  expect(names([boom('Fuselage', true, 0.9)])).toEqual(['Boom']);
  expect(names([boom('Left boom', true, 0.97), boom('Fuselage', true, 0.99, 0.8)])).toEqual(['Fuselage', 'Left boom']);
  const both = boomChoices([boom('Fuselage', true, 0.9), boom('Fuselage', false, 0.7)]);
  expect(both.map(({ name }) => name)).toEqual(['Fuselage, ahead', 'Fuselage, aft']);
  expect(new Set(both.map(({ id }) => id)).size).toBe(2);
  expect(boomChoices([])).toEqual([]);
});
