import {
  type Design,
  designSchema,
  DESIGN_FORMAT,
  DESIGN_VERSION,
  LIST_MEMBERS,
} from '@/core/2-document/schema/design';

const times = <Entry>(count: number, make: (index: number) => Entry): Entry[] =>
  Array.from({ length: count }, (_, index) => make(index));

/** As many surfaces, stations, controls, bodies and masses as a document may hold, every panel with a bend of its own. */
export function largestDesign(surfaces: number = LIST_MEMBERS.surfaces.most): Design {
  return designSchema.parse({
    format: DESIGN_FORMAT,
    version: DESIGN_VERSION,
    name: 'Everything at once',
    materials: [{ id: 'board', thickness: 5, arealDensity: 400 }],
    surfaces: times(surfaces, (place) => ({
      id: `s${place}`,
      role: place === 0 ? 'wing' : place % 3 === 0 ? 'tailplane' : place % 3 === 1 ? 'secondWing' : 'canard',
      position: { x: 150 * place, z: 60 * (place % 5) },
      construction: { material: 'board' },
      stations: times(80, (index) => ({
        distanceFromRoot: 12 * index,
        chord: 100 + 6 * (index % 2),
        leadingEdgeOffset: 5 * (index % 2),
        dihedral: index % 2 ? 6 : 2,
        section: { kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 6 },
      })),
      controls: times(12, (index) => ({
        id: `c${place}x${index}`,
        function: index % 2 ? 'aileron' : 'elevator',
        from: index / 12,
        to: (index + 1) / 12,
      })),
      spars: times(20, (index) => ({
        id: `p${index}`,
        start: { distanceFromRoot: 0, x: 4 * index },
        end: { distanceFromRoot: 900, x: 4 * index },
        linearDensity: 10,
        width: 3,
        height: 3,
      })),
    })),
    bodies: times(12, (place) => ({
      id: `b${place}`,
      construction: { material: 'board' },
      position: { y: 20 * place },
      frames: times(60, (index) => ({ x: 40 * index, width: 40, top: 20, bottom: -20 })),
    })),
    massItems: times(200, (index) => ({
      id: `m${index}`,
      mass: 5,
      position: { x: 10 * index },
      attachment: { kind: 'slides', from: 10 * index - 100, to: 10 * index + 100 },
    })),
    propulsion: times(8, (index) => ({ id: `d${index}`, position: { x: -50, y: 40 * index } })),
    dragItems: times(60, (index) => ({ id: `w${index}`, dragArea: 200, position: { z: index } })),
  });
}
