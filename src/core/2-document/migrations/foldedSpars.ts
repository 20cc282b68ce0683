/**
 * Version 8 to 9: a fold may say that its spar is folded too, and how far apart
 * spacers stand between its skins. Nothing that was there changes.
 */
export const foldedSpars = (document: Record<string, unknown>): Record<string, unknown> => ({
  ...document,
  version: 9,
});
