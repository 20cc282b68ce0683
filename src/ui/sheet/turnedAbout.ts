import { radiansFromDegrees } from '@/core/1-base/units/convert';

/**
 * Places beside a point of a picture, turned about it as `rotate` of SVG does,
 * without a transform: where one changes the whole page is layered anew.
 * @param x of the point, to the right [px]
 * @param y downwards [px]
 * @param degrees clockwise
 */
export function turnedAbout(x: number, y: number, degrees: number) {
  const [cos, sin] = [Math.cos(radiansFromDegrees(degrees)), Math.sin(radiansFromDegrees(degrees))];
  return (dx: number, dy: number): readonly [number, number] => [x + dx * cos - dy * sin, y + dx * sin + dy * cos];
}
