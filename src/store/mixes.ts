import type { FlightMode, Mix } from '@/core/2-document/schema/brief';
import type { Design } from '@/core/2-document/schema/design';
import { inMode } from '@/core/2-document/inMode';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { mixOf } from '@/core/5-aero/commands';
import { editDesign, type EditOutcome } from './edit';
import type { AppThunk } from './reduxStore';

/** A control or a drive that follows a stick. */
export type MixTarget = { readonly control: string } | { readonly drive: string };

type Gain = Mix['terms'][number]['left'];

/** The mix that a stick has now, written out: the first change of a usual mix makes it the design's own. */
function writtenOut(design: Design, command: Mix['command']): Mix {
  const flown = inMode(design);
  const terms = mixOf(flown, placeAll(flown.surfaces), command).map(({ control, left, right }) => ({
    control: control.id,
    left: left as Gain,
    right: right as Gain,
  }));
  return { command, terms, drives: flown.mixes.find((mix) => mix.command === command)?.drives ?? [] };
}

/** Mixes of the mode that is flown, or of the drawing. */
const withMixes = (design: Design, change: (mixes: readonly Mix[]) => Mix[]): Design =>
  design.mode === undefined
    ? { ...design, mixes: change(design.mixes) }
    : {
        ...design,
        modes: design.modes.map((mode) => (mode.id === design.mode ? { ...mode, mixes: change(mode.mixes) } : mode)),
      };

/** One entry with a side of it set; a single one has but a right side, and its left goes along. */
function withGain<Entry extends { readonly left: Gain; readonly right: Gain }>(
  entries: readonly Entry[],
  isIt: (entry: Entry) => boolean,
  fresh: Entry,
  change: Partial<Pick<Entry, 'left' | 'right'>>,
): Entry[] {
  return entries.some(isIt)
    ? entries.map((entry) => (isIt(entry) ? { ...entry, ...change } : entry))
    : [...entries, { ...fresh, ...change }];
}

/** Sets how far a control or a drive follows a stick on one side. @param gain of the command, 1 all of it */
export const changeMix = (
  command: Mix['command'],
  target: MixTarget,
  side: 'left' | 'right',
  gain: number,
): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const now = writtenOut(design, command);
    const still = { left: 0 as Gain, right: 0 as Gain };
    const change = { [side]: gain as Gain };
    const next: Mix =
      'control' in target
        ? {
            ...now,
            terms: withGain(
              now.terms,
              ({ control }) => control === target.control,
              { control: target.control, ...still },
              change,
            ),
          }
        : {
            ...now,
            drives: withGain(
              now.drives,
              ({ drive }) => drive === target.drive,
              { drive: target.drive, ...still },
              change,
            ),
          };
    return withMixes(design, (mixes) => [...mixes.filter((mix) => mix.command !== command), next]);
  });

/** Takes an own mix away: the usual one, or that of the drawing, holds again. */
export const resetMix = (command: Mix['command']): AppThunk<EditOutcome> =>
  editDesign((design) => withMixes(design, (mixes) => mixes.filter((mix) => mix.command !== command)));

/** Adds a flight mode that is still as drawn, and flies it. */
export const addMode = (): AppThunk<EditOutcome> =>
  editDesign((design) => {
    let number = design.modes.length + 1;
    while (design.modes.some(({ id }) => id === `mode${number}`)) number++;
    const mode: FlightMode = { id: `mode${number}`, name: `Mode ${number}`, neutrals: [], mixes: [] };
    return { ...design, modes: [...design.modes, mode], mode: mode.id };
  });

/** Takes a flight mode out; what was flown in it is flown as drawn. */
export const removeMode = (id: string): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const { mode, ...rest } = design;
    return {
      ...rest,
      modes: design.modes.filter((other) => other.id !== id),
      ...(mode === undefined || mode === id ? {} : { mode }),
    };
  });

/** Where a control stands in a flight mode; without an angle as drawn. */
export const setModeNeutral = (id: string, control: string, angle: number | undefined): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...design,
    modes: design.modes.map((mode) => {
      if (mode.id !== id) return mode;
      const others = mode.neutrals.filter((entry) => entry.control !== control);
      return {
        ...mode,
        neutrals:
          angle === undefined ? others : [...others, { control, angle: angle as (typeof others)[number]['angle'] }],
      };
    }),
  }));
