// npm run campaign [-- TIMES]: an attack. Made-up aircraft and broken files many times over, from a seed of its own that is printed;
// the whole fleet on every screen; then a browser that is killed again and again, full storages, clashing tabs, dead workers.
import { spawnSync } from 'node:child_process';
import { CHROMIUM, ensureBuilt, ensureChromium, ensureInstalled } from './steps.mjs';

const times = Number(process.argv[2] ?? 25);
if (!Number.isInteger(times) || times < 1) {
  process.stderr.write('Give a whole number: how many times as many cases as npm test runs.\n');
  process.exit(2);
}
const seed = process.env.SEED ?? String(Date.now() % 2 ** 31);
ensureInstalled();

/** @returns whether it went well */
function run(title, args, env) {
  process.stdout.write(`\n== ${title}\n`);
  return spawnSync(process.execPath, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
}

process.stdout.write(`${times} times the cases, seed ${seed} (SEED=${seed} runs them again)\n`);
const madeUp = run('made-up cases', ['node_modules/vitest/vitest.mjs', 'run', '--project', 'core'], {
  CAMPAIGN: String(times),
  SEED: seed,
});
if (!ensureChromium()) process.exit(1);
ensureBuilt('app');
ensureBuilt('node');
const kills = String(Math.max(1, Math.round((20 * times) / 25)));
const browser = run(
  `${kills} kills of a browser, faults of storage and workers`,
  [
    'node_modules/@playwright/test/cli.js',
    'test',
    'kills',
    'lost',
    '-g',
    'killed|full storage|clash|removed|stored row|never answers',
  ],
  { KILLS: kills, CHROMIUM_PATH: CHROMIUM },
);
const readable = run(
  'every stage of the whole fleet on four screens',
  ['node_modules/@playwright/test/cli.js', 'test', 'fit'],
  { CAMPAIGN: String(times), CHROMIUM_PATH: CHROMIUM },
);
process.exit(madeUp && browser && readable ? 0 : 1);
