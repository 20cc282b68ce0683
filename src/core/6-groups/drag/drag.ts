import { z } from 'zod';
import { dragOf, stripData } from '@/core/5-aero/polar';
import { emptyNumbers, numbersGroup } from '../group';
import { maybe, quantity } from '../keys';
import { reference } from '../reference/reference';
import { NO_VISCOSITY } from '../words';
import { explainDrag } from './workings';

const keys = z.object({
  induced: maybe('ratio', 'C_D of the lift, from the far field'),
  spanEfficiency: maybe('ratio', 'C_L² over π A C_Di'),
  profile: maybe('ratio', 'C_D of the sections'),
  parasite: maybe('ratio', 'C_D of bodies and drag items'),
  total: maybe('ratio', 'C_D at cruise'),
  polar: z.array(
    z.object({
      speed: quantity('speed', 'Speed of level flight at this point'),
      lift: quantity('ratio', 'Lift coefficient C_L of level flight there'),
      drag: quantity('ratio', 'Whole drag coefficient C_D there'),
      sink: quantity('speed', 'Sinking speed without power'),
      glideRatio: quantity('ratio', 'Glide ratio without power'),
    }),
  ),
});

/** Drag in level flight at cruise, by its causes. */
export const drag = numbersGroup(keys, {
  id: 'drag',
  title: 'Drag',
  needs: { reference },
  compute: ({ prepared, model, cruise, state }) => {
    if (!cruise.isTrimmed) return emptyNumbers(keys, cruise.reason);
    const { surfacesOnly, sections, air, design, dragArea } = prepared;
    const data = surfacesOnly ? null : stripData(sections, air, design.conditions.cruiseSpeed);
    const parts = dragOf(model, state, data, cruise.state.lift, dragArea);
    const noLift =
      parts.spanEfficiency === null ? { spanEfficiency: 'Without lift there is no induced drag to compare.' } : {};
    if (surfacesOnly)
      return {
        induced: parts.induced,
        spanEfficiency: parts.spanEfficiency,
        profile: null,
        parasite: null,
        total: parts.induced,
        polar: [],
        reasons: { profile: NO_VISCOSITY, parasite: NO_VISCOSITY, ...noLift },
      };
    return { ...parts, polar: [], reasons: noLift };
  },
  explain: ({ cruise }, value, { reference: { aspectRatio } }) =>
    cruise.isTrimmed ? explainDrag(value, { aspectRatio, lift: cruise.state.lift }) : [],
});
