import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type * as shares from '@/core/3-shape/planform/shareByArm';
import type * as axisFeel from '@/core/6-groups/feel/axisFeel';
import type * as briefTargets from '@/core/6-groups/ceilings/briefTargets';
import type * as launches from '@/core/6-groups/ceilings/launchSpeed';
import type { Brief } from '@/core/2-document/schema/brief';
import type * as undercarriage from '@/core/4-weight/undercarriage';
import type * as verdicts from '@/core/6-groups/motion/verdicts';
import { withFields } from '@/core/2-document/edit/withFields';
import { airAt } from '@/core/5-aero/atmosphere';
import { base } from './fixtures';
import type { Outcome } from './rulePins';

/** A module, and what it says beside its bounds. */
export interface FunctionPins {
  readonly file: string;
  /** Constants that are bounds; the others are numerical. */
  readonly constants: readonly string[];
  readonly cases: readonly { readonly is: Outcome; readonly of: (module: never) => Outcome }[];
}

const pinned = <Module>(
  file: string,
  constants: readonly string[],
  cases: readonly (readonly [Outcome, (module: Module) => Outcome])[],
): FunctionPins => ({ file, constants, cases: cases.map(([is, of]) => ({ is, of })) });

type Axis = 'roll' | 'yaw' | 'pitch';
const felt =
  (axis: Axis, measure: number) =>
  ({ axisOf }: typeof axisFeel) =>
    axisOf(axis, 1, measure).feel;
const calmAt =
  (axis: Axis) =>
  ({ axisOf }: typeof axisFeel) =>
    Number((axisOf(axis, 1, 10).travelShare! * 10).toFixed(6));

/** Bands of one axis with the measure just inside and outside of each end. */
const bands = (axis: Axis, least: number, lively: number, most: number, calm: number) =>
  [
    ['tooLittle', felt(axis, 0.97 * least)],
    ['calm', felt(axis, 1.03 * least)],
    ['calm', felt(axis, 0.97 * lively)],
    ['lively', felt(axis, -1.03 * lively)],
    ['lively', felt(axis, 0.97 * most)],
    ['tooMuch', felt(axis, 1.03 * most)],
    [calm, calmAt(axis)],
  ] as const;

const lateralWord =
  (about: string, lateral: object, mode: object = {}) =>
  (module: typeof verdicts) =>
    module
      .verdicts({
        lateral: { yawStiffnessInWind: null, dihedralEffect: null, ...lateral },
        motion: { lateral: [mode], longitudinal: [] },
      } as never)
      .find((verdict) => verdict.about === about)?.word ?? null;
const spiral = (timeToHalf: number) => ({ kind: 'spiral', grows: true, timeToHalf });
const wag = (timeToHalf: number) => ({ kind: 'dutchRoll', grows: false, period: 1, timeToHalf });

const words =
  (...fields: (readonly [string, unknown])[]) =>
  ({ undercarriageOf }: typeof undercarriage) =>
    undercarriageOf(
      withFields(
        base,
        fields.map(([field, value]) => ({ field, value })),
      ),
      [0, 0, 0],
    )!.words.length;
const wheel = (id: string, x: number, y: number, mirrored: boolean) => ({
  id,
  position: { x, y, z: -75 },
  diameter: 50,
  mirrored,
});
const tricycle = (y = 200) => ['/wheels', [wheel('main', 32, y, true), wheel('nose', -300, 0, false)]] as const;
const tailDragger = (angle: number) =>
  [
    '/wheels',
    [wheel('main', -100 * Math.tan(radiansFromDegrees(angle)), 200, true), wheel('rear', 500, 0, false)],
  ] as const;
const propeller = (x: number, z: number) =>
  [
    '/propulsion',
    [
      {
        id: 'drive',
        name: '',
        kind: 'tractor',
        mirrored: false,
        position: { x, y: 0, z },
        downThrust: 0,
        rightThrust: 0,
        propellerDiameter: 100,
        propellerPitch: 80,
        blades: 2,
        blade: [],
      },
    ],
  ] as const;
/** Height of the axis that leaves a tip of 100 mm this far over the ground, which lies 100 mm under the balance point. */
const over = (clearance: number) => clearance - 100 + 50;
/** The same turned nose up by 12° about the main wheels, 168 mm ahead of a pusher. */
const overTurned = (clearance: number) =>
  (clearance + 168 * Math.sin(radiansFromDegrees(12))) / Math.cos(radiansFromDegrees(12)) + 50 - 100;

const air = airAt(0, 15);
const targets =
  (brief: object, read: (found: ReturnType<typeof briefTargets.targetsOf>) => Outcome) =>
  (module: typeof briefTargets) =>
    read(module.targetsOf({ purpose: 'train', launch: 'wheels', ...brief } as never, air, 1.1));
const thrown = { launch: 'hand', grip: 'plain' } as Brief;
const rounded = (value: number) => Number(value.toFixed(3));
const habit = (purpose: string, stall: number, cruise: number) =>
  [
    [stall, targets({ purpose }, ({ stallSpeed }) => rounded(stallSpeed))],
    [rounded(stall * cruise), targets({ purpose }, ({ cruiseSpeed }) => rounded(cruiseSpeed))],
  ] as const;

const shareAt =
  (table: 'level' | 'fin', arm: number) =>
  ({ shareByArm }: typeof shares) =>
    Number(shareByArm(table, arm).toFixed(9));
const entries = (table: 'level' | 'fin', ...rows: readonly (readonly [number, number])[]) =>
  rows.flatMap(([arm, share], index) => {
    const next = rows[index + 1];
    const here = [share, shareAt(table, arm)] as const;
    if (!next) return [here];
    return [here, [Number(((share + next[1]) / 2).toFixed(9)), shareAt(table, (arm + next[0]) / 2)] as const];
  });

/** Modules whose bounds judge, beside the rules. */
export const FUNCTION_PINS: readonly FunctionPins[] = [
  // Roll: half of the 0.07 of transports up to three times that; calm between 0.07 and 0.09.
  pinned<typeof axisFeel>(
    'src/core/6-groups/feel/axisFeel.ts',
    ['BANDS', 'NOTHING'],
    [
      ...bands('roll', 0.035, 0.12, 0.22, 0.08),
      ...bands('yaw', 0.4, 1.8, 2.8, 1.1),
      ...bands('pitch', 0.5, 2, 4, 1.2),
      ['none', felt('roll', 0.97e-4)],
      ['tooLittle', felt('roll', 1.03e-4)],
    ],
  ),
  pinned<typeof verdicts>(
    'src/core/6-groups/motion/verdicts.ts',
    ['YAW', 'UNFELT_SLIP', 'NEUTRAL_BANK', 'FAST_SPIRAL', 'MANY_SWINGS', 'AT_ONCE'],
    [
      ['wanders', lateralWord('yaw', { yawStiffnessInWind: 0.0293 })],
      ['tracks', lateralWord('yaw', { yawStiffnessInWind: 0.0307 })],
      ['tracks', lateralWord('yaw', { yawStiffnessInWind: 0.195 })],
      ['turns into every gust', lateralWord('yaw', { yawStiffnessInWind: 0.205 })],
      ['does not mind a slip', lateralWord('roll', { dihedralEffect: -0.0049 })],
      ['rolls upright out of a slip', lateralWord('roll', { dihedralEffect: -0.0051 })],
      ['spirals in', lateralWord('bank', {}, spiral(4.9))],
      ['winds in slowly', lateralWord('bank', {}, spiral(5.1))],
      ['winds in slowly', lateralWord('bank', {}, spiral(19.5))],
      ['keeps its bank', lateralWord('bank', {}, spiral(20.5))],
      ['wags its tail and settles', lateralWord('wag', {}, wag(2.93))],
      ['wallows', lateralWord('wag', {}, wag(3.07))],
      ['wags its tail and settles', lateralWord('wag', {}, wag(1.03))],
      ['settles at once', lateralWord('wag', {}, wag(0.97))],
    ],
  ),
  pinned<typeof undercarriage>(
    'src/core/4-weight/undercarriage.ts',
    ['TIP_BACK', 'LARGEST_TURNOVER', 'LEAST_CLEARANCE', 'ROTATION'],
    [
      [1, words(tailDragger(11.7))],
      [0, words(tailDragger(12.3))],
      [0, words(['/wheels', [wheel('main', 52.2, 200, true), wheel('nose', -300, 0, false)]])],
      [1, words(['/wheels', [wheel('main', 54.2, 200, true), wheel('nose', -300, 0, false)]])],
      // Height 100 over a foot distance of 100/tan 63°.
      [1, words(tricycle(54.9))],
      [0, words(tricycle(58.9))],
      [1, words(tricycle(), propeller(-100, over(19.5)))],
      [0, words(tricycle(), propeller(32, over(20.5)))],
      [1, words(tricycle(), propeller(200, overTurned(19.5)))],
      [0, words(tricycle(), propeller(200, overTurned(20.5)))],
    ],
  ),
  pinned<typeof briefTargets>(
    'src/core/6-groups/ceilings/briefTargets.ts',
    ['HABITS', 'LAUNCH_OVER_STALL', 'OBSTACLE', 'TOUCHDOWN_OVER_STALL', 'WIDEST_RATIO', 'SLOWEST_STALL', 'WAY'],
    [
      ...habit('float', 4.5, 1.4),
      ...habit('train', 6, 1.6),
      ...habit('payload', 7.5, 1.6),
      ...habit('soar', 5.2, 1.4),
      ...habit('wind', 8, 1.9),
      ...habit('aerobatics', 7.5, 2),
      ...habit('experiment', 6.5, 1.6),
      // 11/√1.5 m/s by hand and 14 m/s by bungee, a fifth above the stall.
      [7.485, targets({ purpose: 'wind', launch: 'hand' }, ({ stallSpeed }) => rounded(stallSpeed))],
      [11.667, targets({ launch: 'bungee' }, ({ bounds }) => rounded(bounds[1]!.speed))],
      // 80 m: half of it less 21 m of glide leaves 19 m, √(2·0.35·9.80665·19)/1.2.
      [9.517, ({ stallForField }) => rounded(stallForField(80))],
      [3, ({ stallForField }) => stallForField(30)],
      // 9 m/s of wind ask for 16.4 m/s; 2.4 times the stall.
      [16.4, targets({ wind: 9 }, ({ cruiseSpeed }) => rounded(cruiseSpeed))],
      [0, targets({ wind: 7.6 }, ({ conflicts }) => conflicts.length)],
      [1, targets({ wind: 7.9 }, ({ conflicts }) => conflicts.length)],
    ],
  ),
  // 500 g leave the hand at 11/√1.5, with a grip a tenth faster; 2 kg at 11/√3; nobody throws more than 3 kg.
  pinned<typeof launches>(
    'src/core/6-groups/ceilings/launchSpeed.ts',
    ['BARE_ARM', 'ARM_MASS', 'GOOD_GRIP', 'HEAVIEST_THROW', 'BUNGEE', 'USUAL_MASS'],
    [
      [8.981, ({ launchSpeed }) => rounded(launchSpeed(thrown)!)],
      [8.981, ({ launchSpeed }) => rounded(launchSpeed(thrown, 0.5 as never)!)],
      [9.88, ({ launchSpeed }) => rounded(launchSpeed({ ...thrown, grip: 'good' }, 0.5 as never)!)],
      [6.351, ({ launchSpeed }) => rounded(launchSpeed(thrown, 2 as never)!)],
      [5.518, ({ launchSpeed }) => rounded(launchSpeed(thrown, 2.974 as never) ?? 0)],
      [null, ({ launchSpeed }) => launchSpeed(thrown, 3.03 as never)],
      [14, ({ launchSpeed }) => launchSpeed({ ...thrown, launch: 'bungee' })],
    ],
  ),
  // Shares of the wing area by arm: at the entries, and half way to the next.
  pinned<typeof shares>(
    'src/core/3-shape/planform/shareByArm.ts',
    ['LEVEL_SHARE', 'FIN_SHARE'],
    [
      ...entries('level', [1.5, 0.38], [2, 0.34], [2.5, 0.32], [3, 0.26], [4, 0.2], [5, 0.165], [6, 0.14]),
      ...entries('fin', [0.25, 0.09], [0.35, 0.072], [0.8, 0.07]),
    ],
  ),
];
