import { makeRule } from '../makeRule';

/** Without masses there is no balance to judge. */
export const nothingWeighed = makeRule(
  { id: 'nothingWeighed', stage: 'weights', source: 'Sum of moments' },
  (_design, { mass }) =>
    mass.total === null
      ? {
          severity: 'note',
          message:
            'Nothing has a mass yet, so only the neutral point is known. Choose a material for the board parts and add the equipment.',
          numbers: {},
          remedies: [],
        }
      : null,
);
