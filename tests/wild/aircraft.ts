import fc from 'fast-check';
import { type Design, designSchema, DESIGN_FORMAT, DESIGN_VERSION } from '@/core/2-document/schema/design';
import { DEMO_NAMES, demoFile } from '#/demo';
import { valueOf } from './valueOf';

/** A document before its members point to one another. */
type Raw = Record<string, unknown> & { id?: string };
const list = (value: unknown): Raw[] => (Array.isArray(value) ? (value as Raw[]) : []);

/** Brings what was made up part by part to what holds between parts: names, references, order along the span. */
function joined(raw: Raw): unknown {
  const ids = (kind: string) => list(raw[kind]).map(({ id }) => id!);
  const named = (kind: string) =>
    list(raw[kind]).map((one, index) => ({ ...one, id: uniqueName(one.id!, kind, index) }));
  const materials = named('materials');
  const withMaterial = (one: Raw, index: number): Raw => {
    const construction = one['construction'] as Raw | undefined;
    if (!construction) return one;
    if (materials.length === 0) return { ...one, construction: undefined };
    return { ...one, construction: { ...construction, material: materials[index % materials.length]!.id } };
  };
  const surfaces = named('surfaces')
    .map(withMaterial)
    .map((surface, place) =>
      surfaceInOrder(place === 0 && controlsWing(raw) ? { ...surface, role: 'wing' } : surface, place),
    );
  const bodies = named('bodies').map(withMaterial).map(framesInOrder);
  const controls = surfaces.flatMap((surface) => list(surface['controls']).map(({ id }) => id!));
  void ids;
  return {
    ...raw,
    format: DESIGN_FORMAT,
    version: DESIGN_VERSION,
    name: 'Made up',
    materials,
    surfaces,
    bodies,
    massItems: named('massItems').map((item) => ({ ...item, attachment: attachmentOf(item, bodies) })),
    propulsion: named('propulsion'),
    dragItems: named('dragItems'),
    wheels: named('wheels'),
    mixes: list(raw['mixes'])
      .map((mix) => ({
        ...mix,
        terms: list(mix['terms']).map((term, index) => ({ ...term, control: controls[index % controls.length] })),
      }))
      .filter(() => controls.length > 0),
    tolerances: [],
    assemblies: [],
  };
}

/** Most have a wing; what has none says so soon. */
const controlsWing = ({ bodies }: Raw) => list(bodies).length !== 1;

const uniqueName = (name: string, kind: string, index: number) => (index === 0 ? name : `${kind}${index}`);

function attachmentOf({ attachment }: Raw, bodies: readonly Raw[]): unknown {
  const one = attachment as { kind: string; from: number; to: number } | undefined;
  if (one?.kind === 'slides') return { ...one, from: Math.min(one.from, one.to), to: Math.max(one.from, one.to) };
  if (one?.kind === 'movesWith') return bodies[0] ? { kind: 'movesWith', body: bodies[0].id } : { kind: 'fixed' };
  return one;
}

/** Stations from root to tip, a single surface upright, controls with some length. */
function surfaceInOrder(surface: Raw, place: number): Raw {
  const mirrored = surface['mirrored'] !== false;
  let last = -1;
  const stations = [...list(surface['stations'])]
    .sort((a, b) => Number(a['distanceFromRoot']) - Number(b['distanceFromRoot']))
    .map((station, index) => {
      last = index === 0 ? 0 : Math.min(5000, Math.max(last + 1.5, Number(station['distanceFromRoot'])));
      return { ...station, distanceFromRoot: last, ...(mirrored ? {} : { dihedral: index % 2 ? -90 : 90 }) };
    });
  const position = surface['position'] as { x: number; y: number; z: number } | undefined;
  return {
    ...surface,
    stations,
    position: position && { ...position, y: mirrored ? Math.abs(position.y ?? 0) : 0 },
    controls: list(surface['controls']).map((control, index) => {
      const [from, to] = [Number(control['from'] ?? 0), Number(control['to'] ?? 1)];
      const low = Math.min(from, to, 0.98);
      return { ...control, id: `c${place}x${index}`, from: low, to: Math.max(from, to, low + 0.02) };
    }),
  };
}

function framesInOrder(body: Raw): Raw {
  let last = -Infinity;
  const frames = [...list(body['frames'])]
    .sort((a, b) => Number(a['x']) - Number(b['x']))
    .map((frame) => {
      last = Math.max(last + 0.2, Number(frame['x']));
      const [top, bottom] = [Number(frame['top']), Number(frame['bottom'])];
      return { ...frame, x: last, top: Math.max(top, bottom), bottom: Math.min(top, bottom) };
    });
  return { ...body, frames };
}

const parsed = (raw: unknown): Design | null => {
  const read = designSchema.safeParse(raw);
  return read.success ? read.data : null;
};

/** Anything that the document allows, each field for itself: mostly no aircraft at all. */
export const wild: fc.Arbitrary<Design> = valueOf(designSchema, 'extreme')
  .map((raw) => parsed(joined(raw as Raw)))
  .filter((design) => design !== null);

interface Leaf {
  readonly path: readonly (string | number)[];
  readonly kind: 'number' | 'boolean' | 'list' | 'choice';
}

/** Where something of a document can be changed. */
function leavesOf(value: unknown, path: readonly (string | number)[] = []): Leaf[] {
  if (typeof value === 'number') return path.length > 1 ? [{ path, kind: 'number' }] : [];
  if (typeof value !== 'object' || value === null) return [];
  const own: Leaf[] = Array.isArray(value) && value.length > 0 ? [{ path, kind: 'list' }] : [];
  return [
    ...own,
    ...Object.entries(value).flatMap(([key, part]) =>
      leavesOf(part, [...path, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}

const NUMBERS = [0, 1e-9, -1, 1, 0.02, 0.98, 5, -5, 20, -20, 60, 90, -90, 300, 3000, 5000, -5000, 10_000, 50_000];

function changed(raw: unknown, { path, kind }: Leaf, { pick, scale }: { pick: number; scale: number }): unknown {
  const copy = structuredClone(raw);
  const owner = path
    .slice(0, -1)
    .reduce((part, key) => (part as Record<string | number, unknown>)[key], copy) as Record<string | number, unknown>;
  const last = path.at(-1)!;
  if (kind === 'number') owner[last] = pick % 3 === 0 ? NUMBERS[pick % NUMBERS.length] : Number(owner[last]) * scale;
  else {
    const members = owner[last] as unknown[];
    if (pick % 2 === 0) members.splice(pick % members.length, 1);
    else members.push(structuredClone(members[pick % members.length]));
  }
  return copy;
}

/** A sound aircraft of the fleet with some of its numbers and lists bent, as far as the document allows. */
export const bent: fc.Arbitrary<Design> = fc
  .record({
    name: fc.constantFrom(...DEMO_NAMES),
    bends: fc.array(
      fc.record({
        at: fc.nat(),
        pick: fc.nat(),
        scale: fc.oneof(fc.double({ min: 0.2, max: 4, noNaN: true }), fc.constantFrom(-1, 0, 0.01, 10, 100)),
      }),
      { minLength: 1, maxLength: 10 },
    ),
  })
  .map(({ name, bends }) => {
    let raw: unknown = demoFile(name).design;
    for (const bend of bends) {
      const leaves = leavesOf(raw);
      const next = changed(raw, leaves[bend.at % leaves.length]!, bend);
      if (designSchema.safeParse(next).success) raw = next;
    }
    return designSchema.parse(raw);
  });

export const aircraft = fc.oneof(wild, bent);
