import { expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { prepare } from '@/core/6-groups/solution/prepare';
import { Solution } from '@/core/6-groups/solution/solution';
import { frictionChange } from './friction';
import { INTERFERENCE_FACTOR } from './polar';
import { pitchRateCase } from './derivatives';

const [SPAN, CHORD, DRAG] = [1.2, 0.2, 0.03];

/** A flat rectangular wing whose sections rub the same at any lift, and what a flow adds to that about a point. */
function wing(growth = 0) {
  const prepared = prepare(designOf([trapezoid(500 * SPAN, 1000 * CHORD)]), { surfacesOnly: true })!;
  const solution = new Solution(prepared, { surfacesOnly: true });
  const { lattice } = prepared;
  const { model, disturbances } = solution;
  const section = {
    leastDrag: DRAG,
    dragGrowth: growth,
    bestLift: 0,
    maximumLift: 5,
    invertedLift: 5,
    liftSlopeFactor: 1,
    outsideTable: false,
  };
  const data = lattice.strips.map(() => section as never);
  const state = model.stateAt(0.05, 0);
  const about = [0.05, 0, 0] as const;
  return {
    rolling: frictionChange(lattice, data, { state, change: disturbances.rollRate }, about),
    yawing: frictionChange(lattice, data, { state, change: disturbances.yawRate }, about),
    pitching: frictionChange(lattice, data, { state, change: pitchRateCase(model, about, 0) }, about),
    steeper: frictionChange(lattice, data, { state, change: solution.byAlpha }, about),
    state,
    lattice,
  };
}

test('a half wing that yaws back meets slower air: −2 ½ c_d c ∫ 2 y² dy of moment for each r/V, and the other faster', () => {
  const { yawing } = wing();
  const wanted = INTERFERENCE_FACTOR * DRAG * CHORD * 2 * ((SPAN / 2) ** 3 / 3);
  // Document axes: nose right is about −z.
  expectWithin(yawing.moment[2], wanted, 0.01);
  expect(Math.abs(yawing.force[0])).toBeLessThan(1e-9);
});

test('rolling is rubbed by what the wash leaves of the air that comes from below, pitching hardly', () => {
  const { rolling, pitching } = wing();
  const bare = (INTERFERENCE_FACTOR * DRAG * CHORD * 2 * ((SPAN / 2) ** 3 / 3)) / 2;
  expect(rolling.moment[0]).toBeGreaterThan(0.3 * bare);
  expect(rolling.moment[0]).toBeLessThan(0.9 * bare);
  expect(Math.abs(pitching.moment[1])).toBeLessThan(0.2 * DRAG * CHORD * SPAN * CHORD);
});

test('where drag grows with lift a steeper wing rubs more: k 2 c_l dc_l/dα', () => {
  const growth = 0.02;
  const { steeper, state, lattice } = wing(growth);
  const plain = wing(0).steeper;
  const { count } = lattice.cells;
  let wanted = 0;
  lattice.strips.forEach(({ m, width }, strip) => {
    let circulation = 0;
    for (let k = 0; k < count; k++) circulation += state.circulation[strip * count + k]!;
    const lift = (2 * circulation) / m.chord;
    // On a flat wing lift is in proportion to the angle.
    wanted += INTERFERENCE_FACTOR * m.chord * width * growth * 2 * lift * (lift / Math.tan(0.05));
  });
  expectWithin(steeper.force[0] - plain.force[0], wanted, 0.01);
});
