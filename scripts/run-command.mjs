// Builds the command line when sources changed, then runs one command of it. Prints nothing of its own.
import { spawnSync } from 'node:child_process';
import { ensureBuilt, ensureChromium, ensureInstalled } from './steps.mjs';

const [name, ...rest] = process.argv.slice(2);
ensureInstalled();
ensureBuilt('node');
if (name === 'bench' || name === 'screenshots') ensureBuilt('app');
if (name === 'screenshots' && !ensureChromium()) process.exit(1);
const { status } = spawnSync(process.execPath, [`dist/node/${name}.js`, ...rest], {
  stdio: 'inherit',
});
process.exit(status ?? 1);
