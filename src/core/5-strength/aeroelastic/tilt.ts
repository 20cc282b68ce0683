import { keptLast } from '@/core/1-base/keptLast';
import type { Vector3 } from '@/core/1-base/units/convert';
import type { Parity } from '@/core/5-aero/influence';
import type { Lattice } from '@/core/5-aero/lattice';
import { cross, NOUGHT } from '@/core/1-base/numeric/vectors';
import { keptBy, type Mount } from './mount';
import { beamLoadOf, normalOf, type StripLoads, type Total, totalOfForces } from './stripLoads';

/** What it adds to the coupling, per dynamic pressure, that a steady load turns with what it acts on. */
export interface Tilt {
  readonly coupling: Float64Array;
  /** Force and moment about a point that one radian of each unknown adds by turning the load. */
  readonly totals: (about: Vector3) => readonly (Total | null)[];
}

interface Mounted {
  readonly lattice: Lattice;
  readonly parity: Parity;
  readonly mounts: readonly Mount[];
  readonly firstMount: number;
  readonly size: number;
}

const AXES: readonly Vector3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** One newton along the normal of a strip, turned by one radian of its mount about an axis. */
interface UnitTilt {
  readonly strip: number;
  readonly axis: 0 | 1 | 2;
  /** First unknown of the mount. */
  readonly row: number;
  readonly at: Vector3;
  readonly force: Vector3;
  /** What that turns the mount by. */
  readonly turns: Vector3;
}

function unitTilts({ lattice, parity, mounts, firstMount }: Mounted): UnitTilt[] {
  const tilts: UnitTilt[] = [];
  mounts.forEach((mount, index) => {
    for (const surface of mount.surfaces) {
      const isShared = mount.isMiddle && lattice.surfaces[surface]!.mirrored;
      const kept = keptBy(parity, isShared);
      const sides = isShared ? 2 : 1;
      for (let strip = lattice.firstStrip[surface]!; strip < lattice.firstStrip[surface + 1]!; strip++) {
        const { at } = beamLoadOf(lattice, strip, 0, 0);
        const normal = normalOf(lattice.strips[strip]!);
        for (const axis of [0, 1, 2] as const) {
          const force = cross(AXES[axis]!, normal);
          const [x, y, z] = mount.turnBy(force, at, NOUGHT);
          const turns: Vector3 = [kept[0] ? sides * x : 0, kept[1] ? sides * y : 0, kept[2] ? sides * z : 0];
          tilts.push({ strip, axis, row: firstMount + 3 * index, at, force, turns });
        }
      }
    }
  });
  return tilts;
}

/** A load that is there turns with what it acts on, θ × F, and so turns the mount further. @param steady loads per dynamic pressure of every steady case */
export function tiltsOf(steady: readonly StripLoads[], mounted: Mounted): Tilt[] {
  if (steady.length === 0) return [];
  const { lattice, parity, firstMount, size } = mounted;
  const units = unitTilts(mounted);
  const totalsOfUnits = keptLast(1, (about: Vector3) =>
    units.map((unit) => totalOfForces(lattice, parity, about, [unit])),
  );
  return steady.map(({ force }) => {
    const coupling = new Float64Array(size * size);
    for (const { strip, axis, row, turns } of units)
      for (let to = 0; to < 3; to++) coupling[(row + to) * size + row + axis]! += force[strip]! * turns[to]!;
    return {
      coupling,
      totals: keptLast(1, (about: Vector3) => {
        const sums = Array.from({ length: size }, (_, unknown) => (unknown < firstMount ? null : new Float64Array(6)));
        totalsOfUnits(about).forEach((total, index) => {
          const { strip, axis, row } = units[index]!;
          const sum = sums[row + axis]!;
          for (let part = 0; part < 3; part++) {
            sum[part]! += force[strip]! * total.force[part]!;
            sum[part + 3]! += force[strip]! * total.moment[part]!;
          }
        });
        return sums.map(
          (sum): Total | null => sum && { force: [sum[0]!, sum[1]!, sum[2]!], moment: [sum[3]!, sum[4]!, sum[5]!] },
        );
      }),
    };
  });
}
