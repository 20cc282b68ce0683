import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { madeUpFlights } from '#/tests/madeUpFlights';
import { finish } from '@/core/1-base/steps';
import { degreesFromRadians, millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { flightSchema } from '@/core/2-document/records/recordKinds';
import { numbersOf } from '@/core/6-groups/solve';
import { diagnose } from './diagnose';
import { drawnOf, type Fault, FAULTS, sigmaOf, withFault } from './faults';
import { flownAs } from './flownAs';
import { predictAt } from './predict';
import { sightsOf } from './sights';

const design = demoDesign('lagoon-postman');
const drawn = drawnOf(design)!;
const stall = drawn.numbers.speeds.stall!;
const SPEEDS = [1.35 * stall, 2 * stall];
const flight = (more: object, id = 'one') => flightSchema.parse({ id, at: '2026-06-01T10:00:00Z', ...more });
const told = (flights: ReturnType<typeof flight>[]) => {
  const found = finish(diagnose(design, flights));
  if (!found.ok) throw new Error(found.because);
  return found;
};

test.each<[Fault, number]>([
  ['balance', 2.5],
  ['decalage', -2.5],
  ['thrustLine', 3],
  ['warp', 2.5],
  ['drag', 2.5],
])('%s off by %f of what hands are off is found in three flights at two speeds, and how much', (fault, times) => {
  const sigma = sigmaOf(fault, drawn)!;
  const { cause, causes } = told(madeUpFlights(withFault(drawn, fault, times * sigma), SPEEDS, 3, 42));
  expect(cause).toBe(fault);
  const { size, sigma: band } = causes[0]!;
  expect(Math.abs(size - times * sigma)).toBeLessThan(3.5 * band);
  // Put right, everything goes back to where the drawing has it: the other way from where the fault took it.
  const far = causes[0]!.puts.toSorted((a, b) => Math.abs(b.by) - Math.abs(a.by))[0]!;
  const at = (aircraft: Parameters<typeof predictAt>[0]) =>
    predictAt(aircraft, far.speed ?? design.conditions.cruiseSpeed, { boomsSofter: 1 })[far.what]!;
  expect(Math.sign(far.by)).toBe(-Math.sign(at(withFault(drawn, fault, times * sigma).design) - at(design)));
});

test('an aircraft as it is drawn has nothing to explain', () => {
  const { cause, compared } = told(madeUpFlights({ design, boomsSofter: 1 }, SPEEDS, 3, 7));
  expect(cause).toBeNull();
  const square = compared.reduce((sum, { sigmas }) => sum + sigmas ** 2, 0) / compared.length;
  expect(square).toBeGreaterThan(0.3);
  expect(square).toBeLessThan(2);
});

test('one kind of sight, one cause: the closed form of a normal prior and its noise', () => {
  const speed = 1.5 * stall;
  const as = (size: number) => predictAt(withFault(drawn, 'drag', size).design, speed, { boomsSofter: 1 }).glideRatio!;
  const [plain, more] = [as(0), as(0.13)];
  const seen = 0.7 * plain;
  const count = 4;
  const runs = Array.from({ length: count }, () => ({ kind: 'glide', speed, glideRatio: seen }));
  const { causes, cause } = told([flight({ runs })]);
  const { size, sigma, gain } = causes.find(({ fault }) => fault === 'drag')!;
  const shows = (count * (more - plain) ** 2) / (0.1 * seen) ** 2;
  const pull = (count * (more - plain) * (seen - plain)) / (0.1 * seen) ** 2;
  expectWithin(size, (0.13 * pull) / (1 + shows), 1e-6);
  expectWithin(sigma, 0.13 / Math.sqrt(1 + shows), 1e-6);
  expectWithin(gain, pull ** 2 / (1 + shows) / 2 - Math.log(1 + shows) / 2, 1e-6);
  expect(cause).toBe('drag');
  // Drag laid on: C_D0 of the analysis and 13 % of it.
  const { drag } = numbersOf({ ...design, conditions: { ...design.conditions, cruiseSpeed: speed } });
  const { drag: with13 } = numbersOf({
    ...withFault(drawn, 'drag', 0.13).design,
    conditions: { ...design.conditions, cruiseSpeed: speed },
  });
  const { total, induced } = drawn.numbers.drag;
  expectWithin(with13.total! - drag.total!, 0.13 * (total! - induced!), 0.02);
});

test('words say to which side a trim would have to be turned, and nothing where a run says it', () => {
  const say = (did: string[], runs: object[] = []) => sightsOf(flight({ did, runs }));
  expect(say(['divesHandsOff'])).toMatchObject([{ what: 'pitchGlide', isWord: true, value: radiansFromDegrees(-2) }]);
  expect(say(['turnsLeft', 'dropsLeft'])).toMatchObject([{ what: 'roll', value: radiansFromDegrees(2) }]);
  expect(say(['wanders', 'reversed', 'flewWell'])).toEqual([]);
  expect(say(['turnsLeft'], [{ kind: 'level', speed: 9, roll: 0 }])).toHaveLength(1);
  // A click, or a tenth of what was found.
  const sigmas = [0, 8].map((pitch) => degreesFromRadians(say([], [{ kind: 'level', pitch }])[0]!.sigma));
  expectWithin(sigmas[0], 0.25, 1e-9);
  expectWithin(sigmas[1], Math.hypot(0.25, 0.8), 1e-9);
  const { cause, causes } = told([
    flight({ did: ['turnsLeft'] }, 'one'),
    flight({ did: ['turnsLeft'] }, 'two'),
    flight({ did: ['dropsLeft'] }, 'three'),
  ]);
  expect(cause).toBe('warp');
  // It is the right side that stands nose up, or the left one nose down: the wrong one would trim to the other side.
  expect(Math.sign(causes[0]!.size)).toBe(
    Math.sign(predictAt(withFault(drawn, 'warp', 1).design, 10, { boomsSofter: 1 }).roll!),
  );
});

test('it flies as it was weighed and balanced, heavier or lighter, and a weighed one is not heavier than thought', () => {
  const [mass, balance] = [drawn.mass * 1000, millimetresFromMetres(drawn.about[0])];
  for (const more of [60, -60]) {
    const flown = flownAs(drawn, { mass: mass + more, balance: balance + 4 });
    expect(flown.mass * 1000).toBeCloseTo(mass + more, 3);
    expect(millimetresFromMetres(flown.about[0])).toBeCloseTo(balance + 4, 3);
  }
  const weighed = madeUpFlights({ design, boomsSofter: 1 }, SPEEDS, 3, 7).map((one) => ({ ...one, mass }));
  expect(told(weighed).causes.map(({ fault }) => fault)).not.toContain('mass');
});

test('what flights cannot tell is named, and nothing is told of nothing', () => {
  const { untold, causes } = told([flight({ runs: [{ kind: 'stall', speed: stall }] })]);
  expect(untold).toContain('warp');
  expect(causes).toEqual([]);
  expect([...untold].sort()).toEqual(FAULTS.filter((fault) => sigmaOf(fault, drawn) !== null).toSorted());
  expect(finish(diagnose(design, [flight({ did: ['wanders'] })]))).toMatchObject({ ok: false });
  expect(
    finish(diagnose({ ...design, massItems: [], bodies: [], surfaces: [] }, [flight({ did: ['turnsLeft'] })])),
  ).toMatchObject({ ok: false });
});

test('a boom that is twice as soft trims about twice as much, and one that cannot bend not at all', () => {
  const evening = demoDesign('evening-lifter');
  const [stiff, once, twice] = [0, 1, 2].map((boomsSofter) => predictAt(evening, 8, { boomsSofter }).pitchGlide!) as [
    number,
    number,
    number,
  ];
  expect(Math.abs(once - stiff)).toBeGreaterThan(1e-4);
  expectWithin((twice - stiff) / (once - stiff), 2, 0.1);
});
