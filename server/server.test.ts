import { createServer, type Server } from 'node:http';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { createApp } from './app';
import { isOursAt, listenOn, NoPortError } from './listen';
import { readArguments } from './readArguments';

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

test('an app below a hidden folder is served like any other', async () => {
  const hidden = join(folder, '.own', 'app');
  mkdirSync(hidden, { recursive: true });
  writeFileSync(join(hidden, 'index.html'), '<!doctype html><title>Inclinar</title>');
  const answer = await fetch(`http://127.0.0.1:${await serve(hidden)}/design/abc`);
  expect(answer.status).toBe(200);
  expect(await answer.text()).toContain('Inclinar');
});

test('the policy allows no foreign or generated script, no frames, no plain-http lockout', async () => {
  const { headers } = await fetch(address);
  const policy = headers.get('content-security-policy')!;
  for (const part of [
    "default-src 'self'",
    "script-src 'self' 'wasm-unsafe-eval';",
    "object-src 'none'",
    "frame-ancestors 'none'",
    "worker-src 'self' blob:",
  ])
    expect(policy).toContain(part);
  expect(policy).not.toContain("'unsafe-eval'");
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

test('no answer tells a stack or a path of this machine', async () => {
  for (const path of ['/assets/none.js', '/%E0%A4%A', '/assets/%00', '/assets/..%2f..%2fpackage.json', '/assets']) {
    const answer = await fetch(address + path);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    const text = await answer.text();
    expect(text).toMatch(/^[A-Z][^<]*\.$/);
    expect(text).not.toMatch(/node_modules|Error|\bat |\/tmp|\.ts/);
  }
  const posted = await fetch(`${address}/`, { method: 'POST', body: 'x' });
  expect([posted.status, await posted.text()]).toEqual([404, 'There is nothing here.']);
});

test('a server of ours is known from another program', async () => {
  const ours = await serve(folder);
  expect(await isOursAt(ours)).toBe(true);
  const other = createServer((_request, response) => response.end('hello'));
  servers.push(other);
  const theirs = await listenOn(other, 0);
  expect(await isOursAt(theirs)).toBe(false);
  expect(await isOursAt(1)).toBe(false);
});

test('where no port can be had it says what to do', async () => {
  const last = await serve(folder, 65535);
  expect(last).toBe(65535);
  await expect(serve(folder, 65535)).rejects.toThrow(NoPortError);
  await expect(serve(folder, 65535)).rejects.toThrow(/No port from 65535 to 65535 is free/);
});

test.each([
  [['--port', '8080'], { kind: 'serve', port: 8080, isOpen: false, isSecure: false }],
  [['--host'], { kind: 'serve', port: 4173, isOpen: true, isSecure: false }],
  [['--host', '--https', '-p', '9000'], { kind: 'serve', port: 9000, isOpen: true, isSecure: true }],
  [['--https'], { kind: 'refused', because: expect.stringMatching(/--https goes with --host/) }],
  [['-p', '0'], { kind: 'serve', port: 0, isOpen: false, isSecure: false }],
  [['--port=81'], { kind: 'serve', port: 81, isOpen: false, isSecure: false }],
  [[], { kind: 'serve', port: 4173, isOpen: false, isSecure: false }],
  [['--help'], { kind: 'help' }],
  [['--port'], { kind: 'refused', because: expect.stringMatching(/--port needs a number behind it/) }],
  [['-p'], { kind: 'refused', because: expect.stringMatching(/-p needs a number/) }],
  [['--port', '--help'], { kind: 'refused', because: expect.stringMatching(/needs a number/) }],
  [
    ['--port', 'eighty'],
    { kind: 'refused', because: expect.stringMatching(/whole number from 0 to 65535, not “eighty”/) },
  ],
  [['--port', '70000'], { kind: 'refused', because: expect.stringMatching(/70000/) }],
  [['--prot', '80'], { kind: 'refused', because: expect.stringMatching(/no option --prot/) }],
  [['open'], { kind: 'refused', because: expect.stringMatching(/“open” was not understood/) }],
])('%j', (args, wanted) => {
  expect(readArguments(args, {})).toEqual(wanted);
});

test('the port of the environment counts, and a wrong one is refused', () => {
  expect(readArguments([], { PORT: '99' })).toMatchObject({ kind: 'serve', port: 99 });
  expect(readArguments([], { PORT: '' })).toMatchObject({ kind: 'refused' });
});
