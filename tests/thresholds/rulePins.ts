import { largestDesign } from '#/tests/wild/largest';
import type { Design } from '@/core/2-document/schema/design';
import type { Finding } from '@/core/7-verdict/finding';
import {
  base,
  builtTail,
  change,
  contour,
  drive,
  gap,
  high,
  motor,
  plate,
  rad,
  rod,
  rodBehind,
  rodThrough,
  straightRod,
  sides,
  standing,
  tailless,
  tandem,
  throughTail,
  uncontrolled,
  vTail,
} from './fixtures';

/** How grave the finding is; null where the rule is quiet. Or another thing that `look` reads. */
export type Outcome = string | number | null;

/** Numbers of the analysis to put in place of the real ones, group by group. */
export type Overrides = Readonly<Record<string, Readonly<Record<string, unknown>> | readonly unknown[]>>;

/** One place beside a threshold: what the rule says there. */
export interface RuleCase {
  readonly is: Outcome;
  readonly numbers?: Overrides;
  readonly design?: Design;
  readonly look?: (finding: Finding | null) => Outcome;
}

/** Places along one number, each with what the rule says there. */
const along = (
  at: (value: number) => Omit<RuleCase, 'is'>,
  ...places: readonly (readonly [number, Outcome])[]
): RuleCase[] => places.map(([value, is]) => ({ ...at(value), is }));

/** A wing that bears so much in a dive where flight may ask for so much. */
const bears = (breakingAtDive: number, flightLoadFactor: number): Overrides => ({
  strength: { breakingAtDive, flightLoadFactor, diveSpeed: 20, breaksAt: null },
});
/** One control whose linkage is so. */
const turning = {
  aileronReversalSpeed: null,
  rudderReversalSpeed: null,
  elevatorReversalSpeed: null,
  divergenceSpeed: null,
  diveSpeed: 20,
  booms: [],
};

/** A margin, and what bending takes of it at cruise and in the dive. */
const bentBy = (staticMargin: number, level: number, dive: number) => ({
  pitch: { staticMargin },
  reference: { meanChord: 1 },
  strength: { neutralPointShift: level, neutralPointShiftAtDive: dive, booms: [], breaksAt: null },
});

const linked = (linkage: object): Overrides => ({
  strength: { linkages: [{ control: 'Aileron', torqueShare: null, bucklingShare: null, slop: 0, ...linkage }] },
});

/** 1 where the remedy leaves both ends of a rod as far aft as one another. */
const staysStraight = (finding: Finding | null): Outcome => {
  const [start, end] = finding?.remedies[0]?.change ?? [];
  return start && end ? Number(start.value === end.value) : null;
};

const countRemedies = (finding: Finding | null): Outcome => finding?.remedies.length ?? null;

/** A wing built off the drawing so that the hands-off lift of a greatest one of 1 moves by so much. */
const misbuilt = (moved: number, staticMargin: number, others: readonly object[] = []): Overrides => ({
  stall: { liftCoefficient: 1 },
  pitch: { staticMargin },
  rigging: {
    surfaces: [{ surface: 'wing', momentPerRadian: 0.5, flown: (moved * staticMargin) / 0.5, drawn: 0 }, ...others],
  },
});

/** Let go at a lift coefficient of 0.4, with a wing that carries 1 and a margin that holds. */
const letGo = (handsOffLift: number, elevator = rad(-10)): Overrides => ({
  rigging: { handsOffLift, handsOffMoment: 0.1 * (handsOffLift - 0.4) },
  stall: { liftCoefficient: 1 },
  trim: { elevator, liftCoefficient: 0.4 },
  pitch: { staticMargin: 0.1 },
});
const diving = { stall: { liftCoefficient: 1 }, pitch: { staticMargin: 0.1 } };
const away = { mass: { cg: [0, 0, 0], total: 1 }, reference: { area: 1, meanChord: 1, span: 1 } };

/** Bands of 5 % of chord in the margin, 0.02 in roll and 0.01 in yaw of sideslip. */
const sure = (numbers: Overrides): Overrides => ({
  bands: {
    neutralPointAft: 0.01,
    neutralPointForward: 0.01,
    dihedralEffectUp: 0.02,
    dihedralEffectDown: 0.3,
    yawStiffnessUp: 0.3,
    yawStiffnessDown: 0.01,
  },
  reference: { meanChord: 0.2 },
  pitch: { staticMargin: 0.2 },
  lateral: { dihedralEffect: -0.1, yawStiffnessInWind: 0.08 },
  ...numbers,
});

/** An axis as the feel group judges it: the bands are pinned there. */
const feltAs = (axis: string) =>
  (['tooLittle', 'tooMuch', 'calm', 'lively', 'none'] as const).map((feel) => ({
    is: feel === 'tooLittle' ? 'caution' : feel === 'tooMuch' ? 'note' : null,
    numbers: { feel: { axes: [{ axis, feel, response: 1, travelShare: 0.5 }] } },
  }));
/** For each rule what it says just inside and just outside each of its bounds, the bounds as their sources give them. */
/** One drive whose motor carries so much of what it bears, typed or estimated. */
const limitsWith = (share: number, isEstimated: boolean) => ({
  id: 'drive',
  drive: 'Drive',
  motor: { current: 10 * share, bears: 10, isEstimated },
  controller: { current: 5, bears: null, isEstimated: true },
  pack: { current: 5, bears: 50, isEstimated: true },
  thrustFactor: 1,
  torqueFactor: 1,
});
const carrying = (isEstimated: boolean) => (share: number) => ({
  numbers: { driveLimits: [limitsWith(share, isEstimated)] },
});
/** How many percent smaller the propellers of the remedies are, of a 200 mm one: 7, 14 and 20. */
const smallestPropeller = (finding: Finding | null): Outcome =>
  finding?.remedies.map(({ change: [size] }) => size!.value).join() === '186,172,160' ? 15 : null;
const sinking = (launchFliesAfter: number | null) => (launchHeightLost: number) => ({
  numbers: { takeOff: { launchHeightLost, launchFliesAfter, launchSpeed: 9 } },
});

export const RULE_PINS: Readonly<Record<string, readonly RuleCase[]>> = {
  balanceAft: [
    // Behind the window: 2 % of margin is barely stable.
    ...along(
      (staticMargin) => ({
        numbers: { window: { aft: 0.1, forward: 0.08 }, mass: { cg: [0.11, 0, 0] }, pitch: { staticMargin } },
      }),
      [0.0195, 'stop'],
      [0.0205, 'caution'],
    ),
    { is: null, numbers: { window: { aft: 0.1, forward: 0.08 }, mass: { cg: [0.0999, 0, 0] } } },
    {
      is: null,
      numbers: { window: { aft: 0.07, forward: 0.08 }, mass: { cg: [0.075, 0, 0] }, pitch: { staticMargin: 0.04 } },
    },
    {
      is: 'stop',
      numbers: { window: { aft: 0.07, forward: 0.08 }, mass: { cg: [0.085, 0, 0] }, pitch: { staticMargin: 0 } },
    },
  ],
  balanceForward: [
    ...along(
      (x) => ({ numbers: { window: { aft: 0.1, forward: 0.08 }, mass: { cg: [x, 0, 0] } } }),
      [0.0799, 'caution'],
      [0.0801, null],
    ),
    // Limits that cross are told once, by the rule of the narrow window.
    { is: null, numbers: { window: { aft: 0.07, forward: 0.08 }, mass: { cg: [0.05, 0, 0] } } },
  ],
  // 4 % of the greatest lift is worth a word, 12 % a caution.
  equalErrors: [
    { is: null, numbers: misbuilt(0.039, 0.1) },
    { is: 'note', numbers: misbuilt(0.2, 0.1, [{ surface: 'tail', momentPerRadian: -0.5, flown: 0.0328, drawn: 0 }]) },
    { is: null, numbers: misbuilt(0.2, 0.1, [{ surface: 'tail', momentPerRadian: -0.5, flown: 0.0318, drawn: 0 }]) },
  ],
  builtAngle: [
    ...along(
      (moved) => ({ numbers: misbuilt(moved, 0.1) }),
      [0.039, null],
      [0.041, 'note'],
      [-0.041, 'note'],
      [0.117, 'note'],
      [-0.123, 'caution'],
    ),
    // Behind the neutral point it is judged as at a margin of half a percent.
    ...along((moved) => ({ numbers: misbuilt(moved * (0.005 / -0.02), -0.02) }), [0.117, 'note'], [0.123, 'caution']),
    // A shim of less than a tenth of a degree on the surface that does most is not worth it.
    ...along(
      (turn) => ({
        numbers: misbuilt(0.13, 0.1, [{ surface: 'tail', momentPerRadian: -0.013 / rad(turn), flown: 0, drawn: 0 }]),
        look: countRemedies,
      }),
      [0.097, 1],
      [0.103, 2],
    ),
  ],
  // √1.56 = 1.25 for a gust of half a g or a turn at 50°.
  signOpen: [
    ...along((margin) => ({ numbers: sure({ pitch: { staticMargin: margin } }) }), [0.0499, 'note'], [0.0501, null]),
    ...along((margin) => ({ numbers: sure({ pitch: { staticMargin: margin } }) }), [-0.0499, 'note'], [-0.0501, null]),
    ...along((roll) => ({ numbers: sure({ lateral: { dihedralEffect: roll } }) }), [-0.0199, 'note'], [-0.0201, null]),
    ...along((yaw) => ({ numbers: sure({ lateral: { yawStiffnessInWind: yaw } }) }), [0.0099, 'note'], [0.0101, null]),
  ],
  coarseLattice: [{ is: null }, { is: 'note', design: largestDesign(1) }],
  // A lens of so much thickness on so much of the chord, bent by so much, its sides so far past one another at the nose.
  contourUnusable: [
    { is: null, design: contour({}) },
    ...along((length) => ({ design: contour({ length }) }), [0.51, null], [0.49, 'stop']),
    ...along(
      (thickness) => ({ design: contour({ thickness }) }),
      [0.0021, null],
      [0.0019, 'stop'],
      [0.59, null],
      [0.61, 'stop'],
    ),
    ...along((camber) => ({ design: contour({ camber }) }), [0.245, null], [0.255, 'stop']),
    ...along((crossing) => ({ design: contour({ crossing }) }), [0.0095, null], [0.0105, 'stop']),
  ],
  cruiseNearStall: along(
    (ratio) => ({ numbers: { stall: { speed: base.conditions.cruiseSpeed / ratio } } }),
    [1.28, null],
    [1.22, 'caution'],
    [1.07, 'caution'],
    [1.03, 'stop'],
  ),
  downwashStrong: along(
    (downwashSlope) => ({ numbers: { pitch: { downwashSlope, downwash: 0.05 } } }),
    [0.59, null],
    [0.61, 'note'],
  ),
  // 0.02 m² at 0.8 m: a moment of 0.016 over area and chord of one; 2° of control are free.
  dragHeight: along(
    (asked) => ({ design: high, numbers: { ...away, pitch: { momentFromElevator: 0.016 / rad(asked) } } }),
    [1.95, null],
    [2.05, 'note'],
    [-2.05, 'note'],
  ),
  // 40 % of 20° is 8°.
  elevatorAtStop: [
    ...along(
      (angle) => ({ numbers: { trim: { elevator: rad(angle) } } }),
      [7.8, null],
      [8.2, 'caution'],
      [-8.2, 'caution'],
      [19.8, 'caution'],
      [20.2, 'stop'],
    ),
    // Without travel no share can be said.
    ...along(
      (travel) => ({
        design: throughTail(20, travel),
        numbers: { trim: { elevator: rad(5) } },
        look: (finding) => (finding?.numbers['share'] ? 'a share' : 'none'),
      }),
      [0.0097, 'none'],
      [0.0103, 'a share'],
    ),
  ],
  elevonSaturation: (
    [
      [0.615, 0.31, null],
      [0.585, 0.31, 'caution'],
      [0.615, 0.29, 'caution'],
      [0.31, 0.31, 'caution'],
      [0.29, 0.31, 'stop'],
    ] as const
  ).map(([rollLeftAtTrim, pitchLeftAtHalfRoll, is]) => ({
    is,
    numbers: { sharedThrow: { rollLeftAtTrim, pitchLeftAtHalfRoll } },
  })),
  // 500 g leave the hand at 11/√1.5 = 8.98 m/s, a fifth above the stall: up to 7.48 m/s; a quarter more asked cannot be thrown.
  fastForLaunch: [
    ...along(
      (stall) => ({ numbers: { speeds: { stall }, mass: { total: 0.5, wingLoading: 2 } } }),
      [7.45, null],
      [7.55, 'caution'],
      [9.3, 'caution'],
      [9.4, 'stop'],
    ),
    ...along(
      (stall) => ({ design: change(base, ['/brief/launch', 'bungee']), numbers: { speeds: { stall } } }),
      [11.5, null],
      [11.85, 'caution'],
    ),
    // A good grip throws a tenth faster; beyond 3 kg nobody throws.
    ...along(
      (stall) => ({
        design: change(base, ['/brief/grip', 'good']),
        numbers: { speeds: { stall }, mass: { total: 0.5, wingLoading: 2 } },
      }),
      [8.2, null],
      [8.27, 'caution'],
    ),
    ...along(
      (total) => ({ numbers: { speeds: { stall: 2 }, mass: { total, wingLoading: 2 } } }),
      [2.97, null],
      [3.03, 'stop'],
    ),
  ],
  // A trainer usually stalls at 6 m/s, ±25 %; a field of 60 m bears √(2·0.35·9.80665·9)/1.2 = 6.55 m/s and a tenth.
  fastForPurpose: [
    ...along(
      (speed) => ({ numbers: { stall: { speed, liftCoefficient: 1 }, mass: { wingLoading: 2 } } }),
      [7.45, null],
      [7.55, 'caution'],
    ),
    ...along(
      (speed) => ({
        design: change(base, ['/brief/purpose', 'wind'], ['/brief/fieldLength', 60]),
        numbers: { stall: { speed, liftCoefficient: 1 }, mass: { wingLoading: 2 } },
      }),
      [7.18, null],
      [7.23, 'caution'],
    ),
  ],
  flatVee: along(
    (angle) => ({ design: vTail(angle) }),
    [27.3, 'caution'],
    [28.7, null],
    [53.5, null],
    [56.5, 'caution'],
  ),
  handsOffTrim: [
    ...along((lift) => ({ numbers: letGo(lift) }), [0.83, null], [0.87, 'caution'], [0.99, 'caution'], [1.01, 'stop']),
    // From 1.8 m with n of the weight carried: 0.65 s at n = 0.131, 0.8 s at 0.426, 0.95 s at 0.593 of 0.4.
    ...along(
      (lift) => ({ numbers: letGo(lift) }),
      [-0.3, 'stop'],
      [0.051, 'stop'],
      [0.054, 'caution'],
      [0.167, 'caution'],
      [0.174, 'note'],
      [0.233, 'note'],
      [0.241, null],
    ),
    // 35 % of 20° up is 7°: little travel stops the dive.
    ...along((angle) => ({ numbers: letGo(0.01, rad(-angle)) }), [6.8, 'caution'], [7.2, 'stop']),
    // Nothing holds it: any moment takes it away.
    ...along(
      (moment) => ({
        numbers: {
          ...letGo(0.4),
          rigging: { handsOffLift: null, handsOffMoment: moment },
          pitch: { staticMargin: -0.01 },
        },
      }),
      [9.4e-8, null],
      [1.06e-7, 'stop'],
      [-1.06e-7, 'stop'],
    ),
    ...along(
      (error) => ({
        design: builtTail,
        numbers: {
          ...diving,
          rigging: {
            handsOffLift: 0.01,
            handsOffMoment: -0.05,
            surfaces: [{ surface: 'tail', drawn: 0, flown: rad(error) }],
          },
          trim: { elevator: rad(-10), liftCoefficient: 0.4, tailIncidence: null },
        },
        look: countRemedies,
      }),
      [0.146, 0],
      [0.154, 1],
    ),
    ...along(
      (turn) => ({
        numbers: {
          ...diving,
          rigging: { handsOffLift: 0.01, handsOffMoment: -0.05, surfaces: [{ surface: 'tail', drawn: 0, flown: 0 }] },
          trim: { elevator: rad(-10), liftCoefficient: 0.4, tailIncidence: rad(turn) },
        },
        look: countRemedies,
      }),
      [0.097, 0],
      [0.103, 1],
    ),
  ],
  hingeRub: along((room) => ({ design: gap(room) }), [1.93, 'caution'], [2.07, null]),
  leftRight: [
    ...along(
      (share) => ({
        numbers: {
          asymmetry: { aileron: rad(share * 20), rudder: 0, steadyRoll: 0 },
          trim: { speed: 1 },
          reference: { span: 2 },
        },
      }),
      [0.078, null],
      [0.082, 'note'],
      [0.243, 'note'],
      [0.257, 'caution'],
      [0.78, 'caution'],
      [0.82, 'stop'],
    ),
    // 15°/s is a surprise.
    ...along(
      (rate) => ({
        numbers: {
          asymmetry: { aileron: rad(2), rudder: 0, steadyRoll: rad(rate) },
          trim: { speed: 1 },
          reference: { span: 2 },
        },
      }),
      [14.6, 'note'],
      [-15.4, 'caution'],
    ),
    // With nothing to hold it, 3°/s is too much.
    ...along(
      (rate) => ({
        design: uncontrolled,
        numbers: {
          asymmetry: { aileron: 0, rudder: 0, steadyRoll: rad(rate) },
          trim: { speed: 1 },
          reference: { span: 2 },
        },
      }),
      [2.9, null],
      [3.1, 'stop'],
    ),
    ...along(
      (difference) => ({
        design: sides(difference),
        numbers: { asymmetry: { aileron: rad(10), rudder: 0, steadyRoll: 0 } },
        look: countRemedies,
      }),
      [0.048, 0],
      [0.052, 1],
    ),
  ],
  loadingOverBrief: along(
    (over) => ({
      design: change(base, ['/brief/targetWingLoading', 3000]),
      numbers: { mass: { wingLoading: 3 * over } },
    }),
    [1.09, null],
    [1.11, 'note'],
    [1.24, 'note'],
    [1.26, 'caution'],
  ),
  manoeuvreMargin: along(
    (manoeuvreMargin) => ({ numbers: { pitch: { manoeuvreMargin } } }),
    [0.031, null],
    [0.029, 'caution'],
    [0.001, 'caution'],
    [-0.001, 'stop'],
  ),
  // ±4 mm: 8 mm of width.
  breaksInFlight: [
    ...along((breaks) => ({ numbers: bears(breaks, 5.2) }), [3.55, 'note'], [3.45, 'caution']),
    ...along(
      (breaks) => ({ numbers: bears(breaks, 20) }),
      [8.2, 'note'],
      [7.8, 'caution'],
      [20.2, null],
      [19.8, 'note'],
    ),
    ...along(
      (breakingLoadFactor) => ({ numbers: { strength: { ...bears(20, 20).strength, breakingLoadFactor } } }),
      [2.02, null],
      [1.98, 'stop'],
      [0, 'stop'],
    ),
  ],
  twistsAway: along(
    (divergenceSpeed) => ({ numbers: { strength: { divergenceSpeed, diveSpeed: 20 } } }),
    [24.6, null],
    [24.2, 'caution'],
    [2, 'stop'],
  ),
  turnsRound: [
    ...(
      [
        ['aileronReversalSpeed', 1],
        ['rudderReversalSpeed', 1.22],
        ['elevatorReversalSpeed', 1.22],
      ] as const
    ).flatMap(([key, margin]) =>
      along(
        (speed) => ({ numbers: { strength: { ...turning, [key]: speed } } }),
        [20.1 * margin, null],
        [19.9 * margin, 'note'],
        [1.42 * base.conditions.cruiseSpeed, 'note'],
        [1.38 * base.conditions.cruiseSpeed, 'caution'],
        [2, 'stop'],
      ),
    ),
    // What diverges before or hardly later is not told to reverse.
    ...along(
      (divergenceSpeed) => ({ numbers: { strength: { ...turning, divergenceSpeed, rudderReversalSpeed: 15 } } }),
      [16.6, null],
      [16.8, 'caution'],
    ),
  ],
  softBoom: (['pitchFactor', 'yawFactor'] as const).flatMap((key) =>
    along(
      (kept) => ({
        numbers: {
          strength: { booms: [{ id: 'boom', body: 'Boom', pitchFactor: null, yawFactor: null, [key]: kept }] },
        },
      }),
      [0.86, null],
      [0.84, 'note'],
      [0.71, 'note'],
      [0.69, 'caution'],
    ),
  ),
  weakDrive: [
    ...along(
      (climbRate) => ({ numbers: { power: { staticThrust: 5, climbRate, cruiseThrottle: 0.5 } } }),
      [1.05, null],
      [0.95, 'caution'],
      [0, 'caution'],
    ),
    ...along(
      (cruiseThrottle) => ({ numbers: { power: { staticThrust: 5, climbRate: 3, cruiseThrottle } } }),
      [0.84, null],
      [0.86, 'note'],
    ),
  ],
  currentOverLimit: [
    ...along(carrying(false), [0.98, null], [1.02, 'caution'], [1.48, 'caution'], [1.52, 'stop']),
    ...along(carrying(true), [1.28, null], [1.32, 'note'], [2, 'note']),
    { is: 15, numbers: { driveLimits: [limitsWith(1.2, false)] }, design: drive(0), look: smallestPropeller },
  ],
  benchOff: (['thrustFactor', 'torqueFactor'] as const).flatMap((key) =>
    along(
      (factor) => ({ numbers: { driveLimits: [{ ...limitsWith(0.5, false), [key]: factor }] } }),
      [0.72, null],
      [0.68, 'note'],
      [1.28, null],
      [1.32, 'note'],
    ),
  ),
  handNearDisc: along((handToDisc) => ({ numbers: { takeOff: { handToDisc } } }), [0.082, null], [0.078, 'caution']),
  launchSinks: [
    ...along(sinking(0.5), [0.49, null], [0.52, 'note'], [1.18, 'note'], [1.22, 'caution']),
    ...along(sinking(null), [0, 'caution']),
  ],
  longGroundRun: along(
    (groundRun) => ({
      numbers: { takeOff: { groundRun, landingRun: 20 }, power: { staticThrust: 5 } },
      design: change(
        base,
        ['/brief/launch', 'wheels'],
        ['/brief/fieldLength', 100],
        ['/wheels', [{ id: 'w', diameter: 50, width: 10, legDiameter: 2, position: { x: 0, y: 0, z: -50 } }]],
      ),
    }),
    [49, null],
    [51, 'caution'],
  ),
  missionEmpties: along(
    (left) => ({ numbers: { mission: { phases: [], left } } }),
    [0.21, null],
    [0.19, 'caution'],
    [-0.1, 'caution'],
  ),
  oneMotorOut: along(
    (rudderShare) => ({
      numbers: { engineOut: { drive: 'Pair', speed: 9, rudderShare, sideslip: 0.1, climbRate: 1 } },
    }),
    [0.68, null],
    [0.72, 'note'],
    [0.98, 'note'],
    [1.02, 'caution'],
  ),
  // Drag of propellers over all drag at best glide: with lift 0.5 and a glide of 10 to 1, twenty times the coefficient.
  propellerCostsGlide: along(
    (share) => ({
      numbers: {
        drag: { restingPropellers: share / 20 },
        speeds: { glideRatio: 10, bestGlide: 10 },
        power: { staticThrust: 5 },
        mass: { total: (0.5 * 0.5 * 1.225 * 100 * 0.2) / 9.80665 },
        reference: { area: 0.2 },
      },
      design: change(drive(0), ['/brief/purpose', 'soar']),
    }),
    [0.19, null],
    [0.21, 'note'],
    [0.29, 'note'],
    [0.31, 'caution'],
  ),
  shortDuration: [
    ...along(
      (share) => ({
        numbers: { power: { duration: 600 * share, climbRate: 5 } },
        design: change(base, ['/brief/duration', 10]),
      }),
      [1.01, null],
      [0.99, 'note'],
      [0.76, 'note'],
      [0.74, 'caution'],
    ),
    ...along(
      (share) => ({
        numbers: { power: { duration: 600, climbRate: 5 * share } },
        design: change(base, ['/brief/climbRate', 5]),
      }),
      [1.01, null],
      [0.74, 'caution'],
    ),
    {
      is: 3,
      numbers: { power: { duration: 300, climbRate: 5 } },
      design: change(drive(0), ['/brief/duration', 10], ['/propulsion/drive/pack', { cells: 3, capacity: 1000 }]),
      look: (finding) =>
        finding?.remedies.map(({ change: [first] }) => first!.value).join() === '2100,2400,3000' ? 3 : null,
    },
  ],
  weakRubber: [
    ...along(
      (height) => ({
        numbers: { rubber: { drive: 'Rubber', energy: 20, height, heightByEnergy: 9, massShare: 0.2 } },
      }),
      [4.1, null],
      [3.9, 'caution'],
    ),
    {
      is: 'stop',
      numbers: { rubber: { drive: 'Rubber', energy: 20, height: null, heightByEnergy: 9, massShare: 0.2 } },
    },
  ],
  flexUnsettles: [
    ...along((staticMargin) => ({ numbers: bentBy(staticMargin, 0, 0) }), [0.029, null], [0.031, null]),
    ...along(
      (left) => ({ numbers: bentBy(0.1, left - 0.1, 0) }),
      [0.031, null],
      [0.029, 'caution'],
      [0.001, 'caution'],
      [-0.001, 'stop'],
    ),
    ...along(
      (left) => ({ numbers: bentBy(0.1, 0, left - 0.1) }),
      [0.031, null],
      [0.029, 'note'],
      [0.001, 'note'],
      [-0.001, 'caution'],
    ),
    ...along((stiff) => ({ numbers: bentBy(stiff, -0.5, 0) }), [0.029, null], [0.031, 'stop']),
  ],
  wingsPart: [-1, 1].flatMap((side) =>
    along((apart) => ({ numbers: { strength: { flexApart: side * apart } } }), [0.0435, null], [0.0445, 'caution']),
  ),
  weakJoint: along(
    (share) => ({ numbers: { strength: { checks: [{ kind: 'saddle', part: 'Body', share }] } } }),
    [0.99, null],
    [1.01, 'caution'],
  ),
  weakLinkage: [
    ...along((torqueShare) => ({ numbers: linked({ torqueShare }) }), [0.49, null], [0.51, 'caution']),
    ...along((bucklingShare) => ({ numbers: linked({ bucklingShare }) }), [0.49, null], [0.51, 'caution']),
    ...along((slop) => ({ numbers: linked({ slop }) }), [0.0173, null], [0.0177, 'caution']),
  ],
  narrowWindow: along(
    (width) => ({ numbers: { window: { aft: 0.1, forward: 0.1 - width } } }),
    [0.0083, null],
    [0.0077, 'caution'],
    [-0.001, 'stop'],
  ),
  noseDeparts: [
    ...along(
      (timeToHalf) => ({
        numbers: {
          motion: { longitudinal: [{ grows: true, period: null, timeToHalf }] },
          pitch: { staticMargin: -0.1 },
        },
      }),
      [1.95, 'stop'],
      [2.05, 'caution'],
    ),
    ...along(
      (period) => ({
        numbers: { motion: { longitudinal: [{ grows: true, period, timeToHalf: 1 }] }, pitch: { staticMargin: -0.1 } },
      }),
      [1.95, 'stop'],
      [2.05, null],
    ),
  ],
  speedRunsAway: along(
    (timeToHalf) => ({
      numbers: { motion: { longitudinal: [{ grows: true, period: null, timeToHalf }] }, pitch: { staticMargin: 0.1 } },
    }),
    [2.45, 'caution'],
    [2.55, null],
  ),
  nothingWeighed: [
    { is: 'note', numbers: { mass: { total: null } } },
    { is: null, numbers: { mass: { total: 0.1 } } },
  ],
  offCentre: along(
    (off) => ({ numbers: { mass: { cg: [0.09, off, 0] }, reference: { span: 1 } } }),
    [0.0097, null],
    [0.0103, 'caution'],
    [-0.0103, 'caution'],
  ),
  outsideTable: along(
    (count) => ({
      numbers: {
        sections: Array.from({ length: count }, () => ({ surface: 'wing', reynolds: 1e4, outsideTable: true })),
      },
    }),
    [0, null],
    [1, 'note'],
  ),
  overCeiling: along(
    (total) => ({ design: motor, numbers: { mass: { total }, speeds: { glideRatio: 10 } } }),
    [2.29, null],
    [2.33, 'caution'],
  ),
  overWeight: along(
    (total) => ({ design: change(base, ['/brief/maximumMass', 600]), numbers: { mass: { total } } }),
    [0.599, null],
    [0.601, 'caution'],
  ),
  packOutOfTravel: along(
    (from) => ({
      design: change(base, ['/massItems/pack/attachment/from', from]),
      // 100 g of 600 g: 10 mm of balance are 60 mm of the pack, from 85 to 25 mm.
      numbers: { window: { aft: 0.1, forward: 0.08 }, mass: { cg: [0.11, 0, 0], total: 0.6 } },
    }),
    [24, null],
    [26, 'stop'],
  ),
  panelTooLong: along(
    (halfSpan) => ({
      design: change(base, ['/brief/longestPanel', 700], ['/surfaces/wing/stations/1/distanceFromRoot', halfSpan]),
    }),
    [695, null],
    [712, 'note'],
    [716, 'caution'],
  ),
  pitchFeel: feltAs('pitch'),
  pitchFloor: along(
    (ratio) => ({ numbers: { speeds: { pitchFloor: ratio * 7, stall: 7 } } }),
    [1.27, null],
    [1.33, 'caution'],
  ),
  rearStallsFirst: along(
    (frontLeft) => ({ design: tandem, numbers: { stall: { liftLeft: { wing: frontLeft, rear: 0.1 } } } }),
    [0.099, null],
    [0.101, 'stop'],
  ),
  rollFeel: feltAs('roll'),
  rudderRolls: [
    ...along(
      (bank) => ({
        design: change(base, ['/surfaces/wing/controls', []]),
        numbers: { feel: { bankByRudder: rad(bank) } },
      }),
      [8.2, null],
      [7.8, 'caution'],
      [-1, 'stop'],
    ),
    { is: 'note', numbers: { feel: { bankByRudder: rad(-1) } } },
    { is: null, numbers: { feel: { bankByRudder: rad(1) } } },
  ],
  slowSide: along(
    (share) => ({ design: tailless, numbers: { speeds: { approach: 10 * share, bestGlide: 10 } } }),
    [0.78, 'note'],
    [0.82, null],
  ),
  // At an arm of 2.5 chords 21 % is usual; six tenths of it are 12.6 %.
  smallTail: along(
    (share) => ({
      numbers: {
        reference: { meanChord: 0.2 },
        tails: [{ surface: 'tail', horizontal: share * 2.5, arm: 0.5 }],
      },
    }),
    // Six tenths of the 32 % that are usual on 2.5 chords.
    [0.19, 'caution'],
    [0.194, null],
  ),
  spanOverBrief: along(
    (span) => ({ design: change(base, ['/brief/maximumSpan', 1000]), numbers: { reference: { span } } }),
    [1.00048, null],
    [1.00052, 'note'],
    [1.019, 'note'],
    [1.021, 'caution'],
  ),
  sparMisplaced: [
    ...along((share) => ({ design: rodBehind(share) }), [0.114, null], [0.126, 'caution']),
    // Straight through both halves of a pointed wing: it cannot follow, and is moved as a whole or not at all.
    ...along(
      (gained) => ({ design: rodThrough(straightRod.best + straightRod.perChord * gained) }),
      [0.028, null],
      [0.032, 'caution'],
    ),
    ...along((bend) => ({ design: rodThrough(52, bend), look: staysStraight }), [1.9, 1], [2.1, 0]),
  ],
  rodPastTip: along((past) => ({ design: rodBehind(0, 600 + past) }), [1.9, null], [2.1, 'caution']),
  // In a board of 5 mm: a fifth of a millimetre is glue.
  rodTooThick: along((height) => ({ design: rod('carbon', height) }), [5.19, null], [5.21, 'note']),
  spiralDive: along(
    (timeToHalf) => ({ numbers: { motion: { lateral: [{ kind: 'spiral', grows: true, timeToHalf }] } } }),
    [5.1, null],
    [4.9, 'note'],
    [2.05, 'note'],
    [1.95, 'caution'],
  ),
  stifferThanWanted: along(
    (staticMargin) => ({
      design: change(base, ['/balance/maximumStaticMargin', 0.2]),
      numbers: { pitch: { staticMargin } },
    }),
    [0.199, null],
    [0.201, 'note'],
  ),
  // Two degrees before thin tails stall.
  tailOverloaded: along(
    (angle) => ({ numbers: { rigging: { surfaces: [{ surface: 'tail', againstAir: rad(angle), flown: 0 }] } } }),
    [7.8, null],
    [8.2, 'caution'],
    [-8.2, 'caution'],
  ),
  thickAtLowReynolds: (
    [
      [69e3, 0.12, 'caution'],
      [71e3, 0.12, null],
      [60e3, 0.108, null],
      [60e3, 0.112, 'caution'],
    ] as const
  ).map(([reynolds, thicknessRatio, is]) => ({
    is,
    numbers: { sections: [{ surface: 'wing', reynolds, thicknessRatio, family: 'thick' }] },
  })),
  thrustLine: [
    ...along(
      (share) => ({
        design: drive(0),
        numbers: { trim: { elevator: rad(share * 20), elevatorPowerOff: 0, thrustMoment: 1 } },
      }),
      [0.117, null],
      [0.123, 'caution'],
      [-0.123, 'caution'],
    ),
    ...along(
      (travel) => ({
        design: change(
          drive(0),
          ['/surfaces/tail/controls/elevator/throwUp', travel],
          ['/surfaces/tail/controls/elevator/throwDown', travel],
        ),
        numbers: { trim: { elevator: rad(5), elevatorPowerOff: 0, thrustMoment: 1 } },
      }),
      [0.0097, null],
      [0.0103, 'caution'],
    ),
    // Two fifths of 20° at full throttle in a climb.
    ...along(
      (share) => ({
        design: drive(0),
        numbers: {
          trim: {
            elevator: 0,
            elevatorPowerOff: 0,
            thrustMoment: 0.01,
            climbElevator: rad(share * 20),
            climbThrustMoment: 0.1,
          },
        },
      }),
      [0.39, null],
      [0.41, 'caution'],
    ),
  ],
  tipStall: along(
    (startsAtSpanFraction) => ({ numbers: { stall: { startsAtSpanFraction, surface: 'wing' } } }),
    [0.68, null],
    [0.72, 'caution'],
  ),
  undercarriagePlace: along(
    (angle) => ({ design: standing(angle), numbers: { mass: { cg: [0, 0, 0] } } }),
    [11.7, 'caution'],
    [12.3, null],
    [27.4, null],
    [28.6, 'caution'],
  ),
  wallows: [
    ...along(
      (timeToHalf) => ({
        numbers: { motion: { lateral: [{ kind: 'dutchRoll', grows: false, period: 1, timeToHalf }] } },
      }),
      [2.93, null],
      [3.07, 'caution'],
    ),
    { is: 'stop', numbers: { motion: { lateral: [{ kind: 'dutchRoll', grows: true, period: 1, timeToHalf: 1 }] } } },
  ],
  // A quarter below the usual 0.04.
  weakFin: along(
    (yawStiffnessInWind) => ({ numbers: { lateral: { yawStiffnessInWind } } }),
    [0.0307, null],
    [0.0293, 'caution'],
    [0.001, 'caution'],
    [-0.001, 'stop'],
  ),
  weightCreep: along(
    (measured) => ({ numbers: { mass: { parts: [{ name: 'Wing', measured, computed: 1 }] } } }),
    [1.058, null],
    [1.062, 'note'],
  ),
  // 55 times 5 mm: 275 mm.
  wingUnspared: along((halfSpan) => ({ design: plate(halfSpan) }), [268, null], [282, 'note']),
  yawFeel: feltAs('yaw'),
  // A fifth of 11 m/s must be left over the ground; a gust must not bring it to the stall.
  windOverBrief: [
    ...along(
      (progress) => ({
        design: change(base, ['/conditions/cruiseSpeed', 11]),
        numbers: {
          wind: { speed: 11 - progress, progress, gust: 3, gustLoadFactor: 1, loadFactorAtStall: 3 },
          stall: { speed: 6 },
        },
      }),
      [2.15, 'caution'],
      [2.25, null],
    ),
    ...along(
      (gustLoadFactor) => ({
        numbers: {
          wind: { speed: 3, progress: 8, gust: 1.2, gustLoadFactor, loadFactorAtStall: 3 },
          stall: { speed: 6 },
        },
      }),
      [1.95, null],
      [2.05, 'note'],
    ),
  ],
};
