import { type Material, materialSchema } from '../schema/airframe';

/** Sides of the sheets that are sold [mm]. */
export const SHEET_SIZES: readonly (readonly [length: number, width: number])[] = [
  [1000, 700],
  [762, 508],
];

type Sort = readonly [
  id: string,
  name: string,
  thickness: number,
  arealDensity: number,
  faces: Material['faces'],
  faceDensity: number,
  more?: Partial<Pick<Material, 'core' | 'sheetLength' | 'sheetWidth'>>,
];

const board = ([id, name, thickness, arealDensity, faces, faceDensity, more]: Sort): Material =>
  materialSchema.parse({ id, name, thickness, arealDensity, faces, faceDensity, ...more });

const SMALL = { sheetLength: 762, sheetWidth: 508 };

/**
 * Sheets by what they are, not by maker: weights in the middle of what is sold,
 * within ±15 %. One default cannot serve: faced boards of 5 mm weigh from 300 to
 * 650 g/m². Weigh a sheet of yours; that replaces them.
 */
export const BOARDS: readonly Material[] = (
  [
    ['light5', 'Light faced board 5 mm, 20 × 30 in', 5, 300, 'both', 75, SMALL],
    ['light5large', 'Light faced board 5 mm, 70 × 100 cm', 5, 300, 'both', 75],
    ['faced5', 'Faced board 5 mm', 5, 410, 'both', 110],
    ['craft5', 'Craft board 5 mm', 5, 600, 'both', 190],
    ['faced3', 'Faced board 3 mm', 3, 290, 'both', 85],
    ['faced6', 'Faced board 6 mm', 6, 480, 'both', 120],
    ['faced10', 'Faced board 10 mm', 10, 680, 'both', 150],
    ['water5', 'Board 5 mm, water-resistant faces', 5, 350, 'both', 85],
    ['oneFace5', 'Board 5 mm, one face peeled', 4.8, 300, 'one', 110],
    ['bare5', 'Board 5 mm, both faces peeled', 4.6, 190, 'none', 110],
    ['bare3', 'Board 3 mm, both faces peeled', 2.7, 115, 'none', 85],
    ['packing3', 'Packing foam 3 mm', 3, 75, 'none', 1],
    ['packing6', 'Packing foam 6 mm', 6, 150, 'none', 1],
    ['core20', 'Hot-wire block, weight of 20 mm', 20, 400, 'none', 1, { core: 'bead' }],
    ['beadPolypropylene20', 'Bead polypropylene block, weight of 20 mm', 20, 400, 'none', 1, { core: 'polypropylene' }],
    ['wood1', 'Light wood 1.5 mm', 1.5, 240, 'none', 1, { core: 'wood' }],
  ] satisfies Sort[]
).map(board);

/** Coverings and joints by area and length, to be typed or taken. g/m² and g/m. */
export const COVERINGS: readonly (readonly [string, number])[] = [
  ['none', 0],
  ['packing tape', 55],
  ['iron-on film', 65],
  ['tissue and dope', 28],
  ['glass cloth and resin', 110],
  ['paint, two coats', 60],
];
export const JOINTS: readonly (readonly [string, number])[] = [
  ['hot glue', 8],
  ['contact glue', 3],
  ['wood glue', 5],
  ['foam-safe quick glue', 4],
];
