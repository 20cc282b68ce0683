import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { tossed, normalNumbers } from '#/tests/wild/tossed';
import { finish } from '@/core/1-base/steps';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';
import { fly } from '../fly';
import { normalTail, sigmasOf } from './belief';
import { correctionFor } from './correction';
import { type Errors, flyGlider } from './flyGlider';
import { type Glider, gliderOf } from './glider';
import { infer, liftBy } from './infer';
import { nextTosses } from './nextToss';
import { settingOf, type Toss, usualSetting } from './settings';

const NONE: Errors = { decalage: 0, balance: 0, drag: 0, warp: 0 };
const NAME = 'tern-tender';
const design = demoDesign(NAME);
const glider = gliderOf(design) as Glider;
const usual = usualSetting(glider);
const toss = (more: Partial<Toss>): Toss => ({
  id: 'toss',
  at: '2026-05-01T10:00:00Z',
  scale: 1,
  result: 'steadyGlide',
  track: [],
  notes: '',
  ...more,
});

/** A design with the tail at another angle. */
const withTail = (turn: number): Design => ({
  ...design,
  surfaces: design.surfaces.map((one) => (one.id === 'tailplane' ? { ...one, incidence: one.incidence + turn } : one)),
});

describe('a glider flown by tables', () => {
  test.each([
    ['tern-tender', 0.01],
    ['heron-canard', 0.01],
    ['tideline-plank', 0.01],
    // A delta flies half separated, and that takes its time.
    ['manta-delta', 0.06],
  ])('%s goes as far and as long as strip by strip', (name, within) => {
    const quick = gliderOf(demoDesign(name)) as Glider;
    const cruise = demoDesign(name).conditions.cruiseSpeed;
    for (const speed of [0.95 * cruise, 1.15 * cruise]) {
      const shows = flyGlider(quick, { ...usualSetting(quick), speed, height: 2 }, NONE);
      const flown = finish(fly(quick.model, { launch: { speed, path: 0, height: 2 }, pilot: 'handsOff', longest: 20 }));
      expectWithin(shows.distance, flown.distance, within);
      expectWithin(shows.time, flown.samples.t.at(-1)!, within);
    }
  });

  test('a turned tail is the same as one drawn so; ballast at the nose flies as an error of balance', () => {
    const turned = gliderOf(withTail(0.8)) as Glider;
    const setting = { ...usual, height: 3 };
    const [asShim, asDrawn] = [
      flyGlider(glider, { ...setting, shim: radiansFromDegrees(0.8) }, NONE),
      flyGlider(turned, setting, NONE),
    ];
    // The launch turns the nose to level flight of its own drawing: a little apart.
    expectWithin(asShim.distance, asDrawn.distance, 0.03);
    const moved = flyGlider(glider, { ...setting, balance: -0.004 }, NONE);
    const wrong = flyGlider(glider, setting, { ...NONE, balance: -0.004 / glider.chord });
    expectWithin(moved.distance, wrong.distance, 0.01);
  });

  test('thrown into the wind it comes less far, with more drag too; warped it turns, mirrored the other way', () => {
    const setting = { ...usual, height: 3 };
    const still = flyGlider(glider, setting, NONE);
    // As fast through the air: slower over ground by the wind.
    const against = { ...setting, speed: setting.speed - 2, wind: 2 };
    expectWithin(flyGlider(glider, against, NONE).distance, still.distance - 2 * still.time, 0.04);
    expect(flyGlider(glider, setting, { ...NONE, drag: 0.3 }).distance).toBeLessThan(still.distance);
    const [right, left] = [1, -1].map((side) =>
      flyGlider(glider, setting, { ...NONE, warp: side * radiansFromDegrees(1) }),
    );
    expect(right!.sideways).toBeGreaterThan(0.2);
    expect(left!.sideways).toBeCloseTo(-right!.sideways, 3);
    expect(Math.abs(still.sideways)).toBeLessThan(1e-6);
  });

  test('ballast that nobody weighed adds to the mass and draws the balance point to it', () => {
    const { mass, balance } = settingOf(glider, toss({ ballast: 10, ballastAt: 0 }));
    expectWithin(mass - usual.mass, 0.01, 1e-9);
    const drawn = glider.model.prepared.about[0];
    expectWithin(balance, (-drawn * 0.01) / mass, 1e-9);
    expect(settingOf(glider, toss({ mass: 500, balance: 0 })).balance).toBeCloseTo(-drawn, 9);
  });
});

describe('what tosses tell', () => {
  test('shares of a normal distribution: 1.96 leave 2.5 in a hundred', () => {
    expectWithin(normalTail(1.959964), 0.025, 1e-4);
    expectWithin(normalTail(-1), 0.841345, 1e-4);
    expectWithin(sigmasOf(0.00135), 3, 1e-3);
  });

  test('nothing tossed: the bands of hand building, hands-off lift as the numbers have it', () => {
    const { errors, handsOffLift, contradictions } = finish(infer(glider, []));
    expect(contradictions).toEqual([]);
    expectWithin(errors.decalage.sigma, radiansFromDegrees(Math.hypot(0.5, 0.8)), 0.03);
    expectWithin(liftBy(glider)({ decalage: 0, balance: 0 }), numbersOf(design).rigging.handsOffLift!, 1e-9);
    // 0.94° of tail at its slope, and the neutral point: several tenths either way.
    expect(handsOffLift!.sigma).toBeGreaterThan(0.1);
  });

  test('five flights of one with its tail a degree off, strip by strip: found, and hands-off lift to 0.08', () => {
    const built = withTail(-1);
    const own = gliderOf(built) as Glider;
    const tosses = [0.9, 1, 1.05, 1.1, 1.2].map((share, index) => {
      const speed = share * usual.speed;
      const { samples, distance } = finish(
        fly(own.model, { launch: { speed, path: 0, height: 1.8 }, pilot: 'handsOff', longest: 20 }),
      );
      const isStalled = samples.attached.some((attached) => attached < 0.75);
      const launch = { id: `t${index}`, launchSpeed: speed, launchHeight: 1.8 };
      return toss({ ...launch, distance, time: samples.t.at(-1)!, result: isStalled ? 'stalled' : 'other' });
    });
    const told = finish(infer(glider, tosses));
    expect(told.contradictions).toEqual([]);
    const truth = numbersOf(built).rigging.handsOffLift!;
    expect(Math.abs(told.handsOffLift!.value - truth)).toBeLessThan(0.08);
    expect(told.handsOffLift!.sigma).toBeLessThan(0.5 * told.priorLift!.sigma);
    const { value, sigma } = told.errors.decalage;
    expect(Math.abs(value + radiansFromDegrees(1))).toBeLessThan(2 * sigma);
    // What sets it right turns the tail back, or takes weight to where lift is wanted.
    const correction = correctionFor(glider, told)!;
    const lift = liftBy(gliderOf(withTail(-1 + (correction.turn!.angle * 180) / Math.PI)) as Glider);
    expect(Math.abs(lift({ decalage: 0, balance: 0 })! - correction.aim)).toBeLessThan(0.1);
    expect(Math.sign(correction.ballast!.moves)).toBe(-Math.sign(correction.off));
  });

  test('a toss that the others and the drawing do not let expect is named; nothing else is', () => {
    const normal = normalNumbers(3);
    const good = [0.95, 1, 1.05].map((share, index) =>
      tossed(glider, NONE, normal, { id: `good${index}`, launchSpeed: share * usual.speed }),
    );
    const odd = { ...good[1]!, id: 'odd', distance: 3.2 * good[1]!.distance!, result: 'other' as const };
    const { contradictions } = finish(infer(glider, [...good, odd]));
    expect(contradictions.map(({ toss: named }) => named)).toContain('odd');
    expect(contradictions.find(({ toss: named }) => named === 'odd')!.sigmas).toBeGreaterThan(3);
    expect(finish(infer(glider, good)).contradictions).toEqual([]);
  });

  test('the next toss is the one that is expected to leave least open', () => {
    const plans = finish(nextTosses(glider, [toss({ distance: 20, launchSpeed: usual.speed })]));
    expect(plans.length).toBeGreaterThan(5);
    const sigmas = plans.map(({ sigma }) => sigma);
    expect(sigmas).toEqual(sigmas.toSorted((a, b) => a - b));
    const before = finish(infer(glider, [toss({ distance: 20, launchSpeed: usual.speed })])).handsOffLift!.sigma;
    expect(sigmas[0]!).toBeLessThan(before);
    expect(sigmas[0]!).toBeLessThan(0.98 * sigmas.at(-1)!);
  });
});
