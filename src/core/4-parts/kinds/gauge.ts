import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import { degreesFromRadians, type Degrees, type Millimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { openLine, type Point, polygon } from '@/core/3-shape/outline/path';
import { measurableFace } from '@/core/3-shape/section/measurableFace';
import { CARD, type CutPart } from '../part';
import { anticlockwise } from '../polygons';
import { nameOfSurface } from './panels';

/** Length of a wedge gauge, and its height at the low end [mm]. */
const LONG: Millimetres = 140;
const LOW: Millimetres = 20;
/** Legs of an angle gauge. */
const LEG: Millimetres = 120;
const DEEP: Millimetres = 30;
/** Angles that are less than this need no gauge [°]. */
const LEAST: Degrees = 0.05;

const gauge = (owner: string, id: string, name: string, edge: readonly Point[], notes: readonly Words[]): CutPart => ({
  id: `${owner}-gauge-${id}`,
  kind: 'gauge',
  owner,
  name,
  material: CARD,
  outline: {
    name,
    edge: anticlockwise(polygon(edge)),
    holes: [],
    lines: [
      {
        kind: 'mark',
        path: openLine([
          [8, 4],
          [LONG - 20, 4],
        ]),
      },
    ],
    texts: [{ words: name, at: [10, 7], height: 4.5, turn: 0 }],
  },
  count: 1,
  mirrored: 0,
  isAlongGrain: false,
  hasFace: false,
  notes,
});

/** A wedge that stands on the level datum and touches the face when the angle is right: nose to the left. */
function wedge(owner: string, id: string, name: string, angle: Degrees, notes: readonly Words[]): CutPart {
  const rise = LONG * Math.tan(radiansFromDegrees(Math.abs(angle)));
  const [front, rear] = angle >= 0 ? [LOW + rise, LOW] : [LOW, LOW + rise];
  return gauge(
    owner,
    id,
    name,
    [
      [0, 0],
      [LONG, 0],
      [LONG, rear],
      [0, front],
    ],
    notes,
  );
}

/** A board with the angle between two panels cut into its upper side. */
function bend(owner: string, id: string, name: string, angle: Degrees, notes: readonly Words[]): CutPart {
  const [c, s] = [Math.cos(radiansFromDegrees(angle)), Math.sin(radiansFromDegrees(angle))];
  // Left leg level, right leg up by the angle.
  return gauge(
    owner,
    id,
    name,
    [
      [0, 0],
      [LEG + LEG * c, 0],
      [LEG + LEG * c, DEEP + Math.max(0, LEG * s)],
      [LEG, DEEP + Math.max(0, -LEG * s)],
      [0, DEEP + Math.max(0, -LEG * s)],
    ],
    notes,
  );
}

/** Gauges for every angle that matters: incidence on the face that can be measured, washout, dihedral, thrust. */
export function gaugeParts({ surfaces, propulsion }: Design): CutPart[] {
  return [
    ...surfaces.flatMap(surfaceGauges),
    ...propulsion.flatMap(({ id, name, downThrust, rightThrust }) =>
      (
        [
          ['down', downThrust],
          ['right', rightThrust],
        ] as const
      ).flatMap(([way, angle]) =>
        Math.abs(angle) < LEAST
          ? []
          : [
              wedge(id, way, `${name || id}, ${way} thrust ${angle}°`, angle, [
                say`between firewall and a square on the datum`,
              ]),
            ],
      ),
    ),
  ];
}

function surfaceGauges(surface: Surface): CutPart[] {
  const { id, stations, incidence, mirrored } = surface;
  if (!mirrored) return [];
  const name = nameOfSurface(surface);
  const face = (index: number) => {
    const { section, chord, twist } = stations[index]!;
    const { face: which, angle } = measurableFace(section, chord);
    return { which, reads: incidence + twist + degreesFromRadians(angle) };
  };
  const root = face(0);
  const tip = face(stations.length - 1);
  const parts = [
    wedge(id, 'incidence', `${name}, incidence ${round(root.reads)}°`, root.reads, [
      say`the ${root.which === 'chord' ? 'chord, by a jig,' : `${root.which} face`} at the root reads ${degrees(root.reads, 2)}, datum level`,
    ]),
  ];
  if (Math.abs(tip.reads - root.reads) >= LEAST)
    parts.push(
      wedge(id, 'tip', `${name}, tip ${round(tip.reads)}°`, tip.reads, [
        say`the same at the tip, washout ${degrees(root.reads - tip.reads, 2)}`,
      ]),
    );
  stations.slice(0, -1).forEach(({ dihedral }, panel) => {
    const before = panel === 0 ? -dihedral : stations[panel - 1]!.dihedral;
    const angle = dihedral - before;
    if (Math.abs(angle) < LEAST || Math.abs(angle) > 100) return;
    const words = panel === 0 ? `${name}, V ${round(angle)}°` : `${name}, break ${panel} ${round(angle)}°`;
    parts.push(
      bend(id, `dihedral-${panel}`, words, angle, [
        panel === 0
          ? say`between left and right: ${degrees(dihedral, 1)} each, or ${millimetres(stations[1]!.distanceFromRoot * Math.sin(radiansFromDegrees(dihedral)), 0)} under the end of the panel`
          : say`between panel ${String(panel)} and panel ${String(panel + 1)}`,
      ]),
    );
  });
  return parts;
}

const round = (angle: number): number => Math.round(angle * 100) / 100;
