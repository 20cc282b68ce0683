import { say } from '@/core/1-base/words/phrase';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import { contourOf } from '@/core/3-shape/section/contour';
import { develop } from '../develop';
import type { CutPart } from '../part';
import { labelOf, lengths, placed, skinOutline } from './laidFlat';
import { sidesOf } from './panels';
import { hingesOn, type Line } from './skinHinges';

/** The sheet of a curved plate laid flat, panel by panel. */
export function curvedSkinParts(surface: Surface): CutPart[] {
  const { stations, construction, id } = surface;
  if (!construction) return [];
  return stations.slice(0, -1).flatMap((a, panel): CutPart[] => {
    const b = stations[panel + 1]!;
    if (a.section.kind !== 'curvedPlate' || b.section.kind !== 'curvedPlate') return [];
    const label = labelOf(surface, panel);
    const lineOf = ({ section, chord }: Station) => {
      const { x, upper, lower } = contourOf(section, chord);
      return Array.from(x, (place, index) => [place * chord, ((upper[index]! + lower[index]!) / 2) * chord] as const)
        .filter((_, index) => index % 4 === 0)
        .toReversed();
    };
    const [root, tip] = [lineOf(a), lineOf(b)].map((points): Line => ({ points, along: lengths(points) })) as [
      Line,
      Line,
    ];
    const cut = develop(placed(root.points, a), placed(tip.points, b));
    return [
      {
        id: `${id}-sheet-${panel + 1}`,
        kind: 'skin',
        owner: id,
        name: `${label}, sheet`,
        material: construction.material,
        outline: {
          name: `${label}, sheet`,
          edge: skinOutline(cut),
          holes: [],
          lines: hingesOn(surface, panel, { root, tip, cut, start: 0 }),
          texts: [{ words: `${label}, sheet`, at: [20, 20], height: 6, turn: 0 }],
        },
        ...sidesOf(surface),
        isAlongGrain: true,
        hasFace: true,
        notes: [say`bend it round a tube before it is glued to its ribs`],
      },
    ];
  });
}
