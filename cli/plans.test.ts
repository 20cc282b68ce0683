import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from 'vitest';

/** The command as it is built for a fresh clone; nothing is built here. */
const BUILT = 'dist/node/plans.js';
const folder = () => mkdtempSync(join(tmpdir(), 'plans-'));

test.runIf(existsSync(BUILT))('prints the contract and writes what it names', () => {
  const out = folder();
  const printed = JSON.parse(
    execFileSync(process.execPath, [BUILT, 'demo/tideline-plank.json', '--out', out, '--paper', 'a3'], {
      encoding: 'utf8',
    }),
  ) as Record<string, unknown> & {
    files: string[];
    parts: Record<string, unknown>[];
    sheets: Record<string, unknown>[];
  };
  expect(printed).toMatchObject({ format: 'inclinar-plans', version: 1, findings: [] });
  expect(readdirSync(out).toSorted()).toEqual(printed.files.toSorted());
  for (const key of ['name', 'count', 'material', 'area', 'cutLength', 'bounds', 'mass'])
    for (const part of printed.parts) expect(part, key).toHaveProperty(key);
  for (const key of ['material', 'length', 'width', 'utilisation', 'parts'])
    for (const sheet of printed.sheets) expect(sheet, key).toHaveProperty(key);
  expect(
    readFileSync(
      join(
        out,
        printed.files.find((name) => name.endsWith('.pdf'))!,
      ),
    )
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
});

test.runIf(existsSync(BUILT))('refuses what it cannot do in a sentence, with status 2', () => {
  const bad = join(folder(), 'bad.json');
  writeFileSync(bad, '{"format":"inclinar-design","version":7,"name":""}');
  const run = (...more: string[]) => spawnSync(process.execPath, [BUILT, ...more], { encoding: 'utf8' });
  for (const [words, ...more] of [
    ['Say where the files go', 'demo/tideline-plank.json'],
    ['give pdf, svg, dxf, csv or all', 'demo/tideline-plank.json', '--out', folder(), '--format', 'png'],
    ['give a4, a3, letter or sheet', 'demo/tideline-plank.json', '--out', folder(), '--paper', 'b5'],
    ['give a number from 0.02 to 5', 'demo/tideline-plank.json', '--out', folder(), '--scale', 'half'],
    ['must not be empty', bad, '--out', folder()],
    ['cannot be read', 'nowhere.json', '--out', folder()],
  ] as [string, ...string[]][]) {
    const { status, stderr, stdout } = run(...more);
    expect(status, words).toBe(2);
    expect(stderr).toContain(words);
    expect(stdout).toBe('');
  }
});
