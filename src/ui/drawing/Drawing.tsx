import { type ReactNode, useMemo, useRef, useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { compareWith } from '@/store/revisions';
import { Button } from '../shell/buttons';
import { DrawingTools, type View } from './DrawingTools';
import { FrontView } from './FrontView';
import { dihedralHandles, type Handle } from './handles';
import { PlanAndSide } from './PlanAndSide';
import { late } from '../shell/Late';
import { usePick } from './usePick';
import { useGhostDesign } from './useGhostDesign';
import { useUnderlays } from '../underlay/useUnderlays';
import { useZoom } from './useZoom';

const ThreeView = late(() => import('./ThreeView'), {
  place: 'The model in space',
  meanwhile: <p className="p-4 text-faint">Building the model…</p>,
});

interface DrawingProps {
  readonly design: Design;
  readonly handles: readonly Handle[];
  readonly withAir?: boolean;
  readonly steeper?: number;
  readonly dimensioned?: string | null;
  /** Only the view from the side, for low places. */
  readonly sideOnly?: boolean;
  /** What the stage itself is about; the common drawings stand behind it. */
  readonly own?: { readonly name: string; readonly sheet: ReactNode };
}

/** The sheet of a stage, and plan, side, front and 3D of the model, with zoom, pan and fit. */
export function Drawing({
  design,
  handles,
  withAir = false,
  steeper = 1,
  dimensioned = null,
  sideOnly = false,
  own,
}: DrawingProps) {
  const [view, setView] = useState<View>(own ? 'own' : 'plan');
  const [whole, setWhole] = useState(true);
  const ref = useRef<HTMLDivElement>(null);
  const { zoom, onPointerDown, onKeyDown, closer, further, fit } = useZoom(ref);
  const ghost = useGhostDesign();
  const compared = useAppSelector((state) => state.session.compared?.name);
  const dispatch = useAppDispatch();
  const [measuring, setMeasuring] = useState(false);
  const [scaling, setScaling] = useState<string | null>(null);
  const scaled = useUnderlays().find(({ id }) => id === scaling);
  const pick = usePick(design);
  const front = useMemo(() => design.surfaces.flatMap(dihedralHandles), [design.surfaces]);
  if (design.surfaces.length === 0 && design.bodies.length === 0) return <EmptyDrawing />;
  return (
    <div
      className="relative h-full w-full overflow-hidden"
      ref={ref}
      {...(view === 'plan' || view === 'front' ? { onKeyDown } : {})}
      onPointerDown={(event) => {
        if (!measuring) pick(event);
        if (view === 'plan' || view === 'front') onPointerDown(event);
      }}
    >
      {view === 'own' && own?.sheet}
      {view === 'plan' && (
        <PlanAndSide
          design={design}
          handles={handles}
          withAir={withAir}
          steeper={steeper}
          whole={whole}
          sideOnly={sideOnly}
          zoom={zoom}
          ghost={ghost}
          dimensioned={dimensioned}
          measuring={measuring}
          scaling={scaled}
          onScaled={() => setScaling(null)}
          underTools
        />
      )}
      {view === 'front' && <FrontView design={design} handles={front} zoom={zoom} />}
      {view === 'space' && <ThreeView design={design} />}
      {compared && (
        <p className="absolute bottom-2 left-3 flex items-center gap-2 bg-paper/90 pr-1 pl-2 text-label text-balance">
          <span aria-hidden="true">- - -</span> {compared}
          <Button look="quiet" onClick={() => dispatch(compareWith(null))}>
            Take it away
          </Button>
        </p>
      )}
      <DrawingTools
        view={view}
        own={own?.name}
        onView={setView}
        whole={whole}
        onWhole={sideOnly ? undefined : setWhole}
        closer={closer}
        further={further}
        fit={fit}
        measuring={measuring}
        onMeasuring={setMeasuring}
        onScale={setScaling}
      />
    </div>
  );
}

function EmptyDrawing() {
  return (
    <div className="flex h-full items-center justify-center p-8" data-testid="drawing">
      <p className="max-w-sm text-center text-faint">
        Nothing is drawn yet. Say in the brief what it is for and let three layouts be drawn, or start there with a
        plain wing and tail.
      </p>
    </div>
  );
}
