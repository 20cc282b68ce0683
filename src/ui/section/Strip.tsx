import { stripOutline } from '@/core/3-shape/pattern/stripOutline';
import type { FoldPattern } from '@/core/3-shape/pattern/foldPattern';
import type { LineKind } from '@/core/3-shape/outline/partOutline';
import type { Point } from '@/core/3-shape/outline/path';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { formatLength } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { spacedLabels } from '../sheet/spacedLabels';
import { MARGIN } from './margin';

/** How each kind of line is drawn; the same on paper later. */
const LINE_LOOK: Record<LineKind, { readonly dash: string | undefined; readonly width: number }> = {
  cut: { dash: undefined, width: 1 },
  score: { dash: '2 3', width: 1 },
  dent: { dash: '1 4', width: 1.6 },
  peel: { dash: '6 2', width: 0.8 },
  bevel: { dash: '10 3 2 3', width: 1 },
  hinge: { dash: '12 3', width: 1.2 },
  mark: { dash: '8 3', width: 1.2 },
};

/** Height of the strip on the sheet [px]. */
const STRIP_TALL = 44;

/** Room of a letter [px]. */
const LETTER = 5.6;

/** The flat strip with its score lines, from the end of the lower skin at the left to the trailing edge. */
export function Strip({
  pattern,
  width,
  top,
}: {
  readonly pattern: FoldPattern;
  readonly width: number;
  readonly top: number;
}) {
  const units = useAppSelector((state) => state.settings.units);
  const scale = (width - 2 * MARGIN) / pattern.cutWidth;
  const named = pattern.lines.filter(({ words }) => words !== '');
  const texts = named.map(({ at, words }) => `${words} ${formatLength(at, units, 1)}`);
  const rows = width < 480 ? 3 : 2;
  // In turn on so many lines, apart from one another on each.
  const placed = named.map(({ at }) => MARGIN + at * scale);
  for (let row = 0; row < rows; row++) {
    const own = named.flatMap((_, index) => (index % rows === row ? [index] : []));
    const half = Math.max(...own.map((index) => texts[index]!.length)) * (LETTER / 2);
    const spaced = spacedLabels(
      own.map((index) => placed[index]!),
      2 * half,
      [half + 4, width - half - 4],
    );
    for (const [rank, index] of own.entries()) placed[index] = spaced[rank]!;
  }
  const part = stripOutline(pattern, 'Strip', STRIP_TALL / scale);
  const paper = { place: ([x, y]: Point): Point => [MARGIN + x * scale, top + y * scale], scale, isMirrored: true };
  return (
    <g data-testid="strip">
      <text x={14} y={top - 12} fontSize={12} fill="var(--color-faint)">
        Strip to cut, seen from {pattern.keptFace === 'outer' ? 'the inside: score here' : 'the outside: cut here'}
      </text>
      <path d={svgPath(part.edge, paper)} fill="var(--color-sheet)" stroke="var(--color-graphite)" strokeWidth={1.6} />
      {part.lines.map(({ kind, path }, index) => (
        <path
          key={index}
          d={svgPath(path, paper)}
          stroke="var(--color-graphite)"
          strokeWidth={LINE_LOOK[kind].width}
          strokeDasharray={LINE_LOOK[kind].dash}
        />
      ))}
      <g fontSize={11.5} fill="var(--color-graphite)">
        {named.map(({ words }, index) => (
          <text key={words} x={placed[index]} y={top + STRIP_TALL + 16 + (index % rows) * 15} textAnchor="middle">
            {texts[index]}
          </text>
        ))}
      </g>
    </g>
  );
}
