/**
 * Version 6 to 7: drives may say what they bear, what a bench said of them and
 * what their blades are like, things may have a price, a flight a plan. Nothing
 * that was there changes.
 */
export const drivesWithLimits = (document: Record<string, unknown>): Record<string, unknown> => ({
  ...document,
  version: 7,
});
