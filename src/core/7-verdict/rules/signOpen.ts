import { joined, percent, type Phrase, plain, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** A number with its band, and what hangs on its sign. */
interface Sign {
  readonly name: string;
  readonly value: number | null;
  readonly band: number | null;
  readonly write: (value: number) => ReturnType<typeof plain>;
  readonly open: string;
}

/** A sign that the choice of wake or the speed could turn round: no verdict that rests on it is sure. */
export const signOpen = makeRule(
  { id: 'signOpen', stage: 'stability', source: 'Both wakes, over the speeds flown (group “bands”)' },
  (_design, { pitch, lateral, bands, reference }) => {
    const chord = reference.meanChord;
    const signs: readonly Sign[] = [
      {
        name: 'static margin',
        value: pitch.staticMargin,
        band: chord === null || bands.neutralPoint === null ? null : bands.neutralPoint / chord,
        write: percent,
        open: 'whether it holds its nose by itself',
      },
      {
        name: 'yaw stiffness',
        value: lateral.yawStiffnessInWind,
        band: bands.yawStiffness,
        write: (value) => plain(value, 3),
        open: 'whether the nose turns back into the wind',
      },
      {
        name: 'dihedral effect',
        value: lateral.dihedralEffect,
        band: bands.dihedralEffect,
        write: (value) => plain(value, 3),
        open: 'whether it rolls upright in a sideslip',
      },
    ];
    const open = signs.filter(({ value, band }) => value !== null && band !== null && Math.abs(value) < band);
    if (open.length === 0) return null;
    const told = ({ name, value, band, write, open: what }: Sign): Phrase =>
      say`${what} (${name} ${write(value!)} ± ${write(band!)})`;
    return {
      severity: 'note',
      message: say`Where the wakes go and how fast it flies leave open ${joined(open.map(told), ', ')}: trust no verdict that rests on it before a careful first flight.`,
      numbers: Object.fromEntries(open.map(({ name, value, write }) => [name.replaceAll(' ', ''), write(value!)])),
    };
  },
);
