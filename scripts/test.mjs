// npm test: installs what is missing, checks, runs unit and browser tests; the last line counts them.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { CHROMIUM, ensureBuilt, ensureChromium, ensureInstalled } from './steps.mjs';

const RESULTS = '.cache/results';
const total = { passed: 0, failed: 0 };

function execute(args, env = {}) {
  return spawnSync(process.execPath, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
}

/** A check that passes or fails as a whole. */
function check(name, args) {
  process.stdout.write(`\n== ${name}\n`);
  count(execute(args) ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 });
}

function count({ passed, failed }) {
  total.passed += passed;
  total.failed += failed;
}

/** Module count of the layer check: no modules seen means that nothing was checked. */
function checkLayers() {
  process.stdout.write('\n== layers: interface → store → core\n');
  const { status, stdout } = spawnSync(
    process.execPath,
    [
      'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      'src',
      'server',
      'cli',
      'demo',
    ],
    { encoding: 'utf8' },
  );
  process.stdout.write(stdout);
  const modules = Number(/\((\d+) modules/.exec(stdout)?.[1] ?? 0);
  count(status === 0 && modules > 50 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 });
}

function runUnitTests() {
  process.stdout.write('\n== unit tests\n');
  const output = `${RESULTS}/unit.json`;
  execute([
    'node_modules/vitest/vitest.mjs',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${output}`,
  ]);
  const { numPassedTests = 0, numFailedTests = 0, numFailedTestSuites = 0 } = readResults(output);
  count({
    passed: numPassedTests,
    failed: Math.max(numFailedTests, numFailedTestSuites > 0 ? 1 : 0),
  });
}

function runBrowserTests() {
  process.stdout.write('\n== browser tests\n');
  const output = `${RESULTS}/browser.json`;
  execute(['node_modules/@playwright/test/cli.js', 'test'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: output,
    CHROMIUM_PATH: CHROMIUM,
  });
  const { stats = { expected: 0, unexpected: 1, flaky: 0 } } = readResults(output);
  count({ passed: stats.expected + stats.flaky, failed: stats.unexpected });
}

function readResults(path) {
  if (existsSync(path)) return JSON.parse(readFileSync(path, 'utf8'));
  return { numFailedTests: 1 };
}

function finish(failures) {
  process.stdout.write(`\n${total.passed} passed, ${total.failed + failures} failed\n`);
  process.exit(total.failed + failures === 0 && total.passed > 0 ? 0 : 1);
}

ensureInstalled();
if (!ensureChromium()) finish(1);
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });
check('types', ['node_modules/typescript-native/bin/tsc', '--noEmit']);
check('lint', ['node_modules/oxlint/bin/oxlint', '--deny-warnings']);
checkLayers();
runUnitTests();
ensureBuilt('app');
ensureBuilt('node');
runBrowserTests();
finish(0);
