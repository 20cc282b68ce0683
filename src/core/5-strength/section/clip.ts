import type { ChordPoint, SectionWall, SectionWalls } from '@/core/3-shape/section/walls';

/** The part of a line ahead of a place along the chord. */
function lineAhead(line: readonly ChordPoint[], at: number): ChordPoint[] {
  const kept: ChordPoint[] = [];
  line.forEach((point, index) => {
    const before = line[index - 1];
    if (before && before[0] > at !== point[0] > at) {
      const share = (at - before[0]) / (point[0] - before[0]);
      kept.push([at, before[1] + (point[1] - before[1]) * share]);
    }
    if (point[0] <= at) kept.push(point);
  });
  return kept;
}

const lineBehind = (line: readonly ChordPoint[], at: number): ChordPoint[] =>
  lineAhead(
    line.map(([x, z]): ChordPoint => [-x, z]),
    -at,
  ).map(([x, z]): ChordPoint => [-x, z]);

const isLeft = ({ line }: SectionWall): boolean => line.length > 1;

/**
 * Walls with everything behind a hinge cut off. A cell that is cut stays closed
 * only as far as its spar; without one it is open.
 */
export function clippedWalls(drawn: SectionWalls, at: number): SectionWalls {
  if (at >= 1) return drawn;
  const rear = Math.max(0, ...drawn.cell.flatMap((place) => drawn.walls[place]!.line.map(([x]) => x)));
  if (drawn.cell.length === 0 || rear <= at) {
    const kept = drawn.walls.map(({ kind, line }) => ({ kind, line: lineAhead(line, at) }));
    return withoutEmpty({ ...drawn, walls: kept });
  }
  const web = drawn.walls.find(({ kind }) => kind === 'web');
  const spar = web?.line[0]?.[0];
  if (!web || spar === undefined || spar >= at)
    return withoutEmpty({
      ...drawn,
      cell: [],
      walls: drawn.walls.map(({ kind, line }) => ({ kind, line: lineAhead(line, at) })),
    });
  const skins = drawn.walls.filter(({ kind }) => kind !== 'web');
  // Webs ahead of it, and what joins them, stand within the cell and do not close it.
  const others = drawn.walls
    .filter((wall) => wall.kind === 'web' && wall !== web)
    .map(({ kind, line }) => ({ kind, line: lineAhead(line, at) }))
    .filter(isLeft);
  const front = skins.map(({ kind, line }) => ({ kind, line: lineAhead(line, spar) })).filter(isLeft);
  const behind = skins.map(({ kind, line }) => ({ kind, line: lineBehind(lineAhead(line, at), spar) })).filter(isLeft);
  return {
    isBlock: drawn.isBlock,
    walls: [...front, web, ...behind, ...others],
    cell: [...front.keys(), front.length],
  };
}

/** What is left where no spar stands: a cell that only its web closed is open. */
export function withoutWebs(drawn: SectionWalls): SectionWalls {
  const needsWeb = drawn.cell.some((place) => drawn.walls[place]!.kind === 'web');
  return only({ ...drawn, cell: needsWeb ? [] : drawn.cell }, ({ kind }) => kind !== 'web');
}

const withoutEmpty = (drawn: SectionWalls): SectionWalls => only(drawn, isLeft);

function only({ walls, cell, isBlock }: SectionWalls, isKept: (wall: SectionWall) => boolean): SectionWalls {
  const kept = walls.flatMap((wall, place) => (isKept(wall) ? [{ wall, place }] : []));
  return {
    isBlock,
    walls: kept.map(({ wall }) => wall),
    cell: kept.flatMap(({ place }, index) => (cell.includes(place) ? [index] : [])),
  };
}
