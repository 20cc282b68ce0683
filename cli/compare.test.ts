import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { withFields } from '@/core/2-document/edit/withFields';
import { numbersOf } from '@/core/6-groups/solve';

/** The commands as they are built for a fresh clone; nothing is built here. */
const [SWEEP, TOLERANCES] = ['dist/node/sweep.js', 'dist/node/tolerances.js'];
const FILE = 'demo/lagoon-postman.json';
const run = (...args: string[]) => spawnSync(process.execPath, args, { encoding: 'utf8' });
const INCIDENCE = '/surfaces/wing/incidence';
const refused = (...args: string[]) => {
  const { status, stderr, stdout } = run(...args);
  expect(status).toBe(2);
  expect(stdout).toBe('');
  return stderr;
};

describe.runIf(existsSync(SWEEP))('a sweep on the command line', () => {
  const CHORD = '/surfaces/wing/stations/0/chord';

  test('prints what the core says at each value, rows of the first of two', () => {
    const one = run(
      SWEEP,
      FILE,
      '--field',
      CHORD,
      '--from',
      '200',
      '--to',
      '220',
      '--steps',
      '3',
      '--outputs',
      'stall.speed,pitch.staticMargin',
    );
    expect(one.stderr).toBe('');
    const printed = JSON.parse(one.stdout);
    expect(printed).toMatchObject({
      format: 'inclinar-sweep',
      version: 1,
      inputs: { [CHORD]: [200, 210, 220] },
      reasons: [],
    });
    const design = demoDesign('lagoon-postman');
    printed.outputs['stall.speed'].forEach((value: number, index: number) =>
      expect(value).toBe(numbersOf(withFields(design, [{ field: CHORD, value: 200 + 10 * index }])).stall.speed),
    );
    const two = JSON.parse(
      run(
        SWEEP,
        FILE,
        '--field',
        CHORD,
        '--from',
        '200',
        '--to',
        '220',
        '--steps',
        '2',
        '--field2',
        '/surfaces/wing/incidence',
        '--from2=-1',
        '--to2',
        '2',
        '--steps2',
        '3',
        '--outputs',
        'reference.area',
      ).stdout,
    );
    expect(two.outputs['reference.area'].map((row: number[]) => row.length)).toEqual([3, 3]);
    expect(two.inputs['/surfaces/wing/incidence']).toEqual([-1, 0.5, 2]);
  });

  test('ends below nought are numbers, with or without a sign of equality', () => {
    const ask = (...ends: string[]) =>
      run(SWEEP, FILE, '--field', INCIDENCE, ...ends, '--steps', '3', '--outputs', 'stall.speed');
    const { stdout, stderr } = ask('--from', '-1.5', '--to', '-.5');
    expect(stderr).toBe('');
    expect(JSON.parse(stdout).inputs[INCIDENCE]).toEqual([-1.5, -1, -0.5]);
    expect(ask('--from=-1.5', '--to=-.5').stdout).toBe(stdout);
    expect(refused(SWEEP, FILE, '--field', INCIDENCE, '--from', '--to', '3', '--outputs', 'stall.speed')).toMatch(
      /--from/,
    );
  });

  test('what cannot be swept is refused with the place and the remedy', () => {
    const ends = ['--from', '200', '--to', '220'];
    expect(refused(SWEEP, FILE, '--field', '/surfaces/none/chord', ...ends, '--outputs', 'stall.speed')).toMatch(
      /is no field/,
    );
    expect(refused(SWEEP, FILE, '--field', CHORD, ...ends, '--outputs', 'stall.sped')).toMatch(
      /Was stall\.speed meant/,
    );
    expect(refused(SWEEP, FILE, '--field', CHORD, '--from', '200', '--to', '9e6', '--outputs', 'stall.speed')).toMatch(
      /--to 9e6: .*must/,
    );
    expect(refused(SWEEP, FILE, '--field', CHORD, ...ends, '--steps', '2.5', '--outputs', 'stall.speed')).toMatch(
      /whole number/,
    );
    expect(refused(SWEEP, FILE, '--field', CHORD, ...ends)).toMatch(/--outputs/);
    expect(refused(SWEEP, 'nothing.json', '--field', CHORD, ...ends)).toMatch(/cannot be read/);
  });
});

describe.runIf(existsSync(TOLERANCES))('tolerances on the command line', () => {
  test('prints spreads, chances and shares, the same for a seed', () => {
    const first = run(TOLERANCES, FILE, '--draws', '128', '--seed', '3');
    expect(first.stderr).toBe('');
    const printed = JSON.parse(first.stdout);
    expect(printed).toMatchObject({ format: 'inclinar-tolerances', version: 1, draws: 128, failed: 0 });
    expect(Object.keys(printed.chances)).toEqual(['inWindow', 'handsOff', 'noTipStall', 'rollTrimmable', 'firstThrow']);
    const { median, p05, p95 } = printed.outputs['pitch.staticMargin'];
    expect(p05).toBeLessThan(median);
    expect(median).toBeLessThan(p95);
    for (const shares of Object.values(printed.shares as Record<string, Record<string, number>>))
      expect(Object.values(shares).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    // Off its wheels nobody throws it, which takes most of the time.
    const seeded = (seed: string) => run(TOLERANCES, 'demo/atoll-freighter.json', '--draws', '64', '--seed', seed);
    const { stdout: third } = seeded('3');
    expect(seeded('3').stdout).toBe(third);
    expect(seeded('4').stdout).not.toBe(third);
    expect(printed.found).toEqual({});
  });

  test('bad options are refused', () => {
    expect(refused(TOLERANCES, FILE, '--draws', '3')).toMatch(/give a number from 16/);
    expect(refused(TOLERANCES, FILE, '--seed', '1.5')).toMatch(/whole number/);
    expect(refused(TOLERANCES)).toMatch(/Give one design document/);
  });
});
