import { type Millimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { PlacedSurface } from '../geometry/layout';

/** Extents of everything that is drawn. */
export interface Extents {
  readonly xMin: Millimetres;
  readonly xMax: Millimetres;
  readonly yMax: Millimetres;
  readonly zMin: Millimetres;
  readonly zMax: Millimetres;
}

/** Length at which equipment without a size is drawn [mm], half its height, and a sheet with nothing on it. */
const ITEM = { length: 20, half: 12 };
const EMPTY_SHEET = { length: 500, half: 20, height: 30 };

export function extentsOf(design: Design, placed: readonly PlacedSurface[]): Extents {
  const xs: number[] = [];
  const ys: number[] = [EMPTY_SHEET.half];
  const zs: number[] = [-EMPTY_SHEET.height, EMPTY_SHEET.height];
  for (const { stations } of placed) {
    for (const { x, y, z, chord } of stations) {
      xs.push(millimetresFromMetres(x), millimetresFromMetres(x + chord));
      ys.push(Math.abs(millimetresFromMetres(y)));
      zs.push(millimetresFromMetres(z));
    }
  }
  for (const { frames, position } of design.bodies) {
    for (const { x, width, top, bottom } of frames) {
      xs.push(position.x + x);
      ys.push(Math.abs(position.y) + width / 2);
      zs.push(position.z + top, position.z + bottom);
    }
  }
  for (const { position, size } of design.massItems) {
    const half = (size?.length ?? ITEM.length) / 2;
    xs.push(position.x - half, position.x + half);
    zs.push(position.z - ITEM.half, position.z + ITEM.half);
  }
  for (const { position, diameter } of design.wheels) {
    xs.push(position.x - diameter / 2, position.x + diameter / 2);
    zs.push(position.z - diameter / 2);
  }
  for (const { position, propellerDiameter } of design.propulsion) {
    xs.push(position.x);
    zs.push(position.z + propellerDiameter / 2, position.z - propellerDiameter / 2);
  }
  if (xs.length === 0) xs.push(0, EMPTY_SHEET.length);
  return {
    xMin: Math.min(...xs),
    xMax: Math.max(...xs),
    yMax: Math.max(...ys),
    zMin: Math.min(...zs),
    zMax: Math.max(...zs),
  };
}
