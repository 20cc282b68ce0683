import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'vite';
import { assemblyScript } from '#/build/assemblyScript';
import { beforeAll, describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { analyse } from '@/core/analyse';
import { printAnalysis } from '@/words/printAnalysis';

const folder = mkdtempSync(join(tmpdir(), 'inclinar-cli-'));

beforeAll(async () => {
  const root = fileURLToPath(new URL('..', import.meta.url));
  await build({
    configFile: false,
    root,
    logLevel: 'error',
    plugins: [assemblyScript()],
    resolve: { alias: { '@': join(root, 'src') } },
    build: { ssr: join(root, 'cli/analyse.ts'), outDir: folder, target: 'node20' },
    ssr: { noExternal: true },
  });
}, 120_000);

const run = (...args: string[]) =>
  spawnSync(process.execPath, [join(folder, 'analyse.js'), ...args], { encoding: 'utf8' });
const written = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

describe('command line', () => {
  test('prints what the interface computes, to the last digit', () => {
    const [name] = DEMO_NAMES;
    const example = run('--example', name!);
    expect(example.status).toBe(0);
    const answer = run(written('design.json', example.stdout));
    expect(answer.stderr).toBe('');
    expect(JSON.parse(answer.stdout)).toEqual(JSON.parse(JSON.stringify(printAnalysis(analyse(demoDesign(name!))))));
  });

  test('options reach the computation', () => {
    const path = written('plain.json', run('--example', DEMO_NAMES[0]!).stdout);
    const plain = JSON.parse(run(path, '--surfaces-only', '--wake=wind', '--grid=8x3').stdout);
    expect(plain.options).toEqual({ surfacesOnly: true, wake: 'wind' });
    expect(plain.stall.liftCoefficient).toBeNull();
    expect(plain.stall.reasons.liftCoefficient).toMatch(/left out/);
  });

  test('names its examples, explains itself and knows its schema', () => {
    expect(run('--list').stdout.trim().split('\n')).toEqual(DEMO_NAMES);
    expect(run('--help').stdout).toMatch(/Usage: npm run -s analyse/);
    expect(JSON.parse(run('--schema').stdout)).toMatchObject({ title: 'Inclinar design', type: 'object' });
  });

  test.each([
    [['nowhere.json'], /nowhere.json: cannot be read/],
    [[], /Give one design document/],
    [['--example', 'kite'], /no example "kite"/],
    [['x.json', '--wake=sideways'], /only "datum" and "wind"/],
    [['x.json', '--grid=fine'], /such as --grid=18x5/],
    [['--colour'], /Unknown option/],
  ])('%j is refused on standard error with status 2', (args, message) => {
    const answer = run(...args);
    expect(answer.status).toBe(2);
    expect(answer.stdout).toBe('');
    expect(answer.stderr).toMatch(message);
  });

  test('a bad file is refused with the place and the reason', () => {
    const answer = run(
      written(
        'bad.json',
        '{"format":"inclinar-design","version":1,"name":"x","surfaces":[{"id":"w","role":"wing","stations":[{"distanceFromRoot":0,"chord":2}]}]}',
      ),
    );
    expect(answer.status).toBe(2);
    expect(answer.stderr).toMatch(/\/surfaces\/0\/stations\/0\/chord: must lie between 5 mm/);
    expect(answer.stderr).toMatch(/\/surfaces\/0\/stations: needs at least a root and a tip/);
  });
});
