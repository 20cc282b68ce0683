import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { said } from '#/tests/matchers';
import type { Side } from './gates';
import { angleOfTravel, edgeTravel, judgeThrow, throwGates, throwId, type ThrowGate, type Way } from './throws';

const gate: ThrowGate = {
  surface: 'wing',
  control: 'ailerons',
  name: 'Ailerons',
  sides: ['left', 'right'],
  called: { up: 'up', down: 'down' },
  drawn: { up: 20, down: 10 },
  chord: 50,
  horn: 12,
};
const reads = (values: Partial<Record<`${Side} ${Way}`, number>>) => (side: Side, way: Way) => values[`${side} ${way}`];
const judged = (values: Partial<Record<`${Side} ${Way}`, number>>, of = gate) => judgeThrow(of, reads(values));
const RIGHT = { 'left up': 20, 'left down': 10, 'right up': 20, 'right down': 10 };

describe('travels of controls', () => {
  test.each(DEMO_NAMES)('%s: every control is asked for once, with its own chord', (name) => {
    const design = demoDesign(name);
    const gates = throwGates(design);
    expect(gates.map(({ control }) => control)).toEqual(
      design.surfaces.flatMap(({ controls }) => controls.map(({ id }) => id)),
    );
    const ids = gates.flatMap((one) => one.sides.map((side) => throwId(one, side, 'up')));
    expect(new Set(ids).size).toBe(ids.length);
    for (const { chord } of gates) expect(chord).toBeGreaterThan(5);
  });

  test('a rudder goes left and right', () => {
    const rudder = throwGates(demoDesign('lagoon-postman')).find(({ name }) => name === 'Rudder')!;
    expect(said(judgeThrow(rudder, () => undefined).words)).toMatch(/left 25°, right 25°\.$/);
    expect(said(judgeThrow(rudder, (_, way) => (way === 'up' ? 12 : undefined)).words)).toMatch(
      /^Left it travels 12\.0°/,
    );
  });

  test('at the edge a travel is a length: chord times sine, and back', () => {
    expect(edgeTravel(gate, 30)).toBeCloseTo(25, 12);
    expect(angleOfTravel(gate, 25)).toBeCloseTo(30, 12);
    expect(angleOfTravel(gate, 51)).toBeNull();
  });

  test('read right it is right; half read it is open', () => {
    expect(judged(RIGHT).state).toBe('ok');
    expect(said(judged(RIGHT).words)).toBe('Right as it is: up 20°, down 10°.');
    expect(judged({ 'left up': 20.9 }).state).toBe('open');
    expect(said(judged({}).words)).toMatch(/^To be read with full stick: up 20°, down 10°/);
  });

  test('too little on one side: the pushrod comes nearer to the hinge by its share of the horn', () => {
    // Three quarters of both: 12 mm to 9.
    const { state, words } = judged({ ...RIGHT, 'left up': 15, 'left down': 7.5 });
    expect(state).toBe('reset');
    expect(said(words)).toMatch(/^Up on the left it travels 15\.0° instead of 20\.0°: move the pushrod 3\.0 mm nearer/);
    expect(said(judged({ ...RIGHT, 'right up': 25, 'right down': 12.5 }).words)).toMatch(
      /3\.0 mm farther from the hinge/,
    );
    expect(said(judged({ 'right up': 30 }, { ...gate, horn: null }).words)).toMatch(/move the pushrod farther from/);
  });

  test('more one way and less the other is the length of the rod; left and right alike within a degree', () => {
    expect(said(judged({ ...RIGHT, 'left up': 17, 'left down': 13 }).words)).toMatch(/set the length of the pushrod/);
    const apart = judged({ ...RIGHT, 'left up': 19.2, 'right up': 20.8 });
    expect(apart.state).toBe('reset');
    expect(said(apart.words)).toMatch(/^Left and right travel 1\.6° apart/);
    expect(judged({ 'right up': 20, 'right down': 10 }, { ...gate, sides: ['right'] }).state).toBe('ok');
  });
});
