import '@/core/1-base/zodSetup';
import '@fontsource/ibm-plex-sans-condensed/latin-400.css';
import '@fontsource/ibm-plex-sans-condensed/latin-500.css';
import '@fontsource/ibm-plex-sans-condensed/latin-600.css';
import '@fontsource/ibm-plex-sans/greek-400.css';
import '@/ui/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { toast } from 'sonner';
import { openDatabase } from '@/storage/database';
import { designStore } from '@/storage/designStore';
import { storageFault } from '@/storage/storageFault';
import { makeStore } from '@/store/store';
import { App } from '@/ui/App';
import { Button } from '@/ui/shell/buttons';
import { Waiting } from '@/ui/shell/Waiting';
import { worksOffline } from '@/offline';
import { readDesignText } from '@/core/2-document/readDesign';
import { createLanes } from '@/workers/lanes';

const database = openDatabase();
const designs = designStore(database);
const jobs = createLanes({ onRestart: (text) => toast(text), isAwaited: location.pathname.startsWith('/design/') });
const session = makeStore({ designs, jobs, tell: (text) => toast(text, { duration: 20_000, closeButton: true }) });

// A newer Inclinar in another tab must be able to change the storage: this one lets go of it and says so.
database.on('versionchange', () => {
  void session.flush().finally(() => {
    database.close();
    toast.error('A newer Inclinar runs in another tab. Load this page again to go on.', { duration: Infinity });
  });
});

/** For scripts in the browser's console: a design document as text in, its whole analysis out. */
async function analyseText(text: string): Promise<unknown> {
  const { printAnalysis } = await import('@/words/printAnalysis');
  const read = readDesignText(text);
  if (!read.ok) throw new Error(read.issues.map(({ path, message }) => `${path} ${message}`).join('; '));
  const outcome = await jobs.ask('analyse', { design: read.design }, { lane: 'long' });
  if (outcome.kind !== 'done')
    throw new Error(outcome.kind === 'failed' ? outcome.message : 'A newer request took its place.');
  return printAnalysis(outcome.output.analysis);
}
Object.assign(window, { inclinar: { analyse: analyseText } });

window.addEventListener('pagehide', () => void session.flush());
window.addEventListener('beforeunload', (event) => {
  if (session.wouldLose()) event.preventDefault();
});
document.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'hidden') void session.flush();
});

async function start(): Promise<void> {
  const root = createRoot(document.getElementById('root')!);
  const patience = setTimeout(
    () =>
      root.render(
        <main>
          <Waiting what="" patience={0} />
        </main>,
      ),
    STORAGE_ANSWERS_WITHIN,
  );
  try {
    if (!(await designs.isSeeded())) {
      // Only a first visit needs the fleet.
      const { DEMO_NAMES, demoFile } = await import('../demo');
      await designs.seedOnce(DEMO_NAMES.map(demoFile));
    }
    await session.loadSettings();
  } catch (error) {
    root.render(<StorageFault detail={storageFault(error)} />);
    return;
  } finally {
    clearTimeout(patience);
  }
  root.render(
    <StrictMode>
      <App session={session} designs={designs} />
    </StrictMode>,
  );
  worksOffline(() => session.flush());
}

/** After so long the page says that the storage is silent; it goes on by itself when it answers after all [ms]. */
const STORAGE_ANSWERS_WITHIN = 5000;

function StorageFault({ detail }: { detail: string }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">The browser’s storage cannot be used</h1>
      <p className="mt-3">
        Inclinar keeps designs in this browser and cannot start without it ({detail}). Leave private mode or free some
        space, then load the page again.
      </p>
      <p className="mt-3">
        <Button look="strong" onClick={() => window.location.reload()}>
          Load the page again
        </Button>
      </p>
    </main>
  );
}

void start();
