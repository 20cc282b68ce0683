import { memo, type ReactNode, useEffect, useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import type { SurfaceRole } from '@/core/2-document/schema/surface';
import type { Stage } from '@/core/7-verdict/finding';
import { sheetTargets, snapLength } from '@/words/snap';
import { useAppSelector } from '@/store/hooks';
import { heldEdits } from '@/store/surfaces';
import { BalanceBeam } from '../beam/BalanceBeam';
import { BriefStage } from '../brief/BriefStage';
import { CandidatesBoard } from '../brief/CandidatesBoard';
import { Drawing } from '../drawing/Drawing';
import { type Handle, incidenceHandle, itemHandles, type Snap, surfaceHandles } from '../drawing/handles';
import { FindingsPanel } from '../findings/FindingsPanel';
import { MarkDefinitions } from '../marks/marks';
import { RiggingStage } from '../rigging/RiggingStage';
import { ChosenSection } from '../section/SectionSheet';
import { SectionStage } from '../section/SectionStage';
import { BalanceStage } from '../balance/BalanceStage';
import { StabilityStage } from '../stability/StabilityStage';
import { SurfaceStage } from '../surface/SurfaceStage';
import { useChosenSurface } from '../surface/useChosen';
import { WeightsBench } from '../weights/WeightsBench';
import { WeightsStage } from '../weights/WeightsStage';
import { Header } from './Header';
import { PacedProvider } from './PacedProvider';
import { StageList } from './StageList';

const WING_ROLES: readonly SurfaceRole[] = ['wing', 'secondWing', 'tipFin'];
const TAIL_ROLES: readonly SurfaceRole[] = ['tailplane', 'vTail', 'canard', 'fin'];
/** A sheet size pulls a dragged length from this near [mm]. */
const PULL = 4;

interface StageProps {
  readonly design: Design;
  readonly stage: Stage;
}

interface OpenDesignProps {
  readonly id: string;
  readonly stage: Stage;
  readonly notice: ReactNode;
}

/** The open design; stages are shown only while there is one. */
const useDesign = (): Design => useAppSelector((state) => state.document.present!);

/** One open design at one stage: stages, drawing, numbers, beam. */
export const OpenDesign = memo(function OpenDesign({ id, stage, notice }: OpenDesignProps) {
  const name = useAppSelector((state) => state.document.present?.name);
  useEffect(() => {
    document.title = `${name} · Inclinar`;
  }, [name]);
  return (
    <div className="flex h-full flex-col">
      <MarkDefinitions />
      <PacedProvider>
        <Header />
      </PacedProvider>
      {notice}
      <div className="flex min-h-0 flex-1">
        <PacedProvider>
          <StageList id={id} />
        </PacedProvider>
        <main className="min-w-0 flex-1 contain-strict will-change-transform" aria-label="Drawing">
          <Sheet stage={stage} />
        </main>
        <PacedProvider>
          <aside className="flex w-[352px] shrink-0 flex-col border-l border-rule contain-strict will-change-transform">
            <section aria-label="Numbers" className="min-h-0 flex-1 overflow-y-auto" tabIndex={0}>
              <StagePanel stage={stage} />
            </section>
            <FindingsPanel />
          </aside>
        </PacedProvider>
      </div>
      <BalanceBeam />
    </div>
  );
});

/** What lies on the bench: the drawing, or what the stage works on instead. */
function Sheet({ stage }: { readonly stage: Stage }) {
  const design = useDesign();
  switch (stage) {
    case 'brief':
      return <CandidatesBoard design={design} />;
    case 'section':
      return <ChosenSection design={design} />;
    default:
      return <StageDrawing design={design} stage={stage} />;
  }
}

function StageDrawing({ design, stage }: StageProps) {
  const units = useAppSelector((state) => state.settings.units);
  const snapping = useAppSelector((state) => state.session.snapping);
  const locked = useAppSelector((state) => state.session.locked);
  const roles = stage === 'wing' ? WING_ROLES : stage === 'tail' ? TAIL_ROLES : null;
  const chosen = useChosenSurface(design, roles ?? undefined);
  const snap = useMemo((): Snap | undefined => {
    if (!snapping) return undefined;
    const targets = sheetTargets(design.materials);
    return (length) => snapLength(length, { units, targets, pull: PULL });
  }, [snapping, design.materials, units]);
  const handles = useMemo((): Handle[] => {
    if (stage === 'rigging') return design.surfaces.flatMap(incidenceHandle);
    if (roles && chosen) {
      return surfaceHandles(chosen, snap).map((handle) => {
        const driven = handle.id.endsWith('-tip') ? 'span' : handle.id.endsWith('-chord') ? 'chord' : null;
        if (driven === null || locked.length === 0 || !/wing/i.test(chosen.role)) return handle;
        return {
          ...handle,
          edits: (dx, dy) => [...heldEdits(design, handle.edits(dx, dy), { locked, driven }).edits],
        };
      });
    }
    return itemHandles(design, stage === 'weights');
  }, [design, stage, roles, chosen, snap, locked]);
  if (stage === 'weights') return <WeightsBench design={design} handles={handles} />;
  return (
    <Drawing
      design={design}
      handles={handles}
      withAir={stage === 'stability' || stage === 'rigging'}
      steeper={stage === 'rigging' ? 5 : 1}
      dimensioned={roles ? (chosen?.id ?? null) : null}
    />
  );
}

function StagePanel({ stage }: { readonly stage: Stage }) {
  const design = useDesign();
  switch (stage) {
    case 'brief':
      return <BriefStage design={design} />;
    case 'wing':
      return (
        <SurfaceStage
          key="wing"
          design={design}
          roles={WING_ROLES}
          kinds={['wing', 'secondWing', 'tipFins']}
          empty="This design has no wing yet: start in the brief."
        />
      );
    case 'section':
      return <SectionStage design={design} />;
    case 'tail':
      return (
        <SurfaceStage
          key="tail"
          design={design}
          roles={TAIL_ROLES}
          kinds={['tailplane', 'fin', 'vTail', 'canard', 'fixedStabiliser']}
          empty="This design has no tail. Tailless aircraft keep their nose by sweep and washout, or by reflex."
        />
      );
    case 'rigging':
      return <RiggingStage design={design} />;
    case 'weights':
      return <WeightsStage design={design} />;
    case 'balance':
      return <BalanceStage design={design} />;
    case 'stability':
      return <StabilityStage />;
  }
}
