type Json = Record<string, unknown>;

const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null;
const listOf = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
const numberOf = (value: unknown): number => (typeof value === 'number' ? value : 0);

/** Density of what rods are made of, by a word in their material [g/cm³]. */
const DENSITIES: readonly (readonly [RegExp, number])[] = [
  [/carbon/i, 1.55],
  [/glass/i, 1.9],
  [/alumin/i, 2.7],
  [/bamboo/i, 0.75],
];

/** Sides of a bar of such a mass a metre [g/m] that leave a wall of 0.2 mm or more are those of a tube. */
const LEAST_WALL = 0.2;

/**
 * What a bar of version 3 is: it only had two sides. What is as wide as high
 * and of drawn fibre, metal or bamboo is round; hollow where its mass a metre
 * is less than that of a full one by a tenth or more.
 */
function shaped(spar: unknown): unknown {
  if (!isObject(spar)) return spar;
  const [width, height] = [numberOf(spar['width']), numberOf(spar['height'])];
  const words = `${String(spar['material'] ?? '')} ${String(spar['name'] ?? '')}`;
  const density = DENSITIES.find(([word]) => word.test(words))?.[1];
  if (density === undefined || width !== height || width <= 0) return spar;
  const full = (Math.PI / 4) * width ** 2 * density;
  const mass = numberOf(spar['linearDensity']);
  const isTube = mass > 0 && mass < 0.9 * full && /tube|alumin/i.test(words);
  const inner = Math.sqrt(Math.max(0, width ** 2 - (4 * mass) / (Math.PI * density)));
  return isTube
    ? { ...spar, shape: 'tube', innerDiameter: Math.min(width - 2 * LEAST_WALL, Math.round(inner * 10) / 10) }
    : { ...spar, shape: 'round' };
}

/** Version 3 to 4: rods say their shape. Everything else that is new takes the value that version 3 meant. */
export const rodsWithShapes = (document: Json): Json => ({
  ...document,
  version: 4,
  ...(document['surfaces'] === undefined
    ? {}
    : {
        surfaces: listOf(document['surfaces']).map((surface) =>
          isObject(surface) && surface['spars'] !== undefined
            ? { ...surface, spars: listOf(surface['spars']).map(shaped) }
            : surface,
        ),
      }),
});
