import type { Vector3 } from '@/core/1-base/units/convert';
import { profileDrag, type SectionData } from '@/core/3-shape/section/lowReynolds';
import { type FlowCase, onsetAt } from './flowCase';
import type { Load } from './forces';
import type { Lattice } from './lattice';
import { INTERFERENCE_FACTOR } from './polar';

/** A trimmed flow at unit speed and a small part of a flow on top of it. */
export interface FlowChange {
  readonly state: FlowCase;
  readonly change: FlowCase;
}

/**
 * What the sections of all strips, left and right, rub on the air of a state
 * and so much of a change, per ρV² about a point: ½ c w c_d(c_l) |v| v with v
 * the air that a section meets in its plane and c_l = 2Γ/(c |v|) what it lifts
 * there. A change of what meets it square to the board is 2Γ/(c a), a its lift
 * slope: the wash of all is in that. The wash of the state itself turns v by a
 * degree or two, which is left out. Source: strip theory; c_d after `profileDrag`.
 */
function frictionLoad(
  lattice: Lattice,
  data: readonly SectionData[],
  { state, change }: FlowChange,
  step: number,
  about: Vector3,
): Load {
  const { count } = lattice.cells;
  const force: [number, number, number] = [0, 0, 0];
  const moment: [number, number, number] = [0, 0, 0];
  lattice.strips.forEach(({ m, width, tangentY, tangentZ, surface }, strip) => {
    const section = data[strip]!;
    const isMirrored = lattice.surfaces[surface]!.mirrored;
    /** Of a strip on one side: where left and right are alike, what stands in the middle lifts to no side. */
    const circulationOf = ({ parity, circulation }: FlowCase, side: number) => {
      if (parity === 'symmetric' && !isMirrored) return 0;
      let sum = 0;
      for (let k = 0; k < count; k++) sum += circulation[strip * count + k]!;
      return parity === 'symmetric' ? sum : side * sum;
    };
    for (const side of isMirrored ? [1, -1] : [1]) {
      const place: Vector3 = [m.x + m.chord / 4, side * m.y, m.z];
      const up = [-side * tangentZ, tangentY] as const;
      const steady = onsetAt(state.onset, ...place);
      const more = step * circulationOf(change, side);
      const ahead = steady[0] + step * onsetAt(change.onset, ...place)[0];
      const normal = up[0] * steady[1] + up[1] * steady[2] + more / (Math.PI * section.liftSlopeFactor * m.chord);
      const speed = Math.hypot(ahead, normal);
      const lift = (2 * (circulationOf(state, side) + more)) / (m.chord * speed);
      const coefficient =
        INTERFERENCE_FACTOR *
        profileDrag(section, Math.min(section.maximumLift, Math.max(-section.invertedLift, lift)));
      const rubbed = (m.chord * width * coefficient * speed) / 2;
      const own: Vector3 = [rubbed * ahead, rubbed * normal * up[0], rubbed * normal * up[1]];
      const [x, y, z] = [place[0] - about[0], place[1] - about[1], place[2] - about[2]];
      own.forEach((part, axis) => (force[axis]! += part));
      moment[0] += y * own[2] - z * own[1];
      moment[1] += z * own[0] - x * own[2];
      moment[2] += x * own[1] - y * own[0];
    }
  });
  return { force, moment };
}

/** Step of the difference quotient, in units of the change. */
const STEP = 1e-4;

/** How the rubbing of a state at unit speed changes with a unit of a change, per ρV². */
export function frictionChange(
  lattice: Lattice,
  data: readonly SectionData[],
  flows: FlowChange,
  about: Vector3,
): Load {
  const [more, less] = [STEP, -STEP].map((step) => frictionLoad(lattice, data, flows, step, about)) as [Load, Load];
  const slope = (key: 'force' | 'moment') =>
    more[key].map((value, axis) => (value - less[key][axis]!) / (2 * STEP)) as unknown as Vector3;
  return { force: slope('force'), moment: slope('moment') };
}
