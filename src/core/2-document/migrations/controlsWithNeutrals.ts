/**
 * Version 2 to 3: controls may stand off their neutral and leak at the hinge.
 * What is not there takes the value that version 2 meant: neutral, sealed.
 */
export const controlsWithNeutrals = (document: Record<string, unknown>): Record<string, unknown> => ({
  ...document,
  version: 3,
});
