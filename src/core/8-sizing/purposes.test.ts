import { describe, expect, test } from 'vitest';
import { analyse } from '@/core/analyse';
import { materialSchema } from '@/core/2-document/schema/airframe';
import { type Design, designSchema, flightConditionsSchema } from '@/core/2-document/schema/design';
import { type Brief, briefSchema } from '@/core/2-document/schema/brief';
import { BOARDS } from '@/core/2-document/catalogue/boards';
import { RECIPES } from './recipe';
import { sizeDesign } from './sizeDesign';
import { sentence } from '@/words/formatQuantity';

const conditions = flightConditionsSchema.parse({});
const board = materialSchema.parse({ id: 'board5', thickness: 5, arealDensity: 410 });
const PURPOSES = Object.keys(RECIPES) as Brief['purpose'][];

const size = (
  purpose: Brief['purpose'],
  index: number,
  more: Partial<Brief> = {},
  materials = [board],
  where = conditions,
) =>
  sizeDesign({
    recipe: RECIPES[purpose][index]!,
    brief: briefSchema.parse({ purpose, ...more }),
    conditions: where,
    materials,
  });

/** In whole steps of 5 mm, without a caution, with at most one note, and flown without a hand on the stick. */
function expectFlownHandsOff(design: Design, name: string): void {
  const { findings, rigging, stall, reference } = analyse(design, { without: ['remedies', 'workings'] });
  const span = reference.span! * 1000;
  expect(Math.abs(span - 5 * Math.round(span / 5)), `span of ${name}`).toBeLessThan(0.25);
  for (const { stations } of design.surfaces) for (const { chord } of stations) expect(chord % 5, name).toBe(0);
  const told = findings.map(({ id, severity, message }) => `${severity} ${id}: ${sentence(message)}`);
  expect(
    told.filter((line) => !line.startsWith('note')),
    name,
  ).toEqual([]);
  // What only bends or breaks so far in the steepest dive is said beside.
  const notes = told.filter((line) => !/^note (turnsRound|flexUnsettles|breaksInFlight)/.test(line));
  expect(notes.length, told.join('\n')).toBeLessThan(2);
  expect(rigging.handsOffLift!, name).toBeGreaterThan(0.1);
  expect(rigging.handsOffLift!, name).toBeLessThan(0.8 * stall.liftCoefficient!);
}

describe('whatever the brief says', () => {
  test.each(PURPOSES)(
    '%s: three layouts that can be drawn, weighed, balanced and flown hands off, without a caution',
    (purpose) => {
      for (const index of [0, 1, 2]) {
        const result = size(purpose, index);
        if (result.kind === 'impossible') throw new Error(sentence(result.because));
        const { design, analysis, targets } = result.candidate;
        const name = `${purpose}: ${design.name}`;
        expect(designSchema.parse(design), name).toEqual(design);
        expect(analysis.mass.total, name).toBeGreaterThan(0);
        expect(analysis.speeds.stall! / targets.stallSpeed, name).toBeGreaterThan(0.85);
        expect(analysis.speeds.stall! / targets.stallSpeed, name).toBeLessThan(1.15);
        const { forward, aft } = analysis.window;
        expect(analysis.mass.cg![0], name).toBeLessThan(aft! + 0.002);
        expect(analysis.mass.cg![0], name).toBeGreaterThan(forward! - 0.01);
        expectFlownHandsOff(design, name);
      }
    },
  );

  test.each(['hand', 'wheels', 'bungee'] as const)('launched by %s, a trainer has what that takes', (launch) => {
    const result = size('train', 0, { launch });
    if (result.kind !== 'sized') throw new Error(sentence(result.because));
    const { design } = result.candidate;
    expect(design.brief.launch).toBe(launch);
    expect(design.massItems.some(({ category }) => category === 'undercarriage')).toBe(launch === 'wheels');
  });

  test('a span limit is kept, a payload is carried, and heavier boards need more wing', () => {
    const narrow = size('train', 0, { maximumSpan: 800 });
    const loaded = size('payload', 0, { payloadMass: 200 });
    if (narrow.kind !== 'sized' || loaded.kind !== 'sized') throw new Error('not sized');
    expect(narrow.candidate.analysis.reference.span!).toBeLessThanOrEqual(0.802);
    expect(loaded.candidate.design.massItems.find(({ category }) => category === 'payload')!.mass).toBe(200);
    const area = (id: string) => {
      const result = size('float', 0, {}, [BOARDS.find((sheet) => sheet.id === id)!]);
      return result.kind === 'sized' ? result.candidate.analysis.mass.total! : Infinity;
    };
    expect(area('bare5')).toBeLessThan(area('faced5'));
  });

  test('thin air asks for more wing at the same stall', () => {
    const high = flightConditionsSchema.parse({ elevation: 3000 });
    const [low, up] = [size('train', 0), size('train', 0, {}, [board], high)];
    if (low.kind !== 'sized' || up.kind !== 'sized') throw new Error('not sized');
    expect(up.candidate.analysis.mass.wingLoading!).toBeLessThan(low.candidate.analysis.mass.wingLoading!);
  });

  test('a sized trainer, started from, stops for nothing', () => {
    const result = size('train', 0);
    if (result.kind !== 'sized') throw new Error(sentence(result.because));
    const { findings } = analyse(result.candidate.design, { without: ['remedies'] });
    expect(findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });

  test('without any board the usual one is taken', () => {
    const result = size('train', 0, {}, []);
    expect(result.kind).toBe('sized');
    if (result.kind === 'sized') expect(result.candidate.design.materials).toHaveLength(1);
  });
});

test('on a ruler in inches spans and chords are whole eighths', () => {
  const step = 25.4 / 8;
  const [recipe] = RECIPES.train;
  const sized = sizeDesign({
    recipe: recipe!,
    brief: briefSchema.parse({ purpose: 'train' }),
    conditions: flightConditionsSchema.parse({}),
    materials: [board],
    step,
  });
  if (sized.kind !== 'sized') throw new Error(sentence(sized.because));
  const { design } = sized.candidate;
  const off = (length: number) => Math.abs(length / step - Math.round(length / step));
  expect(off(analyse(design, { without: ['remedies', 'workings'] }).reference.span! * 1000)).toBeLessThan(0.01);
  for (const { stations } of design.surfaces) for (const { chord } of stations) expect(off(chord)).toBeLessThan(0.001);
});
