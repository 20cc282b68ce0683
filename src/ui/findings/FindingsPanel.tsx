import { Info, OctagonAlert, RotateCcw, TriangleAlert } from 'lucide-react';
import type { Finding } from '@/core/7-verdict/finding';
import { previewDropped } from '@/store/analysisSlice';
import { applyRemedy, previewRemedy } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { STAGES } from '../stages/stages';
import { Say } from '../numbers/Say';
import { useSurroundings } from '../surroundings';

const LOOK = {
  stop: {
    word: 'Stop',
    icon: <OctagonAlert size={16} aria-hidden="true" />,
    box: 'border-stop bg-stop-soft',
    head: 'text-stop',
  },
  caution: {
    word: 'Look again',
    icon: <TriangleAlert size={16} aria-hidden="true" />,
    box: 'border-caution bg-caution-soft',
    head: 'text-caution',
  },
  note: {
    word: 'Note',
    icon: <Info size={16} aria-hidden="true" />,
    box: 'border-rule bg-sheet',
    head: 'text-faint',
  },
} as const;

/** What is wrong, why, and what to do: remedies preview on the beam before they are taken. */
export function FindingsPanel() {
  const findings = useAppSelector((state) => state.analysis.current?.findings);
  const failure = useAppSelector((state) => state.analysis.failure);
  if (failure) {
    return (
      <p role="alert" className="m-3 border-l-4 border-stop bg-stop-soft p-2 text-sm">
        The computation failed: {failure} The numbers shown are from before. Undo the last change, or export the design
        to keep it.
      </p>
    );
  }
  if (!findings) return null;
  return (
    <section
      aria-label="Findings"
      className="max-h-[40%] shrink-0 overflow-y-auto border-t border-graphite bg-sheet px-3 py-2"
      data-testid="findings"
      tabIndex={0}
    >
      <h2 className="mb-1 text-[13px] font-semibold tracking-wide uppercase">Findings</h2>
      {findings.length === 0 ? (
        <p className="text-sm text-faint">
          Nothing stands out in what was computed. That proves nothing in the air: follow your club’s rules.
        </p>
      ) : (
        <ul className="space-y-1.5">
          {findings.map((finding) => (
            <FindingCard key={finding.id} finding={finding} />
          ))}
        </ul>
      )}
      {findings.length > 0 && <RemedyState />}
    </section>
  );
}

/** Whether what may help is being tried, or could not be; then once more. */
function RemedyState() {
  const remedies = useAppSelector((state) => state.analysis.remedies);
  const { session } = useSurroundings();
  if (remedies === 'here') return null;
  if (remedies === 'coming') return <p className="mt-1.5 text-[13px] text-faint">Trying what may help…</p>;
  return (
    <div role="alert" className="mt-1.5 border-l-4 border-caution bg-caution-soft px-2 py-1.5 text-sm">
      <p>What may help could not be tried: {remedies.failed} The numbers and findings stand.</p>
      <Button className="mt-1.5" onClick={() => void session.retryRemedies()}>
        <RotateCcw size={14} aria-hidden="true" /> Try again
      </Button>
    </div>
  );
}

function FindingCard({ finding }: { readonly finding: Finding }) {
  const dispatch = useAppDispatch();
  const pending = useAppSelector((state) => state.analysis.remedies !== 'here');
  const { word, icon, box, head } = LOOK[finding.severity];
  return (
    <li className={`border-l-4 px-2 py-1.5 text-sm ${box}`} data-finding={finding.id}>
      <p>
        <span className={`mr-1.5 inline-flex items-center gap-1 align-text-bottom font-semibold ${head}`}>
          {icon} {word}
        </span>
        <span className="mr-1.5 text-faint">{STAGES[finding.stage].title}</span>
        <Say words={finding.message} />
      </p>
      {finding.remedies.length > 0 && (
        <div className="mt-1.5 flex flex-wrap gap-1.5">
          {finding.remedies.map((remedy, index) => (
            <Button
              key={index}
              className="text-left"
              disabled={pending}
              onPointerEnter={() => dispatch(previewRemedy(remedy))}
              onPointerLeave={() => dispatch(previewDropped())}
              onFocus={() => dispatch(previewRemedy(remedy))}
              onBlur={() => dispatch(previewDropped())}
              onClick={() => dispatch(applyRemedy(remedy))}
            >
              <Say words={remedy.label} />
            </Button>
          ))}
        </div>
      )}
      {finding.untried !== undefined && (
        <p className="mt-1 text-[13px] text-faint">
          {finding.untried} more {finding.untried === 1 ? 'way was' : 'ways were'} not tried: on a design of this size
          that would take too long.
        </p>
      )}
    </li>
  );
}
