import { contour } from '#/tests/thresholds/fixtures';
import { largestDesign } from '#/tests/wild/largest';
import { said } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { simpleAircraft, boxBody } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { missionPhaseSchema } from '@/core/2-document/schema/mission';
import { wheelSchema } from '@/core/2-document/schema/airframe';
import { propulsionSchema } from '@/core/2-document/schema/propulsion';
import { servoSchema } from '@/core/2-document/schema/surface';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { RULES } from './rules';
import { sentence } from '@/words/formatQuantity';

const change = (design: Design, ...fields: [string, unknown][]) =>
  withFields(
    design,
    fields.map(([field, value]) => ({ field, value })),
  );
/** Only one rule asks how sure a number is. */
const withoutBands = (id: string) => (id === 'signOpen' ? [] : (['bands'] as const));
const found = (design: Design, rule: string) =>
  analyse(design, { without: ['remedies', 'workings', ...withoutBands(rule)] }).findings.map(({ id }) => id);

const base = simpleAircraft(85);
const numbers = analyse(base, { without: ['remedies'] });
const aft = numbers.window.aft! * 1000;
const forward = numbers.window.forward! * 1000;
const at = (x: number) => simpleAircraft(x);
const stallSpeed = numbers.stall.speed!;

const postman = demoDesign('lagoon-postman');
const pusher = (x: number) => propulsionSchema.parse({ id: 'drive', kind: 'pusher', position: { x, y: 0, z: 0 } });
/** A light model with so many strands of rubber. */
const strung = (strands: number) =>
  change(
    base,
    ['/massItems', base.massItems.map((item) => ({ ...item, mass: item.mass / 8 }))],
    [
      '/propulsion',
      [
        propulsionSchema.parse({
          id: 'drive',
          position: { x: -60, y: 0, z: 0 },
          propellerDiameter: 320,
          propellerPitch: 380,
          rubber: { strands: 1, length: 500, width: 3, thickness: 1 },
        }),
      ].map((drive) => ({ ...drive, rubber: { ...drive.rubber!, strands } })),
    ],
  );

/** For each rule a document that fires it and one just short that does not. */
const PAIRS: Record<string, readonly [Design, Design]> = {
  nothingWeighed: [change(base, ['/massItems', []]), base],
  balanceAft: [at(aft + 0.2), at(aft - 0.2)],
  balanceForward: [at(forward - 3), at(forward + 3)],
  packOutOfTravel: [
    change(at(aft + 40), ['/massItems/pack/attachment/from', aft + 30]),
    change(at(aft + 5), ['/massItems/pack/attachment/from', aft - 60]),
  ],
  stifferThanWanted: [
    change(base, ['/balance/maximumStaticMargin', numbers.pitch.staticMargin! - 0.002]),
    change(base, ['/balance/maximumStaticMargin', numbers.pitch.staticMargin! + 0.002]),
  ],
  narrowWindow: [
    change(base, ['/surfaces/tail/controls/elevator/throwUp', 0], ['/balance/minimumStaticMargin', 0.3]),
    base,
  ],
  cruiseNearStall: [
    change(base, ['/conditions/cruiseSpeed', 1.2 * stallSpeed]),
    change(base, ['/conditions/cruiseSpeed', 1.35 * stallSpeed]),
  ],
  elevatorAtStop: [change(base, ['/surfaces/tail/incidence', 10]), base],
  pitchFloor: [change(at(forward + 2), ['/surfaces/tail/controls/elevator/throwUp', 6]), base],
  tipStall: [
    change(base, ['/surfaces/wing/stations/1/chord', 60], ['/surfaces/wing/stations/0/chord', 240]),
    change(base, ['/surfaces/wing/stations/1/chord', 180]),
  ],
  weakFin: [change(base, ['/surfaces/fin/stations/1/distanceFromRoot', 40]), base],
  coarseLattice: [largestDesign(1), base],
  signOpen: [at(numbers.pitch.neutralPoint! * 1000), base],
  contourUnusable: [contour({ thickness: 0.001 }), contour({})],
  overWeight: [change(base, ['/brief/maximumMass', 599]), change(base, ['/brief/maximumMass', 601])],
};

type Make = (x: number) => Design;
const set =
  (on: Design, ...fields: string[]): Make =>
  (x) =>
    change(on, ...fields.map((field): [string, unknown] => [field, x]));
const folded = {
  kind: 'foldedOverSpar',
  boardThickness: 5,
  bottomLength: 0.8,
  sparHeight: 16,
  sparPosition: 0.28,
  rearBevel: 8,
};
const foldedWing = change(
  base,
  ['/surfaces/wing/stations/0/section', folded],
  ['/surfaces/wing/stations/1/section', folded],
);
const withRod = (rod: object) =>
  change(foldedWing, [
    '/surfaces/wing/spars',
    [
      {
        id: 'rod',
        start: { distanceFromRoot: 0, x: 56 },
        end: { distanceFromRoot: 500, x: 56 },
        linearDensity: 10,
        width: 4,
        height: 4,
        material: 'carbon rod',
        ...rod,
      },
    ],
  ]);
const readings = (of: string, left: number, right: number) =>
  change(base, [`/surfaces/${of}/asBuilt`, { left: { incidence: left }, right: { incidence: right } }]);
const noAilerons = change(base, ['/surfaces/wing/controls', []]);
const thin = change(base, ['/surfaces/wing/stations/0/chord', 80], ['/surfaces/wing/stations/1/chord', 80]);
const throws = (on: Design, surface: string, control: string) =>
  set(on, `/surfaces/${surface}/controls/${control}/throwUp`, `/surfaces/${surface}/controls/${control}/throwDown`);
const drive = {
  id: 'drive',
  kind: 'tractor',
  mirrored: false,
  downThrust: 0,
  rightThrust: 0,
  propellerDiameter: 200,
  propellerPitch: 110,
  blades: 2,
  blade: [],
  name: '',
};
const wheels = (x: number) => [
  { id: 'main', position: { x, y: 130, z: -120 }, diameter: 50, mirrored: true },
  { id: 'rear', position: { x: 700, y: 0, z: -60 }, diameter: 15, mirrored: false },
];

/** For each other rule one number that is moved until it fires: where it is quiet, and where it fires. */
const EDGES: Record<string, readonly [Make, number, number]> = {
  handsOffTrim: [set(base, '/surfaces/tail/incidence'), 1.5, -4],
  builtAngle: [(x) => readings('tail', x, x), 0, 3],
  equalErrors: [
    (x) =>
      withFields(readings('tail', x, x), [
        { field: '/surfaces/wing/asBuilt', value: { left: { incidence: 3 + x }, right: { incidence: 3 + x } } },
      ]),
    0,
    1.5,
  ],
  leftRight: [(x) => readings('wing', 3, 3 + x), 0, 6],
  downwashStrong: [set(base, '/surfaces/wing/stations/1/distanceFromRoot'), 600, 160],
  smallTail: [
    (x) => change(base, ['/surfaces/tail/stations/0/chord', 140 * x], ['/surfaces/tail/stations/1/chord', 110 * x]),
    1,
    0.25,
  ],
  flatVee: [set(demoDesign('gannet-vee'), '/surfaces/vtail/stations/0/dihedral'), 35, 15],
  thrustLine: [(x) => change(base, ['/propulsion', [{ ...drive, position: { x: -50, y: 0, z: x } }]]), 0, 400],
  dragHeight: [
    (x) =>
      change(base, [
        '/dragItems',
        [{ id: 'box', name: '', dragArea: 12000, position: { x: 100, y: 0, z: x }, mirrored: false }],
      ]),
    0,
    900,
  ],
  // Built without the reflex that trims it: the elevons have to.
  elevonSaturation: [
    throws(change(demoDesign('storm-courier'), ['/surfaces/wing/controls/elevon/neutral', 0]), 'wing', 'elevon'),
    20,
    3,
  ],
  hingeRub: [
    (x) => change(base, ['/surfaces/tail/controls/elevator/from', 0.1], ['/bodies', [boxBody(x, 760)]]),
    20,
    60,
  ],
  rodPastTip: [(x) => withRod({ end: { distanceFromRoot: x, x: 60 } }), 400, 1200],
  rodTooThick: [(x) => withRod({ shape: 'round', width: x, height: x }), 8, 20],
  fastForPurpose: [set(base, '/massItems/lump/mass'), 200, 3000],
  windOverBrief: [set(base, '/brief/wind'), 2, 10],
  sparMisplaced: [(x) => withRod({ start: { distanceFromRoot: 0, x }, end: { distanceFromRoot: 500, x } }), 56, 120],
  thickAtLowReynolds: [
    (x) =>
      change(
        thin,
        ...[0, 1].map((index): [string, unknown] => [
          `/surfaces/wing/stations/${index}/section`,
          { kind: 'fourDigit', camber: 0.03, camberPosition: 0.4, thicknessRatio: x },
        ]),
      ),
    0.08,
    0.15,
  ],
  panelTooLong: [set(base, '/brief/longestPanel'), 700, 500],
  fastForLaunch: [set(base, '/massItems/lump/mass'), 400, 3000],
  loadingOverBrief: [set(base, '/brief/targetWingLoading'), 4000, 1000],
  spanOverBrief: [set(base, '/brief/maximumSpan'), 1300, 1000],
  spiralDive: [set(base, '/surfaces/wing/stations/0/dihedral'), 6, -8],
  wallows: [
    (x) =>
      change(
        base,
        ['/surfaces/wing/stations/0/dihedral', x],
        ['/surfaces/fin/stations/1/distanceFromRoot', 160 - 4 * x],
      ),
    4,
    28,
  ],
  noseDeparts: [at, 90, 230],
  speedRunsAway: [
    set(demoDesign('sandbar-fixed'), `/propulsion/${demoDesign('sandbar-fixed').propulsion[0]!.id}/position/z`),
    60,
    -40,
  ],
  rudderRolls: [set(noAilerons, '/surfaces/wing/stations/0/dihedral'), 8, -8],
  rollFeel: [throws(base, 'wing', 'aileron'), 14, 1],
  pitchFeel: [throws(base, 'tail', 'elevator'), 12, 1],
  yawFeel: [throws(base, 'fin', 'rudder'), 15, 1],
  manoeuvreMargin: [at, 90, 230],
  undercarriagePlace: [(x) => change(base, ['/wheels', wheels(x)]), 40, 86],
  rearStallsFirst: [set(demoDesign('heron-canard'), '/massItems/pack/position/x'), 150, 900],
  breaksInFlight: [set(demoDesign('petrel-inverted'), '/loads/diveHeight'), 2, 60],
  twistsAway: [set(demoDesign('polly-drift'), '/materials/board3/faceDensity'), 250, 60],
  turnsRound: [set(demoDesign('reef-surveyor'), '/materials/board5/faceDensity'), 250, 60],
  softBoom: [set(demoDesign('kittiwake-winglet'), '/materials/board5/faceDensity'), 110, 5],
  weakDrive: [
    set(
      demoDesign('lagoon-postman'),
      `/propulsion/${demoDesign('lagoon-postman').propulsion[0]!.id}/motor/speedConstant`,
    ),
    1000,
    300,
  ],
  currentOverLimit: [set(postman, '/propulsion/drive/motor/maximumCurrent'), 14, 5],
  benchOff: [(thrust) => change(postman, ['/propulsion/drive/benchTest', { thrust }]), 700, 400],
  handNearDisc: [(x) => change(base, ['/propulsion', [pusher(x)]]), 300, 120],
  launchSinks: [set(postman, '/massItems/motor/mass'), 60, 900],
  longGroundRun: [
    (fieldLength) =>
      change(
        postman,
        ['/brief/launch', 'wheels'],
        ['/wheels', wheels(60).map((wheel) => wheelSchema.parse(wheel))],
        ['/brief/fieldLength', fieldLength],
      ),
    400,
    1,
  ],
  missionEmpties: [
    (minutes) => change(postman, ['/mission', [missionPhaseSchema.parse({ id: 'stay', kind: 'loiter', minutes })]]),
    10,
    70,
  ],
  oneMotorOut: [
    (y) => change(postman, ['/propulsion/drive/mirrored', true], ['/propulsion/drive/position/y', y]),
    20,
    400,
  ],
  propellerCostsGlide: [
    (size) => change(postman, ['/brief/purpose', 'soar'], ['/propulsion/drive/propellerDiameter', size]),
    80,
    300,
  ],
  shortDuration: [set(postman, '/brief/duration'), 10, 60],
  weakRubber: [strung, 60, 2],
  flexUnsettles: [set(demoDesign('storm-courier'), '/loads/diveHeight'), 2, 60],
  wingsPart: [set(demoDesign('harbour-steward'), '/materials/board5/faceDensity'), 110, 30],
  weakJoint: [set(demoDesign('lagoon-postman'), '/loads/landingSink'), 1.5, 15],
  weakLinkage: [
    (slop) =>
      change(demoDesign('lagoon-postman'), ['/surfaces/wing/controls/aileron/servo', servoSchema.parse({ slop })]),
    0.1,
    2,
  ],
  slowSide: [set(demoDesign('manta-delta'), '/balance/statedMaximumLift'), 0.5, 0.9],
  weightCreep: [set(base, '/massItems/lump/measuredMass'), 505, 600],
  outsideTable: [set(base, '/conditions/cruiseSpeed'), 12, 80],
  offCentre: [set(base, '/massItems/lump/position/y'), 0, 60],
  wingUnspared: [set(base, '/surfaces/wing/stations/1/distanceFromRoot'), 240, 600],
  tailOverloaded: [set(base, '/surfaces/tail/incidence'), 0, -14],
  overCeiling: [
    (mass) =>
      change(base, [
        '/massItems',
        [...base.massItems, { ...base.massItems[0]!, id: 'motor', category: 'motor', mass }],
      ]),
    90,
    5,
  ],
};

/** Halvings that bring the two documents of a rule close to its edge. */
const HALVINGS = 5;
for (const [id, [make, quiet, firing]] of Object.entries(EDGES)) {
  let [a, b] = [quiet, firing];
  for (let halving = 0; halving < HALVINGS; halving++) {
    const middle = (a + b) / 2;
    if (found(make(middle), id).includes(id)) b = middle;
    else a = middle;
  }
  PAIRS[id] = [make(b), make(a)];
}

describe('rules', () => {
  test('every rule has its pair', () => {
    expect(Object.keys(PAIRS).sort()).toEqual(RULES.map(({ id }) => id).sort());
  });

  test.each(Object.entries(PAIRS))('%s fires, and just short of it does not', (id, [firing, quiet]) => {
    expect(found(firing, id)).toContain(id);
    expect(found(quiet, id)).not.toContain(id);
  });

  test.each(Object.entries(PAIRS))(
    '%s says what is wrong in a sentence with numbers that are numbers',
    (id, [firing]) => {
      const finding = analyse(firing, { without: ['remedies', 'workings', ...withoutBands(id)] }).findings.find(
        (candidate) => candidate.id === id,
      )!;
      expect(said(finding.message)).toMatch(/^[A-Z].{30,}\.$/);
      expect(said(finding.message)).not.toMatch(/NaN|undefined|null/);
      expect(Object.values(finding.numbers).every(({ value }) => Number.isFinite(value))).toBe(true);
      expect(finding.source.length).toBeGreaterThan(3);
    },
  );
});

const RANK = { stop: 2, caution: 1, note: 0 };

describe('remedies', () => {
  const documents: [string, Design][] = [
    ...Object.entries(PAIRS).map(([id, [firing]]) => [`firing ${id}`, firing] as [string, Design]),
    ...DEMO_NAMES.map((name) => [name, demoDesign(name)] as [string, Design]),
  ];

  let tried = 0;
  test.each(documents)('%s: each one offered removes its finding and brings nothing worse', (_, design) => {
    const before = analyse(design, { without: ['bands', 'workings'] });
    for (const finding of before.findings) {
      for (const remedy of finding.remedies) {
        tried++;
        const after = analyse(withFields(design, remedy.change), { without: ['remedies', 'bands', 'workings'] });
        expect(
          after.findings.map(({ id }) => id),
          sentence(remedy.label),
        ).not.toContain(finding.id);
        for (const other of after.findings) {
          const known = before.findings.find(({ id }) => id === other.id);
          expect(RANK[other.severity], `${sentence(remedy.label)} brings ${other.id}`).toBeLessThanOrEqual(
            known ? RANK[known.severity] : RANK[finding.severity] - 1,
          );
        }
      }
    }
    const ids = before.findings.map(({ id }) => id);
    expect(new Set(ids).size, 'no finding twice').toBe(ids.length);
  });

  test('that was more than a handful', () => {
    expect(tried).toBeGreaterThan(150);
  });

  test('there is one for a tail-heavy aircraft with a pack that can move, and none while dragging', () => {
    const tailHeavy = change(at(aft + 8), ['/massItems/pack/attachment/from', -300]);
    const balance = analyse(tailHeavy).findings.find(({ id }) => id === 'balanceAft')!;
    expect(balance.remedies.map(({ label }) => label).join()).toMatch(/Slide Pack forward/);
    expect(analyse(tailHeavy, { without: ['remedies'] }).findings.flatMap(({ remedies }) => remedies)).toEqual([]);
  });
});
