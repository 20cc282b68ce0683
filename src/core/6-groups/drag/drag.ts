import { z } from 'zod';
import { type DragParts, dragOf, stripData } from '@/core/5-aero/polar';
import { emptyNumbers, numbersGroup } from '../group';
import { maybe, quantity, text } from '../keys';
import { reference } from '../reference/reference';
import type { Solution } from '../solution/solution';
import { stall } from '../stall/stall';
import { NO_VISCOSITY } from '../words';
import { explainDrag } from './workings';

const keys = z.object({
  induced: maybe('ratio', 'C_D of the lift, from the far field'),
  spanEfficiency: maybe('ratio', 'C_L² over π A C_Di'),
  profile: maybe('ratio', 'C_D of the sections'),
  parasite: maybe('ratio', 'C_D of bodies, wheels, horns and whatever else stands in the wind'),
  total: maybe('ratio', 'C_D at cruise, propellers pulling'),
  restingPropellers: maybe('ratio', 'C_D of the propellers without power, on top of that in a glide'),
  parts: z.array(
    z.object({
      part: text('Surface, body or item'),
      kind: z.enum(['induced', 'surface', 'body', 'item', 'wheel', 'linkage', 'equipment', 'junction']),
      coefficient: quantity('ratio', 'C_D of this part at cruise'),
      share: quantity('percent', 'Of the whole drag at cruise'),
    }),
  ),
  polar: z.array(
    z.object({
      speed: quantity('speed', 'Speed of level flight at this point'),
      lift: quantity('ratio', 'Lift coefficient C_L of level flight there'),
      drag: quantity('ratio', 'Whole drag coefficient C_D there, without power'),
      sink: quantity('speed', 'Sinking speed without power'),
      glideRatio: quantity('ratio', 'Glide ratio without power'),
    }),
  ),
});

/** Drag in level flight at cruise, by its causes and parts, and the polar without power. */
export const drag = numbersGroup(keys, {
  id: 'drag',
  title: 'Drag',
  needs: { reference, stall },
  compute: (solution, { stall: { speed } }) => {
    const { prepared, model, cruise, state } = solution;
    if (!cruise.isTrimmed) return emptyNumbers(keys, cruise.reason);
    const { surfacesOnly, sections, air, design, dragArea, restingPropellers } = prepared;
    const data = surfacesOnly ? null : stripData(sections, air, design.conditions.cruiseSpeed);
    const { bySurface, ...parts } = dragOf(model, state, data, cruise.state.lift, dragArea);
    const noLift =
      parts.spanEfficiency === null ? { spanEfficiency: 'Without lift there is no induced drag to compare.' } : {};
    if (surfacesOnly)
      return {
        induced: parts.induced,
        spanEfficiency: parts.spanEfficiency,
        profile: null,
        parasite: null,
        total: parts.induced,
        restingPropellers: null,
        parts: [],
        polar: [],
        reasons: { profile: NO_VISCOSITY, parasite: NO_VISCOSITY, restingPropellers: NO_VISCOSITY, ...noLift },
      };
    return {
      ...parts,
      restingPropellers: restingPropellers / model.reference.area,
      parts: partsOf(solution, { ...parts, bySurface }),
      polar: [...(solution.glideFrom(speed)?.points ?? [])],
      reasons: noLift,
    };
  },
  explain: ({ cruise, prepared }, value, { reference: { aspectRatio } }) => {
    if (!cruise.isTrimmed) return [];
    const data = stripData(prepared.sections, prepared.air, prepared.design.conditions.cruiseSpeed);
    const isOutsideTable = data.some(({ outsideTable }) => outsideTable);
    const { figures } = prepared.design;
    return explainDrag(value, { aspectRatio, lift: cruise.state.lift, isOutsideTable, figures });
  },
});

/** Every part with its share, the greatest first; they sum up to the whole. */
function partsOf({ model, prepared }: Solution, { induced, bySurface, total }: DragParts) {
  const { lattice, reference: of } = model;
  return [
    { part: '', kind: 'induced' as const, coefficient: induced },
    ...lattice.surfaces.map(({ id }, index) => ({
      part: id,
      kind: 'surface' as const,
      coefficient: bySurface[index]!,
    })),
    ...prepared.dragParts.map(({ id, kind, area }) => ({ part: id, kind, coefficient: area / of.area })),
  ]
    .filter(({ coefficient }) => coefficient > 0)
    .map((part) => ({ ...part, share: total > 0 ? part.coefficient / total : 0 }))
    .sort((a, b) => b.coefficient - a.coefficient);
}
