import { type Metres, metresFromMillimetres, type Pascals } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
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

export interface Jets {
  readonly blow: Blown;
  /** Share of the circulation that strips of a wing gain in proportion to the speed. */
  readonly answered: Float64Array;
}

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

/** How much of what a jet gains far behind it has gained s radii behind the disc. */
const gainedAt = (s: number): number => (1 + s / Math.sqrt(1 + s * s)) / 2;

/**
 * Strips behind a propeller and within its jet meet V + ΔV g(s), with
 * √(V² + 2Δp/ρ) = V + ΔV far behind, Δp = T/A, by momentum theory, and half of
 * it at the disc: g = (1 + s/√(1 + s²))/2 s radii behind. The jet narrows as
 * what flows through it stays the same. Swirl is left out. The part of a wing
 * that lies in a jet gains circulation as a wing of its own shape would, A/(A + 2)
 * with A the width of the jet over the chord, since the air beside it gives way;
 * the more of the wing is in jets the less of that. Source: Glauert (see
 * `slipstreamOver`), McCormick, Aerodynamics of V/STOL Flight, 1967, ch. 4, for
 * the disc as a tube of vortex rings: ±20 % of the gain of speed; ±40 % of a
 * wing’s gain of lift, which lies between once and twice that (Koning, in
 * Durand, Aerodynamic Theory IV, 1935).
 */
export function blownStrips(design: Design, { strips }: Lattice, sides: readonly Side[]): Jets {
  const discs = discsOf(design);
  const behind = discs.map((pair) =>
    sides.flatMap(({ strip, side }, index) => {
      const { m, width } = strips[strip]!;
      const y = side === -1 ? -m.y : m.y;
      const places = pair
        .filter(({ x }) => m.x > x)
        .map((disc) => ({
          share: Math.hypot(y - disc.y, m.z - disc.z) / disc.radius,
          gained: gainedAt((m.x - disc.x) / disc.radius),
          // A strip that is wider than the edge lies in the jet with a part of itself.
          edge: Math.max(EDGE, width / disc.radius),
          radius: disc.radius,
        }))
        .toSorted((one, other) => one.share - other.share);
      return places[0] ? [{ index, ...places[0] }] : [];
    }),
  );
  const insideOf = ({ share, edge }: { readonly share: number; readonly edge: number }, narrowing: number) =>
    Math.min(1, Math.max(0, (narrowing - share) / edge + 0.5));

  // How much of every surface lies in jets at all, and what that leaves the rest of it to give way.
  const [covered, areas] = [new Map<number, number>(), new Map<number, number>()];
  const add = (to: Map<number, number>, surface: number, area: number) =>
    to.set(surface, (to.get(surface) ?? 0) + area);
  const boardOf = ({ strip }: Side) => strips[strip]!.width * strips[strip]!.m.chord;
  sides.forEach((side) => add(areas, strips[side.strip]!.surface, boardOf(side)));
  const inJet = new Float64Array(sides.length);
  const answered = new Float64Array(sides.length).fill(1);
  behind.flat().forEach((place) => {
    inJet[place.index] = Math.max(inJet[place.index]!, insideOf(place, 1));
    const aspectRatio = (2 * place.radius) / strips[sides[place.index]!.strip]!.m.chord;
    answered[place.index] = aspectRatio / (aspectRatio + 2);
  });
  sides.forEach((side, index) => add(covered, strips[side.strip]!.surface, inJet[index]! * boardOf(side)));
  sides.forEach(({ strip }, index) => {
    const { surface } = strips[strip]!;
    const share = (covered.get(surface) ?? 0) / areas.get(surface)!;
    answered[index]! += (1 - answered[index]!) * share;
  });

  const blow: Blown = (jets, density, along, added) => {
    added.fill(0);
    behind.forEach((strip, drive) => {
      const pressure = jets[drive] ?? 0;
      if (!(pressure > 0)) return;
      for (const place of strip) {
        const { index, gained } = place;
        const free = Math.max(0, along[index]!);
        const gain = Math.sqrt(free * free + (2 * pressure) / density) - free;
        const narrowing = Math.sqrt((free + gain / 2) / (free + gain * gained));
        added[index] = Math.max(added[index]!, insideOf(place, narrowing) * gain * gained);
      }
    });
  };
  return { blow, answered };
}
