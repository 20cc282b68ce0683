/**
 * Version 7 to 8: boards may say how they are cut, rods, glue and covering what
 * they cost, and parts where they lie on a sheet by hand. Nothing that was there
 * changes.
 */
export const layoutsByHand = (document: Record<string, unknown>): Record<string, unknown> => ({
  ...document,
  version: 8,
});
