import { z } from 'zod';
import { builtTwist } from '@/core/3-shape/geometry/asBuilt';
import { solveAsymmetry } from '@/core/5-aero/asymmetry';
import { valueGroup } from '../group';
import { maybe, quantity } from '../keys';

const value = z
  .object({
    roll: quantity('ratio', 'C_l of the differences alone, right wing down positive'),
    yaw: quantity('ratio', 'C_n of the differences alone, nose right positive'),
    sideForce: quantity('ratio', 'C_Y of the differences alone, to the right positive'),
    aileron: maybe('angle', 'Roll command to the right that holds the wings level'),
    rudder: maybe('angle', 'Yaw command to the right beside it'),
    sideslip: maybe('angle', 'Sideslip beside it, wind from the right positive'),
    steadyRoll: quantity('ratio', 'Hands-off roll rate pb/2V, right wing down positive'),
  })
  .nullable();

/** What left–right differences (measured angles, a twisted fuselage, a mass off the centre) ask for; null when it is not trimmed. */
export const asymmetry = valueGroup(value, {
  id: 'asymmetry',
  title: 'Left and right',
  needs: {},
  compute: ({ model, prepared, cruise, alpha, command, lateral }) =>
    cruise.isTrimmed
      ? solveAsymmetry(model, {
          alpha,
          command,
          about: prepared.about,
          lift: cruise.state.lift,
          lateral,
          effectAt: prepared.effectAt,
          twist: builtTwist(prepared.design),
        })
      : null,
});
