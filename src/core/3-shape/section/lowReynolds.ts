import type { Section, SectionKind } from '@/core/2-document/schema/section';
import { buildOf, SECTION_BUILDS } from './kinds';
import type { Bluntness, SectionFamily } from './kinds/kind';
import { camberLine, contourOf, thicknessOf } from './contour';

/**
 * What thin-aerofoil theory does not know: greatest lift, drag and the loss of
 * lift slope of sections as they are built from board, at model Reynolds
 * numbers. One table by family and Reynolds number; every entry is an estimate
 * drawn from the trends of published wind tunnel series and carries a band:
 *
 * - flat and curved plates: Schmitz, Aerodynamik des Flugmodells, 1941;
 *   Mueller (ed.), Proc. Low Reynolds Number Aerodynamics, 1989; Pelletier &
 *   Mueller, J. Aircraft 37 (2000).
 * - thick sections: Selig, Donovan & Fraser, Airfoils at Low Speeds, 1989;
 *   Selig et al., Summary of Low-Speed Airfoil Data, vol. 1–3, 1995–1997.
 *
 * - folds: as thick sections, but their scored nose trips the flow: no collapse
 *   at low Reynolds numbers, more drag at high ones (Schmitz on tripped sections).
 * - reflexed: a curved plate that gives away what the raised rear takes.
 *
 * Range: Re 2·10⁴ to 5·10⁵; outside it the end value is used and the band doubled.
 */
export type { SectionFamily } from './kinds/kind';

interface TableRow {
  /** Greatest lift coefficient without camber, and its growth with camber (fraction of chord). */
  readonly maximumLift: number;
  readonly maximumLiftPerCamber: number;
  /** Least profile drag, and its growth with (c_l − c_l,best)². */
  readonly leastDrag: number;
  readonly dragGrowth: number;
  /** Lift slope over 2π per radian. */
  readonly liftSlopeFactor: number;
}

const REYNOLDS = [2e4, 4e4, 7e4, 1e5, 2e5, 5e5] as const;

const row = (
  maximumLift: number,
  maximumLiftPerCamber: number,
  leastDrag: number,
  dragGrowth: number,
  liftSlopeFactor: number,
): TableRow => ({ maximumLift, maximumLiftPerCamber, leastDrag, dragGrowth, liftSlopeFactor });

const TABLE: Record<SectionFamily, readonly TableRow[]> = {
  flatPlate: [
    row(0.68, 6, 0.032, 0.16, 0.88),
    row(0.72, 6, 0.025, 0.14, 0.91),
    row(0.75, 6.5, 0.021, 0.13, 0.93),
    row(0.78, 7, 0.018, 0.12, 0.94),
    row(0.82, 7, 0.015, 0.11, 0.95),
    row(0.85, 7, 0.012, 0.1, 0.96),
  ],
  curvedPlate: [
    row(0.7, 4.5, 0.036, 0.07, 0.86),
    row(0.75, 5.5, 0.028, 0.06, 0.9),
    row(0.78, 6.5, 0.023, 0.05, 0.92),
    row(0.8, 7, 0.02, 0.045, 0.93),
    row(0.85, 7, 0.016, 0.04, 0.95),
    row(0.88, 7, 0.013, 0.04, 0.96),
  ],
  reflexed: [
    row(0.74, 1.5, 0.033, 0.12, 0.86),
    row(0.79, 1.5, 0.026, 0.1, 0.9),
    row(0.82, 1.5, 0.022, 0.09, 0.92),
    row(0.84, 1.5, 0.019, 0.08, 0.93),
    row(0.88, 1.5, 0.0155, 0.07, 0.95),
    row(0.9, 1.5, 0.0125, 0.065, 0.96),
  ],
  folded: [
    row(0.76, 3, 0.04, 0.08, 0.82),
    row(0.87, 3.5, 0.031, 0.065, 0.86),
    row(0.91, 5.5, 0.025, 0.05, 0.89),
    row(0.94, 7, 0.02, 0.04, 0.91),
    row(1.0, 7.5, 0.016, 0.03, 0.93),
    row(1.08, 8, 0.013, 0.025, 0.95),
  ],
  // Below Re 7·10⁴ the flow over a thick section leaves it early and does not come back.
  thick: [
    row(0.5, 2, 0.045, 0.1, 0.72),
    row(0.6, 3, 0.034, 0.08, 0.78),
    row(0.78, 5, 0.025, 0.05, 0.86),
    row(0.9, 7, 0.019, 0.035, 0.9),
    row(1.0, 7.5, 0.014, 0.025, 0.93),
    row(1.1, 8, 0.01, 0.02, 0.95),
  ],
};

/** Half width of the band of each figure, as a share of it; twice that outside the table. */
const SECTION_BAND = { maximumLift: 0.12, leastDrag: 0.25, liftSlopeFactor: 0.05 } as const;
const OUTSIDE = 2;

/** Half width of the band of a figure, as a share of it. */
export const sectionBand = (key: keyof typeof SECTION_BAND, isOutsideTable: boolean): number =>
  SECTION_BAND[key] * (isOutsideTable ? OUTSIDE : 1);

export interface SectionData {
  readonly family: SectionFamily;
  readonly maximumLift: number;
  /** Greatest lift the other way up, as a positive number. */
  readonly invertedLift: number;
  readonly leastDrag: number;
  readonly dragGrowth: number;
  /** Lift coefficient of least drag. */
  readonly bestLift: number;
  readonly liftSlopeFactor: number;
  /** True when the Reynolds number lies outside the table. */
  readonly outsideTable: boolean;
}

/** Camber beyond which more brings no more lift. */
const MOST_USEFUL_CAMBER = 0.08;
const LEAST_LIFT = 0.3;

/** Shape of a section over its chord, and where it is blunt; every part changes evenly along a panel. */
export interface SectionShape extends Bluntness {
  readonly camber: number;
  readonly thicknessRatio: number;
  readonly thicknessPosition: number;
}

/**
 * Drag of a step of height h across the chord, over h/c: 0.15–0.2 (Hoerner,
 * Fluid-Dynamic Drag, 1965, ch. 3); ±40 %.
 */
const STEP_DRAG = 0.175;
/** Drag of bays between ribs that are open below, on the plan; ±50 % (practice of the field). */
const OPEN_BAYS = 0.004;

/**
 * Drag of a base of height h at the trailing edge of a chord c, as a section
 * coefficient: K h/c, K = 0.135/(2 C_f c/h)^⅓, C_f of one side. Source:
 * Hoerner, Fluid-Dynamic Drag, 1965, ch. 3; ±40 %. 5 mm on 120 mm at
 * C_f 0.008: 0.0077.
 */
export function bluntEdgeDrag(heightOverChord: number, frictionOfOneSide: number): number {
  if (heightOverChord <= 0) return 0;
  return (0.135 / Math.cbrt((2 * frictionOfOneSide) / heightOverChord)) * heightOverChord;
}

/** From this share of the greatest lift on the flow begins to leave, and drag rises by so much up to it; ±50 %. */
const RISE_FROM = 0.8;
const RISE = 0.03;

/**
 * Profile drag of a section at a lift coefficient:
 * c_d0 + k (c_l − c_l,best)² + 0.03 ((c_l/c_lmax − 0.8)/0.2)² above 0.8 c_lmax.
 * Without the last, least sink would lie at the stall.
 */
export function profileDrag(data: SectionData, lift: number, maximumLift: number = data.maximumLift): number {
  const used = lift >= 0 ? lift / maximumLift : -lift / data.invertedLift;
  const beyond = Math.max(0, used - RISE_FROM) / (1 - RISE_FROM);
  return data.leastDrag + data.dragGrowth * (lift - data.bestLift) ** 2 + RISE * beyond ** 2;
}

/** Greatest camber (with sign) and thickness of a section on a chord [mm]. */
export function shapeOf(section: Section, chord: number): SectionShape {
  const contour = contourOf(section, chord);
  const line = camberLine(contour);
  const camber = line.reduce((best, height) => (Math.abs(height) > Math.abs(best) ? height : best), 0);
  const { ratio, position } = thicknessOf(contour);
  const blunt = buildOf(section).bluntness(section, contour, chord);
  return { camber, thicknessRatio: ratio, thicknessPosition: position, ...blunt };
}

/** Data of a section on a chord [mm] at a Reynolds number. */
export function sectionData(section: Section, chord: number, reynolds: number): SectionData {
  return sectionDataOf(section.kind, shapeOf(section, chord), reynolds);
}

/** The table at a Reynolds number. */
interface Place extends TableRow {
  readonly isOutside: boolean;
}

const LOGARITHMS = REYNOLDS.map(Math.log);

/** Between two rows by the logarithm of the Reynolds number; held beyond the ends. */
function placeIn(rows: readonly TableRow[], reynolds: number): Place {
  const bounded = Math.min(REYNOLDS.at(-1)!, Math.max(REYNOLDS[0], reynolds));
  let next = 1;
  while (next < REYNOLDS.length - 1 && REYNOLDS[next]! < bounded) next++;
  const from = LOGARITHMS[next - 1]!;
  const [lower, upper] = [rows[next - 1]!, rows[next]!];
  const share = (Math.log(bounded) - from) / (LOGARITHMS[next]! - from);
  const mixed = (a: number, b: number) => a + (b - a) * share;
  return {
    maximumLift: mixed(lower.maximumLift, upper.maximumLift),
    maximumLiftPerCamber: mixed(lower.maximumLiftPerCamber, upper.maximumLiftPerCamber),
    leastDrag: mixed(lower.leastDrag, upper.leastDrag),
    dragGrowth: mixed(lower.dragGrowth, upper.dragGrowth),
    liftSlopeFactor: mixed(lower.liftSlopeFactor, upper.liftSlopeFactor),
    isOutside: reynolds !== bounded,
  };
}

const useful = (camber: number): number => Math.max(-0.04, Math.min(MOST_USEFUL_CAMBER, camber));

const liftOf = ({ maximumLift, maximumLiftPerCamber }: Place, camber: number): number =>
  Math.max(LEAST_LIFT, maximumLift + maximumLiftPerCamber * useful(camber));

const familyOf = (kind: SectionKind, { camber, thicknessRatio }: SectionShape): SectionFamily =>
  SECTION_BUILDS[kind].family(camber, thicknessRatio);

/** Greatest lift alone, where nothing else is asked. @param sweepCosine cos Λ¼ of a swept wing */
export const greatestLiftOf = (kind: SectionKind, shape: SectionShape, reynolds: number, sweepCosine = 1): number =>
  sweepCosine * liftOf(placeIn(TABLE[familyOf(kind, shape)], reynolds), shape.camber);

/** @param sweepCosine cos Λ¼: what of its greatest lift a swept wing has (Raymer, Aircraft Design, ch. 12) */
export function sectionDataOf(kind: SectionKind, shape: SectionShape, reynolds: number, sweepCosine = 1): SectionData {
  const { camber, thicknessRatio } = shape;
  const family = familyOf(kind, shape);
  const place = placeIn(TABLE[family], reynolds);
  const clean = place.leastDrag;
  return {
    family,
    maximumLift: sweepCosine * liftOf(place, camber),
    invertedLift: sweepCosine * liftOf(place, -camber),
    leastDrag:
      clean +
      0.05 * Math.max(0, thicknessRatio - 0.08) +
      bluntEdgeDrag(shape.rear, clean / 2) +
      STEP_DRAG * shape.step +
      OPEN_BAYS * shape.openBays,
    dragGrowth: place.dragGrowth,
    bestLift: Math.max(0, Math.min(0.8, 10 * useful(camber))),
    liftSlopeFactor: place.liftSlopeFactor,
    outsideTable: place.isOutside,
  };
}
