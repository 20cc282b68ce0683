import { ClipboardCopy, RotateCcw } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useAppSelector } from '@/store/hooks';
import { Button } from './buttons';

interface FaultBoundaryProps {
  /** Where it is, in words, for the report. */
  readonly place: string;
  /** Before it is tried again. */
  readonly onRetry?: () => void;
  readonly children: ReactNode;
}

const renderFault = (place: string) => (props: FallbackProps) => <Fault place={place} {...props} />;

/** Keeps a fault where it happened: the rest of the bench goes on, and the fault can be told. */
export function FaultBoundary({ place, onRetry, children }: FaultBoundaryProps) {
  return (
    <ErrorBoundary key={place} fallbackRender={renderFault(place)} onReset={onRetry}>
      {children}
    </ErrorBoundary>
  );
}

function Fault({ place, error, resetErrorBoundary }: FallbackProps & { readonly place: string }) {
  const design = useAppSelector((state) => state.document.present);
  const [copied, setCopied] = useState<'yes' | 'no' | null>(null);
  const fault = error instanceof Error ? error : new Error(String(error));
  const report = JSON.stringify(
    { place, message: fault.message, stack: fault.stack, browser: navigator.userAgent, design },
    null,
    2,
  );
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(report);
      setCopied('yes');
    } catch {
      setCopied('no');
    }
  };
  return (
    <div role="alert" className="m-3 border-l-4 border-stop bg-stop-soft p-3 text-read">
      <p className="font-semibold">{place} could not be shown; your design is not touched.</p>
      <p className="mt-1">{fault.message}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={resetErrorBoundary}>
          <RotateCcw size={14} aria-hidden="true" /> Try again
        </Button>
        <Button onClick={() => void copy()}>
          <ClipboardCopy size={14} aria-hidden="true" /> Copy report
        </Button>
      </div>
      {copied === 'yes' && <p className="mt-1 text-faint">Copied: the fault, and the design as it is now.</p>}
      {copied === 'no' && (
        <textarea
          readOnly
          aria-label="Report"
          className="mt-2 h-32 w-full border border-rule bg-white p-1 font-mono text-note"
          value={report}
        />
      )}
    </div>
  );
}
