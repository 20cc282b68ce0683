import { say } from '@/core/1-base/words/phrase';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import { contourOf } from '@/core/3-shape/section/contour';
import { develop } from '../develop';
import type { CutPart } from '../part';
import { labelOf, lengths, placed, skinOutline } from './laidFlat';
import { sidesOf } from './panels';
import { servosIn, withLetIn } from './letIn';
import { channelsOn, hingesOn, type Laid, type Line, placeBehindRoot } from './skinHinges';

/** The sheet of a curved plate laid flat, panel by panel. */
export function curvedSkinParts(surface: Surface, massItems: readonly MassItem[] = []): CutPart[] {
  const servos = servosIn(surface, massItems);
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
    const laid: Laid = { root, tip, cut };
    const region = withLetIn({ edge: skinOutline(cut), holes: [] }, servos, placeBehindRoot(surface, panel, laid, 0));
    return [
      {
        id: `${id}-sheet-${panel + 1}`,
        kind: 'skin',
        owner: id,
        name: `${label}, sheet`,
        material: construction.material,
        outline: {
          name: `${label}, sheet`,
          edge: region.edge,
          holes: region.holes,
          lines: [...hingesOn(surface, panel, { ...laid, start: 0 }), ...channelsOn(surface, panel, laid, () => 0)],
          texts: [{ words: `${label}, sheet`, at: [20, 20], height: 6, turn: 0 }],
        },
        ...sidesOf(surface),
        isAlongGrain: true,
        hasFace: true,
        notes: [say`bend it round a tube before it is glued to its ribs`, ...region.notes],
      },
    ];
  });
}
