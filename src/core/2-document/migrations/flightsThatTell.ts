/**
 * Version 9 to 10: a flight says what it did in plain words, holds runs that
 * say something by themselves, its pack, what was ticked before it and what a
 * crash broke; an experiment may be a row that cuts something back. Nothing
 * that was there changes.
 */
export const flightsThatTell = (document: Record<string, unknown>): Record<string, unknown> => ({
  ...document,
  version: 10,
});
