// npm run growth:browser: how fast the interface is when a crew has worked with it for years: 10 000 jobs in the list, a job of 200 areas, a
// calibration of 500 test runs. On a private instance; prints the table of docs/method.md.
import { onInstance } from './lib/onInstance.mjs';
import { demo, newId, newJob } from './soak/jobs.mjs';
import { ms, note, printTable, quantile } from './soak/table.mjs';

const JOBS = 10_000;
const AREAS = 200;
const RUNS = 500;
const FRAME_MS = 17;
const KEYS = 40;

/** @typedef {import('@playwright/test').Page} Page */

/** @param {string} address @param {'PUT' | 'POST'} method @param {string} path @param {unknown} body */
async function send(address, method, path, body) {
  const asked = { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  const answer = await fetch(`${address}${path}`, asked);
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${(await answer.text()).slice(0, 200)}`);
}

/** @param {string} address */
async function grow(address) {
  const day = (/** @type {number} */ index) =>
    new Date(Date.UTC(2016, 0, 1 + (index % 3900))).toISOString().slice(0, 10);
  for (let from = 0; from < JOBS; from += 250) {
    const documents = Array.from({ length: 250 }, (_, index) => ({
      id: newId(),
      input: { ...newJob(`Feed ${from + index}`).input, onDay: day(from + index) },
    }));
    // oxlint-disable-next-line no-await-in-loop -- one batch after the other
    await send(address, 'POST', '/api/jobs/batch', { schemaVersion: demo.schemaVersions.jobs, documents });
  }
  const [large, calibration] = [newId(), newId()];
  const input = /** @type {{ worksheet: { areas: object[] } }} */ (newJob('Two hundred areas').input);
  const areas = Array.from({ length: AREAS }, (_, index) => ({
    ...input.worksheet.areas[0],
    id: newId(),
    name: `Area ${index}`,
    size: `${20 + index} x 30`,
  }));
  await send(address, 'PUT', `/api/jobs/${large}`, {
    version: 0,
    schemaVersion: demo.schemaVersions.jobs,
    input: { ...input, worksheet: { ...input.worksheet, areas } },
  });
  await send(address, 'PUT', `/api/calibrations/${calibration}`, {
    version: 0,
    schemaVersion: demo.schemaVersions.calibrations,
    input: { ...demo.calibrations[0].input, name: 'Five hundred runs', signOff: null },
  });
  for (let run = 0; run < RUNS; run += 1)
    // oxlint-disable-next-line no-await-in-loop
    await send(address, 'POST', '/api/test-runs', {
      id: newId(),
      subject: calibration,
      first: null,
      occurredAt: new Date(Date.UTC(2026, 3, 1, 8, run)).toISOString(),
      schemaVersion: demo.schemaVersions.testRuns,
      input: demo.testRuns[0].input,
    });
  return { large, calibration };
}

/** How long each key holds the page up, as typed into a field. @param {Page} page @param {string} label */
async function keysIn(page, label) {
  const field = page.getByLabel(label, { exact: true }).first();
  await field.click();
  /** @type {number[]} */
  const times = [];
  for (let key = 0; key < KEYS; key += 1) {
    // oxlint-disable-next-line no-await-in-loop -- one key after the other
    const time = await field.evaluate(
      (element, text) => {
        const input = /** @type {HTMLInputElement} */ (element);
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
        const began = performance.now();
        set?.call(input, text);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        return performance.now() - began;
      },
      `0.${key % 10}${key % 7}`,
    );
    times.push(time);
    // oxlint-disable-next-line no-await-in-loop
    await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve))));
  }
  return times;
}

/** @param {string} what @param {string} tried @param {number[]} times @param {number} most */
const told = (what, tried, times, most) =>
  note(
    what,
    tried,
    `median ${ms(quantile(times, 0.5))}, 95 % within ${ms(quantile(times, 0.95))}`,
    quantile(times, 0.95) <= most,
  );

await onInstance(
  async ({ browser, address }) => {
    const { large, calibration } = await grow(address);
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(address);
    await page.waitForTimeout(3000);
    const places = page.getByRole('navigation', { name: 'Main places' });
    /** @type {number[]} */
    const opened = [];
    for (let time = 0; time < 10; time += 1) {
      const began = performance.now();
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      await places.getByRole('link', { name: 'Jobs' }).click();
      // oxlint-disable-next-line no-await-in-loop
      await page.getByRole('link', { name: /^Feed/ }).first().waitFor();
      opened.push(performance.now() - began);
      // oxlint-disable-next-line no-await-in-loop
      await page.getByRole('link', { name: 'New sheet' }).first().click();
    }
    told(`the list of ${JOBS} jobs`, '10 times, from the press to its rows', opened, 500);
    const devtools = await page.context().newCDPSession(page);
    await devtools.send('Performance.enable');
    const { metrics } = await devtools.send('Performance.getMetrics');
    const usedJSHeapSize = metrics.find((each) => each.name === 'JSHeapUsedSize')?.value ?? Infinity;
    note(
      'memory of the page with it',
      '',
      `${Math.round(usedJSHeapSize / 2 ** 20)} MB`,
      usedJSHeapSize < 200 * 2 ** 20,
    );
    await page.goto(`${address}/jobs/${large}`);
    await page.getByLabel('Amount needed').first().waitFor();
    await page.waitForTimeout(2000);
    told(
      `a key in a job of ${AREAS} areas`,
      `${KEYS} keys in the amount`,
      await keysIn(page, 'Amount needed'),
      FRAME_MS,
    );
    await page.goto(`${address}/bench/${calibration}`);
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await page.getByLabel('Rate', { exact: true }).first().waitFor();
    await page.waitForTimeout(2000);
    told(
      `a key in a calibration of ${RUNS} test runs`,
      `${KEYS} keys in the rate`,
      await keysIn(page, 'Rate'),
      FRAME_MS,
    );
  },
  { REQUESTS_PER_MINUTE: '100000000' },
);
process.exitCode = printTable() ? 0 : 1;
