type Json = Record<string, unknown>;

const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null;
const listOf = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);

/** A day without an hour is noon there and everywhere. */
const instantOf = (day: unknown): unknown => (typeof day === 'string' ? `${day}T12:00:00Z` : day);

/**
 * Version 1 to 2: revisions, tosses, flights and trial folds move out of the
 * drawing and its materials into `records`; nothing of them is lost.
 */
export function recordsBesideTheDesign(document: Json): Json {
  const { revisions, tosses, flights, materials, ...drawing } = document;
  const trialFolds: unknown[] = [];
  const sheets = listOf(materials).map((sheet) => {
    if (!isObject(sheet) || sheet['trialFolds'] === undefined) return sheet;
    const { trialFolds: folds, ...rest } = sheet;
    for (const fold of listOf(folds)) {
      const { date, ...seen } = isObject(fold) ? fold : {};
      trialFolds.push({ id: `fold${trialFolds.length + 1}`, at: instantOf(date), material: sheet['id'], ...seen });
    }
    return rest;
  });
  return {
    ...drawing,
    version: 2,
    ...(materials === undefined ? {} : { materials: sheets }),
    records: { revisions: listOf(revisions), trialFolds, tosses: listOf(tosses), flights: listOf(flights) },
  };
}
