import { useMemo } from 'react';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { useAppSelector } from '@/store/hooks';
import { formatLength } from '@/words/formatQuantity';
import { Drawing } from '../drawing/Drawing';
import { FindingMark, usePointedAt } from '../drawing/FindingMark';
import { itemHandle, itemHandles } from '../drawing/handles';
import { Paper } from '../sheet/Paper';
import { TallUnderTools } from '../sheet/Tall';
import { HandleMark } from '../drawing/HandleMark';
import { useGhostDesign } from '../drawing/useGhostDesign';
import { useHeld } from '../drawing/useHeld';
import { useSize } from '../drawing/useSize';
import { Lever, LeverTable } from '../lever/Lever';
import { Say } from '../numbers/Say';
import { slidingItems } from '@/core/4-weight/placement';
import { linear } from '../sheet/scale';
import { loupeHeight, loupeSpan, WindowLoupe } from './WindowLoupe';

/** The lever with what sits on it, the window larger below, and why it ends where it ends. */
export function BalanceSheet({ design }: { readonly design: Design }) {
  const handles = useMemo(() => itemHandles(design, false), [design]);
  return <Drawing design={design} handles={handles} own={{ name: 'Lever', sheet: <LeverSheet design={design} /> }} />;
}

const SIDE = 40;
/** What lies on the lever needs so much; room for what slides under it, and at the foot [px]. */
const ON_LEVER = 70;
const SLIDERS = 34;
const FOOT = 16;

function LeverSheet({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const isKnown = analysis !== null && analysis.mass.cg !== null && analysis.pitch.neutralPoint !== null;
  const below = isKnown ? loupeHeight(analysis.schools.length) + 24 : 0;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1">
        <TallUnderTools name="Lever and window" least={ON_LEVER + SLIDERS + FOOT + below}>
          {(head) => <LeverPaper design={design} head={head} below={below} />}
        </TallUnderTools>
      </div>
      <Reasons />
      <LeverTable design={design} />
    </div>
  );
}

interface LeverPaperProps {
  readonly design: Design;
  readonly head: number;
  /** Room for the window under the lever; none while it is not known [px]. */
  readonly below: number;
}

function LeverPaper({ design, head, below }: LeverPaperProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const analysis = useAppSelector((state) => state.analysis.current);
  const preview = useAppSelector((state) => state.analysis.preview);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const { xMin, xMax } = useHeld(useMemo(() => extentsOf(design, placed), [design, placed]));
  const ghost = useGhostDesign();
  const pointed = usePointedAt();
  const place = useMemo(() => linear([xMin, xMax], [SIDE, Math.max(SIDE + 60, width - SIDE)]), [xMin, xMax, width]);
  const beam = height - below - SLIDERS - FOOT;
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`Lever of ${design.name}, nose to the left`}
      caption="What sits where, weights to scale"
      underTools
    >
      <Lever design={design} u={place} left={SIDE} right={width - SIDE} top={head} beam={beam} ghost={ghost} />
      {pointed && <FindingMark x={place(pointed.x)} y={beam} />}
      {slidingItems(design).map((item) =>
        item.attachment.kind === 'slides' ? (
          <g key={item.id}>
            <path
              d={`M${place(item.attachment.from)} ${beam + 20} v8 m0 -4 H${place(item.attachment.to)} m0 -4 v8`}
              stroke="var(--color-faint)"
              fill="none"
              aria-hidden="true"
            />
            <HandleMark
              handle={{
                ...itemHandle(item),
                id: `lever-${item.id}`,
                label: `${item.name || item.id} on the lever`,
              }}
              x={place(item.position.x)}
              y={beam + 24}
              perPixel={(xMax - xMin) / Math.max(60, width - 2 * SIDE)}
            />
          </g>
        ) : null,
      )}
      {analysis && below > 0 && (
        <WindowLoupe
          analysis={analysis}
          ghost={preview?.analysis ?? null}
          left={SIDE}
          right={width - SIDE}
          top={beam + SLIDERS + 12}
          from={[place(loupeSpan(analysis)[0]), place(loupeSpan(analysis)[1])]}
          lever={beam}
        />
      )}
    </Paper>
  );
}

/** Why the window ends where it does. */
function Reasons() {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  if (!analysis) return null;
  const { forward, aft, forwardBecause, aftBecause } = analysis.window;
  const ends = [
    ['Forward limit', forward, forwardBecause],
    ['Rear limit', aft, aftBecause],
  ] as const;
  return (
    <div className="grid shrink-0 grid-cols-2 gap-6 border-t border-soft px-5 py-2 text-label small:hidden">
      {ends.map(([name, limit, because]) => (
        <p key={name} data-testid="window-end">
          <strong className="font-semibold">
            {name}
            {limit !== null && ` ${formatLength(millimetresFromMetres(limit), units, 0)}`}
          </strong>{' '}
          <span className="text-faint">{because === null ? 'is not known.' : <Say words={because} />}</span>
        </p>
      ))}
    </div>
  );
}
