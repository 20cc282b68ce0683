import { type Design, type DesignInput, designSchema, DESIGN_VERSION } from '@/core/2-document/schema/design';
import { type Surface, surfaceSchema } from '@/core/2-document/schema/surface';
import type { z } from 'zod';

export type SurfaceInput = z.input<typeof surfaceSchema>;

/** A trapezoid wing, half span and chords in mm. */
export function trapezoid(
  halfSpan: number,
  root: number,
  tip: number = root,
  more: Partial<SurfaceInput> = {},
): SurfaceInput {
  return {
    id: 'wing',
    role: 'wing',
    stations: [
      { distanceFromRoot: 0, chord: root },
      { distanceFromRoot: halfSpan, chord: tip },
    ],
    ...more,
  };
}

export const surface = (input: SurfaceInput): Surface => surfaceSchema.parse(input);

/** A design of surfaces only, everything else by default. */
export function designOf(surfaces: SurfaceInput[], more: Partial<DesignInput> = {}): Design {
  return designSchema.parse({ format: 'inclinar-design', version: DESIGN_VERSION, name: 'Test', surfaces, ...more });
}

/** Wing, tailplane with elevator, fin with rudder, and one lump of mass. */
export function simpleAircraft(massX = 90, more: Partial<DesignInput> = {}): Design {
  return designOf(
    [
      trapezoid(600, 200, 200, {
        incidence: 3,
        stations: [
          { distanceFromRoot: 0, chord: 200, dihedral: 4 },
          { distanceFromRoot: 600, chord: 200 },
        ],
        controls: [{ id: 'aileron', function: 'aileron', from: 0.5, to: 0.95 }],
      }),
      {
        id: 'tail',
        role: 'tailplane',
        position: { x: 600, z: 30 },
        stations: [
          { distanceFromRoot: 0, chord: 140 },
          { distanceFromRoot: 220, chord: 110, leadingEdgeOffset: 20 },
        ],
        controls: [{ id: 'elevator', function: 'elevator' }],
      },
      {
        id: 'fin',
        role: 'fin',
        mirrored: false,
        position: { x: 600 },
        stations: [
          { distanceFromRoot: 0, chord: 140, dihedral: 90 },
          { distanceFromRoot: 160, chord: 90, leadingEdgeOffset: 50, dihedral: 90 },
        ],
        controls: [{ id: 'rudder', function: 'rudder' }],
      },
    ],
    {
      massItems: [
        { id: 'lump', mass: 500, position: { x: massX }, size: { length: 300, width: 600, height: 40 } },
        {
          id: 'pack',
          mass: 100,
          position: { x: massX },
          category: 'battery',
          attachment: { kind: 'slides', from: -100, to: 400 },
        },
      ],
      conditions: { cruiseSpeed: 11 },
      ...more,
    },
  );
}

/** A straight box of a body about the height of the tail, for `/bodies`. Millimetres. */
export function boxBody(width: number, length = 800) {
  const frame = (x: number) => ({ x, width, top: 20, bottom: -20 });
  const frames = [frame(0), frame(length)];
  return { id: 'boom', name: '', kind: 'box', mirrored: false, position: { x: 0, y: 0, z: 30 }, frames, rods: [] };
}
