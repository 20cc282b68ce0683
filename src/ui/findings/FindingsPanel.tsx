import { MapPin, RotateCcw } from 'lucide-react';
import { useState } from 'react';
import type { Finding } from '@/core/7-verdict/finding';
import { placeOfFinding } from '@/core/7-verdict/placeOfFinding';
import { previewDropped } from '@/store/analysisSlice';
import { findingPointed } from '@/store/sessionSlice';
import { applyRemedy, previewRemedy } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { STAGES } from '../stages/stages';
import { Say } from '../numbers/Say';
import { bringFindingBack, setFindingAside, shownFindings } from '@/store/setAsideFindings';
import { TextField } from '../fields/TextField';
import { useSurroundings } from '../surroundings';
import { LOOK } from './look';

/** What is wrong, why, and what to do: remedies preview on the beam before they are taken. */
export function FindingsPanel({ onShow }: { readonly onShow: (finding: Finding) => void }) {
  const findings = useAppSelector((state) => state.analysis.current?.findings);
  const failure = useAppSelector((state) => state.analysis.failure);
  const setAside = useAppSelector((state) => state.document.present?.setAside);
  if (failure) {
    return (
      <p role="alert" className="m-3 border-l-4 border-stop bg-stop-soft p-2 text-read">
        The computation failed: {failure} The numbers shown are from before. Undo the last change, or export the design
        to keep it.
      </p>
    );
  }
  if (!findings) return null;
  const { open, aside } = shownFindings(findings, setAside ?? []);
  return (
    <section
      aria-label="Findings"
      id="findings"
      className="min-h-0 overflow-y-auto bg-sheet px-3 py-2"
      data-testid="findings"
      tabIndex={0}
    >
      <h2 className="mb-1 text-label font-semibold tracking-wide uppercase">Findings</h2>
      {open.length === 0 ? (
        <p className="text-read text-faint">
          Nothing stands out in what was computed. That proves nothing in the air: follow your club’s rules.
        </p>
      ) : (
        <ul className="space-y-1.5">
          {open.map((finding) => (
            <FindingCard key={finding.id} finding={finding} onShow={onShow} />
          ))}
        </ul>
      )}
      {open.length > 0 && <RemedyState />}
      {aside.length > 0 && (
        <details className="mt-1.5 text-read">
          <summary className="cursor-pointer text-faint">Set aside: {aside.length}</summary>
          <ul className="mt-1 space-y-1.5">
            {aside.map(({ finding, reason }) => (
              <AsideRow key={finding.id} finding={finding} reason={reason} />
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

/** Whether what may help is being tried, or could not be; then once more. */
function RemedyState() {
  const remedies = useAppSelector((state) => state.analysis.remedies);
  const { session } = useSurroundings();
  if (remedies === 'here') return null;
  if (remedies === 'coming') return <p className="mt-1.5 text-label text-faint">Trying what may help…</p>;
  return (
    <div role="alert" className="mt-1.5 border-l-4 border-caution bg-caution-soft px-2 py-1.5 text-read">
      <p>What may help could not be tried: {remedies.failed} The numbers and findings stand.</p>
      <Button className="mt-1.5" onClick={() => void session.retryRemedies()}>
        <RotateCcw size={14} aria-hidden="true" /> Try again
      </Button>
    </div>
  );
}

interface FindingCardProps {
  readonly finding: Finding;
  /** Goes to where it is, or to where it is mended. */
  readonly onShow: (finding: Finding) => void;
}

function FindingCard({ finding, onShow }: FindingCardProps) {
  const dispatch = useAppDispatch();
  const design = useAppSelector((state) => state.document.present);
  const analysis = useAppSelector((state) => state.analysis.current);
  const place = design && analysis && placeOfFinding(design, analysis, finding);
  const pending = useAppSelector((state) => state.analysis.remedies !== 'here');
  const { word, icon, box, head } = LOOK[finding.severity];
  return (
    <li className={`border-l-4 px-2 py-1.5 text-read ${box}`} data-finding={finding.id}>
      {place && (
        <Button
          className="float-right ml-2"
          aria-label={`Show where: ${STAGES[finding.stage].title}`}
          onPointerEnter={() => dispatch(findingPointed(finding.id))}
          onPointerLeave={() => dispatch(findingPointed(null))}
          onFocus={() => dispatch(findingPointed(finding.id))}
          onBlur={() => dispatch(findingPointed(null))}
          onClick={() => onShow(finding)}
        >
          <MapPin size={14} aria-hidden="true" /> Show
        </Button>
      )}
      <p>
        <span className={`mr-1.5 inline-flex items-center gap-1 align-text-bottom font-semibold ${head}`}>
          {icon} {word}
        </span>
        <span className="mr-1.5 text-faint">{STAGES[finding.stage].title}</span>
        <Say words={finding.message} />
      </p>
      {finding.remedies.length > 0 && (
        <div role="group" aria-label="Ways to mend it" className="mt-1.5 flex flex-wrap gap-1.5">
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
              <span>
                <Say words={remedy.label} />
                {remedy.brings && (
                  <span className="block text-label text-faint">
                    <Say words={remedy.brings} />
                  </span>
                )}
              </span>
            </Button>
          ))}
        </div>
      )}
      {finding.severity !== 'stop' && <SetAside id={finding.id} />}
      {finding.untried !== undefined && (
        <p className="mt-1 text-label text-faint">
          {finding.untried} more {finding.untried === 1 ? 'way was' : 'ways were'} not tried: on a design of this size
          that would take too long.
        </p>
      )}
    </li>
  );
}

/** A finding that may stay as it is, with the reason; never a stop. */
function SetAside({ id }: { readonly id: string }) {
  const dispatch = useAppDispatch();
  const [isAsking, setAsking] = useState(false);
  if (!isAsking)
    return (
      <Button look="quiet" className="mt-1" onClick={() => setAsking(true)}>
        Set aside…
      </Button>
    );
  return (
    <div className="mt-1 max-w-md">
      <TextField
        label="Why it may stay as it is"
        value=""
        onCommit={(reason) => dispatch(setFindingAside(id, reason))}
        onLeave={() => setAsking(false)}
      />
    </div>
  );
}

function AsideRow({ finding, reason }: { readonly finding: Finding; readonly reason: string }) {
  const dispatch = useAppDispatch();
  return (
    <li className="border-l-4 border-rule px-2 py-1" data-aside={finding.id}>
      <p className="text-faint">
        <Say words={finding.message} />
      </p>
      <p>
        <strong>Set aside:</strong> {reason}
      </p>
      <Button look="quiet" onClick={() => dispatch(bringFindingBack(finding.id))}>
        Bring back
      </Button>
    </li>
  );
}
