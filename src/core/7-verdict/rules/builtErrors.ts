import { degreesFromRadians, radiansFromDegrees } from '@/core/1-base/units/convert';
import { degrees, joined, nameOf, noseTurn, type Phrase, say } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import { standsAt } from '@/core/3-shape/geometry/asBuilt';
import { controlsOf, PITCH_CONTROLS } from '../changes';
import type { Control, Surface } from '@/core/2-document/schema/surface';
import type { Numbers } from '@/core/6-groups/page';

/** Share of C_Lmax by which errors may move the hands-off lift before it is worth a word. */
export const WORTH_A_WORD = 0.04;
/** Where nothing holds the nose an error is judged as at this margin. */
const LEAST_MARGIN = 0.005;

type Line = Numbers['rigging']['surfaces'][number];

/** What surfaces that are built off the drawing do to the hands-off lift, each that is worth a word and all together. */
export interface BuiltErrors {
  readonly errors: readonly { readonly line: Line; readonly moved: number }[];
  /** Pitch controls that do not stand where they are drawn with the stick in the middle [°]. */
  readonly controls: readonly ControlError[];
  readonly total: number;
  /** Margin that they are judged at. */
  readonly margin: number;
  readonly maximumLift: number;
}

interface ControlError {
  readonly surface: Surface;
  readonly control: Control;
  readonly off: number;
  readonly moved: number;
}

/** At the same lift a control pitches by C_mδ − C_Lδ C_mα/C_Lα. */
function controlErrors(design: Design, { pitch }: Pick<Numbers, 'pitch'>, margin: number): ControlError[] {
  const { momentFromElevator, liftFromElevator, momentSlope, liftSlope } = pitch;
  if (momentFromElevator === null || liftFromElevator === null || momentSlope === null || !liftSlope) return [];
  const perRadian = momentFromElevator - (liftFromElevator * momentSlope) / liftSlope;
  return controlsOf(design, PITCH_CONTROLS).flatMap(({ surface, control }) => {
    if (!control.asBuilt) return [];
    const off = degreesFromRadians(standsAt(control).mean) - control.neutral;
    return [{ surface, control, off, moved: (perRadian * radiansFromDegrees(off)) / margin }];
  });
}

type Needed = Pick<Numbers, 'rigging' | 'stall' | 'pitch'>;

/** The same of every surface and control, however little; null where the stall is not known. */
export function builtMoves(design: Design, { rigging, stall, pitch }: Needed): BuiltErrors | null {
  const maximumLift = stall.liftCoefficient;
  if (maximumLift === null) return null;
  const margin = Math.max(LEAST_MARGIN, pitch.staticMargin ?? LEAST_MARGIN);
  const errors = rigging.surfaces.map((line) => ({
    line,
    moved: (line.momentPerRadian * (line.flown - line.drawn)) / margin,
  }));
  const controls = controlErrors(design, { pitch }, margin);
  const total = [...errors, ...controls].reduce((sum, { moved }) => sum + moved, 0);
  return { errors, controls, total, margin, maximumLift };
}

/** Null where nothing is off by enough, or the stall is not known. */
export function builtErrors(design: Design, numbers: Needed): BuiltErrors | null {
  const all = builtMoves(design, numbers);
  if (!all) return null;
  const isWorthAWord = ({ moved }: { readonly moved: number }) => Math.abs(moved) >= WORTH_A_WORD * all.maximumLift;
  const errors = all.errors.filter(isWorthAWord).sort((a, b) => Math.abs(b.moved) - Math.abs(a.moved));
  const controls = all.controls.filter(isWorthAWord);
  return errors.length === 0 && controls.length === 0 ? null : { ...all, errors, controls };
}

export const surfaceOf = (design: Design, id: string): Surface => design.surfaces.find((surface) => surface.id === id)!;

/** How each of them stands. */
export const standing = (design: Design, { errors, controls }: BuiltErrors): Phrase =>
  joined(
    [
      ...errors.map(
        ({ line }) =>
          say`${nameOf(surfaceOf(design, line.surface))} is built ${noseTurn(degreesFromRadians(line.flown - line.drawn))} of the drawing`,
      ),
      ...controls.map(
        ({ control, off }) =>
          say`${nameOf(control)} stands ${degrees(Math.abs(off))} ${off > 0 ? 'down' : 'up'} of its neutral`,
      ),
    ],
    ', ',
  );
