import { keptByHand, type LaidSheet, type Layout } from '@/core/4-parts/layout';
import type { LaidPose } from '@/core/4-parts/nesting/nest';
import { degreesFromRadians, type Millimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { editDesign, type EditOutcome } from './edit';
import type { AppThunk } from './reduxStore';

type ByHand = Design['laid'][number];

const isSame = (a: Pick<ByHand, 'part' | 'copy'>, b: Pick<ByHand, 'part' | 'copy'>): boolean =>
  a.part === b.part && a.copy === b.copy;

/** Parts of one board that lie on its sheets. */
const onBoard = ({ sheets }: Layout, material: string): readonly Pick<ByHand, 'part' | 'copy'>[] =>
  sheets
    .filter((sheet) => sheet.material === material)
    .flatMap(({ parts }) => parts.map(({ id, copy }) => ({ part: id, copy })));

export interface MovedPart {
  readonly layout: Layout;
  readonly sheet: LaidSheet;
  /** Place in the list of the sheet, and how it lies from now on. */
  readonly index: number;
  readonly pose: LaidPose;
  /** Presses of a key that follow one another are undone together. */
  readonly gesture?: string | undefined;
}

/** A part laid by hand; with it everything on its board stays where it lies now, so that nothing else moves. */
export const layByHand = ({ layout, sheet, index, pose, gesture }: MovedPart): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const { id, copy } = sheet.parts[index]!;
    const board = onBoard(layout, sheet.material);
    const known = design.laid.filter((one) => board.some((part) => isSame(part, one)));
    const kept = keptByHand(layout, sheet.material).map((one) => known.find((other) => isSame(other, one)) ?? one);
    const moved = {
      part: id,
      copy,
      sheet: sheet.number,
      x: hundredths(pose.x),
      y: hundredths(pose.y),
      turn: hundredths(degreesFromRadians(pose.turn)),
      isTurnedOver: pose.isMirrored,
    } as ByHand;
    return {
      ...design,
      laid: [
        ...design.laid.filter((one) => !board.some((part) => isSame(part, one))),
        ...kept.map((one) => (isSame(one, moved) ? moved : one)),
      ],
    };
  }, gesture);

const hundredths = (value: number): Millimetres => Math.round(value * 100) / 100;

/** Everything on a board is laid out anew. */
export const layAnew = (layout: Layout, material: string): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const board = onBoard(layout, material);
    return { ...design, laid: design.laid.filter((one) => !board.some((part) => isSame(part, one))) };
  });
