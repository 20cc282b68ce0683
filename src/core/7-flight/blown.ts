import { type Metres, metresFromMillimetres, type Pascals } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import type { Lattice } from '@/core/5-aero/lattice';

/** One propeller and the jet behind it. */
interface Disc {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  readonly radius: Metres;
}

/** A strip of one side. */
interface Side {
  readonly strip: number;
  /** 1 right, −1 left, 0 in the middle. */
  readonly side: 1 | -1 | 0;
}

/** What the jets add to the speed along every strip; by the dynamic pressure that each drive adds [Pa] and the speed there is. */
export type Blown = (jets: readonly Pascals[], density: number, along: Float64Array, added: Float64Array) => void;

/** Over so much of the radius the edge of a jet goes over into still air. C. */
const EDGE = 0.2;

const discsOf = ({ propulsion }: Design): Disc[][] =>
  propulsion.map((drive) => {
    const [x, y, z] = [drive.position.x, drive.position.y, drive.position.z].map(metresFromMillimetres) as [
      Metres,
      Metres,
      Metres,
    ];
    const right = { x, y, z, radius: metresFromMillimetres(drive.propellerDiameter) / 2 };
    return drive.mirrored ? [right, { ...right, y: -y }] : [right];
  });

/**
 * Tails and fins behind a propeller and within its jet meet √(V² + 2Δp/ρ),
 * Δp = T/A, far behind by momentum theory; the jet narrows to R √((1 + j)/2j),
 * j its speed over that of flight. Wings are left out, as in the analysis, and
 * so is the swirl. Source: Glauert (see `slipstreamOver`); ±20 % of the gain.
 */
export function blownStrips(design: Design, { strips, surfaces }: Lattice, sides: readonly Side[]): Blown {
  const discs = discsOf(design);
  const behind = discs.map((pair) =>
    sides.flatMap(({ strip, side }, index) => {
      const { m, surface } = strips[strip]!;
      if (isWing(surfaces[surface]!.source)) return [];
      const y = side === -1 ? -m.y : m.y;
      const shares = pair.flatMap((disc) => (m.x > disc.x ? [Math.hypot(y - disc.y, m.z - disc.z) / disc.radius] : []));
      return shares.length > 0 ? [{ index, share: Math.min(...shares) }] : [];
    }),
  );
  return (jets, density, along, added) => {
    added.fill(0);
    behind.forEach((strip, drive) => {
      const pressure = jets[drive] ?? 0;
      if (!(pressure > 0)) return;
      for (const { index, share } of strip) {
        const free = Math.max(0, along[index]!);
        const jet = Math.sqrt(free * free + (2 * pressure) / density);
        const narrowing = Math.sqrt((free + jet) / (2 * jet));
        const inside = Math.min(1, Math.max(0, (narrowing - share) / EDGE + 0.5));
        added[index] = Math.max(added[index]!, inside * (jet - free));
      }
    });
  };
}
