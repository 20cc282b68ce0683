type Json = Record<string, unknown>;

const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null;
const numberOf = (value: unknown): number => (typeof value === 'number' ? value : 0);

/** Heavier than any foam that boards are made of [kg/m³]. */
const WOOD_FROM = 130;
/** Paper that leaves this much for the core of a light board [g/m²], and what is usual. */
const LEAST_CORE = 70;
const USUAL_PAPER = 110;

/** What a sheet is within: version 5 only knew its weight. */
function withCore(sheet: unknown): unknown {
  if (!isObject(sheet)) return sheet;
  const [thickness, areal] = [numberOf(sheet['thickness']), numberOf(sheet['arealDensity'])];
  const faces = sheet['faces'] === 'none' ? 0 : sheet['faces'] === 'one' ? 1 : 2;
  const paper = faces === 0 ? USUAL_PAPER : Math.min(USUAL_PAPER, Math.max(1, (areal - LEAST_CORE) / faces));
  const isWood = faces === 0 && thickness > 0 && areal / thickness > WOOD_FROM;
  return { ...sheet, core: isWood ? 'wood' : 'extruded', faceDensity: Math.round(paper * 10) / 10 };
}

/**
 * Version 5 to 6: sheets say what they are within, and everything that strength
 * asks for beside is there to be typed. Nothing that was there changes.
 */
export const strengthInputs = (document: Json): Json => ({
  ...document,
  version: 6,
  ...(Array.isArray(document['materials']) ? { materials: document['materials'].map(withCore) } : {}),
});
