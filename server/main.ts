import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { fileURLToPath } from 'node:url';
import { createApp } from './app';
import { HOSTS, isOursAt, listenOn, NoPortError } from './listen';
import { addressesOf, ownCertificate } from './network';
import { type Arguments, HELP, readArguments } from './readArguments';

type Serving = Extract<Arguments, { readonly kind: 'serve' }>;

const say = (text: string): void => void process.stdout.write(`${text}\n`);

/** A sentence on standard error, and status 2. */
function refuse(because: string): never {
  process.stderr.write(`${because}\n`);
  process.exit(2);
}

async function serve({ port: wanted, isOpen, isSecure }: Serving): Promise<void> {
  if (wanted !== 0 && (await isOursAt(wanted))) {
    say(`Inclinar runs already: http://127.0.0.1:${wanted}`);
    say(
      'No second one was started: browsers keep designs by address, and those made there would not be seen elsewhere.',
    );
    say('One with a storage of its own can be started with --port and another number.');
    return;
  }
  const app = createApp(fileURLToPath(new URL('../app', import.meta.url)));
  const server = isSecure ? createSecureServer(await ownCertificate(), app) : createServer(app);
  const port = await listenOn(server, wanted, isOpen ? HOSTS.open : HOSTS.alone).catch((error: unknown) =>
    refuse(error instanceof NoPortError ? error.message : 'No port could be opened. Give another one with --port.'),
  );
  if (wanted !== 0 && port !== wanted) {
    say(`Port ${wanted} is taken by another program, so Inclinar is at port ${port}.`);
    say(
      'Browsers keep designs by address: those made at another port are not seen here. Export them there and import them here.',
    );
  }
  const scheme = isSecure ? 'https' : 'http';
  say(`Inclinar is ready: ${scheme}://127.0.0.1:${port}`);
  if (isOpen) {
    for (const address of addressesOf()) say(`On the local network:  ${scheme}://${address}:${port}`);
    say('Whoever is on that network reaches this page and its made-up instruments; designs stay in each browser.');
    say(
      isSecure
        ? 'The certificate is of its own: a browser asks once whether to trust it. Offline a phone needs one that it trusts.'
        : 'Without https a phone logs, shows and exports while the page is open; its tilt sensor and offline use need --https.',
    );
  }
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.close(() => process.exit(0)));
}

const asked = readArguments(process.argv.slice(2), process.env);
if (asked.kind === 'refused') refuse(asked.because);
else if (asked.kind === 'help') process.stdout.write(HELP);
else await serve(asked);
