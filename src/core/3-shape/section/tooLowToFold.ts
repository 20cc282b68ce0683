import type { Millimetres } from '@/core/1-base/units/convert';
import type { Section } from '@/core/2-document/schema/section';
import { contourOf } from './contour';
import { foldedSpar } from './foldedSpar';

/** A web lower than so many boards cannot be folded up from its base. */
const LEAST_WEB_IN_BOARDS = 2;

/** One end of a panel: its section and its chord [mm]. */
interface PanelEnd {
  readonly section: Section;
  readonly chord: Millimetres;
}

/** The end of a panel where the room is too low for the spar that is to be folded; none where it can be, or where no spar is folded. */
export function tooLowToFold<End extends PanelEnd>([root, tip]: readonly [End, End]): End | undefined {
  if (root.section.kind !== 'foldedOverSpar' || root.section.spar !== 'folded') return undefined;
  return [root, tip].find(({ section, chord }) => {
    if (section.kind !== 'foldedOverSpar') return false;
    const { front, rear } = foldedSpar(section, contourOf(section, chord), chord);
    return Math.min(front.room, rear.room) < LEAST_WEB_IN_BOARDS * section.boardThickness;
  });
}
