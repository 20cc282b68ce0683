import {
  type Degrees,
  degreesFromRadians,
  type Millimetres,
  millimetresFromMetres,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import { isFin } from '@/core/2-document/schema/roles';
import { developedLength, placeSurface, planformAt } from '@/core/3-shape/geometry/layout';
import type { Side } from './gates';

export const WAYS = ['up', 'down'] as const;
export type Way = (typeof WAYS)[number];

/** What a control should travel, and how that is read at its edge. */
export interface ThrowGate {
  readonly surface: string;
  readonly control: string;
  readonly name: string;
  readonly sides: readonly Side[];
  /** What its edge does; that of a fin goes left and right. */
  readonly called: Readonly<Record<Way, 'up' | 'down' | 'left' | 'right'>>;
  /** From where it stands with the stick in the middle. */
  readonly drawn: Readonly<Record<Way, Degrees>>;
  /** From hinge to edge in the middle of it. */
  readonly chord: Millimetres;
  /** Of its horn; null where no linkage is drawn. */
  readonly horn: Millimetres | null;
}

export const throwId = ({ surface, control }: ThrowGate, side: Side, way: Way): string =>
  `throw-${surface}-${control}-${side}-${way}`;

/** All controls, in the order of the drawing. */
export function throwGates({ surfaces }: Design): ThrowGate[] {
  return surfaces.flatMap((surface) => {
    const placed = placeSurface(surface);
    return surface.controls.map((control): ThrowGate => {
      const middle = Math.min(0.999, (control.from + control.to) / 2) * developedLength(placed);
      const hinge = control.allMoving ? 0.25 : (control.hingeInboard + control.hingeOutboard) / 2;
      return {
        surface: surface.id,
        control: control.id,
        name: control.name || control.id,
        sides: surface.mirrored ? ['left', 'right'] : ['right'],
        called: isFin(surface) ? { up: 'left', down: 'right' } : { up: 'up', down: 'down' },
        drawn: { up: control.throwUp, down: control.throwDown },
        chord: millimetresFromMetres(planformAt(placed, middle).chord) * (1 - hinge),
        horn: control.servo?.horn ?? null,
      };
    });
  });
}

/** How far the edge stands off at an angle: c sin δ. [exact] */
export const edgeTravel = ({ chord }: Pick<ThrowGate, 'chord'>, angle: Degrees): Millimetres =>
  chord * Math.sin(radiansFromDegrees(angle));

/** The angle at which the edge stands so far off; null where it cannot. [exact] */
export const angleOfTravel = ({ chord }: Pick<ThrowGate, 'chord'>, travel: Millimetres): Degrees | null =>
  Math.abs(travel) <= chord ? degreesFromRadians(Math.asin(travel / chord)) : null;

const CAPITAL = { up: 'Up', down: 'Down', left: 'Left', right: 'Right' } as const;

/** A travel is right within that, whichever is more: what a hand sets and an eye reads. C. */
const RIGHT = { angle: 1 as Degrees, share: 0.08 };

export interface ThrowVerdict {
  readonly state: 'open' | 'ok' | 'reset';
  readonly words: Words;
}

type Read = (side: Side, way: Way) => Degrees | undefined;

const within = (read: Degrees, wanted: Degrees): boolean =>
  Math.abs(read - wanted) <= Math.max(RIGHT.angle, RIGHT.share * wanted);

/**
 * What travels that were read mean. A pushrod moved on its horn changes both
 * ways alike, δ ∝ 1/r: the radius that gives what is drawn is r · read/drawn of
 * the mean. [small angles] Left and right have to travel alike, else the stick
 * turns what it should not.
 */
export function judgeThrow(gate: ThrowGate, read: Read): ThrowVerdict {
  const { sides, drawn, horn, called } = gate;
  const all = sides.flatMap((side) => WAYS.map((way) => ({ side, way, value: read(side, way) })));
  const wanted = say`${called.up} ${degrees(drawn.up, 0)}, ${called.down} ${degrees(drawn.down, 0)}`;
  const known = all.flatMap(({ side, way, value }) => (value === undefined ? [] : [{ side, way, value }]));
  const wrong = known.find(({ way, value }) => !within(value, drawn[way]));
  if (wrong) {
    const own = known.filter(({ side }) => side === wrong.side);
    const mean = (of: (one: (typeof own)[number]) => number) => own.reduce((sum, one) => sum + of(one), 0) / own.length;
    const [travels, should] = [mean(({ value }) => value), mean(({ way }) => drawn[way])];
    const where = sides.length === 2 ? say` on the ${wrong.side}` : say``;
    const told = say`${CAPITAL[called[wrong.way]]}${where} it travels ${degrees(wrong.value, 1)} instead of ${degrees(drawn[wrong.way], 1)}`;
    // One way too far and the other too little: the rod is too long or too short.
    const isUneven = own.length === 2 && within(travels, should);
    if (isUneven) return { state: 'reset', words: say`${told}, the other way more: set the length of the pushrod.` };
    const nearer = travels < should;
    const by = horn === null ? null : Math.abs(horn * (1 - travels / should));
    return {
      state: 'reset',
      words:
        by === null || by < 0.1
          ? say`${told}: move the pushrod ${nearer ? 'nearer to' : 'farther from'} the hinge on its horn, or set its travel at the radio.`
          : say`${told}: move the pushrod ${millimetres(by, 1)} ${nearer ? 'nearer to' : 'farther from'} the hinge on its horn, or set its travel at the radio.`,
    };
  }
  const apart = sides.length === 2 ? farthestApart(read) : 0;
  if (apart > RIGHT.angle)
    return {
      state: 'reset',
      words: say`Left and right travel ${degrees(apart, 1)} apart: set both alike, or the stick turns more than it should.`,
    };
  if (known.length < all.length) return { state: 'open', words: say`To be read with full stick: ${wanted}.` };
  return { state: 'ok', words: say`Right as it is: ${wanted}.` };
}

function farthestApart(read: Read): Degrees {
  const apart = WAYS.map((way) => {
    const [left, right] = [read('left', way), read('right', way)];
    return left === undefined || right === undefined ? 0 : Math.abs(left - right);
  });
  return Math.max(...apart);
}
