import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { flightSchema } from '@/core/2-document/records/recordKinds';
import { NO_FIGURES } from '@/core/2-document/schema/figures';
import { weightRows } from '@/core/4-weight/weightRows';
import { analyse } from '@/core/analyse';
import { numbersOf } from '@/core/6-groups/solve';
import { type Evidence, figuresOf, learned } from './evidence';
import { lessonOfWeights, lessonsOf } from './learn';
import { predictAt } from './predict';

const design = demoDesign('lagoon-postman');
const piece = (figure: Evidence['figure'], ratio: number, sigma: number, id = 'one'): Evidence => ({
  id,
  figure,
  ratio,
  sigma,
  from: 'Lagoon Postman',
  at: '2026-06-01T10:00:00Z',
});
const flight = (runs: object[]) => flightSchema.parse({ id: 'f', at: '2026-06-01T10:00:00Z', runs });

test('without evidence a figure is one with its prior; with it prior and evidence are weighed by their spreads', () => {
  expect(learned('greatestLift', [])).toEqual({ value: 1, sigma: 0.06, count: 0 });
  const { value, sigma } = learned('greatestLift', [piece('greatestLift', 0.8, 0.04), piece('drag', 2, 0.01)]);
  const [prior, own] = [1 / 0.06 ** 2, 1 / (0.04 ** 2 + 0.03 ** 2)];
  expectWithin(value, (prior + 0.8 * own) / (prior + own), 1e-12);
  expectWithin(sigma, Math.sqrt(1 / (prior + own)), 1e-12);
  expect(figuresOf([])).toBeUndefined();
});

test('three stalls that are faster than told move the next stall speed by the learned factor; undone it is as before', () => {
  const told = numbersOf(design).speeds.stall!;
  const [lesson] = lessonsOf(design, [
    flight([1.1, 1.12, 1.08].map((times) => ({ kind: 'stall', speed: told * times }))),
  ]);
  expect(lesson).toMatchObject({ figure: 'greatestLift', readings: 3 });
  expect(lesson!.ratio).toBeGreaterThan(1 / 1.12 ** 2);
  expect(lesson!.ratio).toBeLessThan(1 / 1.08 ** 2);
  const figures = figuresOf([piece('greatestLift', lesson!.ratio, lesson!.sigma)])!;
  const other = demoDesign('reef-surveyor');
  const before = numbersOf(other).speeds.stall!;
  const after = analyse({ ...other, figures });
  expectWithin(after.speeds.stall!, before / Math.sqrt(figures.greatestLift), 0.01);
  expect(after.speeds.stall!).toBeGreaterThan(before);
  // It is shown where the number is explained.
  const working = after.workings.find(({ id }) => id === 'stallSpeed')!;
  expect(working.inputs.find(({ name }) => name.startsWith('Own figure'))?.value).toBe(figures.greatestLift);
  expect(numbersOf({ ...other, figures: undefined }).speeds.stall).toBe(before);
});

test('learned from an aircraft that already counts with it, it says the same again', () => {
  const truth = { ...design, figures: { ...NO_FIGURES, greatestLift: 0.85, drag: 1.2, boards: 1 } };
  const speed = 1.6 * numbersOf(truth).speeds.stall!;
  const at = predictAt(truth, speed, { boomsSofter: 1 });
  const runs = [
    { kind: 'stall', speed: at.stallSpeed },
    { kind: 'glide', speed, glideRatio: at.glideRatio },
  ];
  for (const from of [design, truth]) {
    const [lift, drag] = lessonsOf(from, [flight(runs)]);
    expectWithin(lift!.ratio, 0.85, 0.01);
    // Propellers at rest drag as they do.
    expectWithin(drag!.ratio, 1.2, 0.05);
  }
});

test('boards that come out heavier make the next aircraft heavier by what is cut of them alone', () => {
  const heavier = { ...design, figures: { ...NO_FIGURES, greatestLift: 1, drag: 1, boards: 1.1 } };
  const [plain, more] = [analyse(design), analyse(heavier)];
  const boards = plain.mass.parts.filter(({ kind }) => kind !== 'item').reduce((sum, { mass }) => sum + mass, 0);
  expectWithin(more.mass.total! - plain.mass.total!, 0.1 * boards, 1e-9);
  const weighed = {
    ...design,
    surfaces: design.surfaces.map((one, index) => (index === 0 ? { ...one, measuredMass: 160 } : one)),
  };
  const { parts } = analyse(weighed).mass;
  const [lesson] = lessonOfWeights(weighed, weightRows(weighed, parts));
  expectWithin(lesson!.ratio, 0.16 / parts.find(({ id }) => id === design.surfaces[0]!.id)!.computed, 1e-9);
  expect(lessonOfWeights(design, weightRows(design, plain.mass.parts))).toEqual([]);
});

test('drag is more by its figure in all that is not induced', () => {
  const [plain, more] = [design, { ...design, figures: { ...NO_FIGURES, greatestLift: 1, drag: 1.3, boards: 1 } }].map(
    (one) => numbersOf(one).drag,
  );
  expectWithin(more!.total! - more!.induced!, 1.3 * (plain!.total! - plain!.induced!), 0.03);
});
