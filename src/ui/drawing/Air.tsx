import type { Analysis } from '@/core/analyse';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { decimal } from '@/words/formatQuantity';
import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import { NeutralMark } from '../marks/marks';

interface AirProps {
  readonly analysis: Analysis;
  readonly placed: readonly PlacedSurface[];
  readonly u: (x: number) => number;
  readonly side: (z: number) => number;
  /** Null where there is no plan. */
  readonly centreLine: number | null;
}

/** Angles of a few degrees are drawn five times as steep, and say so. */
const STEEPER = 5;
const LENGTH = 62;
/** Half of the words at the mark [px]: they stay on the sheet. */
const HALF_WORDS = 36;
/** Below this nothing is worth an arrow [rad]. */
const LEAST = 0.002;

/** Two strokes back from the point of an arrow that comes in at an angle. */
function arrowHead(x: number, y: number, angle: number): string {
  const barb = (turn: number) => `${x - 9 * Math.cos(angle + turn)} ${y - 9 * Math.sin(angle + turn)}`;
  return `M${barb(0.4)} L${x} ${y} L${barb(-0.4)}`;
}

/** What the surfaces do to the air at one another, and where the aircraft would be neutral without its tail. */
export function Air({ analysis, placed, u, side, centreLine }: AirProps) {
  const { wash, pitch } = analysis;
  const arrows = arrowsOf(wash, placed, u, side);
  return (
    <g aria-hidden="true" fontSize={12} data-testid="air">
      {pitch.neutralPointWithoutTail !== null && centreLine !== null && (
        <>
          <NeutralMark x={u(millimetresFromMetres(pitch.neutralPointWithoutTail))} y={centreLine} faint />
          <text
            x={Math.max(HALF_WORDS, u(millimetresFromMetres(pitch.neutralPointWithoutTail)))}
            y={centreLine + 24}
            textAnchor="middle"
            fill="var(--color-faint)"
          >
            without tail
          </text>
        </>
      )}
      {arrows.map(({ id, x, y, steep, words, at }) => {
        const [dx, dy] = [LENGTH * Math.cos(steep), LENGTH * Math.sin(steep)];
        return (
          <g key={id} stroke="var(--color-graphite)" fill="none">
            <path d={`M${x - dx} ${y - dy} L${x} ${y} ${arrowHead(x, y, steep)}`} strokeWidth={1.4} />
            <path d={`M${x - LENGTH} ${y} H${x}`} strokeDasharray="3 3" stroke="var(--color-faint)" />
            <text
              x={Math.max(WORDS, x - 16)}
              y={at}
              textAnchor="end"
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
              fill="var(--color-graphite)"
            >
              {words}
            </text>
          </g>
        );
      })}
    </g>
  );
}

interface Arrow {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly steep: number;
  readonly words: string;
  /** Height of the words. */
  readonly at: number;
}

/** Width and height of the words at an arrow [px]. */
const WORDS = 134;
const LINE = 15;

/** Arrows of the wash at each surface that has some, words above one another where they would meet. */
function arrowsOf(
  wash: Analysis['wash'],
  placed: readonly PlacedSurface[],
  u: AirProps['u'],
  side: AirProps['side'],
): Arrow[] {
  const arrows: Arrow[] = [];
  for (const { id, stations } of placed) {
    const angle = wash[id]?.angle ?? 0;
    if (Math.abs(angle) < LEAST) continue;
    const root = stations[0]!;
    const x = u(millimetresFromMetres(root.x)) - 8;
    const y = side(millimetresFromMetres(root.z));
    const steep = angle * STEEPER;
    let at = y - Math.max(LENGTH * Math.sin(steep), 0) - 8;
    const meets = (other: Arrow) => Math.abs(other.x - x) < WORDS + 16 && Math.abs(other.at - at) < LINE;
    for (let other = arrows.find(meets); other; other = arrows.find(meets)) at = other.at - LINE;
    const word = angle > 0 ? 'down' : 'up';
    arrows.push({
      id,
      x,
      y,
      steep,
      at,
      words: `${decimal(Math.abs(degreesFromRadians(angle)), 1)}° ${word} (drawn ${STEEPER} ×)`,
    });
  }
  return arrows;
}
