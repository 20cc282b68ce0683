import { createServer, type Server } from 'node:http';
import express from 'express';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { gatesOf } from '@/core/8-bench/gates';
import type { Showing } from '@/core/8-bench/instruments/instrument';
import { hiddenAirframe, trueReading } from '@/core/8-bench/rehearsal/hiddenAirframe';
import { createApp } from './app';
import { instrumentsRouter } from './instruments';
import { listenOn } from './listen';

const servers: Server[] = [];
let address = '';
/** Milliseconds of the bench. */
let clock = 0;

beforeAll(async () => {
  const app = express();
  app.use(
    '/instruments',
    instrumentsRouter(() => clock),
  );
  const server = createServer(app);
  servers.push(server);
  address = `http://127.0.0.1:${await listenOn(server, 0)}/instruments`;
});
afterAll(() => servers.forEach((server) => (server.closeAllConnections(), server.close())));

const design = demoDesign('lagoon-postman');
const post = (path: string, body: unknown, headers: Record<string, string> = {}) =>
  fetch(address + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', ...headers },
    body: JSON.stringify(body),
  });

/** The first events of a stream. */
async function events(kind: string, count: number, of = address): Promise<string[]> {
  const stop = new AbortController();
  const answer = await fetch(`${of}/stream/${kind}`, { signal: stop.signal });
  expect(answer.headers.get('content-type')).toMatch(/^text\/event-stream/);
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  while (text.split('\n\n').filter((part) => part.includes('data:')).length < count) {
    const { value, done } = await reader.read();
    if (done) break;
    text += value;
  }
  stop.abort();
  return text.split('\n\n').filter((part) => part.includes('data:'));
}
const shownIn = (event: string): Showing => JSON.parse(event.slice(event.indexOf('data: ') + 6)) as Showing;
const now = async (kind: string) => shownIn((await events(kind, 1))[0]!);

test('a stream tells ten times a second what is shown, each counted', async () => {
  const all = await events('tilt', 4);
  expect(all[1]).toMatch(/^id: \d+\nevent: shown\ndata: /);
  const shown = all.map(shownIn);
  expect(shown.map(({ count }) => count)).toEqual([0, 1, 2, 3].map((place) => shown[0]!.count + place));
  expect(shown[0]!.values).toHaveLength(1);
  expect((await fetch(`${address}/stream/ruler`)).status).toBe(404);
});

test('in a rehearsal the meter shows what is really there, turned round the opposite, and what shims make of it', async () => {
  const gate = gatesOf(design).find(({ quantity }) => quantity === 'incidence')!;
  expect((await post('/lay', { kind: 'tilt', on: { step: gate.step, side: 'left' } })).status).toBe(409);
  expect((await post('/rehearsal', { design: JSON.stringify(design), seed: 11 })).status).toBe(200);
  const true0 = trueReading(hiddenAirframe(design, 11), gate, 'left');
  const read = async (turned: boolean) => {
    expect((await post('/lay', { kind: 'tilt', on: { step: gate.step, side: 'left', turned } })).status).toBe(204);
    clock += 5000;
    return (await now('tilt')).values[0]!;
  };
  const [forward, turned] = [await read(false), await read(true)];
  expect((forward - turned) / 2).toBeCloseTo(true0, 0);
  expect(Math.abs((forward - turned) / 2 - true0)).toBeLessThan(0.2);
  const shims = [{ side: 'left', edge: 'leading', thickness: 6, reads: 0 }];
  expect((await post('/shim', { step: gate.step, shims })).status).toBe(204);
  const after = ((await read(false)) - (await read(true))) / 2;
  expect(after - true0).toBeGreaterThan(0.7 * ((Math.atan(6 / gate.chord!) * 180) / Math.PI));
  expect((await fetch(`${address}/rehearsal`, { method: 'DELETE' })).status).toBe(204);
  expect((await post('/shim', { step: gate.step, shims })).status).toBe(409);
});

test('a battery that is empty says so, and a new one shows again', async () => {
  await now('pull');
  clock += 4e6;
  expect((await events('pull', 1))[0]).toContain('event: empty');
  expect((await post('/battery', { kind: 'pull' })).status).toBe(204);
  expect((await now('pull')).battery).toBeGreaterThan(0.9);
});

test('what cannot be understood is refused in words, and pages of other addresses are', async () => {
  for (const [path, body] of [
    ['/lay', { kind: 'ruler', on: null }],
    ['/lay', { kind: 'tilt', on: { step: 3 } }],
    ['/rehearsal', { design: '{}', seed: 1 }],
    ['/rehearsal', { seed: 1 }],
    ['/shim', {}],
    ['/battery', {}],
  ] as const) {
    const answer = await post(path, body);
    expect(answer.status, path).toBe(400);
    expect(((await answer.json()) as { because: string }).because, path).toMatch(/\.$/);
  }
  expect((await post('/lay', { kind: 'tilt', on: null }, { Origin: 'http://elsewhere.example' })).status).toBe(403);
});

test('through the app the stream is not held back by compression', async () => {
  const server = createServer(createApp('/nowhere'));
  servers.push(server);
  const whole = `http://127.0.0.1:${await listenOn(server, 0)}/instruments`;
  const start = performance.now();
  expect(await events('wind', 2, whole)).toHaveLength(2);
  expect(performance.now() - start).toBeLessThan(3000);
});
