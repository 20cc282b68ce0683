/**
 * Version 10 to 11: own figures say more (stiffness, thrust, glue, folds) and
 * how well each is known; a joint may have been weighed. Nothing that was there
 * changes.
 */
export const figuresWithSpreads = (document: Record<string, unknown>): Record<string, unknown> => ({
  ...document,
  version: 11,
});
