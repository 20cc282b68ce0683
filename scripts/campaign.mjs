// npm run campaign [-- TIMES]: the made-up cases of the unit tests many times over, from a seed of its own that is printed.
import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './steps.mjs';

const times = Number(process.argv[2] ?? 25);
if (!Number.isInteger(times) || times < 1) {
  process.stderr.write('Give a whole number: how many times as many cases as npm test runs.\n');
  process.exit(2);
}
const seed = process.env.SEED ?? String(Date.now() % 2 ** 31);
ensureInstalled();
process.stdout.write(`${times} times the cases, seed ${seed} (SEED=${seed} runs them again)\n`);
const { status } = spawnSync(process.execPath, ['node_modules/vitest/vitest.mjs', 'run', '--project', 'core'], {
  stdio: 'inherit',
  env: { ...process.env, CAMPAIGN: String(times), SEED: seed },
});
process.exit(status ?? 1);
