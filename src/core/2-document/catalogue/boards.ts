import { type Material, materialSchema } from '../schema/airframe';

const board = (id: string, name: string, thickness: number, arealDensity: number, faces: Material['faces']): Material =>
  materialSchema.parse({ id, name, thickness, arealDensity, faces });

/**
 * Sheets by what they are, not by maker: weights in the middle of what is sold,
 * within ±15 %. Weigh a sheet of yours; that replaces them.
 */
export const BOARDS: readonly Material[] = [
  board('faced3', 'Faced board 3 mm', 3, 290, 'both'),
  board('faced5', 'Faced board 5 mm', 5, 410, 'both'),
  board('faced6', 'Faced board 6 mm', 6, 480, 'both'),
  board('faced10', 'Faced board 10 mm', 10, 680, 'both'),
  board('oneFace5', 'Board 5 mm, one face peeled', 4.8, 300, 'one'),
  board('bare5', 'Board 5 mm, both faces peeled', 4.6, 190, 'none'),
  board('bare3', 'Board 3 mm, both faces peeled', 2.7, 115, 'none'),
  board('water5', 'Board 5 mm, water-resistant faces', 5, 350, 'both'),
  board('packing3', 'Packing foam 3 mm', 3, 75, 'none'),
  board('packing6', 'Packing foam 6 mm', 6, 150, 'none'),
  board('core20', 'Hot-wire block, weight of 20 mm', 20, 400, 'none'),
  board('wood1', 'Light wood 1.5 mm', 1.5, 240, 'none'),
];

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
