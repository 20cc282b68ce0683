import { useRouteError } from 'react-router';
import { storageFault } from '@/storage/storageFault';
import { Button } from './buttons';

/** The last resort of a page: what went wrong, and the way on. What was saved is not touched by it. */
export function PageFault() {
  const error = useRouteError();
  return (
    <main role="alert" className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">This page could not be shown</h1>
      <p className="my-3">{storageFault(error)}. What lies in the browser’s storage is not touched.</p>
      <div className="flex gap-2">
        <Button look="strong" onClick={() => window.location.reload()}>
          Load the page again
        </Button>
        <Button onClick={() => window.location.assign('/')}>To the designs</Button>
      </div>
    </main>
  );
}
