import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin, said } from '#/tests/matchers';
import type { Design } from '@/core/2-document/schema/design';
import { buildOrder } from '@/core/4-parts/build/buildOrder';
import { cutListOf } from '@/core/4-parts/cutList';
import { numbersOf } from '@/core/6-groups/solve';
import { builtAngle } from '@/core/7-verdict/rules/builtAngle';
import { leftRight } from '@/core/7-verdict/rules/leftRight';
import { type Gate, gatesOf, readingAt, withReading } from './gates';
import { judgeGates } from './judgeGate';

const design = demoDesign('lagoon-postman');
const gateOf = (of: Design, step: string): Gate => gatesOf(of).find((gate) => gate.step === step)!;
const read = (of: Design, gate: Gate, left: number, right = left): Design =>
  gate.sides.length === 1
    ? withReading(of, gate, 'right', right)
    : withReading(withReading(of, gate, 'left', left), gate, 'right', right);
const judgedAt = (of: Design, gate: Gate) => judgeGates(of, [gate])[0]!;
const severity = (rule: typeof builtAngle, of: Design) => rule.check(of, numbersOf(of))?.severity ?? 'none';

describe('gates of a build', () => {
  test.each(DEMO_NAMES)('%s: every gate is a step of its order, and is what is to be read as drawn', (name) => {
    const own = demoDesign(name);
    const steps = new Set(buildOrder(own, cutListOf(own)).map(({ id }) => id));
    for (const gate of gatesOf(own)) {
      expect(steps, gate.step).toContain(gate.step);
      expect(steps, gate.glue).toContain(gate.glue);
      // Read as it is to be read, it is built as drawn.
      const built = read(own, gate, gate.expected);
      for (const side of gate.sides) expect(readingAt(built, gate, side)!).toBeCloseTo(gate.expected, 2);
      const surface = built.surfaces.find(({ id }) => id === gate.part);
      if (gate.quantity === 'incidence') expect(surface!.asBuilt!.left!.incidence).toBeCloseTo(surface!.incidence, 2);
    }
  });

  test('a reading is set and taken away, one side at a time, and leaves nothing behind', () => {
    const gate = gateOf(design, 'wing-mount-gate');
    const one = withReading(design, gate, 'left', gate.expected + 1);
    expect(readingAt(one, gate, 'left')).toBeCloseTo(gate.expected + 1, 2);
    expect(readingAt(one, gate, 'right')).toBeUndefined();
    const none = withReading(one, gate, 'left', undefined);
    expect(none.surfaces.find(({ id }) => id === 'wing')!.asBuilt).toBeUndefined();
  });
});

describe('what a reading means', () => {
  const gate = gateOf(design, 'wing-mount-gate');
  const { bears, apart } = judgedAt(design, gate);
  const [least, most] = bears!;

  test('nobody has read it: open, with what it bears about the drawing', () => {
    const open = judgedAt(design, gate);
    expect(open.state).toBe('open');
    expect(said(open.words)).toMatch(/^To be read: .*it bears readings from/);
    expect(least).toBeLessThan(gate.expected);
    expect(most).toBeGreaterThan(gate.expected);
    expect(judgedAt(withReading(design, gate, 'left', gate.expected), gate).state).toBe('open');
  });

  test('what passes is no finding, what does not is one: both go by what the error does', () => {
    for (const [reading, state, told] of [
      [gate.expected, 'ok', /none|note/],
      [most - 0.05, 'ok', /none|note/],
      [most + 0.2, 'shim', /caution/],
      [least + 0.05, 'ok', /none|note/],
      [least - 0.2, 'shim', /caution/],
    ] as const) {
      const built = read(design, gate, reading);
      expect(judgedAt(built, gate).state, `${reading}`).toBe(state);
      expect(severity(builtAngle, built), `${reading}`).toMatch(told);
    }
  });

  test('the shim that is asked for sets it right: chord times tangent, under the edge that has to rise', () => {
    const built = read(design, gate, most + 0.6);
    const { shims, words } = judgedAt(built, gate);
    expect(shims.map(({ side, edge }) => [side, edge])).toEqual([
      ['left', 'trailing'],
      ['right', 'trailing'],
    ]);
    const turn = most + 0.6 - gate.expected;
    expectWithin(shims[0]!.thickness, gate.chord! * Math.tan((turn * Math.PI) / 180), 1e-3);
    expect(said(words)).toMatch(/^Not yet: .* mm under the trailing edge on the left/);
    expect(judgedAt(read(built, gate, shims[0]!.reads, shims[1]!.reads), gate).state).toBe('ok');
  });

  test('left and right: as far apart as the roll they ask for is held, and no farther', () => {
    const wide = apart![1];
    expectWithin(-apart![0], wide, 0.05);
    const at = (difference: number) =>
      read(design, gate, gate.expected - difference / 2, gate.expected + difference / 2);
    expect(judgedAt(at(wide - 0.05), gate).state).toBe('ok');
    expect(severity(leftRight, at(wide - 0.05))).toMatch(/none|note/);
    expect(judgedAt(at(wide + 0.1), gate).state).toBe('shim');
    expect(severity(leftRight, at(wide + 0.25))).toMatch(/caution|stop/);
  });

  test('errors of several joints are judged together: a tail that is off moves what the wing bears, or leaves nothing', () => {
    const tail =
      gateOf(design, 'tailplane-mount-gate') ??
      gatesOf(design).find((one) => one.quantity === 'incidence' && one.part !== 'wing')!;
    const off = 0.6 * (judgedAt(design, tail).bears![1] - tail.expected);
    const moved = judgedAt(read(design, tail, tail.expected + off), gate).bears!;
    // Tail and wing both nose up stand to one another as before.
    expect(moved[0]).toBeGreaterThan(least);
    expect(moved[1]).toBeGreaterThan(most);
    const far = judgedAt(read(read(design, tail, tail.expected + 14), gate, gate.expected), gate);
    expect(far.state).not.toBe('ok');
  });

  test('what no shim mends stops: a seat that is far off, a body that is turned', () => {
    const far = judgedAt(read(design, gate, gate.expected + 6), gate);
    expect(far.state).toBe('stop');
    expect(said(far.words)).toMatch(/^Stop: .* 6\.0° off/);
    const square = gatesOf(design).find(({ quantity }) => quantity === 'square')!;
    expect(judgedAt(read(design, square, 0, 0), square).state).toBe('ok');
    const turned = judgedAt(read(design, square, 14, 14), square);
    expect(turned.state).toBe('stop');
    expect(said(turned.words)).toMatch(/the tail is turned by 14/);
  });

  test('a tip that is blocked up too far is let down, left and right each by its own', () => {
    const own = demoDesign('atoll-freighter');
    const tips = gateOf(own, 'wing-twist');
    expect(judgedAt(read(own, tips, tips.expected), tips).state).toBe('ok');
    const { state, shims } = judgedAt(read(own, tips, tips.expected + 2, tips.expected + 1.5), tips);
    expect(state).toBe('shim');
    // Too much washout: the nose of the tip has to rise.
    expect(shims.map(({ edge }) => edge)).toEqual(['leading', 'leading']);
    expect(shims[0]!.thickness).toBeGreaterThan(shims[1]!.thickness);
  });
});
