import { LAUNCH_OVER_STALL, LAUNCH_SPEED } from '../../sizing/targets';
import { withChords, withLength } from '../changes';
import { makeRule } from '../makeRule';
import { inSpeed } from '../words';

/** It stalls faster than it can be thrown. */
export const fastForLaunch = makeRule(
  { id: 'fastForLaunch', stage: 'weights', source: 'Launch speeds: practice of the field, ±15 %' },
  (design, { speeds, mass }) => {
    const { launch } = design.brief;
    if (launch === 'wheels' || speeds.stall === null || mass.wingLoading === null) return null;
    const asked = LAUNCH_OVER_STALL * speeds.stall;
    if (asked <= LAUNCH_SPEED[launch]) return null;
    const wings = design.surfaces.filter(({ role }) => role === 'wing' || role === 'secondWing');
    const grow = (percent: number) => ({
      label: `Make the wing ${percent} % longer and deeper`,
      change: wings.flatMap((wing) => [...withLength(wing, 1 + percent / 100), ...withChords(wing, 1 + percent / 100)]),
    });
    return {
      severity: asked > 1.25 * LAUNCH_SPEED[launch] ? 'stop' : 'caution',
      message: `At ${(mass.wingLoading * 10).toFixed(0)} g/dm² it stalls at ${inSpeed(speeds.stall)}, and ${launch === 'hand' ? 'a firm throw by hand' : 'the bungee'} reaches only about ${inSpeed(LAUNCH_SPEED[launch])}: it takes ${inSpeed(asked)} to leave something to climb with. Throw with the propeller off or behind your hand, never across it.`,
      numbers: { asked, launchSpeed: LAUNCH_SPEED[launch] },
      remedies: [grow(6), grow(12)],
    };
  },
);
