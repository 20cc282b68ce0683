import { memo, type ReactNode, useEffect } from 'react';
import { useAppSelector } from '@/store/hooks';
import { BalanceBeam } from '../beam/BalanceBeam';
import { FindingsPanel } from '../findings/FindingsPanel';
import { MarkDefinitions } from '../marks/marks';
import type { StageEntry } from '../stages/stage';
import { FaultBoundary } from './FaultBoundary';
import { Header } from './Header';
import { PacedProvider } from './PacedProvider';
import { StageList } from './StageList';

interface OpenDesignProps {
  readonly id: string;
  readonly stage: StageEntry;
  readonly notice: ReactNode;
}

/** The open design; stages are shown only while there is one. */
const useDesign = () => useAppSelector((state) => state.document.present!);

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
          <FaultBoundary place={`The drawing of ${stage.title}`}>
            <StageSheet stage={stage} />
          </FaultBoundary>
        </main>
        <PacedProvider>
          <aside className="flex w-[352px] shrink-0 flex-col border-l border-rule contain-strict will-change-transform">
            <section id="numbers" aria-label="Numbers" className="min-h-0 flex-1 overflow-y-auto" tabIndex={0}>
              <FaultBoundary place={`The numbers of ${stage.title}`}>
                <StageInputs key={stage.path} stage={stage} />
              </FaultBoundary>
            </section>
            <FaultBoundary place="The findings">
              <FindingsPanel />
            </FaultBoundary>
          </aside>
        </PacedProvider>
      </div>
      <FaultBoundary place="The balance beam">
        <BalanceBeam />
      </FaultBoundary>
    </div>
  );
});

/** What lies on the bench: the drawing, or what the stage works on instead. */
function StageSheet({ stage: { Sheet } }: { readonly stage: StageEntry }) {
  return <Sheet design={useDesign()} />;
}

function StageInputs({ stage: { Inputs } }: { readonly stage: StageEntry }) {
  return <Inputs design={useDesign()} />;
}
