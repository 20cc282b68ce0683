import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { describe, expect, test } from 'vitest';

/** The command as it is built for a fresh clone; nothing is built here. */
const BUILT = 'dist/node/fly.js';
const DESIGN = 'demo/lagoon-postman.json';
interface Printed {
  readonly samples: Readonly<Record<string, readonly number[]>>;
  readonly events: readonly { name: string; t: number }[];
  readonly outcome: string;
  readonly distance: number;
}
const flown = (...more: string[]) =>
  JSON.parse(execFileSync(process.execPath, [BUILT, DESIGN, ...more], { encoding: 'utf8' })) as Printed;

describe.runIf(existsSync(BUILT))('flights on the command line', () => {
  test('prints the contract: samples of equal length, an outcome, what happened', () => {
    const printed = flown('--speed', '9', '--height', '5');
    expect(printed).toMatchObject({ format: 'inclinar-flight', version: 1, outcome: expect.any(String) as string });
    for (const key of ['distance', 'glideRatio', 'sinkRate', 'settledSpeed', 'events'])
      expect(printed).toHaveProperty(key);
    const { t } = printed.samples;
    for (const key of ['x', 'y', 'z', 'speed', 'alpha', 'beta', 'roll', 'pitch', 'yaw'])
      expect(printed.samples[key]!.length, key).toBe(t!.length);
    expect(printed.samples['z']![0]).toBeCloseTo(5, 9);
    expect(printed.samples['speed']![0]).toBeCloseTo(9, 9);
    expect(printed.events.at(-1)!.name).toBe('ground');
  });

  test.each(['hand', 'hill', 'bungee', 'wheels'])('%s launches by itself', (launch) => {
    const { samples, events } = flown('--launch', launch, '--seconds', '4', '--pilot', 'holdHeading');
    expect(samples['t']!.length).toBeGreaterThan(20);
    expect(events.length).toBeGreaterThan(0);
    for (const values of Object.values(samples)) expect(values.every(Number.isFinite)).toBe(true);
    if (launch === 'wheels') expect(samples['z']!.at(-1)!).toBeGreaterThan(1);
  });

  test('wind against it takes distance, gusts change that, and a hill has its own', () => {
    const distance = (...more: string[]) => flown('--speed', '12', '--height', '4', ...more).distance;
    const [calm, windy, gusty] = [distance(), distance('--wind', '-2'), distance('--wind=-2', '--gusts')];
    expect(windy).not.toBe(calm);
    expect(gusty).not.toBe(windy);
    const { status, stderr } = spawnSync(process.execPath, [BUILT, DESIGN, '--launch', 'hill', '--wind', '3'], {
      encoding: 'utf8',
    });
    expect(status).toBe(2);
    expect(stderr).toMatch(/wind over a hill is its own/);
  });

  test('refuses what it cannot do in a sentence, with status 2', () => {
    for (const [words, ...more] of [
      ['Give one design document'],
      ['give hand, hill, bungee, wheels', DESIGN, '--launch', 'cannon'],
      ['give handsOff, pullUp', DESIGN, '--pilot', 'ace'],
      ['give a number from 0.1 to 60', DESIGN, '--speed', 'fast'],
      ['Leave one of them out', DESIGN, '--scale', '0.5', '--throttle', '1'],
      ['cannot be read', 'nowhere.json'],
    ] as [string, ...string[]][]) {
      const { status, stderr, stdout } = spawnSync(process.execPath, [BUILT, ...more], { encoding: 'utf8' });
      expect(status, words).toBe(2);
      expect(stderr).toContain(words);
      expect(stdout).toBe('');
    }
  });
});
