import { percent, millimetres, nameOf, say, type Words } from '@/core/1-base/words/phrase';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { ROD_STOCK, rodsInDrawer, type RodStock } from '@/core/2-document/catalogue/rods';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import { laidRod, REACH } from '@/core/2-document/laidRod';
import { contourOf, thicknessOf } from '@/core/3-shape/section/contour';
import { boardOf } from '@/core/3-shape/section/freshSection';
import { isHollow } from '@/core/3-shape/section/kinds';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import type { Surface } from '@/core/2-document/schema/surface';
import type { Numbers } from '@/core/6-groups/page';
import type { Remedy } from './finding';

/** Ways to make something stiffer or stronger; each is a candidate that is tried before it is offered. */

const stockOf = (wanted: string): RodStock[] => ROD_STOCK.filter(({ name }) => name === wanted);

/** Rods for a wing from the lightest on, and how much of the half span they reach. */
const FOR_WINGS = [
  ['Carbon rod 3 mm', REACH],
  ['Carbon tube 4 × 2 mm', REACH],
  ['Carbon tube 6 × 4 mm', 0.5],
  ['Carbon tube 6 × 4 mm', REACH],
  ['Carbon tube 8 × 6 mm', 0.5],
  ['Carbon tube 8 × 6 mm', REACH],
  ['Spruce strip 3 × 10 mm, on edge', REACH],
] as const;
/** How far a rod of the drawer is tried to reach. */
const REACHES = [0.5, REACH] as const;

interface Candidate {
  readonly stock: RodStock;
  readonly isOwn: boolean;
  readonly reach: number;
}

/** Those of the drawer before others. */
function rodsFor({ brief }: Design): Candidate[] {
  const own = rodsInDrawer(brief);
  return [
    ...own.flatMap((stock) => REACHES.map((reach) => ({ stock, isOwn: true, reach }))),
    ...FOR_WINGS.flatMap(([wanted, reach]) => stockOf(wanted).map((stock) => ({ stock, isOwn: false, reach }))).filter(
      ({ stock }) => !own.includes(stock),
    ),
  ];
}

const rodWords = ({ stock, isOwn }: Pick<Candidate, 'stock' | 'isOwn'>): string =>
  `${stock.name.toLowerCase()}${isOwn ? ' from the drawer' : ''}`;

/**
 * Rods through a wing, each by itself; where there are several wings, also
 * through all of them. Those that stand out of the board come last.
 * @param name of the wing, as findings speak of it
 */
export function rodRemedies(design: Design, name: string | undefined): Remedy[] {
  const wings = design.surfaces.filter(isWing);
  const wing = wings.find((surface) => (surface.name || surface.id) === name);
  const rods = rodsFor(design);
  const ways = [
    ...(wing ? rods.map((rod) => ({ rod, through: [wing], where: placeIn(wing, rod) })) : []),
    ...(wings.length > 1
      ? rods.map((rod) => ({
          rod,
          through: wings,
          where: say`through each wing, over ${percent(rod.reach, 0)} of its half span`,
        }))
      : []),
  ];
  const room = new Map(wings.map((surface) => [surface, roomIn(surface)]));
  return ways
    .map(({ rod, through, where }) => ({
      label: say`Lay a ${rodWords(rod)} ${where}`,
      change: through.map((surface) =>
        field('surfaces', surface.id, 'spars').to([...surface.spars, laidRod(surface, rod.stock, rod.reach)]),
      ),
      isProud: through.some((surface) => rod.stock.height > room.get(surface)!),
    }))
    .toSorted((a, b) => Number(a.isProud) - Number(b.isProud))
    .map(({ label, change }) => ({ label, change }));
}

/** Height that a rod may have in the thickest place of the thinnest section [mm]. */
const roomIn = ({ stations }: Surface): number =>
  Math.min(
    ...stations.map(
      ({ section, chord }) =>
        thicknessOf(contourOf(section, chord)).ratio * chord - (isHollow(section) ? 2 * boardOf(section) : 0),
    ),
  );

function placeIn(surface: Surface, { stock, reach }: Candidate): Words {
  const { end, start } = laidRod(surface, stock, reach);
  return say`through ${surface.name || surface.id}, ${millimetres(
    end.distanceFromRoot,
  )} out from the root, ${millimetres(start.x)} behind the leading edge`;
}

/** How much of its span a wing loses, each by itself. */
const SHORTER = [0.05, 0.1] as const;

/** A shorter span, the chord as it is. */
export function shorterSpan(design: Design, name: string | undefined): Remedy[] {
  const wing = design.surfaces.find((surface) => isWing(surface) && (surface.name || surface.id) === name);
  if (!wing) return [];
  return SHORTER.map((share): Remedy => ({
    label: say`Make ${name!} ${percent(share, 0)} shorter`,
    change: [
      ...wing.stations.flatMap(({ distanceFromRoot, leadingEdgeOffset }, index) =>
        index === 0
          ? []
          : [
              field('surfaces', wing.id, 'stations', index, 'distanceFromRoot').to(
                tenth(distanceFromRoot * (1 - share)),
              ),
              field('surfaces', wing.id, 'stations', index, 'leadingEdgeOffset').to(
                tenth(leadingEdgeOffset * (1 - share)),
              ),
            ],
      ),
      // Rods go with the span, so that none stands out at the tip.
      ...wing.spars.map(({ id, end }) =>
        field('surfaces', wing.id, 'spars', id, 'end', 'distanceFromRoot').to(
          tenth(end.distanceFromRoot * (1 - share)),
        ),
      ),
    ],
  }));
}

const tenth = (value: number) => Math.round(value * 10) / 10;

type BoomNumbers = Numbers['strength']['booms'][number];

/** The boom that leaves least of its tail’s effect. */
export const softestBoom = (booms: readonly BoomNumbers[]): BoomNumbers | undefined =>
  booms.toSorted((a, b) => keptBy(a) - keptBy(b))[0];

export const keptBy = ({ pitchFactor, yawFactor }: BoomNumbers): number => Math.min(pitchFactor ?? 1, yawFactor ?? 1);

/** Tubes for a boom from the lightest on. */
const FOR_BOOMS = ['Carbon tube 6 × 4 mm', 'Carbon tube 8 × 6 mm', 'Carbon tube 10 × 8 mm'] as const;
/** How much shorter a boom is made, each by itself. */
const NEARER = [0.1, 0.2] as const;

/** A stiffer tube in place of those that are there, one laid along where there is none; a shorter boom. */
export function boomRemedies(design: Design, boom: BoomNumbers | undefined): Remedy[] {
  const body = design.bodies.find(({ id }) => id === boom?.id);
  if (!body || !boom) return [];
  const from = millimetresFromMetres(boom.from) - body.position.x;
  const to = from + millimetresFromMetres(boom.length) * (boom.isAft ? 1 : -1);
  const own = rodsInDrawer(design.brief).filter(({ shape }) => shape !== 'rectangle');
  const usual = FOR_BOOMS.flatMap(stockOf).filter((stock) => !own.includes(stock));
  const tubes = [...own, ...usual].map((stock): Remedy => {
    const laid = body.rods.length > 0 ? replaced(body, stock) : [alongBoom(body, stock, from, to)];
    return {
      label: say`${body.rods.length > 0 ? 'Take' : 'Lay'} a ${rodWords({ stock, isOwn: own.includes(stock) })} ${
        body.rods.length > 0 ? 'for' : 'along'
      } ${nameOf(body)}`,
      change: [field('bodies', body.id, 'rods').to(laid)],
    };
  });
  return [...tubes, ...(boom.isAft ? NEARER.map((share) => shorterBoom(design, body, boom, from, share)) : [])];
}

const replaced = ({ rods }: Body, stock: RodStock): Body['rods'] =>
  rods.map(({ sagTest: _measured, ...rod }) => ({ ...rod, ...stock }));

/** A rod along the middle of a body, from where it is held to what it carries. */
function alongBoom({ frames }: Body, stock: RodStock, from: number, to: number): Body['rods'][number] {
  const [first, last] = [frames[0]!, frames.at(-1)!];
  return {
    ...stock,
    id: 'boom',
    from: Math.max(first.x, Math.min(from, to)),
    to: Math.min(last.x, Math.max(from, to)),
    y: 0,
    z: (last.top + last.bottom) / 2,
    mirrored: false,
  };
}

/** Everything behind where the wing holds the boom comes nearer to it. */
function shorterBoom(design: Design, body: Body, boom: BoomNumbers, from: number, share: number): Remedy {
  const nearer = (x: number) => tenth(x > from ? from + (x - from) * (1 - share) : x);
  const back = millimetresFromMetres(boom.length) * share;
  const change: FieldChange[] = [
    ...body.frames.map(({ x }, index) => field('bodies', body.id, 'frames', index, 'x').to(nearer(x))),
    ...body.rods.map(({ id, to }) => field('bodies', body.id, 'rods', id, 'to').to(nearer(to))),
    ...design.surfaces
      .filter(({ id }) => boom.carries.includes(id))
      .map(({ id, position }) => field('surfaces', id, 'position', 'x').to(tenth(position.x - back))),
  ];
  return { label: say`Bring the tail ${millimetres(back)} nearer to the wing`, change };
}
