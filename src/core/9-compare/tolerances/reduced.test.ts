import fc from 'fast-check';
import { expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { forAll, SKIPPED } from '#/tests/forAll';
import { degreesFromRadians, radiansFromDegrees } from '@/core/1-base/units/convert';
import { checkChange } from '@/core/2-document/edit/checkChange';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';
import { toleratedAircraft } from './builtAircraft';

const RUNS = 30;

/** A design of the fleet stretched, deepened, turned and loaded otherwise; null where that is none. */
function madeUp(
  name: (typeof DEMO_NAMES)[number],
  { span, chord, turn, load }: { span: number; chord: number; turn: number; load: number },
): Design | null {
  const design = demoDesign(name);
  const changed = {
    ...design,
    tolerances: [],
    surfaces: design.surfaces.map((surface, index) => ({
      ...surface,
      incidence: surface.incidence + (index === 0 ? turn : 0),
      stations: surface.stations.map((station) => ({
        ...station,
        distanceFromRoot: station.distanceFromRoot * span,
        leadingEdgeOffset: station.leadingEdgeOffset * span,
        chord: station.chord * chord,
      })),
    })),
    massItems: design.massItems.map((item) => ({ ...item, mass: item.mass * load })),
  } as Design;
  const checked = checkChange(design, changed);
  return checked.ok ? checked.design : null;
}

const share = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });

test('angles, masses and balance off: margin to 0.002, stall to 1 %, trim to 0.1° of the whole analysis', () => {
  const worst = { margin: 0, stall: 0, trim: 0 };
  forAll(
    RUNS,
    [
      fc.constantFrom(...DEMO_NAMES),
      fc.record({ span: share(0.8, 1.2), chord: share(0.85, 1.15), turn: share(-1, 1), load: share(0.8, 1.3) }),
      fc.record({ angle: share(-1, 1), which: fc.nat(7), heavier: share(-8, 8) }),
    ],
    (name, change, { angle, which, heavier }) => {
      const design = madeUp(name, change);
      if (!design) return SKIPPED;
      const aircraft = toleratedAircraft(design);
      if (!aircraft.ok || aircraft.built(new Float64Array(aircraft.tolerances.length)).handsOffLift === null)
        return SKIPPED;
      const turned = aircraft.tolerances.filter(({ kind }) => kind === 'incidence');
      const [surface, item] = [turned[which % turned.length], design.massItems[which % design.massItems.length]];
      if (!surface || !item || item.mass + heavier <= 0 || item.measuredMass !== undefined) return SKIPPED;
      const now = design.surfaces.find(({ id }) => id === surface.surface)!;
      const built = withFields(design, [
        { field: `/surfaces/${now.id}/incidence`, value: now.incidence + angle },
        { field: `/massItems/${item.id}/mass`, value: item.mass + heavier },
      ]);
      const whole = numbersOf(built, { without: ['bands'] });
      const { mass } = aircraft.numbers;
      const off = Float64Array.from(aircraft.tolerances, ({ id, kind }) =>
        id === surface.id
          ? radiansFromDegrees(angle)
          : kind === 'balance'
            ? whole.mass.cg![0] - mass.cg![0]
            : kind === 'mass'
              ? whole.mass.total! / mass.total! - 1
              : 0,
      );
      const told = aircraft.built(off);
      if (whole.pitch.staticMargin === null || whole.stall.speed === null) return SKIPPED;
      worst.margin = Math.max(worst.margin, Math.abs(told.staticMargin - whole.pitch.staticMargin));
      worst.stall = Math.max(worst.stall, Math.abs(told.stallSpeed! / whole.stall.speed - 1));
      if (told.elevator !== null && whole.trim.elevator !== null)
        worst.trim = Math.max(worst.trim, Math.abs(degreesFromRadians(told.elevator - whole.trim.elevator)));
      return undefined;
    },
    0.85,
  );
  expect(worst.margin).toBeLessThan(0.002);
  expect(worst.stall).toBeLessThan(0.01);
  expect(worst.trim).toBeLessThan(0.1);
}, 120_000);
