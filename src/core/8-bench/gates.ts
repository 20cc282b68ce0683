import { type Degrees, degreesFromRadians } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { isFin } from '@/core/2-document/schema/roles';
import type { Surface } from '@/core/2-document/schema/surface';
import { measurableFace } from '@/core/3-shape/section/measurableFace';

export type Side = 'left' | 'right';

/**
 * An angle that is read before glue makes it stay:
 * - incidence: of a surface in its seat, datum level, on the face that can be measured;
 * - washout: of a tip, how far it points below the root;
 * - square: of a body, how far the tail is turned against the wing, seen from behind with its right side down.
 */
export interface Gate {
  /** Step of the build order that it belongs to, and the one that makes it stay. */
  readonly step: string;
  readonly glue: string;
  readonly quantity: 'incidence' | 'washout' | 'square';
  /** Surface or body. */
  readonly part: string;
  readonly name: string;
  readonly sides: readonly Side[];
  readonly face: 'lower' | 'upper' | 'chord' | null;
  /** What is to be read. */
  readonly expected: Degrees;
  /** Chord that a shim goes under [mm]; none for a body. */
  readonly chord: number | null;
}

const BOTH: readonly Side[] = ['left', 'right'];
/** Less washout is none. */
const LEAST_WASHOUT: Degrees = 0.05;

const nameOf = ({ name, id }: { readonly name: string; readonly id: string }) => name || id;

/** What the reading on a face has beside the incidence of the surface. */
const faceOff = ({ stations: [root] }: Surface): Degrees =>
  root!.twist + degreesFromRadians(measurableFace(root!.section, root!.chord).angle);

/** All of them, in the order of building: tips before their skins, bodies, seats. */
export function gatesOf(design: Design): Gate[] {
  const pairs = design.surfaces.filter((surface) => surface.mirrored && surface.construction);
  const tips = pairs.flatMap((surface): Gate[] => {
    const [root, tip] = [surface.stations[0]!, surface.stations.at(-1)!];
    const washout = root.twist - tip.twist;
    if (Math.abs(washout) < LEAST_WASHOUT || tip.section.kind !== 'foldedOverSpar') return [];
    const skins = `${surface.id}-close`;
    return [
      {
        step: `${surface.id}-twist`,
        glue: skins,
        quantity: 'washout',
        part: surface.id,
        name: nameOf(surface),
        sides: BOTH,
        face: measurableFace(tip.section, tip.chord).face,
        expected: washout,
        chord: tip.chord,
      },
    ];
  });
  const bodies = design.bodies
    .filter(({ construction, kind, mirrored }) => construction && kind !== 'plank' && !mirrored)
    .map((body): Gate => ({
      step: `${body.id}-square`,
      glue: `${body.id}-walls`,
      quantity: 'square',
      part: body.id,
      name: nameOf(body),
      sides: ['right'],
      face: null,
      expected: 0,
      chord: null,
    }));
  const seats =
    design.bodies.length === 0
      ? []
      : pairs
          .filter((surface) => !isFin(surface))
          .map((surface): Gate => ({
            step: `${surface.id}-mount-gate`,
            glue: `${surface.id}-mount`,
            quantity: 'incidence',
            part: surface.id,
            name: nameOf(surface),
            sides: BOTH,
            face: measurableFace(surface.stations[0]!.section, surface.stations[0]!.chord).face,
            expected: surface.incidence + faceOff(surface),
            chord: surface.stations[0]!.chord,
          }));
  return [...tips, ...bodies, ...seats];
}

const surfaceOf = (design: Design, id: string): Surface => design.surfaces.find((one) => one.id === id)!;

/** What was read at a gate; undefined where nobody did. */
export function readingAt(design: Design, { quantity, part }: Gate, side: Side): Degrees | undefined {
  if (quantity === 'square') return design.bodies.find(({ id }) => id === part)?.asBuilt?.twist;
  const surface = surfaceOf(design, part);
  const measured = surface.asBuilt?.[side];
  if (quantity === 'incidence')
    return measured?.incidence === undefined ? undefined : measured.incidence + faceOff(surface);
  return measured?.tipTwist === undefined ? undefined : surface.stations[0]!.twist - measured.tipTwist;
}

/** Thousandths of a degree nobody reads. */
const rounded = (value: number): number => Math.round(value * 1000) / 1000;

/** The design with a reading set, or taken away; it flies as it is built. */
export function withReading(design: Design, { quantity, part }: Gate, side: Side, value: Degrees | undefined): Design {
  if (quantity === 'square')
    return {
      ...design,
      bodies: design.bodies.map((body) =>
        body.id === part ? { ...body, asBuilt: value === undefined ? undefined : { twist: rounded(value) } } : body,
      ),
    } as Design;
  const surface = surfaceOf(design, part);
  const key = quantity === 'incidence' ? 'incidence' : 'tipTwist';
  const own =
    value === undefined
      ? undefined
      : rounded(quantity === 'incidence' ? value - faceOff(surface) : surface.stations[0]!.twist - value);
  const readings = Object.fromEntries(
    Object.entries({ ...surface.asBuilt?.[side], [key]: own }).filter(([, reading]) => reading !== undefined),
  );
  const sides = Object.fromEntries(
    Object.entries({ ...surface.asBuilt, [side]: readings }).filter(
      ([, of]) => of !== undefined && Object.keys(of as object).length > 0,
    ),
  );
  const asBuilt = Object.keys(sides).length === 0 ? undefined : sides;
  return {
    ...design,
    surfaces: design.surfaces.map((one) => (one.id === part ? { ...one, asBuilt } : one)),
  } as Design;
}
