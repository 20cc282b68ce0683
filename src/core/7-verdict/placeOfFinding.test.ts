import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { analyse } from '@/core/analyse';
import type { Finding } from './finding';
import { placeOfFinding, SUBJECTS } from './placeOfFinding';
import { RULES } from './rules';

const design = demoDesign('lagoon-postman');
const numbers = analyse(design, { without: ['remedies', 'bands'] });
const finding = (id: string, remedies: Finding['remedies'] = []): Finding => ({
  id,
  severity: 'caution',
  stage: 'wing',
  message: '',
  numbers: {},
  source: '',
  remedies,
});
const at = (id: string) => placeOfFinding(design, numbers, finding(id));

test('every rule says what it speaks of, and nothing else does', () => {
  expect(Object.keys(SUBJECTS).sort()).toEqual(RULES.map(({ id }) => id).sort());
});

test('what is found is pointed at where it is', () => {
  expect(at('balanceAft')!.x).toBeCloseTo(numbers.mass.cg![0] * 1000, 6);
  const tail = design.surfaces.find(({ role }) => role === 'tailplane')!;
  expect(at('smallTail')!.x).toBeGreaterThan(tail.position.x);
  const wing = design.surfaces.find(({ role }) => role === 'wing')!;
  const half = wing.stations.at(-1)!.distanceFromRoot;
  expect(at('tipStall')!.y).toBeLessThan(half);
  expect(at('packOutOfTravel')!.x).toBe(design.massItems.find(({ id }) => id === 'pack')!.position.x);
  expect(at('overCeiling')).toBeNull();
});
