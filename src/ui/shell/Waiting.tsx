import { useEffect, useState } from 'react';
import { Button } from './buttons';

/** After so long it is said that something does not answer [ms]. */
const PATIENCE = 6000;

interface WaitingProps {
  /** Said at first. */
  readonly what: string;
  readonly patience?: number;
}

/** Stands in for what the browser's storage has not given yet; says what may help when it gives nothing for long. */
export function Waiting({ what, patience = PATIENCE }: WaitingProps) {
  const [long, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), patience);
    return () => clearTimeout(timer);
  }, [patience]);
  if (!long) return <p className="p-6 text-faint">{what}</p>;
  return (
    <div role="alert" className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">The browser’s storage does not answer</h1>
      <p className="my-3">
        Inclinar keeps designs in this browser and waits for it. Nothing is lost. Another tab with an older Inclinar may
        hold it: close the other tabs, then load this page again.
      </p>
      <Button look="strong" onClick={() => window.location.reload()}>
        Load the page again
      </Button>
    </div>
  );
}
