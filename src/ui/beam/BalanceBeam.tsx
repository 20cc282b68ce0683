import { isLevel } from '@/core/2-document/schema/roles';
import { millimetresFromMetres, MILLIMETRES_PER_INCH } from '@/core/1-base/units/convert';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { memo, useMemo } from 'react';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { balanceVerdict } from '@/core/7-verdict/balanceVerdict';
import { balanceWords } from '@/words/balanceWords';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { slidingItems } from '@/core/4-weight/placement';
import { decimal, formatLength, inchFraction } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { paneShown } from '@/store/settingsSlice';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { itemHandle } from '../drawing/handles';
import { HandleMark } from '../drawing/HandleMark';
import { useSize } from '../drawing/useSize';
import { BalanceMark, NeutralMark, WindowMark } from '../marks/marks';
import { useHeld } from '../drawing/useHeld';
import { IconButton } from '../shell/buttons';
import { PacedProvider } from '../shell/PacedProvider';
import { Say } from '../numbers/Say';
import { Picture } from '../sheet/Picture';

const SIDE = 24;
const BEAM = 62;
/** Of one letter of a surface’s name, with its share of the gap [px]. */
const NAME_WIDTH = 6;

/** Millimetres of the datum line to pixels of the beam. */
interface BeamScale {
  readonly from: number;
  readonly to: number;
  readonly scale: number;
  readonly u: (millimetres: number) => number;
}

interface Shown {
  readonly xMin: number;
  readonly xMax: number;
}

/** What leaves the beam in a drag moves its end by so much at once [mm]. */
const FURTHER = 50;

/** From where to where the beam is drawn: in a drag it rests, as what lies on it does, until something leaves it. */
function useShown(needed: Shown): Shown {
  const held = useHeld(needed);
  const further = (by: number) => FURTHER * Math.ceil(Math.max(0, by) / FURTHER);
  return {
    xMin: held.xMin - further(held.xMin - needed.xMin),
    xMax: held.xMax + further(needed.xMax - held.xMax),
  };
}

/** The airframe's length to scale: chords, window, neutral point, where it balances, and the pack to slide. */
export function BalanceBeam() {
  const design = useAppSelector((state) => state.document.present!);
  const isWhole = useAppSelector((state) => state.settings.panes.beam);
  const dispatch = useAppDispatch();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const { xMin, xMax } = useShown(useMemo(() => extentsOf(design, placed), [design, placed]));
  const beam = useMemo((): BeamScale => {
    const scale = (width - 2 * SIDE) / (xMax - xMin);
    return { from: xMin, to: xMax, scale, u: (millimetres) => SIDE + (millimetres - xMin) * scale };
  }, [width, xMin, xMax]);
  return (
    <section
      aria-label="Balance"
      className={`relative flex shrink-0 border-t border-graphite bg-sheet contain-strict print:h-auto print:flex-col print:contain-none low:h-9 phone:h-9 ${isWhole ? 'h-[132px]' : 'h-9'}`}
    >
      <div
        className={`shrink-0 px-3 low:w-full low:py-1.5 phone:w-full phone:py-1 ${isWhole ? 'w-[248px] border-r border-rule py-2 print:w-full print:border-r-0 low:border-r-0 phone:border-r-0' : 'w-full py-1.5'}`}
      >
        <PacedProvider>
          <Verdict isLine={!isWhole} />
        </PacedProvider>
      </div>
      <IconButton
        label={isWhole ? 'Fold the beam to one line' : 'Show the whole beam'}
        icon={isWhole ? <ChevronDown size={16} /> : <ChevronUp size={16} />}
        aria-expanded={isWhole}
        className="absolute top-0.5 right-0.5 z-10 low:hidden phone:hidden"
        onClick={() => dispatch(paneShown({ pane: 'beam', isShown: !isWhole }))}
      />
      <div className={`min-w-0 flex-1 low:hidden phone:hidden ${isWhole ? '' : 'hidden'}`} ref={ref}>
        {width > 0 && (
          <Picture width={width} height={height} role="group" name="Balance beam, nose to the left" testId="beam">
            <g aria-hidden="true">
              <path d={`M${beam.u(xMin)} ${BEAM} H${beam.u(xMax)}`} stroke="var(--color-graphite)" strokeWidth={2} />
              <Ticks beam={beam} />
              <Chords placed={placed} beam={beam} />
            </g>
            <States u={beam.u} />
            <Sliders design={design} beam={beam} />
          </Picture>
        )}
      </div>
    </section>
  );
}

const Chords = memo(function Chords({
  placed,
  beam,
}: {
  readonly placed: readonly PlacedSurface[];
  readonly beam: BeamScale;
}) {
  const level = placed.filter(isLevel);
  const middle = ({ stations: [root] }: PlacedSurface) => beam.u(millimetresFromMetres(root!.x + root!.chord / 2));
  // Names that would run into one another are pushed apart.
  const places = level.map((surface, index) =>
    level.slice(0, index).reduce((place, other) => {
      const room =
        (NAME_WIDTH * ((surface.source.name || surface.id).length + (other.source.name || other.id).length)) / 2;
      return Math.abs(place - middle(other)) < room ? middle(other) + room : place;
    }, middle(surface)),
  );
  return level.map(({ id, stations, source }, index) => {
    const root = stations[0]!;
    return (
      <g key={id}>
        <rect
          x={beam.u(millimetresFromMetres(root.x))}
          y={BEAM - 4}
          width={millimetresFromMetres(root.chord) * beam.scale}
          height={8}
          fill="var(--color-soft)"
          stroke="var(--color-graphite)"
        />
        <text x={places[index]} y={BEAM + 34} fontSize={11} textAnchor="middle" fill="var(--color-faint)">
          {source.name || id}
        </text>
      </g>
    );
  });
});

/** What slides, in its bay below the beam. */
function Sliders({ design, beam }: { readonly design: Design; readonly beam: BeamScale }) {
  return slidingItems(design).map((item) => {
    const handle = itemHandle(item);
    if (item.attachment.kind !== 'slides') return null;
    const { from, to } = item.attachment;
    const length = Math.max(26, (item.size?.length ?? 40) * beam.scale);
    const x = beam.u(item.position.x);
    return (
      <g key={item.id}>
        <path
          d={`M${beam.u(from)} 112 V120 M${beam.u(from)} 116 H${beam.u(to)} M${beam.u(to)} 112 V120`}
          stroke="var(--color-faint)"
          fill="none"
          aria-hidden="true"
        />
        <rect
          x={x - length / 2}
          y={106}
          width={length}
          height={20}
          rx={3}
          fill="var(--color-balance-soft)"
          stroke="var(--color-balance)"
          aria-hidden="true"
        />
        <HandleMark
          handle={{ ...handle, id: `beam-${handle.id}`, label: `${item.name || item.id} on the beam` }}
          x={x}
          y={116}
          perPixel={1 / beam.scale}
        />
      </g>
    );
  });
}

type Place = (millimetres: number) => number;

/** Ghost, preview and present state; follows the analysis by itself. */
const States = memo(function States({ u }: { readonly u: Place }) {
  const { current, ghost, preview } = useAppSelector((state) => state.analysis);
  return (
    <>
      {ghost && <Ghost analysis={ghost} u={u} />}
      {preview && <Ghost analysis={preview.analysis} u={u} />}
      {current && <Marks analysis={current} u={u} />}
    </>
  );
});

interface MarksProps {
  readonly analysis: Analysis;
  readonly u: Place;
}

function Marks({ analysis, u }: MarksProps) {
  const units = useAppSelector((state) => state.settings.units);
  const { window, pitch, mass } = analysis;
  const balance = mass.cg?.[0];
  return (
    <g fontSize={12} fill="var(--color-graphite)">
      {window.forward !== null && window.aft !== null && window.aft > window.forward && (
        <WindowMark
          from={u(millimetresFromMetres(window.forward))}
          to={u(millimetresFromMetres(window.aft))}
          top={BEAM - 12}
          bottom={BEAM + 12}
        />
      )}
      {pitch.neutralPoint !== null && (
        <>
          <NeutralMark x={u(millimetresFromMetres(pitch.neutralPoint))} y={BEAM} />
          <text x={u(millimetresFromMetres(pitch.neutralPoint)) + 12} y={BEAM - 24} data-number="beam-neutral">
            neutral {formatLength(millimetresFromMetres(pitch.neutralPoint), units, 0)}
          </text>
          <path
            d={`M${u(millimetresFromMetres(pitch.neutralPoint))} ${BEAM - 9} l10 -12`}
            stroke="var(--color-faint)"
            fill="none"
          />
        </>
      )}
      {balance !== undefined && (
        <>
          <BalanceMark x={u(millimetresFromMetres(balance))} y={BEAM - 3} />
          <text x={u(millimetresFromMetres(balance)) - 10} y={BEAM - 24} textAnchor="end" data-number="beam-balance">
            balances {formatLength(millimetresFromMetres(balance), units, 0)}
          </text>
        </>
      )}
    </g>
  );
}

/** Another state beside the present one: dashed marks. */
function Ghost({ analysis, u }: MarksProps) {
  const balance = analysis.mass.cg?.[0];
  return (
    <g aria-hidden="true">
      {analysis.pitch.neutralPoint !== null && (
        <NeutralMark x={u(millimetresFromMetres(analysis.pitch.neutralPoint))} y={BEAM} faint />
      )}
      {balance !== undefined && <BalanceMark x={u(millimetresFromMetres(balance))} y={BEAM - 3} faint />}
    </g>
  );
}

/** Steps between ticks that may be in the chosen unit [mm]. */
const STEPS = {
  mm: [10, 20, 50, 100, 200, 500, 1000],
  in: [0.5, 1, 2, 4, 6, 12, 24, 48].map((inches) => inches * MILLIMETRES_PER_INCH),
} as const;
/** Room that a tick and its number want [px]. */
const TICK_ROOM = 44;

const Ticks = memo(function Ticks({ beam: { from, to, scale, u } }: { readonly beam: BeamScale }) {
  const { length } = useAppSelector((state) => state.settings.units);
  const isInches = length === 'in';
  const steps = STEPS[isInches ? 'in' : 'mm'];
  const step = steps.find((candidate) => candidate * scale >= TICK_ROOM) ?? steps.at(-1)!;
  const first = Math.ceil(from / step);
  const places = Array.from({ length: Math.floor(to / step) - first + 1 }, (_, index) => (first + index) * step);
  return (
    <g stroke="var(--color-rule)" fontSize={10} fill="var(--color-faint)" data-testid="beam-ticks">
      {places.map((place) => (
        <g key={place}>
          <path d={`M${u(place)} ${BEAM + 6} v8`} />
          <text x={u(place)} y={BEAM + 23} textAnchor="middle" stroke="none">
            {isInches ? inchFraction(place) : Math.round(place)}
          </text>
        </g>
      ))}
    </g>
  );
});

/** The verdict in words, so that the beam is not the only carrier of it. */
function Verdict({ isLine }: { readonly isLine: boolean }) {
  const { current, preview } = useAppSelector((state) => state.analysis);
  const analysis = preview?.analysis ?? current;
  const previewing = preview?.remedy.label ?? null;
  const units = useAppSelector((state) => state.settings.units);
  if (!analysis) return <p className="text-faint">Computing…</p>;
  const { pitch, window } = analysis;
  const verdict = balanceVerdict(analysis);
  const inside = verdict.kind === 'inside';
  if (verdict.kind === 'unknown' || pitch.staticMargin === null || window.aft === null || window.forward === null)
    return (
      <p className="text-read">
        <Say words={pitch.reasons['staticMargin'] ?? pitch.reasons['neutralPoint'] ?? 'Not enough is known yet.'} />
      </p>
    );
  return (
    <div
      aria-live="polite"
      className={`low:flex low:items-baseline low:gap-3 phone:flex phone:items-baseline phone:justify-between phone:gap-2 ${isLine ? 'flex items-baseline gap-3' : ''}`}
    >
      {previewing !== null && (
        <p className="text-note font-semibold text-balance">
          Preview: <Say words={previewing} />
        </p>
      )}
      <p
        className={`text-lead leading-tight font-semibold ${inside ? 'text-balance' : 'text-stop'}`}
        data-testid="verdict"
      >
        {balanceWords(verdict, units)}
      </p>
      <p className={`text-label low:mt-0 phone:mt-0 ${isLine ? '' : 'mt-1'}`}>
        Static margin <strong data-number="beam-margin">{decimal(pitch.staticMargin * 100, 1)} %</strong>
      </p>
      <p className="text-label text-faint phone:hidden">
        Window {formatLength(millimetresFromMetres(window.forward), units, 0)} to{' '}
        {formatLength(millimetresFromMetres(window.aft), units, 0)} from the datum
      </p>
    </div>
  );
}
