import type { Brief } from '../schema/brief';
import type { Surface } from '../schema/surface';

/** What a rod is by itself, wherever it is laid. */
export type RodStock = Pick<
  Surface['spars'][number],
  'name' | 'linearDensity' | 'shape' | 'width' | 'height' | 'innerDiameter' | 'material' | 'sagTest'
>;

/** Grams a metre of a section in mm² of a density in g/cm³, to a tenth. */
const perMetre = (area: number, density: number): number => Math.round(area * density * 10) / 10;

const round = (name: string, material: string, diameter: number, density: number): RodStock => ({
  name,
  material,
  shape: 'round',
  width: diameter,
  height: diameter,
  innerDiameter: 0,
  linearDensity: perMetre((Math.PI / 4) * diameter ** 2, density),
});

const tube = (
  name: string,
  material: string,
  [outer, inner]: readonly [number, number],
  density: number,
): RodStock => ({
  ...round(name, material, outer, density),
  shape: 'tube',
  innerDiameter: inner,
  linearDensity: perMetre((Math.PI / 4) * (outer ** 2 - inner ** 2), density),
});

const bar = (
  name: string,
  material: string,
  [width, height]: readonly [number, number],
  density: number,
): RodStock => ({
  name,
  material,
  shape: 'rectangle',
  width,
  height,
  innerDiameter: 0,
  linearDensity: perMetre(width * height, density),
});

/** What sticks and rods are sold in; weights from section and density (carbon 1.55, glass 1.9, pine 0.5, spruce 0.43, aluminium 2.7 g/cm³). */
export const ROD_STOCK: readonly RodStock[] = [
  round('Carbon rod 2 mm', 'carbon rod', 2, 1.55),
  round('Carbon rod 3 mm', 'carbon rod', 3, 1.55),
  bar('Carbon strip 0.8 × 6 mm, on edge', 'carbon strip', [0.8, 6], 1.55),
  tube('Carbon tube 4 × 2 mm', 'carbon tube', [4, 2], 1.55),
  tube('Carbon tube 6 × 4 mm', 'carbon tube', [6, 4], 1.55),
  tube('Carbon tube 8 × 6 mm', 'carbon tube', [8, 6], 1.55),
  tube('Carbon tube 10 × 8 mm', 'carbon tube', [10, 8], 1.55),
  round('Glass rod 4 mm', 'glass fibre', 4, 1.9),
  bar('Pine stick 5 × 5 mm', 'pine', [5, 5], 0.5),
  bar('Pine stick 8 × 8 mm', 'pine', [8, 8], 0.5),
  bar('Spruce strip 3 × 10 mm, on edge', 'spruce', [3, 10], 0.43),
  round('Bamboo skewer 3 mm', 'bamboo', 3, 0.75),
  tube('Aluminium tube 6 × 5 mm', 'aluminium', [6, 5], 2.7),
];

/** Rods of a brief’s drawer that stock lists have, by their names, from the lightest on. */
export const rodsInDrawer = ({ drawer }: Pick<Brief, 'drawer'>): RodStock[] =>
  ROD_STOCK.filter(({ name }) => drawer.some((item) => item.name === name)).toSorted(
    (a, b) => a.linearDensity - b.linearDensity,
  );
