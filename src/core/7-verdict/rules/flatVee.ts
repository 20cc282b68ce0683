import { field } from '@/core/2-document/edit/field';
import { degrees, nameOf, plain, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Panels flatter than this turn the nose but little; steeper than the other they hardly hold it up [°]. */
const FLATTEST = 28;
const STEEPEST = 55;

/** A V-tail at an angle that starves yaw or pitch. */
export const flatVee = makeRule(
  { id: 'flatVee', stage: 'tail', source: 'Lattice of the whole V; NACA Report 823 (Purser & Campbell, 1945)' },
  (design, { lateral, pitch }) => {
    const tail = design.surfaces.find(({ role }) => role === 'vTail');
    if (!tail) return null;
    const angle = Math.abs(tail.stations[0]!.dihedral);
    if (angle >= FLATTEST && angle <= STEEPEST) return null;
    const flat = angle < FLATTEST;
    const sign = Math.sign(tail.stations[0]!.dihedral) || 1;
    const [what, stiffness] = flat ? ['yaw', lateral.yawStiffness] : ['pitch', pitch.momentSlope];
    const effect = stiffness === null ? '' : say` (${what} stiffness ${plain(stiffness, flat ? 3 : 2)} per radian)`;
    const to = (angle: number) => ({
      label: say`Set its panels to ${degrees(angle, 0)}`,
      change: tail.stations
        .slice(0, -1)
        .map((_, index) => field('surfaces', tail.id, 'stations', index, 'dihedral').to(sign * angle)),
    });
    return {
      severity: 'caution',
      message: say`The panels of ${nameOf(tail)} stand at ${degrees(angle, 0)}: ${flat ? 'too flat to hold the nose in yaw' : 'too steep to hold it in pitch'} for their area${effect}. Between 30° and 45° both are served.`,
      numbers: { angle: degrees(angle) },
      remedies: flat ? [to(33), to(38)] : [to(45), to(40)],
    };
  },
);
