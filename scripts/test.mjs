// npm test [-- unit | browser | check | NAME]: installs what is missing, checks, runs unit and browser tests; the last line counts them.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { CHROMIUM, ensureBuilt, ensureChromium, ensureInstalled, filesBelow } from './steps.mjs';

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

function runChecks() {
  check('types', ['node_modules/typescript-native/bin/tsc', '--noEmit']);
  check('lint', ['node_modules/oxlint/bin/oxlint', '--deny-warnings']);
  checkLayers();
}

function runUnitTests(only = []) {
  // The command line is tested as it is built.
  ensureBuilt('node');
  process.stdout.write('\n== unit tests\n');
  const output = `${RESULTS}/unit.json`;
  execute([
    'node_modules/vitest/vitest.mjs',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${output}`,
    ...only,
  ]);
  const { numPassedTests = 0, numFailedTests = 0, numFailedTestSuites = 0 } = readResults(output);
  count({
    passed: numPassedTests,
    failed: Math.max(numFailedTests, numFailedTestSuites > 0 ? 1 : 0),
  });
}

function runBrowserTests(only = []) {
  if (!ensureChromium()) finish(1);
  ensureBuilt('app');
  ensureBuilt('node');
  process.stdout.write('\n== browser tests\n');
  const output = `${RESULTS}/browser.json`;
  execute(['node_modules/@playwright/test/cli.js', 'test', ...only], {
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

/** Tests whose file is named so; when there is none, those whose title is. */
function runNamed(name) {
  const has = (folders, suffix) =>
    folders.flatMap(filesBelow).some((file) => suffix.test(file) && file.toLowerCase().includes(name.toLowerCase()));
  const unit = has(['src', 'tests', 'server', 'cli', 'demo'], /\.test\.tsx?$/);
  const browser = has(['e2e'], /\.spec\.ts$/);
  if (unit) runUnitTests([name]);
  if (browser) runBrowserTests([name]);
  if (unit || browser) return;
  runUnitTests(['--passWithNoTests', '-t', name]);
  runBrowserTests(['--pass-with-no-tests', '-g', name]);
}

function finish(failures) {
  process.stdout.write(`\n${total.passed} passed, ${total.failed + failures} failed\n`);
  process.exit(total.failed + failures === 0 && total.passed > 0 ? 0 : 1);
}

const [part] = process.argv.slice(2);
ensureInstalled();
if (!part && !ensureChromium()) finish(1);
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });
const parts = { check: [runChecks], unit: [runUnitTests], browser: [runBrowserTests] };
if (part && !parts[part]) runNamed(part);
else for (const run of part ? parts[part] : Object.values(parts).flat()) run();
finish(0);
