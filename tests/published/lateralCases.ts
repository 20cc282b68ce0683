import { designOf, trapezoid } from '../designs';
import { liftingLine } from './liftingLine';
import { GLAUERT, type PublishedCase } from './publishedCase';
import { ellipse, longWing, sweptBoard } from './shapes';
import { solveSurfaces } from './solve';

/** Lift slope of a V-tail alone over that of the same boards laid flat, on the same area. */
function veeLift(degrees: number): number {
  const tail = (angle: number) => {
    const input = trapezoid(300, 120, 120);
    input.stations[0]!.dihedral = angle;
    const solved = solveSurfaces(designOf([input]));
    return solved.pitch().liftSlope * solved.reference.area;
  };
  return tail(degrees) / tail(0);
}

/** Side-force slope of a V-tail alone over the lift slope of the same boards laid flat. */
function veeSide(degrees: number): number {
  const input = trapezoid(300, 120, 120);
  input.stations[0]!.dihedral = degrees;
  const vee = solveSurfaces(designOf([input]));
  const flat = solveSurfaces(designOf([trapezoid(300, 120, 120)]));
  return (-vee.lateral().sideForceSlope * vee.reference.area) / (flat.pitch().liftSlope * flat.reference.area);
}

/** Yaw and side force from roll rate over lift, about the neutral point, turned from body into wind axes. */
function rolling(solved: ReturnType<typeof solveSurfaces>) {
  const alpha = 0.05;
  const [cosine, sine] = [Math.cos(alpha), Math.sin(alpha)];
  const pitch = solved.pitch();
  const body = solved.lateral(alpha, [pitch.neutralPoint, 0, 0]);
  const lift = pitch.liftSlope * sine;
  const yaw =
    cosine ** 2 * body.yawFromRollRate -
    sine ** 2 * body.rollFromYawRate -
    sine * cosine * (body.rollDamping - body.yawDamping);
  return {
    yaw: yaw / lift,
    sideForce: (cosine * body.sideForceFromRollRate + sine * body.sideForceFromYawRate) / lift,
  };
}

const TOLL_QUEIJO = 'Toll & Queijo, NACA TN 1581, 1948';

/** What sweep adds to the side force from roll rate over lift: (A + cos Λ)/(A + 4 cos Λ) tan Λ. */
function sweptShare(aspectRatio: number, sweep: number): number {
  const angle = (sweep * Math.PI) / 180;
  const cosine = Math.cos(angle);
  return ((aspectRatio + cosine) / (aspectRatio + 4 * cosine)) * Math.tan(angle);
}

/** Roll of sideslip over lift of a flat wing with a straight quarter-chord line, body axes; wakes turn with the wind or stay. */
function flatWingRoll(aspectRatio: number, taper: number, turnsWakes: boolean): number {
  const alpha = 0.05;
  const half = (aspectRatio * 100 * (1 + taper)) / 4;
  const wing = trapezoid(half, 100, 100 * taper);
  wing.stations[1]!.leadingEdgeOffset = 25 * (1 - taper);
  const solved = solveSurfaces(
    designOf([wing]),
    { strips: 30, chordwise: 8 },
    turnsWakes ? Math.tan(alpha) : 0,
    turnsWakes,
  );
  return solved.lateral(alpha).dihedralEffect / (solved.pitch(alpha).liftSlope * alpha);
}

const FLAT_WINGS = 'Toll & Queijo, NACA TN 1581, 1948, after Weissinger: 0.05 − (0.71 λ + 0.29)/A, square tips';
const flatWing = (aspectRatio: number, taper: number) => 0.05 - (0.71 * taper + 0.29) / aspectRatio;

const sideFromRoll = (aspectRatio: number, sweep: number) =>
  rolling(solveSurfaces(sweptBoard(aspectRatio, sweep))).sideForce;

/** Lift of a flap along the whole of a long wing over lift of incidence, against the same without sweep. */
function flapShare(sweep: number): number {
  const long = (degrees: number) => {
    const wing = trapezoid(3000, 200);
    wing.stations[1]!.leadingEdgeOffset = 3000 * Math.tan((degrees * Math.PI) / 180);
    wing.controls = [{ id: 'flap', function: 'elevon', hingeInboard: 0.7, hingeOutboard: 0.7 }];
    const { liftSlope, liftFromElevator } = solveSurfaces(designOf([wing]), { strips: 30, chordwise: 6 }).pitch();
    return liftFromElevator! / liftSlope;
  };
  return long(sweep) / long(0);
}

export const LATERAL_CASES: readonly PublishedCase[] = [
  ...([30, 45] as const).map((sweep): PublishedCase => ({
    title: `Flap on a hinge swept by ${sweep}°, lift over that of incidence, against none, A 30`,
    source: 'Simple sweep theory: cos Λ (Betz; Jones, NACA Report 863, 1945)',
    published: Math.cos((sweep * Math.PI) / 180),
    ours: () => flapShare(sweep),
    tolerance: 0.02,
  })),
  {
    title: 'Roll damping of a rectangle of aspect ratio 100',
    source: `${GLAUERT}: lifting line with a linear twist, solved anew`,
    // At pb/2V = 1 the local angle is y/(b/2); roll to the right is down on the right.
    published: -liftingLine(100, (eta) => eta, 200).roll,
    ours: () => longWing().lateral().rollDamping,
    tolerance: 0.015,
  },
  {
    title: 'Yaw from roll rate of an elliptic wing of aspect ratio 20 over lift, wind axes',
    source: `Lifting line in closed form, −(A − 2)/(8 (A + 4)), after ${GLAUERT}, ch. XI`,
    published: -18 / (8 * 24),
    ours: () => rolling(solveSurfaces(designOf([ellipse(1000, 127)]), { strips: 30, chordwise: 5 })).yaw,
    tolerance: 0.04,
    remark: 'A line has no tips that pull; theirs is 2 % here.',
  },
  ...(
    [
      [6, 30],
      [4, 45],
    ] as const
  ).map(([aspectRatio, sweep]): PublishedCase => ({
    title: `Side force from roll rate over lift that sweep of ${sweep}° adds, constant chord, A ${aspectRatio}`,
    source: TOLL_QUEIJO,
    published: sweptShare(aspectRatio, sweep),
    ours: () => sideFromRoll(aspectRatio, sweep) - sideFromRoll(aspectRatio, 0),
    tolerance: 0.05,
  })),
  {
    title: 'Side force from roll rate over lift, rectangle of aspect ratio 6',
    source: `${TOLL_QUEIJO}: 1/A for the suction of the tips`,
    published: 1 / 6,
    ours: () => sideFromRoll(6, 0),
    tolerance: null,
    remark: 'The tunnel gives two thirds of the suction that an ideal tip would have; ours is the ideal.',
  },
  ...(
    [
      [4, 1],
      [4, 0.5],
      [8, 1],
    ] as const
  ).flatMap(([aspectRatio, taper]): PublishedCase[] => [
    {
      title: `Roll of sideslip over lift, flat wing of aspect ratio ${aspectRatio}, taper ${taper}, wakes along the wind`,
      source: FLAT_WINGS,
      published: flatWing(aspectRatio, taper),
      ours: () => flatWingRoll(aspectRatio, taper, true),
      tolerance: 0.4,
      remark:
        'A fit of the first lattices; every horseshoe by itself, wakes turned with it, gives ours to four digits.',
    },
    {
      title: `The same with wakes straight along the datum`,
      source: FLAT_WINGS,
      published: flatWing(aspectRatio, taper),
      ours: () => flatWingRoll(aspectRatio, taper, false),
      tolerance: null,
      remark: 'What the headline shows; the band of the dihedral effect covers the difference.',
    },
  ]),
  ...([30, 35, 40, 45] as const).flatMap((angle): PublishedCase[] => [
    {
      title: `V-tail at ${angle}°, lift against the same boards laid flat; rule: cos²`,
      source: 'Projected-area rule of thumb',
      published: Math.cos((angle * Math.PI) / 180) ** 2,
      ours: () => veeLift(angle),
      tolerance: null,
      remark: 'The rule is low: each half also works in the wash of the other.',
    },
    {
      title: `V-tail at ${angle}°, side force against the lift laid flat; rule: sin²`,
      source: 'Projected-area rule of thumb',
      published: Math.sin((angle * Math.PI) / 180) ** 2,
      ours: () => veeSide(angle),
      tolerance: null,
      remark: 'The rule is high: in sideslip the halves work against each other at the root.',
    },
  ]),
];
