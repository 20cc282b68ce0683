import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Analysis } from '@/core/analyse';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { decimal } from '@/words/formatQuantity';
import type { PlanFrame } from '../drawing/planFrame';
import { spacedLabels } from '../sheet/spacedLabels';
import { FACE_WORDS } from './faceWords';
import { turnedAbout } from '../sheet/turnedAbout';
import { Outline } from '../sheet/Outline';

interface ReadingsProps {
  readonly analysis: Analysis;
  readonly placed: readonly PlacedSurface[];
  readonly frame: PlanFrame;
  readonly steeper: number;
}

/** Width of one reading, and where it hangs over the side view [px]. */
const WIDTH = 176;
const TOP = 30;
/** Room for them above the drawing. */
export const READINGS_HIGH = 56;
const SPIRIT = 15;

/** What a tilt meter shows on the face of each surface that it can be laid on, level datum. */
export function Readings({ analysis, placed, frame: { u, side, width }, steeper }: ReadingsProps) {
  const lines = analysis.rigging.surfaces.flatMap((line) => {
    const surface = placed.find(({ id }) => id === line.surface);
    return surface ? [{ line, surface, root: surface.stations[0]! }] : [];
  });
  const middles = lines.map(({ root }) => u(millimetresFromMetres(root.x + root.chord / 2)));
  const room = Math.min(WIDTH, width / Math.max(1, lines.length));
  // Where there is no room for sentences, the table among the inputs has them.
  const isNarrow = room < WIDTH;
  const places = spacedLabels(middles, room, [room / 2, width - room / 2]);
  return (
    <g fontSize={12} data-testid="readings" aria-hidden="true">
      {lines.map(({ line, surface, root }, index) => {
        const [x, y] = [middles[index]!, side(millimetresFromMetres(root.z))];
        const tilt = degreesFromRadians(surface.incidence) * steeper;
        const laid = turnedAbout(x, y, tilt);
        const corners = [laid(-SPIRIT, -11), laid(SPIRIT, -11), laid(SPIRIT, -3), laid(-SPIRIT, -3)];
        const vial = `M${corners.map((corner) => corner.join(' ')).join(' L')} Z`;
        const bubble = laid(Math.max(-9, Math.min(9, -tilt / 2)), -7);
        return (
          <g key={surface.id}>
            <Outline d={`M${places[index]!} ${TOP + 32} L${x} ${y - 14}`} stroke="var(--color-rule)" fill="none" />
            <Outline d={vial} fill="var(--color-sheet)" stroke="var(--color-balance)" strokeLinejoin="round" />
            <circle cx={bubble[0]} cy={bubble[1]} r={2.6} fill="var(--color-balance)" />
            {wordsOf(line, surface.source.name || surface.id, isNarrow).map((words, row) => (
              <text
                key={row}
                x={places[index]!}
                y={TOP + 14 * row}
                textAnchor="middle"
                fill={row === 0 ? 'var(--color-graphite)' : 'var(--color-faint)'}
                fontWeight={row === 0 ? 500 : undefined}
              >
                {words}
              </text>
            ))}
          </g>
        );
      })}
    </g>
  );
}

/** Three lines on one surface, or the short of it. */
function wordsOf(
  { faceReadingFlown, againstAir, face }: Analysis['rigging']['surfaces'][number],
  name: string,
  isNarrow: boolean,
): readonly string[] {
  const [shows, air] = [faceReadingFlown, againstAir].map((angle) => `${decimal(degreesFromRadians(angle), 1)}°`);
  return isNarrow
    ? [name.length > LONGEST ? `${name.slice(0, LONGEST - 1)}…` : name, `meter ${shows}`, `to the air ${air}`]
    : [`${name}: meter shows ${shows}`, FACE_WORDS[face].replace('meter ', ''), `meets the air at ${air}`];
}

/** Letters of a name for which there is room at least. */
const LONGEST = 14;
