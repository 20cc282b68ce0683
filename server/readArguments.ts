import { parseArgs } from 'node:util';

const DEFAULT_PORT = 4173;

export type Arguments =
  | { readonly kind: 'serve'; readonly port: number }
  | { readonly kind: 'help' }
  | { readonly kind: 'refused'; readonly because: string };

export const HELP = `Usage: npm start [-- options]

Builds what is out of date and serves Inclinar on this machine.

  --port N, -p N   port to listen at (default ${DEFAULT_PORT}, or the environment's PORT)
  --help           this text
`;

/** Reads the command line of the server. */
export function readArguments(args: readonly string[], environment: NodeJS.ProcessEnv): Arguments {
  const refused = (because: string): Arguments => ({ kind: 'refused', because: `${because} See npm start -- --help.` });
  const known = parseArgs({
    args: [...args],
    options: { port: { type: 'string', short: 'p' }, help: { type: 'boolean' } },
    strict: false,
    tokens: true,
  });
  for (const token of known.tokens) {
    if (token.kind === 'positional') return refused(`“${token.value}” was not understood.`);
    if (token.kind !== 'option') continue;
    if (token.name !== 'port' && token.name !== 'help') return refused(`There is no option ${token.rawName}.`);
    if (token.name === 'port' && (token.value === undefined || token.value.startsWith('-')))
      return refused(`${token.rawName} needs a number behind it, such as ${token.rawName} 8080.`);
  }
  if (known.values['help']) return { kind: 'help' };
  const text = known.values['port'] ?? environment['PORT'] ?? String(DEFAULT_PORT);
  const port = /^\d{1,5}$/.test(String(text)) ? Number(text) : NaN;
  return port >= 0 && port <= 65535
    ? { kind: 'serve', port }
    : refused(`The port must be a whole number from 0 to 65535, not “${String(text)}”.`);
}
