import {
  metresFromMillimetres,
  millimetresFromMetres,
  type Metres,
  type Vector3,
  vectorFromPoint,
} from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import { bend } from '../beam/beam';
import type { Beam, BeamLoad, Stretch } from '../beam/stretch';
import { cross, plus, times } from '@/core/1-base/numeric/vectors';
import { type BodyStuff, bodySectionAt } from './bodySection';

/** Stretches of a body at least. */
const STRETCHES = 8;

/** A body from where a wing holds it to some place fore or aft, as a beam. */
export interface BodyBeam extends Beam {
  readonly body: Body;
  readonly end: Vector3;
}

/**
 * Lays a body out from where it is held to a place aft of that or ahead of it
 * [m]; null where nobody says what it is made of. What lies beyond its end is
 * taken as stiff as its end.
 */
export function bodyBeam(stuff: BodyStuff, from: Metres, to: Metres): BodyBeam | null {
  const { body } = stuff;
  const [x0, y0, z0] = vectorFromPoint(body.position);
  const [front, rear] = [body.frames[0]!.x, body.frames.at(-1)!.x].map((x) => x0 + metresFromMillimetres(x)) as [
    Metres,
    Metres,
  ];
  const length = Math.abs(to - from);
  if (!(length > 1e-6)) return null;
  const way = to > from ? 1 : -1;
  const along: Vector3 = [way, 0, 0];
  const up: Vector3 = [0, 0, 1];
  // Square to both, so that aft × along = up.
  const aft = cross(along, up);
  const marks = marksOf(body, [from, to]);
  const stretches: Stretch[] = [];
  for (let index = 0; index + 1 < marks.length; index++) {
    const [a, b] = [marks[index]!, marks[index + 1]!];
    const middle = (a + b) / 2;
    const inside = Math.min(rear - 1e-6, Math.max(front + 1e-6, middle));
    const section = bodySectionAt(stuff, millimetresFromMetres(inside));
    if (!section) return null;
    stretches.push({
      from: Math.abs(a - from),
      to: Math.abs(b - from),
      inner: [a, y0, z0],
      outer: [b, y0, z0],
      along,
      aft,
      up,
      ...section,
      centre: plus([middle, y0, z0], times(up, section.whole.z)),
    });
  }
  return { body, stretches, end: [to, y0, z0] };
}

/**
 * Ends of stretches, from the held end on [m]. The steps between lie on the
 * body, whichever part of it is asked for, so that what is known of its
 * sections serves again when what holds it moves.
 */
function marksOf({ frames, position, rods, construction }: Body, [from, to]: readonly [Metres, Metres]): Metres[] {
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const [front, rear] = [frames[0]!.x, frames.at(-1)!.x].map((x) => metresFromMillimetres(position.x + x)) as [
    Metres,
    Metres,
  ];
  const step = (rear - front) / 2 ** Math.ceil(Math.log2((STRETCHES * (rear - front)) / (high - low)));
  const count = Math.ceil((high - low) / step) + 1;
  const first = Math.floor((low - front) / step);
  const marks = [low, high];
  const mark = (x: Metres) => {
    if (x > low + 1e-3 && x < high - 1e-3) marks.push(x);
  };
  const markAt = (x: number) => mark(metresFromMillimetres(position.x + x));
  for (const { x } of frames) markAt(x);
  for (const part of [...rods, ...(construction?.doublers ?? [])]) {
    markAt(part.from);
    markAt(part.to);
  }
  for (let index = 0; index < count; index++) mark(front + (first + index) * step);
  const apart = marks
    .sort((a, b) => a - b)
    .filter((place, index, all) => index === 0 || place - all[index - 1]! > 1e-5);
  return to > from ? apart : apart.toReversed();
}

/** Rotation of the far end under a force and a moment at a point that is stiffly joined to it, from six loads worked out once. */
export function endTurn(beam: BodyBeam): (force: Vector3, at: Vector3, moment: Vector3) => Vector3 {
  const length = beam.stretches.at(-1)!.to;
  const units: readonly Vector3[] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  const turned = (load: Partial<BeamLoad>) =>
    bend(beam, [{ from: length, to: length, at: beam.end, way: [0, 0, 0], force: [0, 0, 0], ...load }]).rotation.at(
      -1,
    )!;
  const byForce = units.map((force) => turned({ force }));
  const byMoment = units.map((moment) => turned({ moment }));
  // Asked for every strip, several times: nothing is made on the way.
  return (force, at, moment) => {
    const [x, y, z] = [at[0] - beam.end[0], at[1] - beam.end[1], at[2] - beam.end[2]];
    const aboutX = moment[0] + y * force[2] - z * force[1];
    const aboutY = moment[1] + z * force[0] - x * force[2];
    const aboutZ = moment[2] + x * force[1] - y * force[0];
    const turn = (axis: 0 | 1 | 2) =>
      byForce[0]![axis] * force[0] +
      byForce[1]![axis] * force[1] +
      byForce[2]![axis] * force[2] +
      byMoment[0]![axis] * aboutX +
      byMoment[1]![axis] * aboutY +
      byMoment[2]![axis] * aboutZ;
    return [turn(0), turn(1), turn(2)];
  };
}
