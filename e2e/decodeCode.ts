import type { Locator } from '@playwright/test';
import { decodeQR } from 'qr/decode.js';
import { PNG } from 'pngjs';

/** What a camera reads of a code on the page. */
export async function decode(code: Locator): Promise<string> {
  const { data, width, height } = PNG.sync.read(await code.screenshot());
  return decodeQR({ data: new Uint8Array(data), width, height });
}
