// Steps shared by start, test and the command line: install, build when needed. Plain Node, since nothing is installed yet.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const STAMPS = '.cache';
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

/** Runs a command; its output goes to standard error so that standard output stays clean. */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, ...env },
  });
  if (error || status !== 0) {
    process.stderr.write(
      `${command} ${args.join(' ')} failed${error ? `: ${error.message}` : ` with status ${status}`}.\n`,
    );
    process.exit(status || 1);
  }
}

/** Every file at or below a path. */
export function filesBelow(path) {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesBelow(join(path, name)));
}

function fingerprint(paths) {
  const hash = createHash('sha256');
  for (const file of paths.flatMap(filesBelow)) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

const stampOf = (name) => join(STAMPS, `${name}.stamp`);
const isStamped = (name, value) => existsSync(stampOf(name)) && readFileSync(stampOf(name), 'utf8') === value;
function stamp(name, value) {
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(stampOf(name), value);
}

/** Installs what the lock file names, unless that was done already. */
export function ensureInstalled() {
  const lock = fingerprint(['package-lock.json']);
  if (existsSync('node_modules') && isStamped('install', lock)) return;
  process.stderr.write('Installing packages…\n');
  run(npm, ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
  });
  stamp('install', lock);
}

/** Where the browser for tests, pictures and timings lies. */
export const CHROMIUM = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';

/** Installs Debian's Chromium when it is missing; false, with the remedy on standard error, when that fails. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return true;
  if (process.getuid?.() !== 0) {
    process.stderr.write(
      `Chromium is missing at ${CHROMIUM}. Install Debian's package (apt-get install chromium) as root, or set CHROMIUM_PATH.\n`,
    );
    return false;
  }
  const apt = (...args) =>
    spawnSync('apt-get', args, {
      stdio: ['ignore', 2, 2],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status === 0;
  process.stderr.write('Installing Chromium from Debian packages…\n');
  if (
    apt('update', '-qq') &&
    apt('install', '-y', '-qq', '--no-install-recommends', 'chromium') &&
    existsSync(CHROMIUM)
  )
    return true;
  process.stderr.write('Chromium could not be installed.\n');
  return false;
}

const SOURCES = [
  'build',
  'src',
  'server',
  'cli',
  'bench',
  'demo',
  'tests',
  'public',
  'index.html',
  'package-lock.json',
  'vite.config.ts',
  'vite.node.config.ts',
];
const BUILDS = {
  app: { output: 'dist/app/index.html', args: ['build', '--logLevel=warn'] },
  node: {
    output: 'dist/node/server.js',
    args: ['build', '--logLevel=warn', '--config', 'vite.node.config.ts'],
  },
};

/** Builds the app or the Node side when any source changed since the last build. */
export function ensureBuilt(which) {
  const { output, args } = BUILDS[which];
  const sources = fingerprint(SOURCES);
  if (existsSync(output) && isStamped(`build-${which}`, sources)) return;
  process.stderr.write(`Building (${which})…\n`);
  run(process.execPath, ['node_modules/vite/bin/vite.js', ...args]);
  stamp(`build-${which}`, sources);
}
