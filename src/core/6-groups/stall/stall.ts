import { z } from 'zod';
import { stripData } from '@/core/5-aero/polar';
import { findStall, stallingStrips, stallSpeed } from '@/core/5-aero/stall';
import { droopedExtraLift, marginAtRollControls, stallOrder, washoutForInboardStall } from '@/core/5-aero/stallDetails';
import { stripTurns } from '@/core/5-aero/stripTurns';
import { emptyNumbers, numbersGroup } from '../group';
import { maybe, quantity, text } from '../keys';
import { mass } from '../mass/mass';
import { reference } from '../reference/reference';
import { NO_VISCOSITY, NOTHING_WEIGHED } from '../words';
import { flappedStall } from './flappedStall';
import { explainStall } from './workings';

const keys = z.object({
  liftCoefficient: maybe('ratio', 'Greatest C_L of the trimmed aircraft'),
  speed: maybe('speed', 'Stall speed, wings level, power off'),
  startsAtSpanFraction: maybe('percent', 'Where it starts: 0 at the root, 1 at the tip'),
  surface: text('Surface that stalls first').nullable(),
  strips: z.array(
    z.object({
      surface: text('Surface'),
      spanFraction: quantity('percent', '0 at the root, 1 at the tip'),
      y: quantity('length', 'To the right of the plane of symmetry'),
      lift: quantity('ratio', 'c_l when the first strip stalls'),
      limit: quantity('ratio', 'What the section can carry there'),
    }),
  ),
  marginAtRollControls: maybe('ratio', 'Lift left over the roll controls when the stall starts'),
  washoutToMoveInboard: maybe('angle', 'Washout that would bring the start inboard'),
  liftLeft: z.record(
    z.string(),
    quantity('ratio', 'Lift that a lifting surface has left when the first stalls; nought leads'),
  ),
  flapDroop: maybe('angle', 'Droop of the flaps that lifts most'),
  flappedLiftCoefficient: maybe('ratio', 'Greatest C_L at that droop'),
  flappedSpeed: maybe('speed', 'Stall speed at that droop'),
});

const NO_FLAPS = 'Nothing droops as a flap.';
const NO_ROLL = 'No control of a lifting surface answers to roll.';
const ON_VORTICES =
  'A slender delta flies on the vortices of its leading edges when slow: no strip of it stalls before the others.';
const NO_WASHOUT = 'Even 10° of washout would leave the start near the tip.';

/** Where, when and at what lift it stalls. */
export const stall = numbersGroup(keys, {
  id: 'stall',
  title: 'Stall',
  needs: { reference, mass },
  compute: (solution) => {
    const { model, prepared, line } = solution;
    const { design, air, weights, sections, reference: of } = prepared;
    const weighed = weights.properties?.total ?? null;
    if (line === null) return emptyNumbers(keys, NO_VISCOSITY);
    if ('reason' in line) return emptyNumbers(keys, line.reason);
    const { cruiseSpeed } = design.conditions;
    const extraLimitAt = (lift: number) =>
      stripTurns(model.lattice, [
        { mix: prepared.mixes.pitch, turn: prepared.reach.pitch.turnFor(line.commandAt(lift)) },
      ]).map(droopedExtraLift);
    const found = findStall({ model, sections, air, mass: weighed, cruiseSpeed, line, extraLimitAt });
    if ('reason' in found) return emptyNumbers(keys, found.reason);
    const lift = design.balance.statedMaximumLift ?? found.liftCoefficient;
    const speedAt = (value: number) => (weighed === null ? null : stallSpeed(weighed, air, of.area, value));
    const margin = marginAtRollControls(model, found.strips);
    const { startsAtSpanFraction } = found;
    const washout =
      startsAtSpanFraction === null
        ? null
        : washoutForInboardStall(model, found.surface, found.strips, startsAtSpanFraction);
    const flapped = flappedStall(solution, line);
    return {
      liftCoefficient: lift,
      speed: speedAt(lift),
      startsAtSpanFraction,
      surface: found.surface,
      strips: found.strips,
      marginAtRollControls: margin,
      washoutToMoveInboard: washout,
      liftLeft: stallOrder(found.strips),
      flapDroop: flapped?.droop ?? null,
      flappedLiftCoefficient: flapped?.lift ?? null,
      flappedSpeed: flapped ? speedAt(flapped.lift) : null,
      reasons: {
        ...(weighed === null ? { speed: NOTHING_WEIGHED, flappedSpeed: NOTHING_WEIGHED } : {}),
        ...(margin === null ? { marginAtRollControls: NO_ROLL } : {}),
        ...(startsAtSpanFraction === null
          ? { startsAtSpanFraction: ON_VORTICES, washoutToMoveInboard: ON_VORTICES }
          : {}),
        ...(washout === null && startsAtSpanFraction !== null ? { washoutToMoveInboard: NO_WASHOUT } : {}),
        ...(flapped === null ? { flappedLiftCoefficient: NO_FLAPS, flappedSpeed: NO_FLAPS, flapDroop: NO_FLAPS } : {}),
      },
    };
  },
  explain: ({ prepared }, value, { mass: { total }, reference: { area } }) => {
    const { sections, air, lattice, design } = prepared;
    const data = stripData(sections, air, value.speed ?? design.conditions.cruiseSpeed);
    const isOutsideTable = stallingStrips(lattice).some((index) => data[index]!.outsideTable);
    return explainStall(value, {
      mass: total,
      area,
      density: air.density,
      isOutsideTable,
      figures: design.figures,
    });
  },
});
