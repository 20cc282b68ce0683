import { isWing } from '@/core/2-document/schema/roles';
import { kilogramsOverArea, metresPerSecond, percent, say } from '@/core/1-base/words/phrase';
import { LAUNCH_OVER_STALL, LAUNCH_SPEED } from '@/core/6-groups/ceilings/briefTargets';
import { withChords, withLength } from '../changes';
import { makeRule } from '../makeRule';

/** Speed asked over the one reached from which no throw will do; practice of the field. */
const FAR_TOO_FAST = 1.25;

/** It stalls faster than it can be thrown. */
export const fastForLaunch = makeRule(
  { id: 'fastForLaunch', stage: 'weights', source: 'Launch speeds: practice of the field, ±15 %' },
  (design, { speeds, mass }) => {
    const { launch } = design.brief;
    if (launch === 'wheels' || speeds.stall === null || mass.wingLoading === null) return null;
    const asked = LAUNCH_OVER_STALL * speeds.stall;
    if (asked <= LAUNCH_SPEED[launch]) return null;
    const wings = design.surfaces.filter(isWing);
    const grow = (share: number) => ({
      label: say`Make the wing ${percent(share, 0)} longer and deeper`,
      change: wings.flatMap((wing) => [...withLength(wing, 1 + share), ...withChords(wing, 1 + share)]),
    });
    return {
      severity: asked > FAR_TOO_FAST * LAUNCH_SPEED[launch] ? 'stop' : 'caution',
      message: say`At ${kilogramsOverArea(mass.wingLoading, 0)} it stalls at ${metresPerSecond(speeds.stall)}, and ${launch === 'hand' ? 'a firm throw by hand' : 'the bungee'} reaches only about ${metresPerSecond(LAUNCH_SPEED[launch])}: it takes ${metresPerSecond(asked)} to leave something to climb with. Throw with the propeller off or behind your hand, never across it.`,
      numbers: { asked: metresPerSecond(asked), launchSpeed: metresPerSecond(LAUNCH_SPEED[launch]) },
      remedies: [grow(0.06), grow(0.12)],
    };
  },
);
