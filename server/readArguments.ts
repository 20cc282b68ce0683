import { parseArgs } from 'node:util';

const DEFAULT_PORT = 4173;

export type Arguments =
  | {
      readonly kind: 'serve';
      readonly port: number;
      /** Whether other devices of the local network may reach it, and whether over https. */
      readonly isOpen: boolean;
      readonly isSecure: boolean;
    }
  | { readonly kind: 'help' }
  | { readonly kind: 'refused'; readonly because: string };

export const HELP = `Usage: npm start [-- options]

Builds what is out of date and serves Inclinar on this machine.

  --port N, -p N   port to listen at (default ${DEFAULT_PORT}, or the environment's PORT)
  --host           opens it to the local network, so that a phone at the bench reaches it; whoever is on
                   that network then does. Designs stay in the browser that made them.
  --https          with --host: over https with a certificate of its own, which a browser asks about once;
                   a phone lends its tilt sensor to no other page
  --help           this text
`;

const KNOWN: readonly string[] = ['port', 'host', 'https', 'help'];

/** Reads the command line of the server. */
export function readArguments(args: readonly string[], environment: NodeJS.ProcessEnv): Arguments {
  const refused = (because: string): Arguments => ({ kind: 'refused', because: `${because} See npm start -- --help.` });
  const known = parseArgs({
    args: [...args],
    options: {
      port: { type: 'string', short: 'p' },
      host: { type: 'boolean' },
      https: { type: 'boolean' },
      help: { type: 'boolean' },
    },
    strict: false,
    tokens: true,
  });
  for (const token of known.tokens) {
    if (token.kind === 'positional') return refused(`“${token.value}” was not understood.`);
    if (token.kind !== 'option') continue;
    if (!KNOWN.includes(token.name)) return refused(`There is no option ${token.rawName}.`);
    if (token.name === 'port' && (token.value === undefined || token.value.startsWith('-')))
      return refused(`${token.rawName} needs a number behind it, such as ${token.rawName} 8080.`);
  }
  if (known.values['help']) return { kind: 'help' };
  const [isOpen, isSecure] = [known.values['host'] === true, known.values['https'] === true];
  if (isSecure && !isOpen)
    return refused('--https goes with --host: on this machine alone http is as safe, and works offline.');
  const text = known.values['port'] ?? environment['PORT'] ?? String(DEFAULT_PORT);
  const port = /^\d{1,5}$/.test(String(text)) ? Number(text) : NaN;
  return port >= 0 && port <= 65535
    ? { kind: 'serve', port, isOpen, isSecure }
    : refused(`The port must be a whole number from 0 to 65535, not “${String(text)}”.`);
}
