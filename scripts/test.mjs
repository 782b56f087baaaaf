// npm test: lint, format, types, the weight of the first load, unit and server tests, then the interface in a browser.
// Ends with one line that adds all of them up.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { freePort } from './lib/database.mjs';
import { startJourneyServer } from './lib/journeyServer.mjs';
import { ensureDebian, ensureNpmPackages } from './lib/packages.mjs';
import { bin, CACHE, ROOT } from './lib/places.mjs';
import { tryRun } from './lib/run.mjs';
import { say } from './lib/say.mjs';

const VITEST_REPORT = join(CACHE, 'vitest.json');
const PLAYWRIGHT_REPORT = join(CACHE, 'playwright.json');

/** @typedef {{ passed: number, failed: number, skipped: number }} Count */

/** @param {string} file */
const readReport = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

/**
 * A check that either passes or fails as one.
 * @param {string} name
 * @param {string} program
 * @param {readonly string[]} args
 * @returns {Promise<Count>}
 */
async function check(name, program, args) {
  say(`${name} …`);
  const { code, output } = await tryRun(program, args, { cwd: ROOT });
  if (code !== 0) process.stdout.write(output);
  return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1, skipped: 0 };
}

/** @returns {Promise<Count>} */
async function unitAndServerTests() {
  say('Unit tests, and server tests on a private MariaDB …');
  rmSync(VITEST_REPORT, { force: true });
  const reporters = ['--reporter=dot', '--reporter=json', `--outputFile.json=${VITEST_REPORT}`];
  const { code } = await tryRun(bin('vitest'), ['run', ...reporters], { cwd: ROOT, show: true });
  const report = readReport(VITEST_REPORT);
  if (!report) return { passed: 0, failed: 1, skipped: 0 };
  const { numPassedTests: passed, numFailedTests, numPendingTests: skipped } = report;
  return { passed, failed: numFailedTests === 0 && code !== 0 ? 1 : numFailedTests, skipped };
}

/** @param {string} port where they are served @returns {Promise<Count>} */
async function browserTests(port) {
  say('The interface in Chromium, with demo data …');
  rmSync(PLAYWRIGHT_REPORT, { force: true });
  const env = {
    ...process.env,
    STEADY_E2E_PORT: port,
    STEADY_E2E_SERVED: '1',
    PLAYWRIGHT_JSON_OUTPUT_NAME: PLAYWRIGHT_REPORT,
  };
  const args = ['test', '-c', 'e2e/playwright.config.ts', '--reporter=dot,json'];
  const { code } = await tryRun(bin('playwright'), args, { cwd: ROOT, env, show: true });
  const stats = readReport(PLAYWRIGHT_REPORT)?.stats;
  if (!stats) return { passed: 0, failed: 1, skipped: 0 };
  const failed = stats.unexpected === 0 && code !== 0 ? 1 : stats.unexpected;
  return { passed: stats.expected + stats.flaky, failed, skipped: stats.skipped };
}

await ensureNpmPackages();
await ensureDebian('mariadb');
await ensureDebian('chromium');
mkdirSync(CACHE, { recursive: true });
// They leave a core idle now and then: the tests of units begin beside them.
const checks = Promise.all([
  check('Lint', bin('oxlint'), ['--type-aware', '--deny-warnings']),
  check('Format', bin('prettier'), ['--check', '--log-level', 'warn', '--cache', '--cache-location', join(CACHE, 'prettier'), '.']), // prettier-ignore
  check('Types', bin('tsc'), ['-b']),
]);
await ensureBuilt();
const port = String(await freePort(4390));
// It stands when the journeys begin.
const stopServing = startJourneyServer(port);
const counts = [
  await check('First load', process.execPath, ['scripts/first-load.mjs']),
  await unitAndServerTests(),
  ...(await checks),
  await browserTests(port),
];
await stopServing();

/** @param {keyof Count} what */
const sum = (what) => counts.reduce((total, count) => total + count[what], 0);
const skipped = sum('skipped') > 0 ? `, ${sum('skipped')} skipped` : '';
say('All checks are done.');
process.stdout.write(`${sum('passed')} passed, ${sum('failed')} failed${skipped}\n`);
process.exit(sum('failed') === 0 ? 0 : 1);
