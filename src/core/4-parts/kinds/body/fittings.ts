import type { Millimetres } from '@/core/1-base/units/convert';
import { millimetres, say } from '@/core/1-base/words/phrase';
import { isWing } from '@/core/2-document/schema/roles';
import { openLine, rectangle } from '@/core/3-shape/outline/path';
import type { CutPart, RodPiece } from '../../part';
import { flatSeat } from '../../seat';
import { nameOfSurface } from '../panels';
import { passingAt } from '../sectionAtWall';
import { DOWEL, hole, type Opened } from './openings';
import { frameAt, nameOfBody, partOf, type Stuff, textAt, wallAt } from './stuff';

/** A plate that legs or bolts hold in: how long, and the hole of a nylon bolt [mm]; usual for models of board. */
const PLATE: Millimetres = 40;
const BOLT: Millimetres = 5;
/** How far a dowel stands out on either side. */
const STANDS_OUT: Millimetres = 15;
/** A skid: share of the body, how deep, where it begins. */
const SKID = { share: 0.3, from: 0.04, deep: 8 } as const;

/** Plates for the undercarriage and for bolts, a skid where there are no wheels. */
export function fittingsOf(stuff: Stuff): CutPart[] {
  return [...undercarriage(stuff), ...boltPlates(stuff), ...skid(stuff)];
}

/** A plate between the sides, on the bottom, under every leg. */
function undercarriage(stuff: Stuff): CutPart[] {
  const { design, body, allowances, wall, thickness } = stuff;
  return design.wheels.flatMap(({ id, position, diameter }): CutPart[] => {
    const x = position.x - body.position.x;
    const frame = frameAt(body.frames, x);
    if (diameter <= 0 || !frame || body.mirrored) return [];
    const width = frame.width - 2 * (wallAt(stuff, x) + allowances.former);
    if (width < BOLT) return [];
    const name = `${nameOfBody(body)}, plate of ${id}`;
    return [
      partOf(
        stuff,
        'mount',
        `plate-${id}`,
        {
          name,
          edge: rectangle(0, 0, PLATE, width),
          holes: [],
          lines: [
            {
              kind: 'mark',
              path: openLine([
                [PLATE / 2, 0],
                [PLATE / 2, width],
              ]),
            },
          ],
          texts: textAt(name, [2, width * 0.3], width / 5, PLATE - 4),
        },
        {
          notes: [
            say`on the bottom, ${millimetres(x, 0)} behind the front of the body; the leg comes at the mark. Two of board, or one of light ply`,
          ],
          seat: flatSeat(
            [
              position.x - PLATE / 2,
              body.position.y - width / 2,
              body.position.z + frame.bottom + wall + thickness / 2,
            ],
            [1, 0, 0],
            [0, 1, 0],
          ),
        },
      ),
    ];
  });
}

/** A plate under the rear of a wing that is bolted on. */
function boltPlates(stuff: Stuff): CutPart[] {
  const { design, body, allowances } = stuff;
  const widest = Math.max(...body.frames.map(({ width }) => width));
  return passingAt(design.surfaces, widest / 2).flatMap(({ surface, tail, height }): CutPart[] => {
    if (surface.mount.kind !== 'screws' || !isWing(surface)) return [];
    const x = tail - body.position.x - PLATE;
    const frame = frameAt(body.frames, x);
    if (!frame) return [];
    const width = frame.width - 2 * (wallAt(stuff, x) + allowances.former);
    if (width < 4 * BOLT) return [];
    const name = `${nameOfBody(body)}, bolt plate of ${nameOfSurface(surface)}`;
    return [
      partOf(
        stuff,
        'mount',
        `bolts-${surface.id}`,
        {
          name,
          edge: rectangle(0, 0, PLATE, width),
          holes: [hole([PLATE / 2, width / 2], BOLT / 2 + allowances.slot)],
          lines: [],
          texts: textAt(name, [2, width * 0.12], width / 6, PLATE - 4),
        },
        {
          notes: [
            say`of light ply under the rear of the wing, for a nylon bolt of ${millimetres(BOLT, 0)}; at its nose a dowel goes through the former`,
          ],
          seat: flatSeat(
            [body.position.x + x, body.position.y - width / 2, height - 3 * stuff.thickness],
            [1, 0, 0],
            [0, 1, 0],
          ),
        },
      ),
    ];
  });
}

/** A strip under the nose of what lands on its belly; it wears and is replaced. */
function skid(stuff: Stuff): CutPart[] {
  const { design, body } = stuff;
  const { frames, position, construction } = body;
  if (design.wheels.length > 0 || body.mirrored || construction?.truss) return [];
  const long = frames.at(-1)!.x - frames[0]!.x;
  const from = frames[0]!.x + SKID.from * long;
  const frame = frameAt(frames, from);
  if (!frame || SKID.share * long < 40) return [];
  const name = `${nameOfBody(body)}, skid`;
  return [
    partOf(
      stuff,
      'skid',
      'skid',
      {
        name,
        edge: rectangle(0, 0, SKID.share * long, SKID.deep),
        holes: [],
        lines: [],
        texts: textAt(name, [6, 2], 4),
      },
      {
        notes: [say`taped on edge under the nose, both ends rounded; it wears and is replaced`],
        seat: flatSeat([position.x + from, position.y, position.z + frame.bottom - SKID.deep], [1, 0, 0], [0, 0, 1]),
      },
    ),
  ];
}

/** Dowels that rubber bands hold on, from side to side and out on both. */
export function dowelRods(stuff: Stuff, { dowels }: Pick<Opened, 'dowels'>): RodPiece[] {
  const { body } = stuff;
  return dowels.flatMap(([x], index): RodPiece[] => {
    const frame = frameAt(body.frames, x);
    return frame
      ? [
          {
            id: `${body.id}-dowel-${index + 1}`,
            owner: body.id,
            name: `${nameOfBody(body)}, dowel ${index + 1}`,
            material: 'hard wood',
            size: `round ${DOWEL} mm`,
            length: frame.width + 2 * STANDS_OUT,
            count: 1,
          },
        ]
      : [];
  });
}
