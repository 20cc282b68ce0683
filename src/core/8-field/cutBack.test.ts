import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { designSchema } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';
import { cutBack, cutBackRow, cutTargets, goodBand } from './cutBack';

const design = demoDesign('lagoon-postman');
const fin = cutTargets(design).find(({ what }) => what === 'fin')!;
const tips = cutTargets(design).find(({ what }) => what === 'tips')!;

test('there are a fin, tips and every control to cut back', () => {
  expect(cutTargets(design).map(({ what }) => what)).toEqual(['fin', 'tips', 'throw', 'throw', 'throw']);
});

test('clipped tips take span, area and weight of the geometry: a trapezium to its last digit', () => {
  const wing = design.surfaces.find(({ id }) => id === tips.of)!;
  const [root, tip] = [wing.stations[0]!, wing.stations.at(-1)!];
  const cut = cutBack(design, tips, 0.9)!;
  const own = cut.surfaces.find(({ id }) => id === tips.of)!;
  expect(own.stations.at(-1)!.distanceFromRoot).toBeCloseTo(0.9 * tip.distanceFromRoot, 9);
  if (wing.stations.length === 2)
    expect(own.stations.at(-1)!.chord).toBeCloseTo(root.chord + 0.9 * (tip.chord - root.chord), 9);
  // What a control spans stays where it is on the wing.
  own.controls.forEach((control, index) => {
    const before = wing.controls[index]!;
    expect(control.from * 0.9).toBeCloseTo(before.from, 9);
    expect(Math.min(control.to * 0.9, 0.9)).toBeCloseTo(Math.min(before.to, 0.9), 9);
  });
  for (const { end } of own.spars) expect(end.distanceFromRoot).toBeLessThanOrEqual(0.9 * tip.distanceFromRoot + 1e-9);
  expect(designSchema.safeParse(cut).success).toBe(true);
  const [whole, clipped] = [numbersOf(design), numbersOf(cut)];
  expect(clipped.mass.total!).toBeLessThan(whole.mass.total!);
  expectWithin(clipped.reference.span! / whole.reference.span!, 0.9, 0.01);
  expect(clipped.speeds.stall!).toBeGreaterThan(whole.speeds.stall!);
});

test('what was weighed weighs less by as much as it is smaller', () => {
  const weighed = {
    ...design,
    surfaces: design.surfaces.map((one) => (one.id === fin.of ? { ...one, measuredMass: 12 } : one)),
  };
  const own = cutBack(weighed, fin, 0.5)!.surfaces.find(({ id }) => id === fin.of)!;
  const [root, tip] = design.surfaces.find(({ id }) => id === fin.of)!.stations.map(({ chord }) => chord);
  const middle = (root! + tip!) / 2;
  expectWithin(own.measuredMass!, (12 * ((root! + middle) / 2) * 0.5) / middle, 1e-9);
});

test('a fin that is cut turns into the wind less with every step; a throw does as much less as it is less', () => {
  const row = cutBackRow(design, fin, [1, 0.9, 0.8, 0.7]);
  const stiffness = row.map((step) => step!.yawStiffness!);
  expect(stiffness.toSorted((a, b) => b - a)).toEqual(stiffness);
  expect(stiffness[3]!).toBeLessThan(0.9 * stiffness[0]!);
  expect(row[3]!.neutralPoint).toBeCloseTo(row[0]!.neutralPoint!, 4);
  const less = cutBack(
    design,
    cutTargets(design).find(({ what }) => what === 'throw')!,
    0.5,
  )!;
  const [before, after] = [design, less].map(({ surfaces }) => surfaces.flatMap(({ controls }) => controls)[0]!);
  expect(after!.throwUp).toBeCloseTo(before!.throwUp / 2, 9);
});

test('a cut that takes a whole control is no step', () => {
  const outer = {
    ...design,
    surfaces: design.surfaces.map((one) =>
      one.id === tips.of
        ? { ...one, controls: one.controls.map((control) => ({ ...control, from: 0.8, to: 0.95 })) }
        : one,
    ),
  };
  expect(cutBack(outer, tips, 0.7)).toBeNull();
  expect(cutBackRow(outer, tips, [0.9, 0.7])[1]).toBeNull();
});

test('a row is good down to the step before the first that was worse; one that nobody flew says nothing', () => {
  const row = (...verdicts: string[]) => verdicts.map((verdict, index) => ({ share: 0.9 - 0.1 * index, verdict }));
  const worse = goodBand(row('same', 'better', 'worse', 'unknown'));
  expect(worse).toMatchObject({ least: 0.8, open: 0 });
  expect(worse.worse).toBeCloseTo(0.7, 9);
  expect(goodBand(row('unknown', 'same', 'unknown'))).toEqual({ least: 0.8, worse: null, open: 2 });
  expect(goodBand(row('worse', 'better'))).toEqual({ least: 1, worse: 0.9, open: 0 });
});
