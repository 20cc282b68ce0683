import { withControlsThatAre } from '../edit/mixesKept';
import { z } from 'zod';
import type { Body, MassItem, Material } from '../schema/airframe';
import type { Propulsion } from '../schema/propulsion';
import { type Design, LIST_MEMBERS } from '../schema/design';
import type { Surface } from '../schema/surface';

export type Assembly = Design['assemblies'][number];
export type AssemblyKind = Assembly['kind'];

/**
 * Parts that several designs share, apart from any of them: places are
 * relative to the origin of the assembly, names are those of the design that
 * gave them, the sheets they are cut from come along. Millimetres, grams.
 */
export interface SharedParts {
  readonly surfaces: readonly Surface[];
  readonly bodies: readonly Body[];
  readonly massItems: readonly MassItem[];
  readonly propulsion: readonly Propulsion[];
  readonly materials: readonly Material[];
}

const MEMBERS = ['surfaces', 'bodies', 'massItems', 'propulsion', 'materials'] as const;

/** Whether something is a set of parts, each as the document wants it. */
export const isSharedParts = (value: unknown): value is SharedParts =>
  typeof value === 'object' &&
  value !== null &&
  MEMBERS.every(
    (list) => z.array(LIST_MEMBERS[list].member).safeParse((value as Record<string, unknown>)[list]).success,
  );

interface Point {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

const ZERO: Point = { x: 0, y: 0, z: 0 };
const fine = (value: number) => Math.round(value * 1e6) / 1e6;
const moved = (point: Point, by: Point, sign: 1 | -1): Point => ({
  x: fine(point.x + sign * by.x),
  y: fine(point.y + sign * by.y),
  z: fine(point.z + sign * by.z),
});

/** Places of all parts moved by a vector; bays move along. */
function movedParts(parts: SharedParts, by: Point, sign: 1 | -1): SharedParts {
  const shift = <Part extends { readonly position: Point }>(part: Part): Part => ({
    ...part,
    position: moved(part.position, by, sign),
  });
  return {
    ...parts,
    surfaces: parts.surfaces.map(shift),
    bodies: parts.bodies.map(shift),
    propulsion: parts.propulsion.map(shift),
    massItems: parts.massItems.map((item) => ({
      ...shift(item),
      attachment:
        item.attachment.kind === 'slides'
          ? {
              ...item.attachment,
              from: fine(item.attachment.from + sign * by.x),
              to: fine(item.attachment.to + sign * by.x),
            }
          : item.attachment,
    })),
  };
}

const members = <Part extends { readonly id: string }>(list: readonly Part[], ids: readonly string[]): Part[] =>
  ids.flatMap((id) => list.find((part) => part.id === id) ?? []);

/** Where an assembly hangs: its own origin, or the place of its first part on the centre line. */
export function originOf(design: Design, assembly: Assembly): Point {
  if (assembly.origin) return assembly.origin;
  const first = [
    ...members(design.surfaces, assembly.surfaces),
    ...members(design.bodies, assembly.bodies),
    ...members(design.propulsion, assembly.propulsion),
    ...members(design.massItems, assembly.massItems),
  ][0];
  return first ? { ...first.position, y: 0 } : ZERO;
}

/** Takes the parts of an assembly out of a design, as they are shared. */
export function partsOf(design: Design, assembly: Assembly): SharedParts {
  const surfaces = members(design.surfaces, assembly.surfaces);
  const bodies = members(design.bodies, assembly.bodies);
  const used = new Set([...surfaces, ...bodies].map(({ construction }) => construction?.material));
  return movedParts(
    {
      surfaces,
      bodies,
      massItems: members(design.massItems, assembly.massItems),
      propulsion: members(design.propulsion, assembly.propulsion),
      materials: design.materials.filter(({ id }) => used.has(id)),
    },
    originOf(design, assembly),
    -1,
  );
}

/** Names for incoming parts: those of the parts they replace, else their own, made different from what stays. */
function namesFor(
  incoming: readonly string[],
  replaced: readonly string[],
  kept: ReadonlySet<string>,
): Map<string, string> {
  const names = new Map<string, string>();
  const taken = new Set(kept);
  incoming.forEach((own, index) => {
    let name = replaced[index] ?? own;
    for (let number = 2; taken.has(name); number++) name = `${own.slice(0, 58)}-${number}`;
    taken.add(name);
    names.set(own, name);
  });
  return names;
}

const without = <Part extends { readonly id: string }>(list: readonly Part[], ids: readonly string[]): Part[] =>
  list.filter(({ id }) => !ids.includes(id));

/** Sheets of incoming parts: an equal one is used, another of the same name comes in beside it. */
function mergeMaterials(
  design: Design,
  incoming: readonly Material[],
): { list: Material[]; names: Map<string, string> } {
  const list = [...design.materials];
  const names = new Map<string, string>();
  for (const sheet of incoming) {
    const same = list.find(({ id }) => id === sheet.id);
    if (same && JSON.stringify(same) === JSON.stringify(sheet)) {
      names.set(sheet.id, sheet.id);
      continue;
    }
    const equal = list.find((other) => JSON.stringify({ ...other, id: '' }) === JSON.stringify({ ...sheet, id: '' }));
    if (equal) {
      names.set(sheet.id, equal.id);
      continue;
    }
    let id = sheet.id;
    for (let number = 2; list.some((other) => other.id === id); number++) id = `${sheet.id.slice(0, 58)}-${number}`;
    list.push({ ...sheet, id });
    names.set(sheet.id, id);
  }
  return { list, names };
}

interface Identity {
  readonly name: string;
  readonly sharedId?: string;
  /** Keep the names of the parts that are replaced, in order: the same assembly in a newer state. */
  readonly isSame?: boolean;
}

/**
 * Hangs shared parts where an assembly is, in its stead and at its place in the lists. Controls that go take
 * their mixes along, tolerances of what went go too, and what moved with a
 * body that went is fixed where it is.
 */
export function mountParts(design: Design, assemblyId: string, parts: SharedParts, identity: Identity): Design {
  const assembly = design.assemblies.find(({ id }) => id === assemblyId);
  if (!assembly) throw new RangeError(`There is no assembly "${assemblyId}".`);
  const origin = originOf(design, assembly);
  const placed = movedParts(parts, origin, 1);
  const { list: materials, names: sheets } = mergeMaterials(design, parts.materials);
  const kept = {
    surfaces: without(design.surfaces, assembly.surfaces),
    bodies: without(design.bodies, assembly.bodies),
    massItems: without(design.massItems, assembly.massItems),
    propulsion: without(design.propulsion, assembly.propulsion),
  };
  const namesOf = (list: keyof typeof kept) =>
    namesFor(
      placed[list].map(({ id }) => id),
      identity.isSame ? assembly[list] : [],
      new Set(kept[list].map(({ id }) => id)),
    );
  const names = {
    surfaces: namesOf('surfaces'),
    bodies: namesOf('bodies'),
    massItems: namesOf('massItems'),
    propulsion: namesOf('propulsion'),
  };
  const keptControls = new Set(kept.surfaces.flatMap(({ controls }) => controls.map(({ id }) => id)));
  const controls = namesFor(
    placed.surfaces.flatMap(({ controls: all }) => all.map(({ id }) => id)),
    [],
    keptControls,
  );
  const construction = <Part extends Surface | Body>(part: Part): Part['construction'] =>
    part.construction && {
      ...part.construction,
      material: sheets.get(part.construction.material) ?? part.construction.material,
    };
  const inPlace = <Part extends { readonly id: string }>(
    list: keyof typeof kept,
    stay: readonly Part[],
    come: readonly Part[],
  ): Part[] => {
    const at = design[list].findIndex(({ id }) => assembly[list].includes(id));
    const before = at < 0 ? stay.length : at;
    return [...stay.slice(0, before), ...come, ...stay.slice(before)];
  };
  const bodies = inPlace(
    'bodies',
    kept.bodies,
    placed.bodies.map((body) => ({ ...body, id: names.bodies.get(body.id)!, construction: construction(body) })),
  );
  const hasBody = new Set(bodies.map(({ id }) => id));
  const attached = (item: MassItem, rename: boolean): MassItem => {
    if (item.attachment.kind !== 'movesWith') return item;
    const body = (rename ? names.bodies.get(item.attachment.body) : undefined) ?? item.attachment.body;
    return { ...item, attachment: hasBody.has(body) ? { kind: 'movesWith', body } : { kind: 'fixed' } };
  };
  const surfaces = inPlace(
    'surfaces',
    kept.surfaces,
    placed.surfaces.map((surface) => ({
      ...surface,
      id: names.surfaces.get(surface.id)!,
      construction: construction(surface),
      controls: surface.controls.map((control) => ({ ...control, id: controls.get(control.id)! })),
    })),
  );
  const hasControl = new Set([...keptControls, ...controls.values()]);
  const result: Design = {
    ...withControlsThatAre(design, (control) => hasControl.has(control)),
    materials,
    surfaces,
    bodies,
    massItems: inPlace(
      'massItems',
      kept.massItems.map((item) => attached(item, false)),
      placed.massItems.map((item) => ({ ...attached(item, true), id: names.massItems.get(item.id)! })),
    ),
    propulsion: inPlace(
      'propulsion',
      kept.propulsion,
      placed.propulsion.map((drive) => ({ ...drive, id: names.propulsion.get(drive.id)! })),
    ),
    assemblies: design.assemblies.map((other) =>
      other.id === assemblyId
        ? {
            ...other,
            name: identity.name,
            ...(identity.sharedId === undefined ? {} : { sharedId: identity.sharedId }),
            origin: { ...origin },
            surfaces: [...names.surfaces.values()],
            bodies: [...names.bodies.values()],
            massItems: [...names.massItems.values()],
            propulsion: [...names.propulsion.values()],
          }
        : other,
    ),
  };
  return { ...result, tolerances: result.tolerances.filter(({ field }) => isThere(result, field)) };
}

/** True when the first two steps of a path lead to a part of the design. */
function isThere(design: Design, field: string): boolean {
  const [, list, id] = field.split('/');
  const parts = (design as unknown as Record<string, unknown>)[list ?? ''];
  return !Array.isArray(parts) || parts.some((part: { id?: string }, place) => part.id === id || String(place) === id);
}

/** Shared assemblies whose parts differ between two states of a design, with the newer parts. */
export function sharedChanges(
  before: Design,
  after: Design,
): readonly { readonly sharedId: string; readonly assembly: Assembly; readonly parts: SharedParts }[] {
  return after.assemblies.flatMap((assembly) => {
    const { sharedId } = assembly;
    if (sharedId === undefined) return [];
    const old = before.assemblies.find((other) => other.sharedId === sharedId);
    const parts = partsOf(after, assembly);
    return old && isSame(partsOf(before, old), parts) && old.name === assembly.name
      ? []
      : [{ sharedId, assembly, parts }];
  });
}

/** The design with a shared assembly brought to a newer state, wherever it hangs. */
export function withSharedParts(design: Design, sharedId: string, parts: SharedParts, name: string): Design {
  return design.assemblies
    .filter((assembly) => assembly.sharedId === sharedId)
    .reduce((current, assembly) => mountParts(current, assembly.id, parts, { name, sharedId, isSame: true }), design);
}

/** Equal but for the names of sheets, parts and controls, which differ from design to design. */
export function isSame(a: SharedParts, b: SharedParts): boolean {
  return JSON.stringify(nameless(a)) === JSON.stringify(nameless(b));
}

function nameless(parts: SharedParts): unknown {
  const sheetOf = (id: string | undefined) => {
    const sheet = parts.materials.find((material) => material.id === id);
    return sheet && { ...sheet, id: '' };
  };
  const bodyPlace = (id: string) => parts.bodies.findIndex((body) => body.id === id);
  return {
    surfaces: parts.surfaces.map((surface) => ({
      ...surface,
      id: '',
      construction: surface.construction && {
        ...surface.construction,
        material: sheetOf(surface.construction.material),
      },
      controls: surface.controls.map((control) => ({ ...control, id: '' })),
    })),
    bodies: parts.bodies.map((body) => ({
      ...body,
      id: '',
      construction: body.construction && { ...body.construction, material: sheetOf(body.construction.material) },
    })),
    massItems: parts.massItems.map((item) => ({
      ...item,
      id: '',
      attachment:
        item.attachment.kind === 'movesWith'
          ? { kind: 'movesWith', body: bodyPlace(item.attachment.body) }
          : item.attachment,
    })),
    propulsion: parts.propulsion.map((drive) => ({ ...drive, id: '' })),
  };
}
