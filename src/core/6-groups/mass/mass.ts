import { z } from 'zod';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { weigh } from '@/core/4-weight/massModel';
import { numbersGroup } from '../group';
import { maybe, quantity, text, vector } from '../keys';
import { reference } from '../reference/reference';
import { NO_MASS, NOTHING_WEIGHED } from '../words';
import { explainMass } from './workings';

const keys = z.object({
  total: maybe('mass', 'Flying mass'),
  cg: vector('length', 'Centre of gravity: aft, right, up').nullable(),
  inertia: z
    .object({
      xx: quantity('inertia', 'About the roll axis'),
      yy: quantity('inertia', 'About the pitch axis'),
      zz: quantity('inertia', 'About the yaw axis'),
      xz: quantity('inertia', '∫xz dm, body axes'),
    })
    .nullable(),
  wingLoading: maybe('wingLoading', 'Mass over wing area'),
  parts: z.array(
    z.object({
      id: text('Name in the document'),
      name: text('Name in words'),
      kind: z.enum(['surface', 'body', 'item']),
      category: text('Group it is summed under'),
      mass: quantity('mass', 'What counts: weighed if weighed, else computed'),
      computed: quantity('mass', 'What geometry or data sheet says'),
      measured: maybe('mass', 'What the scale said'),
      centre: vector('length', 'Centre of mass from the datum: aft, right, up positive'),
    }),
  ),
});

/** Flying mass, where it sits and how it is spread. */
export const mass = numbersGroup(keys, {
  id: 'mass',
  title: 'Weights',
  needs: { reference },
  compute: ({ prepared }) => {
    const { properties, parts } = prepared.weights;
    return {
      total: properties?.total ?? null,
      cg: properties?.centreOfGravity ?? null,
      inertia: properties?.inertia ?? null,
      wingLoading: properties ? properties.total / prepared.reference.area : null,
      parts,
      reasons: properties ? {} : { total: NO_MASS, cg: NO_MASS, inertia: NO_MASS, wingLoading: NO_MASS },
    };
  },
  // Weights are known before there is a wing to solve.
  empty: (why, design) => {
    const { properties, parts } = weigh(design, placeAll(design.surfaces));
    return {
      total: properties?.total ?? null,
      cg: properties?.centreOfGravity ?? null,
      inertia: properties?.inertia ?? null,
      wingLoading: null,
      parts,
      reasons: {
        ...(properties ? {} : { total: NOTHING_WEIGHED, cg: NOTHING_WEIGHED, inertia: NOTHING_WEIGHED }),
        wingLoading: why,
      },
    };
  },
  explain: ({ prepared }, value, { reference: { area } }) =>
    explainMass(value, { area, figures: prepared.design.figures }),
});
