import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { LAYER_LOOKS, type Layer, LAYERS, linesOf } from './layers';
import type { PlanSheet } from './planSheet';
import { RULER_ROOM, rulerLines } from './ruler';

const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** A sheet at full size in millimetres, one group a layer, y turned down as drawings on screens have it. */
export function planSvg({ title, length, width, parts }: PlanSheet): string {
  const high = width + RULER_ROOM;
  const paper = { place: ([x, y]: readonly [number, number]) => [x, width - y] as const, scale: 1, isMirrored: true };
  const pathsOf = (layer: Layer) =>
    parts.flatMap((part) =>
      linesOf(part).flatMap(([own, path]) => (own === layer ? [`<path d="${svgPath(path, paper)}"/>`] : [])),
    );
  const groups = LAYERS.filter((layer) => layer !== 'text').map((layer) => {
    const { colour, dash } = LAYER_LOOKS[layer];
    return `<g id="${layer}" fill="none" stroke="${colour}" stroke-width="0.25"${dash === null ? '' : ` stroke-dasharray="${dash}"`}>${pathsOf(layer).join('')}</g>`;
  });
  const ruler = rulerLines().map(
    ({ from, to }) => `<path d="M${from[0]} ${width + from[1]} L${to[0]} ${width + to[1]}"/>`,
  );
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${length}mm" height="${high}mm" viewBox="0 0 ${length} ${high}">`,
    `<title>${escaped(title)}</title>`,
    `<g id="sheet" fill="none" stroke="#999999" stroke-width="0.15"><path d="M0 0 H${length} V${width} H0 Z"/></g>`,
    ...groups,
    `<g id="text" fill="${LAYER_LOOKS.text.colour}" font-family="sans-serif">${parts.flatMap((part) => textsOf(part, width)).join('')}<text x="4" y="${width + RULER_ROOM - 4}" font-size="4">${escaped(title)}</text></g>`,
    `<g id="ruler" fill="none" stroke="#000000" stroke-width="0.2">${ruler.join('')}</g>`,
    '</svg>',
    '',
  ].join('\n');
}

const textsOf = ({ texts }: PartOutline, width: number): string[] =>
  texts.map(({ words, at: [x, y], height, turn }) => {
    const angle = degreesFromRadians(-turn).toFixed(2);
    return `<text transform="translate(${x.toFixed(2)} ${(width - y).toFixed(2)}) rotate(${angle})" font-size="${height.toFixed(2)}">${escaped(words)}</text>`;
  });
