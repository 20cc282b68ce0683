import { degrees, millimetres, nameOf, say } from '@/core/1-base/words/phrase';
import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';

/** Tilts and shifts of all drives to try where power pitches the nose. @param up whether it pitches it up */
export function otherThrustLines(design: Design, up: boolean) {
  const tilt = (angle: number) => ({
    label: say`Tilt the thrust line ${degrees(angle, 0)} more ${up ? 'down' : 'up'}`,
    change: design.propulsion.map((drive) =>
      field('propulsion', drive.id, 'downThrust').to(drive.downThrust + (up ? angle : -angle)),
    ),
  });
  const shift = (height: number) => ({
    label: say`Set ${nameOf(design.propulsion[0]!)} ${millimetres(height)} ${up ? 'higher' : 'lower'}`,
    change: design.propulsion.map((drive) =>
      field('propulsion', drive.id, 'position', 'z').to(drive.position.z + (up ? height : -height)),
    ),
  });
  return [tilt(2), tilt(4), shift(20), shift(40)];
}
