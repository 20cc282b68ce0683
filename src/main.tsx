import '@/core/1-base/zodSetup';
import '@fontsource/ibm-plex-sans-condensed/latin-400.css';
import '@fontsource/ibm-plex-sans-condensed/latin-500.css';
import '@fontsource/ibm-plex-sans-condensed/latin-600.css';
import '@fontsource/ibm-plex-sans/greek-400.css';
import '@/ui/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { readDesignText } from '@/core/2-document/readDesign';
import { openDatabase } from '@/storage/database';
import { designStore } from '@/storage/designStore';
import { makeStore } from '@/store/store';
import { printAnalysis } from '@/words/printAnalysis';
import { App } from '@/ui/App';
import { createLanes } from '@/workers/lanes';
import { DEMO_NAMES, demoFile } from '../demo';

const designs = designStore(openDatabase());
const jobs = createLanes();
const session = makeStore({ designs, jobs });

/** For scripts in the browser's console: a design document as text in, its whole analysis out. */
async function analyseText(text: string): Promise<unknown> {
  const read = readDesignText(text);
  if (!read.ok) throw new Error(read.issues.map(({ path, message }) => `${path} ${message}`).join('; '));
  const outcome = await jobs.ask('analyse', { design: read.design }, { lane: 'long' });
  if (outcome.kind !== 'done')
    throw new Error(outcome.kind === 'failed' ? outcome.message : 'A newer request took its place.');
  return printAnalysis(outcome.output.analysis);
}
Object.assign(window, { inclinar: { analyse: analyseText } });

window.addEventListener('pagehide', () => void session.flush());
document.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'hidden') void session.flush();
});

async function start(): Promise<void> {
  const root = createRoot(document.getElementById('root')!);
  try {
    await designs.seedOnce(DEMO_NAMES.map(demoFile));
    await session.loadSettings();
  } catch (error) {
    root.render(<StorageFault detail={error instanceof Error ? error.message : String(error)} />);
    return;
  }
  root.render(
    <StrictMode>
      <App session={session} designs={designs} />
    </StrictMode>,
  );
}

function StorageFault({ detail }: { detail: string }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">The browser’s storage cannot be used</h1>
      <p className="mt-3">
        Inclinar keeps designs in this browser and cannot start without it ({detail}). Leave private mode or free some
        space, then load the page again.
      </p>
    </main>
  );
}

void start();
