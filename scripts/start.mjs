// npm start: installs and builds what is missing or out of date, then serves the app.
import { spawn } from 'node:child_process';
import { ensureBuilt, ensureInstalled } from './steps.mjs';

ensureInstalled();
ensureBuilt('app');
ensureBuilt('node');
const server = spawn(process.execPath, ['dist/node/server.js', ...process.argv.slice(2)], {
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
