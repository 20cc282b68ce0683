import Papa from 'papaparse';
import { sentence } from '@/words/formatQuantity';
import { gramsFromKilograms } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { areaOfPart, boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { cutLengthOf, massOfPart } from '@/core/4-parts/layout';
import type { CutList } from '@/core/4-parts/part';
import { escapedCell } from '../tableCell';

const HEAD = [
  'part',
  'count',
  'of them mirrored',
  'material',
  'length mm',
  'width mm',
  'area mm2',
  'cut mm',
  'mass g each',
  'notes',
];

const round = (value: number, digits = 1): string => String(Math.round(value * 10 ** digits) / 10 ** digits);

/** Parts, rods and blocks as a table for a spreadsheet. */
export function cutListTable(design: Design, { parts, rods, blocks }: CutList): string {
  const nameOf = (material: string) => design.materials.find(({ id }) => id === material)?.name || material;
  const rows = [
    ...parts.map((part) => {
      const { left, right, bottom, top } = boundsOfPart(part.outline);
      return [
        part.name,
        String(part.count),
        String(part.mirrored),
        nameOf(part.material),
        round(right - left),
        round(top - bottom),
        round(areaOfPart(part.outline), 0),
        round(cutLengthOf(part), 0),
        round(gramsFromKilograms(massOfPart(design, part)), 2),
        part.notes.map((note) => sentence(note)).join('; '),
      ];
    }),
    ...rods.map(({ name, count, material, size, length }) => [
      name,
      String(count),
      '',
      `${material}, ${size}`,
      round(length),
      '',
      '',
      '',
      '',
      '',
    ]),
    ...blocks.map(({ name, count, length, width, height }) => [
      name,
      String(count),
      '',
      'block',
      round(length),
      round(width),
      '',
      '',
      '',
      `${round(height)} mm high`,
    ]),
  ];
  return Papa.unparse([HEAD, ...rows.map((row) => row.map(escapedCell))]);
}
