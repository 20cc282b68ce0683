import { type ReadResult, readDesignText } from '@/core/2-document/readDesign';
import type { Design } from '@/core/2-document/schema/design';

/** Largest file that is read; a design of thousands of flights is far below it [bytes]. */
const MOST_BYTES = 20_000_000;

/** The document as text, as it is exported and as the command line reads it. */
export function designText(design: Design): string {
  return `${JSON.stringify(design, null, 2)}\n`;
}

/** A file name from the name of a design: letters, digits and dashes. */
export function designFileName({ name }: Design): string {
  const plain = name
    .normalize('NFKD')
    .replaceAll(/[^\w\s-]/g, '')
    .trim()
    .replaceAll(/\s+/g, '-')
    .toLowerCase();
  return `${plain || 'design'}.inclinar.json`;
}

/** Reads a chosen or dropped file. All or nothing. */
export async function readDesignFile(file: Blob & { name?: string }): Promise<ReadResult> {
  if (file.size > MOST_BYTES) {
    return {
      ok: false,
      issues: [{ path: '/', message: 'The file is larger than 20 MB: this is not a design.' }],
    };
  }
  return readDesignText(await file.text());
}
