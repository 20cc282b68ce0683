import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';

/** Straight pieces of board that a surface is cut from, root to tip, one for each panel without a kink [mm]. */
export interface BoardPanel {
  readonly surface: string;
  readonly from: number;
  readonly length: number;
}

/** Panels that are cut in one piece: stations on a straight, unbent run are joined. */
export function boardPanels(surface: Surface): BoardPanel[] {
  const { stations } = surface;
  const panels: BoardPanel[] = [];
  let from = 0;
  stations.slice(1).forEach((station, index) => {
    const isLast = index + 2 === stations.length;
    const bends = !isLast && station.dihedral !== stations[index]!.dihedral;
    if (!isLast && !bends) return;
    panels.push({ surface: surface.id, from, length: station.distanceFromRoot - from });
    from = station.distanceFromRoot;
  });
  return panels;
}

export interface TooLong {
  readonly panel: BoardPanel;
  readonly limit: number;
  readonly because: 'sheet' | 'carried';
}

/** Panels longer than the longer side of the sheet they are cut from, or than what can be carried. */
export function panelsTooLong({ surfaces, materials, brief }: Design): TooLong[] {
  return surfaces.flatMap((surface) => {
    const sheet = materials.find(({ id }) => id === surface.construction?.material);
    return boardPanels(surface).flatMap((panel): TooLong[] => {
      const side = sheet ? Math.max(sheet.sheetLength, sheet.sheetWidth) : Infinity;
      const carried = brief.longestPanel ?? Infinity;
      const limit = Math.min(side, carried);
      if (panel.length <= limit + 0.05) return [];
      return [{ panel, limit, because: carried < side ? 'carried' : 'sheet' }];
    });
  });
}

/** Span that so many sheet sides give, both wings cut from them [mm]. */
export const spanFromSheets = (side: number, count: number): number => side * count;
