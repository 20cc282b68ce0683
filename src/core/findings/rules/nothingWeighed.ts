import type { Rule } from '../rule';

/** Without masses there is no balance to judge. */
export const nothingWeighed: Rule = {
  id: 'nothingWeighed',
  check: (_design, { mass }) =>
    mass.total === null
      ? {
          id: 'nothingWeighed',
          severity: 'note',
          stage: 'weights',
          message:
            'Nothing has a mass yet, so only the neutral point is known. Choose a material for the board parts and add the equipment.',
          numbers: {},
          source: 'Sum of moments',
          remedies: [],
        }
      : null,
};
