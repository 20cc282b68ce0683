import type { PackedField, PackedFrame } from './kernel/compiled';
import type { VortexField } from './vortexField';
import { wakeFrame } from './wakeFrame';

/** A field as the kernel takes it. */
interface Packed {
  readonly field: PackedField;
  /** Where its wakes go; null for straight back. */
  readonly frame: PackedFrame | null;
  /** Which edges are seen as strips of vorticity from the surface of that number, and last from no surface. */
  readonly spreads: readonly Uint8Array[];
}

const packed = new WeakMap<VortexField, Packed>();

/** A field as the kernel takes it, made once. */
export function packedField(field: VortexField): Packed {
  const known = packed.get(field);
  if (known) return known;
  const { lattice, edges, firstEdge, cornerX, rise, drift } = field;
  const rows = [
    cornerX,
    field.edgeY,
    field.edgeZ,
    field.edgeTrailing,
    field.sheetY,
    field.sheetZ,
    field.sheetLength,
    field.sheetTangentY,
    field.sheetTangentZ,
  ];
  const places = new Float64Array(cornerX.length + (rows.length - 1) * edges);
  let at = 0;
  for (const row of rows) {
    places.set(row, at);
    at += row.length;
  }
  const edgeOf = Int32Array.from(
    lattice.strips,
    ({ surface }, strip) => firstEdge[surface]! + strip - lattice.firstStrip[surface]!,
  );
  const made: Packed = {
    field: { edges, count: lattice.cells.count, places, edgeOf },
    frame: rise === 0 && drift === 0 ? null : wakeFrame({ rise, drift }).packed,
    spreads: [...lattice.surfaces.map((_, own) => spreadsFrom(field, own)), spreadsFrom(field, -1)],
  };
  packed.set(field, made);
  return made;
}

/** A leg stays a line on its own surface and on those that are joined to it. */
function spreadsFrom({ lattice, edges, firstEdge }: VortexField, own: number): Uint8Array {
  const surfaces = lattice.surfaces.length;
  const spread = new Uint8Array(edges).fill(1);
  for (let surface = 0; surface < surfaces; surface++)
    if (own >= 0 && lattice.joined[own * surfaces + surface] !== 0)
      spread.fill(0, firstEdge[surface]!, firstEdge[surface + 1] ?? edges);
  return spread;
}
