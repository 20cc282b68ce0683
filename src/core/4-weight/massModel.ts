import type { Design } from '@/core/2-document/schema/design';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import {
  kilogramsFromGrams,
  metresFromMillimetres,
  type Vector3,
  vectorFromPoint,
  type Kilograms,
} from '@/core/1-base/units/convert';
import { bodyElements, onBothSides, surfaceElements } from './boardParts';
import { LEAST_MASS, type MassElement, type MassProperties, massProperties } from './massElement';

/** One line of the weight table. */
export interface MassPart {
  readonly id: string;
  readonly name: string;
  readonly kind: 'surface' | 'body' | 'item';
  readonly category: string;
  /** What counts: weighed if weighed, else computed [kg]. */
  readonly mass: Kilograms;
  /** What geometry or data sheet says [kg]. */
  readonly computed: Kilograms;
  readonly measured: Kilograms | null;
  readonly centre: Vector3;
}

export interface MassModel {
  readonly parts: readonly MassPart[];
  /** Null with a reason when nothing has a mass. */
  readonly properties: MassProperties | null;
}

const EMPTY: Vector3 = [0, 0, 0];

/** By the elements of a part, which are the same as long as that stays as it is. */
const known = new WeakMap<readonly MassElement[], MassProperties | null>();

function propertiesOf(elements: readonly MassElement[]): MassProperties | null {
  const before = known.get(elements);
  if (before !== undefined) return before;
  const properties = massProperties(elements);
  known.set(elements, properties);
  return properties;
}

/**
 * Weighs a whole design from its board parts and its equipment. @param bodies
 * what weighed them just before, each a point, where what passes through them
 * is not to be cut out anew
 */
export function weigh(
  design: Design,
  placed: readonly PlacedSurface[],
  bodies: readonly Pick<MassPart, 'id' | 'kind' | 'mass' | 'centre'>[] = [],
): MassModel {
  const parts: MassPart[] = [];
  const all: MassElement[] = [];
  const add = (
    part: Pick<MassPart, 'id' | 'name' | 'kind' | 'category'>,
    elements: readonly MassElement[],
    computed: number,
    measured: number | undefined,
  ) => {
    const properties = propertiesOf(elements);
    all.push(...elements);
    parts.push({
      ...part,
      mass: properties?.total ?? 0,
      computed,
      measured: measured === undefined ? null : kilogramsFromGrams(measured),
      centre: properties?.centreOfGravity ?? EMPTY,
    });
  };
  const totalOf = (elements: readonly MassElement[]) => elements.reduce((sum, { mass }) => sum + mass, 0);
  for (const surface of placed) {
    const { source } = surface;
    const elements = surfaceElements(design, surface);
    const drawn = { ...surface, source: { ...source, measuredMass: undefined } };
    add(
      { id: source.id, name: source.name || source.id, kind: 'surface', category: 'airframe' },
      elements,
      totalOf(source.measuredMass === undefined ? elements : surfaceElements(design, drawn)),
      source.measuredMass,
    );
  }
  for (const body of design.bodies) {
    const before = bodies.find(({ id, kind }) => kind === 'body' && id === body.id);
    const elements = before ? [{ mass: before.mass, centre: before.centre, size: EMPTY }] : bodyElements(design, body);
    const drawn = { ...body, measuredMass: undefined };
    add(
      { id: body.id, name: body.name || body.id, kind: 'body', category: 'airframe' },
      elements,
      totalOf(before || body.measuredMass === undefined ? elements : bodyElements(design, drawn)),
      body.measuredMass,
    );
  }
  for (const item of design.massItems) {
    const count = item.mirrored ? 2 : 1;
    add(
      { id: item.id, name: item.name || item.id, kind: 'item', category: item.category },
      itemElements(item),
      kilogramsFromGrams(item.mass) * count,
      item.measuredMass === undefined ? undefined : item.measuredMass * count,
    );
  }
  return { parts, properties: massProperties(all, LEAST_MASS) };
}

function itemElements(item: MassItem): MassElement[] {
  const mass = kilogramsFromGrams(item.measuredMass ?? item.mass);
  const { length = 0, width = 0, height = 0 } = item.size ?? {};
  const size: Vector3 = [metresFromMillimetres(length), metresFromMillimetres(width), metresFromMillimetres(height)];
  return onBothSides(item.mirrored, mass, vectorFromPoint(item.position), size);
}
