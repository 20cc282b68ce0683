/**
 * Version 4 to 5: a design has words it is found by, cameras see a cone, and
 * pictures may lie under the drawing. All of it is new, so nothing that was
 * there changes.
 */
export const tagsViewsUnderlays = (document: Record<string, unknown>): Record<string, unknown> => ({
  ...document,
  version: 5,
});
