import { Check, TriangleAlert } from 'lucide-react';
import type { Mode } from '@/core/6-groups/motion/linearModes';
import { runsAway } from '@/core/6-groups/motion/runsAway';
import { traceLength, traceOf } from '@/core/6-groups/motion/trace';
import { type Verdict, verdicts } from '@/core/6-groups/motion/verdicts';
import { useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { Why } from '../numbers/Derived';
import { Say } from '../numbers/Say';
import { modeWords } from './modeWords';

/** What happens, in plain words and by its standard name, and which verdict speaks of it. */
const PANELS: readonly {
  readonly kinds: readonly Mode['kind'][];
  readonly plain: string;
  readonly term: string;
  readonly about: Verdict['about'] | null;
}[] = [
  { kinds: ['shortPeriod', 'fast'], plain: 'Nose after a nudge', term: 'short period', about: 'nose' },
  { kinds: ['phugoid', 'slow'], plain: 'Path after a gust', term: 'phugoid', about: 'speed' },
  { kinds: ['roll', 'rollSpiral'], plain: 'Roll after a flick', term: 'roll subsidence', about: null },
  { kinds: ['dutchRoll'], plain: 'Tail wagging', term: 'Dutch roll', about: 'wag' },
  { kinds: ['spiral'], plain: 'Bank let go', term: 'spiral', about: 'bank' },
];

/** A slow motion is one of the path, unless it is the nose that runs away; of those without a name in roll and yaw the panel of roll speaks. */
function isShown(
  mode: Mode,
  { kinds, about }: (typeof PANELS)[number],
  { isPitch, away }: { readonly isPitch: boolean; readonly away: ReturnType<typeof runsAway> },
): boolean {
  if (!isPitch) return kinds.includes(mode.kind === 'slow' || mode.kind === 'fast' ? 'roll' : mode.kind);
  if (away?.of === 'nose' && mode === away.mode) return about === 'nose';
  return kinds.includes(mode.kind);
}

/** Tendencies that are no motion by themselves. */
const STEADY = [
  { plain: 'Straight on', term: 'weathercock stability', about: 'yaw' },
  { plain: 'Pushed aside', term: 'dihedral effect', about: 'roll' },
] as const;

/** What becomes of each disturbance: the verdict in words, and its trace over time. */
export function StabilitySheet() {
  const analysis = useAppSelector((state) => state.analysis.current);
  if (!analysis) return <p className="p-6 text-faint">Computing…</p>;
  const { longitudinal, lateral } = analysis.motion;
  const away = runsAway(analysis);
  const said = verdicts(analysis);
  if (longitudinal.length + lateral.length === 0)
    return (
      <div className="p-6">
        <Why text={analysis.motion.reasons['longitudinal']} />
      </div>
    );
  return (
    <div
      className="grid h-full auto-rows-min grid-cols-1 gap-x-8 gap-y-4 overflow-y-auto p-5 md:grid-cols-2 low:p-3"
      data-testid="traces"
      role="group"
      aria-label="Motions after a nudge"
      tabIndex={0}
    >
      {PANELS.map((panel) => {
        const { plain, term, about } = panel;
        const own = [
          ...longitudinal.filter((mode) => isShown(mode, panel, { isPitch: true, away })),
          ...lateral.filter((mode) => isShown(mode, panel, { isPitch: false, away })),
        ];
        return (
          <Panel
            key={term}
            plain={plain}
            term={term}
            modes={own}
            verdict={said.find((verdict) => verdict.about === about)}
          />
        );
      })}
      {STEADY.map(({ plain, term, about }) => (
        <Steady key={about} plain={plain} term={term} verdict={said.find((verdict) => verdict.about === about)} />
      ))}
    </div>
  );
}

interface PanelProps {
  readonly plain: string;
  readonly term: string;
  readonly modes: readonly Mode[];
  readonly verdict: Verdict | undefined;
}

function Panel({ plain, term, modes, verdict }: PanelProps) {
  return (
    <section aria-label={`${plain}, ${term}`} className="min-w-0">
      <h2 className="text-lead font-semibold">
        {plain} <span className="font-normal text-faint">· {term}</span>
      </h2>
      {verdict && <VerdictLine verdict={verdict} />}
      {modes.length === 0 ? (
        <p className="text-label text-faint">It does not stand by itself here: it is part of another motion.</p>
      ) : (
        modes.map((mode, index) => <Trace key={index} mode={mode} name={`${plain}, ${term}`} />)
      )}
    </section>
  );
}

function VerdictLine({ verdict: { word, isGood, because } }: { readonly verdict: Verdict }) {
  return (
    <p className="flex items-start gap-1.5 text-read">
      {isGood ? (
        <Check size={15} className="mt-0.5 shrink-0 text-balance" aria-label="in order" />
      ) : (
        <TriangleAlert size={15} className="mt-0.5 shrink-0 text-caution" aria-label="look again" />
      )}
      <span>
        <strong className="font-semibold">{word}</strong>
        <span className="text-faint">
          {' '}
          <Say words={because} />
        </span>
      </span>
    </p>
  );
}

const WIDTH = 340;
const HEIGHT = 96;
const LEFT = 6;
const BASE = 50;
/** The nudge, or twice of it where the motion grows [px]. */
const SWING = 33;

/** One motion let go at one, over time: graphite on paper, seconds below. */
function Trace({ mode, name }: { readonly mode: Mode; readonly name: string }) {
  const length = traceLength(mode);
  const points = traceOf(mode);
  const u = (time: number) => LEFT + ((WIDTH - 2 * LEFT) * time) / length;
  const v = (left: number) => BASE - (SWING * left) / (mode.grows ? 2 : 1);
  const path = points.map(
    ([time, left], index) => `${index === 0 ? 'M' : 'L'}${u(time).toFixed(1)} ${v(left).toFixed(1)}`,
  );
  const ticks = [0, 0.25, 0.5, 0.75, 1].map((share) => share * length);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-1 w-full max-w-[460px]"
      role="img"
      aria-label={`${name}: ${modeWords(mode)}`}
    >
      <path d={`M${LEFT} ${BASE} H${WIDTH - LEFT}`} stroke="var(--color-rule)" strokeDasharray="14 4 3 4" />
      <path
        d={path.join('')}
        fill="none"
        stroke={`var(--color-${mode.grows ? 'stop' : 'graphite'})`}
        strokeWidth={1.6}
      />
      {mode.timeToHalf !== null && mode.timeToHalf < length && (
        <path
          d={`M${u(mode.timeToHalf)} ${BASE - SWING} v${2 * SWING}`}
          stroke="var(--color-balance)"
          strokeDasharray="3 3"
        />
      )}
      {ticks.map((time) => (
        <text
          key={time}
          x={u(time)}
          y={HEIGHT - 1}
          fontSize={10}
          fill="var(--color-faint)"
          textAnchor={time === 0 ? 'start' : time === length ? 'end' : 'middle'}
        >
          {decimal(time, length < 1 ? 2 : length < 8 ? 1 : 0)}
          {time === length ? ' s' : ''}
        </text>
      ))}
      <text x={WIDTH - LEFT} y={11} fontSize={11} textAnchor="end" fill="var(--color-graphite)">
        {modeWords(mode)}
      </text>
    </svg>
  );
}

interface SteadyProps {
  readonly plain: string;
  readonly term: string;
  readonly verdict: Verdict | undefined;
}

/** What has no trace of its own: a tendency. */
function Steady({ plain, term, verdict }: SteadyProps) {
  if (!verdict) return null;
  return (
    <section aria-label={`${plain}, ${term}`} className="min-w-0">
      <h2 className="text-lead font-semibold">
        {plain} <span className="font-normal text-faint">· {term}</span>
      </h2>
      <VerdictLine verdict={verdict} />
    </section>
  );
}
