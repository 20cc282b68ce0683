import { isWing } from '@/core/2-document/schema/roles';
import { kilograms, kilogramsOverArea, metresPerSecond, percent, say } from '@/core/1-base/words/phrase';
import { field } from '@/core/2-document/edit/field';
import { LAUNCH_OVER_STALL } from '@/core/6-groups/ceilings/briefTargets';
import { HEAVIEST_THROW, isTooHeavyToThrow, launchSpeed } from '@/core/6-groups/ceilings/launchSpeed';
import { withChords, withLength } from '../changes';
import { type Found, makeRule } from '../makeRule';

/** Speed asked over the one reached from which no throw will do; practice of the field. */
const FAR_TOO_FAST = 1.25;

/** It stalls faster than it can be thrown. */
export const fastForLaunch = makeRule(
  { id: 'fastForLaunch', stage: 'weights', source: 'Launch speeds: practice of the field, ±15 %' },
  (design, { speeds, mass }): Found | null => {
    const { brief } = design;
    if (brief.launch === 'wheels' || speeds.stall === null || mass.wingLoading === null || mass.total === null)
      return null;
    const asked = LAUNCH_OVER_STALL * speeds.stall;
    const reached = launchSpeed(brief, mass.total);
    if (isTooHeavyToThrow(brief, mass.total) || reached === null)
      return {
        severity: 'stop',
        message: say`It weighs ${kilograms(mass.total)}: nobody throws more than ${kilograms(HEAVIEST_THROW, 0)}. Launch it from wheels or a bungee.`,
        numbers: { mass: kilograms(mass.total), asked: metresPerSecond(asked) },
        remedies: [{ label: 'Launch it by bungee', change: [field('brief', 'launch').to('bungee')] }],
      };
    if (asked <= reached) return null;
    const wings = design.surfaces.filter(isWing);
    const grow = (share: number) => ({
      label: say`Make the wing ${percent(share, 0)} longer and deeper`,
      change: wings.flatMap((wing) => [...withLength(wing, 1 + share), ...withChords(wing, 1 + share)]),
    });
    return {
      severity: asked > FAR_TOO_FAST * reached ? 'stop' : 'caution',
      message: say`At ${kilogramsOverArea(mass.wingLoading, 0)} it stalls at ${metresPerSecond(speeds.stall)}, and ${brief.launch === 'hand' ? 'a firm throw of that weight' : 'the bungee'} reaches only about ${metresPerSecond(reached)}: it takes ${metresPerSecond(asked)} to leave something to climb with. Throw with the propeller off or behind your hand, never across it.`,
      numbers: { asked: metresPerSecond(asked), launchSpeed: metresPerSecond(reached) },
      remedies: [
        grow(0.06),
        grow(0.12),
        ...(brief.launch === 'hand' && brief.grip === 'plain'
          ? [{ label: 'Give it a grip to throw it by', change: [field('brief', 'grip').to('good')] }]
          : []),
      ],
    };
  },
);
