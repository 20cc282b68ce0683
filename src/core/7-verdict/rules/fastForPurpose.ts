import { isWing } from '@/core/2-document/schema/roles';
import { metresPerSecond, percent, say } from '@/core/1-base/words/phrase';
import { airAt } from '@/core/5-aero/atmosphere';
import { targetsOf } from '@/core/6-groups/ceilings/briefTargets';
import { withChords, withLength } from '../changes';
import { makeRule } from '../makeRule';

/** Stall over the habit of the purpose from which it is another kind of model; habits spread by ±25 %. */
const OVER_HABIT = 1.25;
/** Over what the field bears. */
const OVER_FIELD = 1.1;

/** It stalls faster than its purpose, or its field, allows, however it is launched. */
export const fastForPurpose = makeRule(
  {
    id: 'fastForPurpose',
    stage: 'weights',
    source: 'Stall speeds by purpose, practice of the field ±25 %; slide on grass',
  },
  (design, { stall, mass }) => {
    if (stall.speed === null || stall.liftCoefficient === null || mass.wingLoading === null) return null;
    const { elevation, temperature } = design.conditions;
    const { launch: _, targetWingLoading: __, ...brief } = design.brief;
    // How it is launched has a rule of its own.
    const { bounds } = targetsOf({ ...brief, launch: 'wheels' }, airAt(elevation, temperature), stall.liftCoefficient);
    const over = bounds
      .map((bound) => ({ ...bound, most: bound.speed * (bound.kind === 'habit' ? OVER_HABIT : OVER_FIELD) }))
      .filter(({ most }) => stall.speed! > most)
      .sort((a, b) => a.most - b.most)[0];
    if (!over) return null;
    const wings = design.surfaces.filter(isWing);
    const share = stall.speed / over.most - 1;
    const grow = (more: number) => ({
      label: say`Make the wing ${percent(more, 0)} longer and deeper`,
      change: wings.flatMap((wing) => [...withLength(wing, 1 + more), ...withChords(wing, 1 + more)]),
    });
    return {
      severity: 'caution',
      message: say`It stalls at ${metresPerSecond(stall.speed)}, but ${over.because}${over.kind === 'habit' ? ' (habit, no law)' : ''}: it flies and lands faster than it is meant to.`,
      numbers: { stall: metresPerSecond(stall.speed), bound: metresPerSecond(over.speed) },
      remedies: [grow(Math.ceil((share + 0.04) * 50) / 50), grow(Math.ceil((share + 0.1) * 50) / 50)],
    };
  },
);
