import { bodySchema, type Body, type DragItem } from '@/core/2-document/schema/airframe';
import { type Propulsion, propulsionSchema } from '@/core/2-document/schema/propulsion';
import type { Design } from '@/core/2-document/schema/design';
import { withoutDrive } from '@/core/2-document/edit/mixesKept';
import { laidRod } from '@/core/2-document/laidRod';
import type { RodStock } from '@/core/2-document/catalogue/rods';
import { editDesign, type EditOutcome } from './edit';
import { editSurface } from './surfaces';
import type { AppThunk } from './reduxStore';

function freshId(wanted: string, list: readonly { readonly id: string }[]): string {
  let id = wanted;
  for (let number = 2; list.some((entry) => entry.id === id); number++) id = `${wanted}${number}`;
  return id;
}

/** A stock rod laid along a surface. */
export const addSpar = (surface: string, stock: RodStock): AppThunk<EditOutcome> =>
  editSurface(surface, (current) => ({ ...current, spars: [...current.spars, laidRod(current, stock)] }));

export const removeSpar = (surface: string, spar: string): AppThunk<EditOutcome> =>
  editSurface(surface, (current) => ({ ...current, spars: current.spars.filter(({ id }) => id !== spar) }));

/** A plain box about the length of what is drawn. */
export const addBody = (): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const rear = Math.max(300, ...design.surfaces.map(({ position, stations }) => position.x + stations[0]!.chord));
    const material = design.materials[0]?.id;
    const body: Body = bodySchema.parse({
      id: freshId('fuselage', design.bodies),
      name: design.bodies.length === 0 ? 'Fuselage' : `Body ${design.bodies.length + 1}`,
      kind: 'box',
      frames: [
        { x: 0, width: 40, top: 20, bottom: -25 },
        { x: Math.round(0.4 * rear), width: 50, top: 28, bottom: -30 },
        { x: Math.round(rear), width: 16, top: 8, bottom: -6 },
      ],
      ...(material === undefined ? {} : { construction: { material, countedBy: 'parts' } }),
    });
    return { ...design, bodies: [...design.bodies, body] };
  });

const editBody = (id: string, change: (body: Body) => Body): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...design,
    bodies: design.bodies.map((body) => (body.id === id ? change(body) : body)),
  }));

/** Lays a rod through the middle of a body, from its nose to its tail. */
export const addBodyRod = (body: string, stock: RodStock): AppThunk<EditOutcome> =>
  editBody(body, (current) => {
    const [first, last] = [current.frames[0]!, current.frames.at(-1)!];
    const rod = {
      ...stock,
      id: freshId('rod', current.rods),
      from: first.x,
      to: last.x,
      y: 0,
      z: (last.top + last.bottom) / 2,
      mirrored: false,
    };
    return { ...current, rods: [...current.rods, rod] };
  });

export const removeBodyRod = (body: string, rod: string): AppThunk<EditOutcome> =>
  editBody(body, (current) => ({ ...current, rods: current.rods.filter(({ id }) => id !== rod) }));

/** Takes a body out; what moved with it stays where it is. */
export const removeBody = (id: string): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...design,
    bodies: design.bodies.filter((body) => body.id !== id),
    massItems: design.massItems.map((item) =>
      item.attachment.kind === 'movesWith' && item.attachment.body === id
        ? { ...item, attachment: { kind: 'fixed' } }
        : item,
    ),
    tolerances: design.tolerances.filter(({ field }) => !field.startsWith(`/bodies/${id}/`)),
    assemblies: design.assemblies.map((assembly) => ({
      ...assembly,
      bodies: assembly.bodies.filter((body) => body !== id),
    })),
  }));

/** A frame in the middle of the stretch behind another one, or one taken out; two always stay. */
export const changeFrames = (
  id: string,
  how: { readonly after: number } | { readonly without: number },
): AppThunk<EditOutcome> =>
  editBody(id, (body) => {
    if ('without' in how)
      return body.frames.length > 2 ? { ...body, frames: body.frames.toSpliced(how.without, 1) } : body;
    const a = body.frames[how.after]!;
    const b = body.frames[how.after + 1];
    const mean = (key: keyof typeof a) => (b ? Math.round((a[key] + b[key]) / 2) : a[key]);
    const frame = { x: b ? mean('x') : a.x + 100, width: mean('width'), top: mean('top'), bottom: mean('bottom') };
    return { ...body, frames: body.frames.toSpliced(how.after + 1, 0, frame) };
  });

/** A drive at the nose or behind, with a propeller of a usual size. */
export const addDrive = (kind: Propulsion['kind']): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const ends = design.bodies.flatMap(({ frames, position }) => frames.map(({ x }) => position.x + x));
    const drive: Propulsion = propulsionSchema.parse({
      id: freshId('drive', design.propulsion),
      name: 'Drive',
      kind,
      position: { x: kind === 'tractor' ? Math.min(0, ...ends) - 25 : Math.max(0, ...ends) + 25 },
    });
    return { ...design, propulsion: [...design.propulsion, drive] };
  });

export const removeDrive = (id: string): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...withoutDrive(design, id),
    propulsion: design.propulsion.filter((drive) => drive.id !== id),
    assemblies: design.assemblies.map((assembly) => ({
      ...assembly,
      propulsion: assembly.propulsion.filter((drive) => drive !== id),
    })),
  }));

/** Something that stands in the wind. */
export const addDragItem = (): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const item: DragItem = {
      id: freshId('drag', design.dragItems),
      name: `In the wind ${design.dragItems.length + 1}`,
      dragArea: 500,
      position: { x: 0, y: 0, z: 0 },
      mirrored: false,
    };
    return { ...design, dragItems: [...design.dragItems, item] };
  });

export const removeDragItem = (id: string): AppThunk<EditOutcome> =>
  editDesign((design: Design) => ({ ...design, dragItems: design.dragItems.filter((item) => item.id !== id) }));
