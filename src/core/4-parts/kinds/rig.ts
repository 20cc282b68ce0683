import { degrees, millimetres, say } from '@/core/1-base/words/phrase';
import {
  degreesFromRadians,
  metresFromMillimetres,
  millimetresFromMetres,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { openLine, type Point, polygon } from '@/core/3-shape/outline/path';
import { type TwistTemplate, twistTemplates } from './twistTemplate';
import { CARD, type CutPart } from '../part';
import { anticlockwise } from '../polygons';

/** Uprights of a balance stand: as high as lets a model of that size hang free, within a hand [mm]. */
const TALL = 160;
const FOOT = 90;
const SLOT = 5.2;

const card = (id: string, name: string, edge: readonly Point[], notes: CutPart['notes'], count = 1): CutPart => ({
  id,
  kind: 'gauge',
  owner: 'bench',
  name,
  material: CARD,
  outline: {
    name,
    edge: anticlockwise(polygon(edge)),
    holes: [],
    lines: [],
    texts: [{ words: name, at: [edge[0]![0] + 6, 3], height: 4, turn: 0 }],
  },
  count,
  mirrored: 0,
  isAlongGrain: false,
  hasFace: false,
  notes,
});

/** A stand to balance on: two uprights with a blunt tip, slotted on a foot each. */
export function balanceRig({ surfaces }: Design): CutPart[] {
  if (!surfaces.some(({ role }) => role === 'wing')) return [];
  const middle = FOOT / 2;
  const upright: Point[] = [
    [0, 0],
    [middle - SLOT / 2, 0],
    [middle - SLOT / 2, 12],
    [middle + SLOT / 2, 12],
    [middle + SLOT / 2, 0],
    [FOOT, 0],
    [middle + 4, TALL],
    [middle - 4, TALL],
  ];
  const foot: Point[] = [
    [0, 0],
    [FOOT, 0],
    [FOOT, 24],
    [middle + SLOT / 2, 24],
    [middle + SLOT / 2, 12],
    [middle - SLOT / 2, 12],
    [middle - SLOT / 2, 24],
    [0, 24],
  ];
  return [
    card(
      'bench-upright',
      'Balance stand, upright',
      upright,
      [say`two of board, tips under the balance window left and right; round them and pad them`],
      2,
    ),
    card(
      'bench-foot',
      'Balance stand, foot',
      foot,
      [say`slots across the uprights, ${millimetres(SLOT, 1)} wide for board of 5 mm`],
      2,
    ),
  ];
}

/** Templates that hold the blade of a hand-made propeller at its angles. */
export function bladeTemplates({ propulsion }: Design): CutPart[] {
  return propulsion.flatMap(({ id, name, blade, propellerDiameter }) => {
    if (blade.length < 2) return [];
    const templates = twistTemplates(
      blade.map(({ share, chord, angle }) => ({
        share,
        chord: metresFromMillimetres(chord),
        angle: radiansFromDegrees(angle),
      })),
    );
    return templates.map((template, index) =>
      templatePart(template, index, { id, label: name || id, radius: propellerDiameter / 2 }),
    );
  });
}

interface Blade {
  readonly id: string;
  readonly label: string;
  readonly radius: number;
}

function templatePart({ share, outline }: TwistTemplate, index: number, { id, label, radius }: Blade): CutPart {
  const name = `${label}, blade at ${Math.round(share * 100)} %`;
  const points = outline.map(([along, up]): Point => [millimetresFromMetres(along), millimetresFromMetres(up)]);
  const [, , rear, front] = points as [Point, Point, Point, Point];
  const slope = degreesFromRadians(Math.atan2(rear[1] - front[1], rear[0] - front[0]));
  const half = Math.abs(points[0]![0]);
  return {
    id: `${id}-blade-${index + 1}`,
    kind: 'gauge',
    owner: id,
    name,
    material: CARD,
    outline: {
      name,
      edge: anticlockwise(polygon(points)),
      holes: [],
      lines: [
        {
          kind: 'mark',
          path: openLine([
            [0, 0],
            [0, (rear[1] + front[1]) / 2],
          ]),
        },
      ],
      texts: [{ words: `${Math.round(share * 100)} %`, at: [-half + 1.5, 2], height: Math.min(4, half / 3), turn: 0 }],
    },
    count: 1,
    mirrored: 0,
    isAlongGrain: false,
    hasFace: false,
    notes: [say`${millimetres(share * radius, 0)} from the middle of the hub, ${degrees(slope, 1)} to the disc`],
  };
}
