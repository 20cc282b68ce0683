import { type Face, fromCamber, twoParabolas } from '../faces';
import { solidCore } from '../sheet';
import { block } from '../walls';
import { bluntRear, byThickness, filled, type SectionBuild } from './kind';

/** Thickness of the four-digit family with a blunt trailing edge. Source: NACA Report 460, 1933. */
export function fourDigitThickness(ratio: number): Face {
  return (x) => 10 * ratio * (0.2969 * Math.sqrt(x) - 0.126 * x - 0.3516 * x ** 2 + 0.2843 * x ** 3 - 0.1015 * x ** 4);
}

export const fourDigit: SectionBuild<'fourDigit'> = {
  kind: 'fourDigit',
  name: 'Hot-wired, four-digit',
  contour: ({ camber, camberPosition, thicknessRatio }) =>
    fromCamber(twoParabolas(camber, camberPosition), fourDigitThickness(thicknessRatio)),
  family: byThickness,
  sheet: (_section, contour, chord) => solidCore(contour, chord),
  walls: () => block,
  isSolid: true,
  bluntness: bluntRear,
  within: filled,
  working: ({ thicknessRatio }) => ({
    formula: 't/c, the last two digits of its name',
    given: [['t/c', 'Thickness over chord', thicknessRatio, 'percent']],
    source: 'NACA Report 460, 1933',
  }),
  pattern: null,
  board: () => null,
  fresh: () => ({ kind: 'fourDigit', camber: 0.03, camberPosition: 0.4, thicknessRatio: 0.1 }),
};
