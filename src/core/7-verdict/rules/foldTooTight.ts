import { field } from '@/core/2-document/edit/field';
import { lowerFirst, millimetres, nameOf, percent, say } from '@/core/1-base/words/phrase';
import { foldPattern } from '@/core/3-shape/pattern/foldPattern';
import { makeRule } from '../makeRule';

/** Radius of the nose over board thickness below which even peeled board breaks; practice of the field. */
const LEAST_RADIUS = 0.45;

/** A spar further forward than this share of the chord holds nothing; practice of the field. */
const FURTHEST_FORWARD = 0.12;

/** The nose of a fold turns tighter than the board is thick. */
export const foldTooTight = makeRule(
  { id: 'foldTooTight', stage: 'section', source: 'Smallest radius of the nose ellipse, b²/a' },
  (design) => {
    for (const surface of design.surfaces) {
      for (const { section, chord } of surface.stations) {
        if (section.kind !== 'foldedOverSpar') continue;
        const half = (section.sparHeight + 2 * section.boardThickness) / 2;
        const radius = (half * half) / (section.sparPosition * chord);
        const { tooTight } = foldPattern(section, chord, { scored: 'inner' });
        if (!tooTight || radius >= LEAST_RADIUS * section.boardThickness) continue;
        const to = (share: number) => ({
          label: say`Bring the spar of ${nameOf(surface)} forward to ${percent(share, 0)}`,
          change: surface.stations.flatMap((station, index) =>
            station.section.kind === 'foldedOverSpar'
              ? [field('surfaces', surface.id, 'stations', index, 'section', 'sparPosition').to(share)]
              : [],
          ),
        });
        const needed = Math.floor(((half * half) / (LEAST_RADIUS * section.boardThickness * chord)) * 100) / 100;
        return {
          severity: 'note',
          message: say`${nameOf(surface)}: ${lowerFirst(tooTight)}`,
          numbers: { radius: millimetres(radius) },
          remedies: needed >= FURTHEST_FORWARD ? [to(needed)] : [],
        };
      }
    }
    return null;
  },
);
