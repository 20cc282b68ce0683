/** Reasons that several groups give. */
export const NO_MASS = 'Nothing has a mass yet: choose a material for the board parts or add equipment.';
export const NOTHING_WEIGHED = 'Nothing has a mass yet.';
export const NO_WING = 'There is no wing with area yet: add a surface whose role is wing.';
export const NO_PITCH = 'No control answers to pitch.';
export const NO_VISCOSITY = 'Viscosity is left out, and with it stall and profile drag.';
