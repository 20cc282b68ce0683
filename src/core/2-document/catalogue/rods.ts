import type { Surface } from '../schema/surface';

type Rod = Pick<Surface['spars'][number], 'name' | 'linearDensity' | 'width' | 'height' | 'material'>;

/** Outer and inner side [mm] and density [g/cm³] to grams a metre. */
const rod = (
  name: string,
  material: string,
  [outer, inner]: readonly [number, number],
  area: 'round' | 'square',
  density: number,
): Rod => {
  const shape = area === 'round' ? Math.PI / 4 : 1;
  return {
    name,
    material,
    width: outer,
    height: outer,
    linearDensity: Math.round(shape * (outer ** 2 - inner ** 2) * density * 10) / 10,
  };
};

/** What sticks and rods are sold in; weights from section and density (carbon 1.55, glass 1.9, pine 0.5, aluminium 2.7 g/cm³). */
export const ROD_STOCK: readonly Rod[] = [
  rod('Carbon rod 2 mm', 'carbon rod', [2, 0], 'round', 1.55),
  rod('Carbon rod 3 mm', 'carbon rod', [3, 0], 'round', 1.55),
  rod('Carbon tube 4 × 2 mm', 'carbon tube', [4, 2], 'round', 1.55),
  rod('Carbon tube 6 × 4 mm', 'carbon tube', [6, 4], 'round', 1.55),
  rod('Carbon tube 8 × 6 mm', 'carbon tube', [8, 6], 'round', 1.55),
  rod('Carbon tube 10 × 8 mm', 'carbon tube', [10, 8], 'round', 1.55),
  rod('Glass rod 4 mm', 'glass fibre', [4, 0], 'round', 1.9),
  rod('Pine stick 5 × 5 mm', 'pine', [5, 0], 'square', 0.5),
  rod('Pine stick 8 × 8 mm', 'pine', [8, 0], 'square', 0.5),
  rod('Bamboo skewer 3 mm', 'bamboo', [3, 0], 'round', 0.75),
  rod('Aluminium tube 6 × 5 mm', 'aluminium', [6, 5], 'round', 2.7),
];
