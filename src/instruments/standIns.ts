import type { InstrumentKind, Showing } from '@/core/8-bench/instruments/instrument';
import type { Side } from '@/core/8-bench/gates';
import type { GateShim } from '@/core/8-bench/judgeGate';
import type { Driver, Lost } from './driver';

/** Where our server keeps them. */
const ROOT = '/instruments';
/** A stream that has brought nothing for so long is broken [ms]. */
const SILENT = 4000;

const GONE = 'The server with the made-up instruments does not answer: start Inclinar with npm start.';

/** Sends something to the bench; null, or why it was not taken. */
async function send(path: string, body: unknown, method: 'POST' | 'DELETE' = 'POST'): Promise<string | null> {
  const request: RequestInit = {
    method,
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  };
  try {
    const answer = await fetch(ROOT + path, request);
    if (answer.ok) return null;
    const told = (await answer.json().catch(() => null)) as { because?: unknown } | null;
    return typeof told?.because === 'string' ? told.because : GONE;
  } catch {
    return GONE;
  }
}

async function ask(): Promise<Lost | null> {
  try {
    const answer = await fetch(ROOT);
    // A page server without them answers with the page.
    return answer.ok && answer.headers.get('Content-Type')?.includes('json') ? null : 'none';
  } catch {
    return 'gone';
  }
}

/** Made-up instruments of our own server, over server-sent events; a page that lost the server goes on when it is back. */
export const standIns: Driver = {
  id: 'standIn',
  ask,
  open: (kind, { shown, lost }) => {
    const stream = new EventSource(`${ROOT}/stream/${kind}`);
    let silent = window.setTimeout(() => lost('gone'), SILENT);
    stream.addEventListener('shown', ({ data }: MessageEvent<string>) => {
      clearTimeout(silent);
      silent = window.setTimeout(() => lost('gone'), SILENT);
      shown(JSON.parse(data) as Showing);
    });
    stream.addEventListener('empty', () => {
      clearTimeout(silent);
      lost('empty');
    });
    return () => {
      clearTimeout(silent);
      stream.close();
    };
  },
};

/** What lies on an instrument of the rehearsal, or what it lies on. */
export type LaidOn =
  | { readonly step: string; readonly side: Side; readonly turned: boolean }
  | { readonly stand: true }
  | { readonly grams: number }
  /** What it should pull with, by the drawing. */
  | { readonly newtons: number }
  | null;

/** What a rehearsal does on the bench; each is null when it was done, or why not. */
export const bench = {
  begin: (design: string, seed: number) => send('/rehearsal', { design, seed }),
  end: () => send('/rehearsal', {}, 'DELETE'),
  lay: (kind: InstrumentKind, on: LaidOn) => send('/lay', { kind, on }),
  shim: (step: string, shims: readonly GateShim[]) => send('/shim', { step, shims }),
  newBattery: (kind: InstrumentKind) => send('/battery', { kind }),
};
