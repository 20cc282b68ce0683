import { induceAt, velocityRow } from '@/core/5-aero/inducedVelocity';
import { vortexField } from '@/core/5-aero/vortexField';
import { camberLine, contourOf } from '@/core/3-shape/section/contour';
import { thinAerofoil } from '@/core/3-shape/section/thinAerofoil';
import { sectionSchema } from '@/core/2-document/schema/section';
import { designOf } from '../designs';
import { LATERAL_CASES } from './lateralCases';
import { liftingLine } from './liftingLine';
import { MEASURED_CASES } from './measuredCases';
import { MOTION_CASES } from './motionCases';
import { SECTION_CASES } from './sectionCases';
import { GLAUERT, type PublishedCase, SURFACE } from './publishedCase';
import { ellipse, longWing, rectangle } from './shapes';
import { solveSurfaces } from './solve';

const thin = (input: unknown) => {
  const contour = contourOf(sectionSchema.parse(input), 200);
  return thinAerofoil(contour.x, camberLine(contour));
};

/** σ of Prandtl's induced drag of two equal wings, from the wake of two elliptic wings of aspect ratio 20. */
function biplaneFactor(gapOverSpan: number): number {
  const span = 2000;
  const grid = { strips: 24, chordwise: 3 };
  const upper = ellipse(span / 2, 127, { position: { x: 0, y: 0, z: gapOverSpan * span } });
  const lower = { ...ellipse(span / 2, 127), id: 'lower', role: 'secondWing' as const };
  const both = solveSurfaces(designOf([upper, lower]), grid).farField(0.1);
  const alone = solveSurfaces(designOf([upper]), grid).farField(0.1);
  // D = L²/(πqb²) (1 + σ)/2 against D = L²/(πqb²) for one wing.
  return 2 * (both.drag / both.lift ** 2 / (alone.drag / alone.lift ** 2)) - 1;
}

/** Downwash far behind an elliptic wing, at the height of its wake, over 2C_L/(πA). */
function farDownwash(): number {
  const solved = solveSurfaces(designOf([ellipse(1000, 127)]), { strips: 40, chordwise: 3 });
  const alpha = 0.1;
  const { circulation } = solved.model.stateAt(alpha, 0);
  const row = velocityRow(solved.lattice.panels);
  let sum = 0;
  for (const y of [0.31, -0.31]) {
    induceAt(vortexField(solved.lattice, { rise: 0 }), 200, { y, z: 0, own: -1 }, row);
    for (let j = 0; j < circulation.length; j++) sum += row.w[j]! * circulation[j]!;
  }
  const lift = (2 * solved.farField(alpha).lift) / solved.reference.area;
  return -sum / ((2 * lift) / (Math.PI * solved.reference.aspectRatio));
}

function flapRatio(): number {
  const controls = [{ id: 'flap', function: 'elevator' as const, hingeInboard: 0.75, hingeOutboard: 0.75 }];
  const pitch = solveSurfaces(rectangle(40, { controls })).pitch();
  return pitch.liftFromElevator! / pitch.liftSlope;
}

/** Warren's test wing: A = 2√2, leading edge swept 53.54°, taper 1/3, root chord 1.5. */
const warren = () =>
  solveSurfaces(
    designOf([
      {
        id: 'wing',
        role: 'wing',
        stations: [
          { distanceFromRoot: 0, chord: 1500 },
          {
            distanceFromRoot: 1000 * Math.SQRT2,
            chord: 500,
            leadingEdgeOffset: 1000 * Math.SQRT2 * Math.tan((53.54 * Math.PI) / 180),
          },
        ],
      },
    ]),
    { strips: 36, chordwise: 8 },
  );

const slenderDelta = () =>
  solveSurfaces(
    designOf([
      {
        id: 'wing',
        role: 'wing',
        stations: [
          { distanceFromRoot: 0, chord: 800 },
          { distanceFromRoot: 25, chord: 5, leadingEdgeOffset: 795 },
        ],
      },
    ]),
  );

const flapTheta = Math.acos(1 - 2 * 0.75);

export const CASES: readonly PublishedCase[] = [
  {
    title: 'Square wing, lift slope',
    source: SURFACE,
    published: 1.46,
    ours: () => solveSurfaces(rectangle(1)).pitch().liftSlope,
    tolerance: 0.002,
  },
  {
    title: 'Rectangle of aspect ratio 2, lift slope',
    source: SURFACE,
    published: 2.474,
    ours: () => solveSurfaces(rectangle(2)).pitch().liftSlope,
    tolerance: 0.002,
  },
  {
    title: 'Rectangle of aspect ratio 2, neutral point in chords',
    source: SURFACE,
    published: 0.2094,
    ours: () => solveSurfaces(rectangle(2)).pitch().neutralPoint / 0.2,
    tolerance: 0.002,
  },
  {
    title: 'Rectangle of aspect ratio 20, lift slope',
    source: `${GLAUERT}, ch. XI: lifting line solved anew with 120 terms`,
    published: liftingLine(20, () => 1).lift,
    ours: () => solveSurfaces(rectangle(20)).pitch().liftSlope,
    tolerance: 0.02,
    remark:
      'A lifting line leaves out the chord; a surface lifts 2 % less at this aspect ratio and half a percent less at 100.',
  },
  {
    title: 'Rectangle of aspect ratio 100, lift slope',
    source: `${GLAUERT}, ch. XI: lifting line solved anew with 200 terms`,
    published: liftingLine(100, () => 1, 200).lift,
    ours: () => longWing().pitch().liftSlope,
    tolerance: 0.015,
  },
  {
    title: 'Rectangle of aspect ratio 100, induced drag over C_L²/πA',
    source: `${GLAUERT}, ch. XI`,
    published: 1 / liftingLine(100, () => 1, 200).spanEfficiency,
    ours: () => {
      const solved = longWing();
      const { drag, lift } = solved.farField(0.1);
      const [cl, cd] = [lift, drag].map((value) => (2 * value) / solved.reference.area);
      return (Math.PI * solved.reference.aspectRatio * cd!) / cl! ** 2;
    },
    tolerance: 0.05,
    remark:
      'A surface unloads its tips more than a line does, the more so the wider the chord: 4 % at this aspect ratio.',
  },
  {
    title: 'Elliptic wing of aspect ratio 20, span efficiency',
    source: 'Prandtl; Glauert, ch. XI',
    published: 1,
    ours: () => {
      const solved = solveSurfaces(designOf([ellipse(1000, 127)]), { strips: 30, chordwise: 4 });
      const { drag, lift } = solved.farField(0.1);
      return (
        ((2 * lift) / solved.reference.area) ** 2 /
        ((Math.PI * solved.reference.aspectRatio * 2 * drag) / solved.reference.area)
      );
    },
    tolerance: 0.01,
  },
  {
    title: 'Elliptic wing of aspect ratio 20, lift slope',
    source: 'Lifting line: 2π/(1 + 2/A)',
    published: (2 * Math.PI) / (1 + 2 / 20),
    ours: () => solveSurfaces(designOf([ellipse(1000, 127)]), { strips: 30, chordwise: 5 }).pitch().liftSlope,
    tolerance: 0.02,
    remark: 'As for the rectangle: the chord is not nought.',
  },
  {
    title: 'Warren’s swept wing (A 2.83, 53.5°, taper 1/3), lift slope',
    source: 'Lifting-surface benchmark, widely reprinted',
    published: 2.743,
    ours: () => warren().pitch().liftSlope,
    tolerance: 0.015,
  },
  {
    title: 'Warren’s swept wing, moment slope about the apex, on the geometric mean chord',
    source: 'Lifting-surface benchmark, widely reprinted',
    published: -3.1,
    ours: () => {
      const solved = warren();
      const { momentSlope } = solved.pitch(0, [0, 0, 0]);
      return momentSlope * solved.reference.meanChord;
    },
    tolerance: 0.015,
  },
  {
    title: 'Slender delta (A 0.12), lift slope over πA/2',
    source: 'Jones, NACA Report 835, 1946',
    published: 1,
    ours: () => {
      const solved = slenderDelta();
      return solved.pitch().liftSlope / ((Math.PI * solved.reference.aspectRatio) / 2);
    },
    tolerance: 0.04,
    remark: 'Jones’ limit is reached from below as the aspect ratio goes to nought.',
  },
  {
    title: 'Circular-arc camber of 4 %, zero-lift angle [rad]',
    source: `${GLAUERT}, ch. VII`,
    published: -0.08,
    ours: () => thin({ kind: 'curvedPlate', thickness: 5, camber: 0.04, camberPosition: 0.5 }).zeroLiftAngle,
    tolerance: 0.005,
  },
  {
    title: 'Circular-arc camber of 4 %, moment about the quarter chord',
    source: `${GLAUERT}, ch. VII`,
    published: -Math.PI * 0.04,
    ours: () => thin({ kind: 'curvedPlate', thickness: 5, camber: 0.04, camberPosition: 0.5 }).quarterChordMoment,
    tolerance: 0.005,
  },
  {
    title: 'Four-digit mean line, 2 % at 40 %, zero-lift angle [°]',
    source: 'Abbott & von Doenhoff, Theory of Wing Sections, 1959',
    published: -2.077,
    ours: () => (thin({ kind: 'fourDigit', camber: 0.02, thicknessRatio: 0.12 }).zeroLiftAngle * 180) / Math.PI,
    tolerance: 0.01,
  },
  {
    title: 'Four-digit mean line, 4 % at 40 %, moment about the quarter chord',
    source: 'Abbott & von Doenhoff, Theory of Wing Sections, 1959',
    published: -0.1063,
    ours: () => thin({ kind: 'fourDigit', camber: 0.04, thicknessRatio: 0.12 }).quarterChordMoment,
    tolerance: 0.01,
  },
  {
    title: 'Flap of a quarter of the chord, lift per flap angle over lift per angle of attack (A 40)',
    source: `${GLAUERT}, section 7.5`,
    published: (Math.PI - flapTheta + Math.sin(flapTheta)) / Math.PI,
    ours: flapRatio,
    tolerance: 0.01,
  },
  ...(
    [
      [0.1, 0.655],
      [0.2, 0.485],
      [0.3, 0.37],
    ] as const
  ).map(([gap, published]): PublishedCase => ({
    title: `Biplane of equal wings, gap ${gap} of the span, Prandtl’s σ`,
    source: 'Prandtl, NACA Report 116, 1921',
    published,
    ours: () => biplaneFactor(gap),
    tolerance: 0.015,
  })),
  {
    title: 'Downwash far behind an elliptic wing over 2C_L/(πA)',
    source: 'Prandtl; Glauert, ch. XII',
    published: 1,
    ours: farDownwash,
    tolerance: 0.015,
  },
  {
    title: 'Pitch damping of a rectangle of aspect ratio 40 about its quarter chord',
    source: 'Strip theory: a plate turning about its quarter chord is a parabolic arc, c_mq = −π/4',
    published: -Math.PI / 4,
    ours: () => solveSurfaces(rectangle(40), { strips: 36, chordwise: 5 }).pitch(0, [0.05, 0, 0]).pitchDamping,
    tolerance: 0.03,
    remark: 'The tips carry less; the rest is within a percent.',
  },
  ...LATERAL_CASES,
  ...SECTION_CASES,
  ...MOTION_CASES,
  ...MEASURED_CASES,
];
