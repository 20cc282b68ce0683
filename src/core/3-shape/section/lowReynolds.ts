import type { Section, SectionKind } from '@/core/2-document/schema/section';
import { SECTION_BUILDS } from './kinds';
import type { SectionFamily } from './kinds/kind';
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

/** Half width of the band of each figure, as a share of it. */
export const SECTION_BAND = { maximumLift: 0.12, leastDrag: 0.25, liftSlopeFactor: 0.05 } as const;

export interface SectionData {
  readonly family: SectionFamily;
  readonly maximumLift: number;
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

export interface SectionShape {
  readonly camber: number;
  readonly thicknessRatio: number;
  readonly thicknessPosition: number;
}

/** Greatest camber (with sign) and thickness of a section on a chord [mm]. */
export function shapeOf(section: Section, chord: number): SectionShape {
  const contour = contourOf(section, chord);
  const line = camberLine(contour);
  const camber = line.reduce((best, height) => (Math.abs(height) > Math.abs(best) ? height : best), 0);
  const { ratio, position } = thicknessOf(contour);
  return { camber, thicknessRatio: ratio, thicknessPosition: position };
}

/** Data of a section on a chord [mm] at a Reynolds number. */
export function sectionData(section: Section, chord: number, reynolds: number): SectionData {
  return sectionDataOf(section.kind, shapeOf(section, chord), reynolds);
}

export function sectionDataOf(
  kind: SectionKind,
  { camber, thicknessRatio }: SectionShape,
  reynolds: number,
): SectionData {
  const family = SECTION_BUILDS[kind].family(camber, thicknessRatio);
  const rows = TABLE[family];
  const bounded = Math.min(REYNOLDS.at(-1)!, Math.max(REYNOLDS[0], reynolds));
  let upper = 1;
  while (upper < REYNOLDS.length - 1 && REYNOLDS[upper]! < bounded) upper++;
  const from = Math.log(REYNOLDS[upper - 1]!);
  const share = (Math.log(bounded) - from) / (Math.log(REYNOLDS[upper]!) - from);
  const at = (key: keyof TableRow) => rows[upper - 1]![key] + (rows[upper]![key] - rows[upper - 1]![key]) * share;
  const useful = Math.max(-0.04, Math.min(MOST_USEFUL_CAMBER, camber));
  return {
    family,
    maximumLift: Math.max(0.3, at('maximumLift') + at('maximumLiftPerCamber') * useful),
    leastDrag: at('leastDrag') + 0.05 * Math.max(0, thicknessRatio - 0.08),
    dragGrowth: at('dragGrowth'),
    bestLift: Math.max(0, Math.min(0.8, 10 * useful)),
    liftSlopeFactor: at('liftSlopeFactor'),
    outsideTable: reynolds !== bounded,
  };
}
