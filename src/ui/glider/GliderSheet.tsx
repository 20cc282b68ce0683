import { useEffect, useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { tossIt } from '@/store/glider';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Drawing } from '../drawing/Drawing';
import { Choices } from '../fields/Choices';
import { LandingsPlot } from './LandingsPlot';
import { TossPlot } from './TossPlot';

const NO_HANDLES: readonly never[] = [];

/** The toss as it flies, from the side and from above; where many throws come down. */
export function GliderSheet({ design }: { readonly design: Design }) {
  return <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Toss', sheet: <Tossing design={design} /> }} />;
}

const VIEWS = [
  ['path', 'One toss'],
  ['often', 'Many throws'],
] as const;
type View = (typeof VIEWS)[number][0];

/** So long nothing has to change before it is thrown anew [ms]. */
const SETTLES = 250;

function Tossing({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { asked, tossed, spread, failure } = useAppSelector((state) => state.glider);
  const [{ view, seen }, setView] = useState<{ view: View; seen: unknown }>({ view: 'path', seen: spread });
  if (spread && seen !== spread) setView({ view: 'often', seen: spread });
  const wanted = tossed?.of === design && tossed.asked === asked ? null : asked;
  useEffect(() => {
    if (!wanted) return undefined;
    const timer = setTimeout(() => void dispatch(tossIt(design, wanted)), SETTLES);
    return () => clearTimeout(timer);
  }, [dispatch, design, wanted]);
  const result = tossed?.result;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1">
        {view === 'often' && spread ? (
          <LandingsPlot spread={spread.result} />
        ) : !result ? (
          <p className="p-6 text-faint">{failure ?? 'Throwing…'}</p>
        ) : result.ok ? (
          <TossPlot tossed={result} design={design} />
        ) : (
          <p className="p-6">{result.because}</p>
        )}
      </div>
      {spread && (
        <div className="flex border-t border-soft px-3 py-2">
          <Choices
            joined
            label="What the sheet shows"
            options={VIEWS}
            value={view}
            onChange={(next) => next && setView({ view: next, seen: spread })}
          />
        </div>
      )}
    </div>
  );
}
