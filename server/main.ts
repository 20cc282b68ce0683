import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import { createApp } from './app';
import { isOursAt, listenOn, NoPortError } from './listen';
import { HELP, readArguments } from './readArguments';

const say = (text: string): void => void process.stdout.write(`${text}\n`);

/** A sentence on standard error, and status 2. */
function refuse(because: string): never {
  process.stderr.write(`${because}\n`);
  process.exit(2);
}

async function serve(wanted: number): Promise<void> {
  if (wanted !== 0 && (await isOursAt(wanted))) {
    say(`Inclinar runs already: http://127.0.0.1:${wanted}`);
    say(
      'No second one was started: browsers keep designs by address, and those made there would not be seen elsewhere.',
    );
    say('One with a storage of its own can be started with --port and another number.');
    return;
  }
  const server = createServer(createApp(fileURLToPath(new URL('../app', import.meta.url))));
  const port = await listenOn(server, wanted).catch((error: unknown) =>
    refuse(error instanceof NoPortError ? error.message : 'No port could be opened. Give another one with --port.'),
  );
  if (wanted !== 0 && port !== wanted) {
    say(`Port ${wanted} is taken by another program, so Inclinar is at port ${port}.`);
    say(
      'Browsers keep designs by address: those made at another port are not seen here. Export them there and import them here.',
    );
  }
  say(`Inclinar is ready: http://127.0.0.1:${port}`);
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.close(() => process.exit(0)));
}

const asked = readArguments(process.argv.slice(2), process.env);
if (asked.kind === 'refused') refuse(asked.because);
else if (asked.kind === 'help') process.stdout.write(HELP);
else await serve(asked.port);
