import { createServer, type Server } from 'node:http';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { createApp } from './app';
import { listenOn } from './listen';

const folder = mkdtempSync(join(tmpdir(), 'inclinar-app-'));
const servers: Server[] = [];
let address = '';

async function serve(appFolder: string, wanted = 0): Promise<number> {
  const server = createServer(createApp(appFolder));
  servers.push(server);
  return listenOn(server, wanted);
}

beforeAll(async () => {
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Inclinar</title>');
  writeFileSync(join(folder, 'assets', 'app-abc.js'), `console.log(${JSON.stringify('x'.repeat(5000))});`);
  address = `http://127.0.0.1:${await serve(folder)}`;
});
afterAll(() => servers.forEach((server) => server.close()));

test('every path of the app is the same page, never cached', async () => {
  for (const path of ['/', '/design/abc/wing']) {
    const answer = await fetch(address + path);
    expect(answer.status).toBe(200);
    expect(await answer.text()).toContain('Inclinar');
    expect(answer.headers.get('cache-control')).toBe('no-cache');
  }
});

test('the policy allows no foreign or generated script, no frames, no plain-http lockout', async () => {
  const { headers } = await fetch(address);
  const policy = headers.get('content-security-policy')!;
  for (const part of [
    "default-src 'self'",
    "script-src 'self';",
    "object-src 'none'",
    "frame-ancestors 'none'",
    "worker-src 'self' blob:",
  ])
    expect(policy).toContain(part);
  expect(policy).not.toContain('unsafe-eval');
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('strict-transport-security')).toBeNull();
  expect(headers.get('x-powered-by')).toBeNull();
});

test('hashed files are kept for a year and compressed; missing ones are missing', async () => {
  const answer = await fetch(`${address}/assets/app-abc.js`, { headers: { 'accept-encoding': 'gzip' } });
  expect(answer.headers.get('cache-control')).toMatch(/max-age=31536000, immutable/);
  expect(answer.headers.get('content-encoding')).toBe('gzip');
  expect((await fetch(`${address}/assets/none.js`)).status).toBe(404);
});

test('a taken port gives the next free one', async () => {
  const first = await serve(folder, 45871);
  const second = await serve(folder, first);
  expect(second).toBeGreaterThan(first);
});

test('an app that is not built says what to do', async () => {
  const port = await serve(join(folder, 'nothing'));
  const answer = await fetch(`http://127.0.0.1:${port}/`);
  expect(answer.status).toBe(503);
  expect(await answer.text()).toMatch(/npm start/);
});
