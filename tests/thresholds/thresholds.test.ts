import { describe, expect, test } from 'vitest';
import { analyse } from '@/core/analyse';
import type { Rule } from '@/core/7-verdict/rule';
import { RULES } from '@/core/7-verdict/rules';
import { FUNCTION_PINS } from './functionPins';
import { constantsIn, mutantOf, type ThresholdConstant } from './mutants';
import { base } from './fixtures';
import { RULE_PINS, type Overrides, type RuleCase } from './rulePins';

const real = analyse(base, { without: ['remedies'] });

/** The real numbers with some put in place of them. */
function withNumbers(overrides: Overrides = {}) {
  const replaced = Object.entries(overrides).map(([group, numbers]) => [
    group,
    Array.isArray(numbers) ? numbers : { ...(real[group as keyof typeof real] as object | null), ...numbers },
  ]);
  return { ...real, ...Object.fromEntries(replaced) } as Parameters<Rule['check']>[1];
}

function outcomeOf(rule: Rule, { design = base, numbers, look }: RuleCase) {
  const finding = rule.check(design, withNumbers(numbers));
  return look ? look(finding) : (finding?.severity ?? null);
}

const fileOf = (rule: string) => `src/core/7-verdict/rules/${rule}.ts`;

/** Bounds of a rule that live in a module which others use too. */
const ELSEWHERE: Readonly<Record<string, readonly (readonly [string, string])[]>> = {
  contourUnusable: ['LEAST_CHORD', 'LEAST_THICKNESS', 'MOST_THICKNESS', 'MOST_CAMBER', 'CROSSING'].map(
    (name) => ['src/core/3-shape/section/kinds/coordinates.ts', name] as const,
  ),
  builtAngle: [
    ['src/core/7-verdict/rules/builtErrors.ts', 'WORTH_A_WORD'],
    ['src/core/7-verdict/rules/builtErrors.ts', 'LEAST_MARGIN'],
  ],
  elevatorAtStop: [['src/core/7-verdict/changes.ts', 'LEAST_TRAVEL']],
  fastForLaunch: [
    ['src/core/6-groups/ceilings/launchSpeed.ts', 'BARE_ARM'],
    ['src/core/6-groups/ceilings/launchSpeed.ts', 'HEAVIEST_THROW'],
    ['src/core/6-groups/ceilings/briefTargets.ts', 'LAUNCH_OVER_STALL'],
  ],
  hingeRub: [['src/core/3-shape/geometry/hingeClearance.ts', 'LEAST_GAP']],
  overCeiling: [
    ['src/core/6-groups/ceilings/ceilingInput.ts', 'THRUST_OVER_MOTOR'],
    ['src/core/6-groups/ceilings/massCeiling.ts', 'CLIMB'],
    ['src/core/6-groups/ceilings/massCeiling.ts', 'THRUST_KEPT'],
  ],
  pitchFloor: [['src/core/6-groups/speeds/speeds.ts', 'APPROACH_OVER_STALL']],
  sparMisplaced: [['src/core/3-shape/pattern/sparPlace.ts', 'MOST_OFF_THICKEST']],
  spiralDive: [['src/core/6-groups/motion/verdicts.ts', 'FAST_SPIRAL']],
  thrustLine: [['src/core/7-verdict/changes.ts', 'LEAST_TRAVEL']],
  undercarriagePlace: [['src/core/4-weight/undercarriage.ts', 'TIP_BACK']],
  wallows: [['src/core/6-groups/motion/verdicts.ts', 'MANY_SWINGS']],
};

/** Constants that judge nothing: where in the window a remedy aims. */
const AIMS = new Set(['AIM']);

interface Mutant {
  readonly constant: ThresholdConstant;
  readonly factor: number;
  readonly subject: string;
  /** Places at which the module says something else than it should. */
  readonly broken: (module: Record<string, unknown>) => number;
}

const FACTORS = [0.9, 1.1];

function mutantsOf(subject: string, constants: readonly ThresholdConstant[], broken: Mutant['broken']): Mutant[] {
  return constants
    .filter(({ name }) => !AIMS.has(name))
    .flatMap((constant) => FACTORS.map((factor) => ({ constant, factor, subject, broken })));
}

const ruleMutants = RULES.flatMap(({ id }) => {
  const elsewhere = (ELSEWHERE[id] ?? []).flatMap(([file, name]) =>
    constantsIn(file).filter((constant) => constant.name === name),
  );
  const broken = (module: Record<string, unknown>) =>
    RULE_PINS[id]!.filter((pin) => outcomeOf(module[id] as Rule, pin) !== pin.is).length;
  return mutantsOf(fileOf(id), [...constantsIn(fileOf(id)), ...elsewhere], broken);
});
const functionMutants = FUNCTION_PINS.flatMap(({ file, constants, cases }) =>
  mutantsOf(
    file,
    constantsIn(file).filter(({ name }) => constants.includes(name)),
    (module) => cases.filter(({ is, of }) => of(module as never) !== is).length,
  ),
);

describe('bounds as their sources give them', () => {
  test('every rule has its places', () => {
    expect(Object.keys(RULE_PINS).sort()).toEqual(RULES.map(({ id }) => id).sort());
    for (const [id, pins] of Object.entries(RULE_PINS))
      expect(new Set(pins.map(({ is }) => is)).size, `${id} says different things`).toBeGreaterThan(1);
  });

  test.each(RULES.map((rule) => [rule.id, rule] as const))('%s', (id, rule) => {
    expect(RULE_PINS[id]!.map((pin) => outcomeOf(rule, pin))).toEqual(RULE_PINS[id]!.map(({ is }) => is));
  });

  test.each(FUNCTION_PINS.map((pins) => [pins.file, pins] as const))('%s', async (file, { cases }) => {
    const module = (await import(/* @vite-ignore */ `/${file}`)) as never;
    expect(cases.map(({ of }) => of(module))).toEqual(cases.map(({ is }) => is));
  });
});

describe('a bound a tenth off breaks one of them', () => {
  test('the constants are found', () => {
    expect(ruleMutants.length).toBeGreaterThan(120);
    expect(functionMutants.length).toBeGreaterThan(80);
  });

  test.each(
    [...ruleMutants, ...functionMutants].map(
      (mutant) =>
        [`${mutant.constant.file} ${mutant.constant.name} ${mutant.constant.text} × ${mutant.factor}`, mutant] as const,
    ),
  )('%s', async (_, { subject, constant, factor, broken }) => {
    expect(broken(await mutantOf(subject, constant, factor))).toBeGreaterThan(0);
  });
});
