import { secondsFromMilliseconds } from '@/core/1-base/units/convert';
import { serialLine } from '@/core/8-bench/instruments/serialLine';
import type { Driver, Lost } from './driver';

/** As browsers have it that lend a serial line; the types of the language do not know it. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly open: (options: { baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
}
interface WithSerial {
  readonly serial?: { readonly requestPort: () => Promise<SerialPort> };
}

/** Usual of small boards. */
const BAUD = 9600;
/** A line that brings nothing of that sort for so long has no such instrument [ms]. */
const SILENT = 4000;

export const hasSerial = (): boolean => (navigator as WithSerial).serial !== undefined;

let chosen: SerialPort | null = null;

async function ask(): Promise<Lost | null> {
  const { serial } = navigator as WithSerial;
  if (!serial) return globalThis.isSecureContext ? 'none' : 'insecure';
  if (chosen) return null;
  try {
    chosen = await serial.requestPort();
    return null;
  } catch {
    return 'refused';
  }
}

/** An instrument on a serial line that writes lines of text (see `serialLine`); what it writes beside them is passed over. */
export const serial: Driver = {
  id: 'serial',
  ask,
  open: (kind, { shown, lost }) => {
    const port = chosen;
    let isClosed = false;
    let reader: ReadableStreamDefaultReader<string> | null = null;
    let count = 0;
    let silent = window.setTimeout(() => lost('none'), SILENT);
    const hear = (text: string) => {
      const read = serialLine(text);
      if (!read.ok || read.kind !== kind) return;
      clearTimeout(silent);
      silent = window.setTimeout(() => lost('gone'), SILENT);
      shown({ count: count++, t: secondsFromMilliseconds(performance.now()), values: read.values, battery: 1 });
    };
    const follow = async () => {
      if (!port) return lost('none');
      await port.open({ baudRate: BAUD });
      if (!port.readable) return lost('gone');
      reader = port.readable
        .pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>)
        .getReader();
      let rest = '';
      // Closing it cancels the reader, and that ends what it reads.
      for (;;) {
        const { value, done } = await reader.read();
        if (done) break;
        const lines = (rest + value).split(/\r?\n/);
        rest = lines.pop()!.slice(-200);
        lines.forEach(hear);
      }
    };
    const over = follow().catch(() => {
      if (isClosed) return;
      chosen = null;
      lost('gone');
    });
    return () => {
      isClosed = true;
      clearTimeout(silent);
      void reader
        ?.cancel()
        .then(() => over)
        .then(() => port?.close())
        .catch(() => undefined);
    };
  },
};
