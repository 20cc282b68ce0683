import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, test } from 'vitest';

/** The command as it is built for a fresh clone; nothing is built here. */
const BUILT = 'dist/node/infer.js';
const folder = mkdtempSync(join(tmpdir(), 'inclinar-infer-'));
afterAll(() => rmSync(folder, { recursive: true }));

interface Printed {
  readonly handsOffLift: { readonly value: number | null; readonly sigma: number | null };
  readonly contradictions: readonly { readonly toss: string }[];
  readonly because: string | null;
}

/** The demo design with tosses in its file. */
function withTosses(tosses: readonly object[]): string {
  const document = JSON.parse(readFileSync('demo/tern-tender.json', 'utf8')) as Record<string, unknown>;
  const file = join(folder, `tosses-${tosses.length}.json`);
  const head = { at: '2026-05-01T10:00:00Z', scale: 1 };
  const records = { tosses: tosses.map((toss, index) => ({ id: `toss${index}`, ...head, ...toss })) };
  writeFileSync(file, JSON.stringify({ ...document, version: 9, records }));
  return file;
}
const inferred = (file: string) =>
  JSON.parse(execFileSync(process.execPath, [BUILT, file], { encoding: 'utf8' })) as Printed;

describe.runIf(existsSync(BUILT))('what tosses tell on the command line', () => {
  test('prints the contract from the first toss on; the band narrows', () => {
    const none = inferred('demo/tern-tender.json');
    const one = inferred(withTosses([{ launchSpeed: 11, distance: 19, time: 2.4, result: 'steadyGlide' }]));
    for (const printed of [none, one]) {
      expect(printed).toMatchObject({ format: 'inclinar-inference', version: 1, contradictions: [], because: null });
      for (const key of ['handsOffLift', 'balance', 'decalage', 'drag'])
        expect(printed).toHaveProperty([key, 'sigma'], expect.any(Number));
    }
    expect(one.handsOffLift.sigma!).toBeLessThan(none.handsOffLift.sigma!);
  });

  test('tosses that contradict the drawing are named and nothing is told of them', () => {
    const { handsOffLift, contradictions, because } = inferred(
      withTosses([
        { launchSpeed: 9, distance: 90, time: 9, result: 'other' },
        { launchSpeed: 9, distance: 14, time: 2, result: 'other' },
      ]),
    );
    expect(contradictions.map(({ toss }) => toss)).toContain('toss0');
    expect(handsOffLift).toMatchObject({ value: null, sigma: null });
    expect(because).toMatch(/contradict.*look at/i);
  });

  test('refuses in a sentence, with status 2', () => {
    for (const [words, ...more] of [
      [/Give one design document/],
      [/--scale 40: give a number/, 'demo/tern-tender.json', '--scale', '40'],
      [/Unknown option/, 'demo/tern-tender.json', '--why'],
    ] as const) {
      const { status, stderr } = spawnSync(process.execPath, [BUILT, ...more], { encoding: 'utf8' });
      expect(status).toBe(2);
      expect(stderr).toMatch(words);
    }
  });
});
