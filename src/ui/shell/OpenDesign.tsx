import { clsx } from 'clsx';
import { memo, type ReactNode, useEffect } from 'react';
import { useAppSelector } from '@/store/hooks';
import { BalanceBeam } from '../beam/BalanceBeam';
import { FindingsStrip } from '../findings/FindingsStrip';
import { MarkDefinitions } from '../marks/marks';
import type { StageEntry } from '../stages/stage';
import { AllGroups } from './AllGroups';
import { FaultBoundary } from './FaultBoundary';
import { Header } from './Header';
import { InputsDrawer } from './InputsDrawer';
import { DrawnBeside, PacedProvider } from './PacedProvider';
import { StageTask } from './StageTask';
import { StageList } from './StageList';

/** Height of the sheet on a phone, by where the work is done. */
const SHEET_OF_PHONE = { sheet: 'phone:h-[56vh]', both: 'phone:h-[36vh]', inputs: 'phone:h-[32vh]' } as const;

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
  const isSunny = useAppSelector((state) => state.settings.isSunny);
  useEffect(() => {
    document.documentElement.toggleAttribute('data-sun', isSunny);
  }, [isSunny]);
  return (
    <div className="flex h-full flex-col">
      <MarkDefinitions />
      <PacedProvider>
        <Header />
      </PacedProvider>
      {notice}
      <div className="flex min-h-0 flex-1 phone:flex-col">
        <PacedProvider>
          <StageList id={id} />
        </PacedProvider>
        <main
          className={clsx(
            'min-w-0 flex-1 contain-strict will-change-transform phone:flex-none phone:border-b phone:border-rule',
            SHEET_OF_PHONE[stage.worksOn ?? 'both'],
          )}
          aria-label="Drawing"
          data-testid="sheet"
        >
          <FaultBoundary place={`The drawing of ${stage.title}`}>
            <DrawnBeside place="sheet">
              <StageSheet stage={stage} />
            </DrawnBeside>
          </FaultBoundary>
        </main>
        <PacedProvider>
          <InputsDrawer foot={<StageTask id={id} stage={stage} />}>
            <FaultBoundary place={`The numbers of ${stage.title}`}>
              <StageInputs key={stage.path} stage={stage} />
            </FaultBoundary>
            <AllGroups />
          </InputsDrawer>
        </PacedProvider>
      </div>
      <FaultBoundary place="The findings">
        <PacedProvider>
          <FindingsStrip />
        </PacedProvider>
      </FaultBoundary>
      <FaultBoundary place="The balance beam">
        <DrawnBeside place="beam">
          <BalanceBeam />
        </DrawnBeside>
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
