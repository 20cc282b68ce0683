import { metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Analysis } from '@/core/analyse';
import { useAppSelector } from '@/store/hooks';
import { type DisplayUnits, formatLength } from '@/words/formatQuantity';
import { BalanceMark, NeutralMark, WindowMark } from '../marks/marks';
import { spacedLabels } from '../sheet/spacedLabels';
import { linear, type Scale, spanOf } from '../sheet/scale';
import { lengthAxis } from '../sheet/unitAxes';

/** Places that the loupe has to hold [mm], with a tenth to either side. */
export function loupeSpan({ window, pitch, mass, schools }: Analysis): readonly [number, number] {
  const places = [
    window.forward,
    window.aft,
    pitch.neutralPoint,
    mass.cg?.[0] ?? null,
    ...schools.flatMap(({ from, to }) => [from, to]),
  ].flatMap((place) => (place === null ? [] : [millimetresFromMetres(place)]));
  const [from, to] = spanOf(places, 10);
  const around = 0.1 * (to - from);
  return [from - around, to + around];
}

interface WindowLoupeProps {
  readonly analysis: Analysis;
  /** What it would come to, dashed. */
  readonly ghost: Analysis | null;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  /** Where the stretch lies on the lever above [px]. */
  readonly from: readonly [number, number];
  readonly lever: number;
}

const AXIS = 46;
const ROW = 21;
/** Room of a name with its place, and of a letter [px]. */
const NAME = 130;
const LETTER = 5.6;
/** Height of the loupe with so many rules of thumb [px]. */
export const loupeHeight = (schools: number) => AXIS + 42 + schools * ROW;

/** The stretch around the window, larger: window, neutral point, where it balances, and rules of thumb beside it. */
export function WindowLoupe({ analysis, ghost, left, right, top, from, lever }: WindowLoupeProps) {
  const units = useAppSelector((state) => state.settings.units);
  const axis = lengthAxis(units);
  const span = loupeSpan(analysis);
  const place: Scale = linear(span, [left, right]);
  const u = (metres: number) => place(millimetresFromMetres(metres));
  const ticks = linear(
    [axis.to(metresFromMillimetres(span[0])), axis.to(metresFromMillimetres(span[1]))],
    [left, right],
  );
  const line = top + AXIS;
  const { window, pitch, mass, schools } = analysis;
  const balance = mass.cg?.[0] ?? null;
  // Where the two names stand, apart from one another.
  const named = spacedLabels([u(balance ?? 0), u(pitch.neutralPoint ?? 0)], NAME, [left + NAME / 2, right - NAME / 2]);
  const bottom = line + 32 + schools.length * ROW;
  return (
    <g fontSize={12} fill="var(--color-faint)" data-testid="loupe">
      {window.forward !== null && window.aft !== null && window.aft > window.forward && (
        <WindowMark from={u(window.forward)} to={u(window.aft)} top={line - 12} bottom={line + 12} />
      )}
      <g aria-hidden="true">
        <path
          d={`M${from[0]} ${lever + 18} L${left} ${top} V${bottom + 6} H${right} V${top} L${from[1]} ${lever + 18}`}
          fill="none"
          stroke="var(--color-soft)"
        />
        <path d={`M${left} ${line} H${right}`} stroke="var(--color-graphite)" strokeWidth={1.5} />
        {ticks.ticks(8).map((tick) => (
          <g key={tick}>
            <path d={`M${ticks(tick)} ${line} v12`} stroke="var(--color-rule)" />
            <text x={ticks(tick)} y={line + 25} textAnchor="middle" fontSize={11}>
              {axis.format(tick)}
            </text>
          </g>
        ))}
      </g>
      {ghost?.pitch.neutralPoint != null && <NeutralMark x={u(ghost.pitch.neutralPoint)} y={line} faint />}
      {ghost?.mass.cg && <BalanceMark x={u(ghost.mass.cg[0])} y={line - 3} faint />}
      {pitch.neutralPoint !== null && (
        <>
          <NeutralMark x={u(pitch.neutralPoint)} y={line} />
          <text x={named[1]} y={line - 24} textAnchor="middle" fill="var(--color-graphite)">
            neutral point {formatLength(millimetresFromMetres(pitch.neutralPoint), units, 0)}
          </text>
        </>
      )}
      {balance !== null && (
        <>
          <BalanceMark x={u(balance)} y={line - 3} />
          <path d={`M${u(balance)} ${line + 4} V${bottom}`} stroke="var(--color-balance)" strokeDasharray="2 3" />
          <text x={named[0]} y={line - 24} textAnchor="middle" fill="var(--color-balance)" fontWeight={500}>
            balances {formatLength(millimetresFromMetres(balance), units, 0)}
          </text>
        </>
      )}
      {schools.map((school, index) => {
        const y = line + 42 + index * ROW;
        const apart = balance === null ? null : millimetresFromMetres((school.from + school.to) / 2 - balance);
        const [a, b] = [u(school.from), u(school.to)];
        const isLeft = (a + b) / 2 > (left + right) / 2;
        const words = `${school.name}${apartWords(apart, units)}`;
        // Where neither side has the room, the words lie over the dot.
        const room = isLeft ? a - left : right - b;
        const isOver = words.length * LETTER > room;
        return (
          <g key={school.id}>
            {b - a > 1 && <path d={`M${a} ${y} H${b}`} stroke="var(--color-graphite)" strokeWidth={3} />}
            <circle cx={(a + b) / 2} cy={y} r={4} fill="var(--color-graphite)" />
            <text
              x={isOver ? (left + right) / 2 : isLeft ? a - 9 : b + 9}
              y={y + 4}
              textAnchor={isOver ? 'middle' : isLeft ? 'end' : 'start'}
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {words}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** How far a rule of thumb lies from where it balances [mm]. */
function apartWords(apart: number | null, units: DisplayUnits): string {
  if (apart === null) return '';
  if (Math.abs(apart) < 0.5) return ': where it balances';
  return `: ${formatLength(Math.abs(apart), units, 0)} ${apart < 0 ? 'further forward' : 'further back'}`;
}
