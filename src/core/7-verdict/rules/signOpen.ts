import { joined, percent, type Phrase, plain, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** A number, how far it may lie off, and what hangs on its sign. */
interface Sign {
  readonly name: string;
  readonly value: number | null;
  /** How far it may lie above and below. */
  readonly up: number | null;
  readonly down: number | null;
  readonly write: (value: number) => ReturnType<typeof plain>;
  readonly open: string;
}

/** A sign that the choice of wake or the speed could turn round: no verdict that rests on it is sure. */
export const signOpen = makeRule(
  { id: 'signOpen', stage: 'stability', source: 'Both wakes, over the speeds flown (group “bands”)' },
  (_design, { pitch, lateral, bands, reference }) => {
    const chord = reference.meanChord;
    const overChord = (length: number | null) => (chord === null || length === null ? null : length / chord);
    const signs: readonly Sign[] = [
      {
        name: 'static margin',
        value: pitch.staticMargin,
        up: overChord(bands.neutralPointAft),
        down: overChord(bands.neutralPointForward),
        write: percent,
        open: 'whether it holds its nose by itself',
      },
      {
        name: 'yaw stiffness',
        value: lateral.yawStiffnessInWind,
        up: bands.yawStiffnessUp,
        down: bands.yawStiffnessDown,
        write: (value) => plain(value, 3),
        open: 'whether the nose turns back into the wind',
      },
      {
        name: 'dihedral effect',
        value: lateral.dihedralEffect,
        up: bands.dihedralEffectUp,
        down: bands.dihedralEffectDown,
        write: (value) => plain(value, 3),
        open: 'whether it rolls upright in a sideslip',
      },
    ];
    const open = signs.filter(
      ({ value, up, down }) =>
        value !== null && up !== null && down !== null && (value < 0 ? value + up > 0 : value - down < 0),
    );
    if (open.length === 0) return null;
    const told = ({ name, value, up, down, write, open: what }: Sign): Phrase =>
      say`${what} (${name} ${write(value!)}, from ${write(value! - down!)} to ${write(value! + up!)})`;
    return {
      severity: 'note',
      message: say`Where the wakes go and how fast it flies leave open ${joined(open.map(told), ', ')}: trust no verdict that rests on it before a careful first flight.`,
      numbers: Object.fromEntries(open.map(({ name, value, write }) => [name.replaceAll(' ', ''), write(value!)])),
    };
  },
);
