import { checksOf } from '@/core/5-strength/checks/checks';
import { linkageLoad } from '@/core/5-strength/controls/linkage';
import { pressureOf, rootMoments } from '@/core/5-strength/aircraft/flexed';
import { drag } from '../drag/drag';
import { emptyNumbers, numbersGroup } from '../group';
import { pitch } from '../pitch/pitch';
import { stall } from '../stall/stall';
import { wind } from '../wind/wind';
import { NO_MASS } from '../words';
import { bendsOf, NO_BOARD } from './bends';
import { strengthContext, type StrengthContext } from './context';
import { boomsOf, controlEffectsOf } from './controlEffects';
import { strengthKeys } from './keys';
import { explainStrength } from './workings';

/** What bends, twists and breaks, and what that does to flight. */
export const strength = numbersGroup(strengthKeys, {
  id: 'strength',
  title: 'Strength',
  needs: { pitch, stall, drag, wind },
  compute: (solution, needed) => {
    const mass = solution.prepared.weights.properties?.total;
    if (mass === undefined) return emptyNumbers(strengthKeys, NO_MASS);
    const context = strengthContext(solution, mass, needed);
    if (context.body.beams.size === 0 && context.body.booms.length === 0) return emptyNumbers(strengthKeys, NO_BOARD);
    const bends = bendsOf(context);
    const controls = controlEffectsOf(context);
    const booms = boomsOf(context);
    return {
      ...bends.values,
      ...controls.values,
      ...booms.values,
      ...linkagesOf(context),
      checks: checked(context),
      diveSpeed: context.dive,
      bentUpTo: context.atFastest && context.bentUpTo,
      flightLoadFactor: context.asked,
      reasons: { ...bends.reasons, ...controls.reasons, ...booms.reasons },
    };
  },
  explain: ({ prepared }, value, { pitch: pitching }) =>
    explainStrength(value, {
      mass: prepared.weights.properties?.total ?? null,
      cruise: prepared.design.conditions.cruiseSpeed,
      pitch: pitching,
      own: prepared.design.figures?.stiffness ?? 1,
    }),
});

/** What controls ask of servos and pushrods in the dive and at cruise. */
function linkagesOf({ body, solution, dive, cruise }: StrengthContext) {
  const { density } = solution.prepared.air;
  const loads = body.surfaces.flatMap((surface) =>
    surface.source.controls.map((control) => ({
      name: control.name || control.id,
      load: linkageLoad(surface, control, pressureOf(density, dive)),
    })),
  );
  return {
    linkages: loads.map(({ name, load: { hinge, servo, torque, slop, push, buckles } }) => ({
      control: name,
      hinge,
      servo,
      servoAtCruise: servo * (cruise / dive) ** 2,
      torqueShare: torque === null || torque <= 0 ? null : servo / torque,
      slop,
      bucklingShare: buckles === null || buckles <= 0 ? null : push / buckles,
    })),
    servoTorque: Object.fromEntries(loads.map(({ load: { control, servo } }) => [control, servo])),
  };
}

/** Joints, seats and what a landing asks, as shares of what bears it. */
function checked({ body, solution, mass, dive, asked, atFastest }: StrengthContext) {
  const { design, air, weights } = solution.prepared;
  const pull = atFastest?.(asked) ?? null;
  const masses = new Map(weights.parts.map(({ id, mass: own }) => [id, own]));
  return checksOf({
    design,
    placed: body.surfaces,
    mass,
    massOf: (surface) => masses.get(surface) ?? 0,
    flightFactor: asked,
    divePressure: pressureOf(air.density, dive),
    rootMoments: pull ? rootMoments(body, pull) : new Map(),
  }).map(({ kind, part, load, bears }) => ({ kind, part, share: Math.min(MOST, load / bears) }));
}

/** Beyond that a share says no more than that it breaks. */
const MOST = 19;
