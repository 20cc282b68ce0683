import { z } from 'zod';
import { metresFromMillimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Mix } from '@/core/2-document/schema/brief';
import type { Design } from '@/core/2-document/schema/design';
import { thrustGiven } from '../power/thrustGiven';
import { drag } from '../drag/drag';
import { valueGroup } from '../group';
import { maybe, quantity } from '../keys';
import type { Solution } from '../solution/solution';

const value = z.array(
  z.object({
    command: z.enum(['pitch', 'roll', 'yaw', 'flap']).meta({ description: 'Stick that tilts drives' }),
    pitch: quantity('ratio', 'C_m of the full command in level flight, nose up positive'),
    roll: quantity('ratio', 'C_l of the full command in level flight, right wing down positive'),
    pitchAtFullThrust: maybe('ratio', 'C_m of it at cruise speed with all thrust of a standstill, a bound above'),
  }),
);

/** Thrust of one drive of a pair per newton of all, and where it pulls. */
interface Thruster {
  readonly side: 'left' | 'right';
  readonly drive: Design['propulsion'][number];
  readonly y: number;
}

const thrusters = ({ propulsion }: Design): Thruster[] =>
  propulsion.flatMap((drive): Thruster[] => {
    const y = metresFromMillimetres(Math.abs(drive.position.y));
    return drive.mirrored
      ? [
          { side: 'right', drive, y },
          { side: 'left', drive, y: -y },
        ]
      : [{ side: 'right', drive, y: metresFromMillimetres(drive.position.y) }];
  });

/** Nose-up and right-wing-down moment per newton of all thrust when a mix is given in full [m]. */
function armsOf(design: Design, mix: Mix, about: readonly number[]): { readonly pitch: number; readonly roll: number } {
  const all = thrusters(design);
  let [pitch, roll] = [0, 0];
  for (const { side, drive, y } of all) {
    const term = mix.drives.find((candidate) => candidate.drive === drive.id);
    if (!term) continue;
    // Tilted nose up, a drive lifts by T sin τ where it sits: ahead of the balance point that is nose up.
    const lift = Math.sin(radiansFromDegrees(drive.tiltTravel) * term[side]) / all.length;
    pitch += lift * (about[0]! - metresFromMillimetres(drive.position.x));
    roll -= lift * (y - about[1]!);
  }
  return { pitch, roll };
}

/**
 * What drives that tilt with the sticks do: T sin τ over its arm to the balance
 * point. Trim, flare and forward limit do not count on it: it is gone with the
 * throttle.
 */
export const tilt = valueGroup(value, {
  id: 'tilt',
  title: 'Tilting drives',
  needs: { drag },
  compute: ({ prepared }: Solution, { drag: { total } }) => {
    const { design, about, air, reference } = prepared;
    const { cruiseSpeed } = design.conditions;
    if (prepared.surfacesOnly || total === null) return [];
    const standing = thrustGiven(design, air)?.standing ?? null;
    const pressure = (air.density * cruiseSpeed ** 2 * reference.area) / 2;
    return design.mixes.flatMap((mix) => {
      if (mix.drives.length === 0) return [];
      const { pitch, roll } = armsOf(design, mix, about);
      return [
        {
          command: mix.command,
          pitch: (total * pitch) / reference.meanChord,
          roll: (total * roll) / reference.span,
          pitchAtFullThrust: standing === null ? null : (standing * pitch) / (pressure * reference.meanChord),
        },
      ];
    });
  },
});
