import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { createApp } from './app';
import { listenOn } from './listen';

const DEFAULT_PORT = 4173;

function wantedPort(): number {
  const { values } = parseArgs({
    options: { port: { type: 'string', short: 'p' } },
    strict: false,
  });
  const text = values.port ?? process.env['PORT'] ?? String(DEFAULT_PORT);
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    process.stderr.write(`The port must be a whole number from 0 to 65535, not "${String(text)}".\n`);
    process.exit(2);
  }
  return port;
}

const appFolder = fileURLToPath(new URL('../app', import.meta.url));
const server = createServer(createApp(appFolder));
const port = await listenOn(server, wantedPort());
process.stdout.write(`Inclinar is ready: http://127.0.0.1:${port}\n`);
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.close(() => process.exit(0)));
