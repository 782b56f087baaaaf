// npm run first-screen: how soon the first screen can be typed into, beside an empty app that has one of each part of the library. Both from a
// fresh profile on a phone's screen over loopback, packed alike; medians of nine runs, on this machine and on one four times slower. A test
// run that is under way is loaded again beside them: until its step stands. Then how soon a dialog stands, with the focus in it, that was
// never opened before on that page, and how soon when it is opened again.
import { createServer } from 'node:http';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { extname, join } from 'node:path';
import { gzipSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { build } from 'vite';
import { onInstance } from './lib/onInstance.mjs';
import { ROOT } from './lib/places.mjs';
import { ms, note, printTable, quantile } from './soak/table.mjs';

const RUNS = 9;
const PHONE = { width: 390, height: 844 };
/** Of the time of the empty app. */
const MAX = { typed: 1.5, painted: 1.2 };

const TYPES = /** @type {Record<string, string>} */ ({ '.html': 'text/html', '.js': 'text/javascript', '.css': 'text/css' }); // prettier-ignore

/** Builds the empty app into a folder and serves it. */
async function serveEmpty() {
  const folder = mkdtempSync(join(tmpdir(), 'steady-empty-'));
  await build({
    configFile: false,
    root: join(ROOT, 'scripts', 'emptyApp'),
    logLevel: 'error',
    plugins: [react()],
    build: { outDir: folder, emptyOutDir: true, target: 'es2023', modulePreload: { polyfill: false } },
  });
  const packed = (/** @type {string} */ file) => gzipSync(readFileSync(join(folder, file)));
  const server = createServer(({ url = '/' }, answer) => {
    const file = url === '/' ? 'index.html' : url.slice(1);
    try {
      answer.writeHead(200, { 'Content-Type': TYPES[extname(file)] ?? 'application/octet-stream', 'Content-Encoding': 'gzip' }); // prettier-ignore
      answer.end(packed(file));
    } catch {
      answer.writeHead(404).end();
    }
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', () => resolve(null)));
  const { port } = /** @type {import('node:net').AddressInfo} */ (server.address());
  return {
    address: `http://127.0.0.1:${port}`,
    close() {
      server.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** What has to be in sight. */
const SHOWN = { field: 'main input:not([disabled])', step: 'main section h2' };

/** Notes when it is. @param {keyof typeof SHOWN} what */
const watch = (what) => `
  window.shown = new Promise((resolve) => {
    const look = () => {
      const found = [...document.querySelectorAll('${SHOWN[what]}')];
      if (found.some((each) => each.getClientRects().length > 0)) resolve(performance.now());
      else requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });`;

/**
 * One opening from a fresh profile.
 * @param {import('@playwright/test').Browser} browser @param {string} address @param {number} slower
 */
async function openOnce(browser, address, slower) {
  const context = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block' });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  await page.addInitScript(watch('field'));
  await page.goto(address);
  const times = /** @type {{ typed: number, painted: number }} */ (
    await page.evaluate(`window.shown.then((typed) => ({ typed, painted: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? typed }))`) // prettier-ignore
  );
  await context.close();
  return times;
}

/** Begins a test run. @param {import('@playwright/test').Browser} browser @param {string} address @returns {Promise<string>} where it is */
async function beginRun(browser, address) {
  const { items } = /** @type {{ items: { id: string }[] }} */ (await (await fetch(`${address}/api/calibrations?limit=1&q=Red`)).json()); // prettier-ignore
  const page = await browser.newPage({ serviceWorkers: 'block' });
  await page.goto(`${address}/bench/${items[0]?.id}/run`);
  await page.getByRole('button', { name: /^Begin/ }).click();
  await page.waitForURL(/\/run\/./);
  await page.waitForLoadState('networkidle');
  const at = page.url();
  await page.close();
  return at;
}

/**
 * A running test, loaded again.
 * @param {import('@playwright/test').Browser} browser @param {string} at @param {number} slower @returns {Promise<number>}
 */
async function reloadOnce(browser, at, slower) {
  const context = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.addInitScript(watch('step'));
  await page.goto(at);
  await page.evaluate('window.shown');
  await page.waitForLoadState('networkidle');
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  await page.reload();
  const shown = /** @type {number} */ (await page.evaluate('window.shown'));
  await context.close();
  return shown;
}

/** @param {{ typed: number, painted: number }[]} all @param {'typed' | 'painted'} what */
const median = (all, what) => quantile(all.map((each) => each[what]), 0.5); // prettier-ignore

/** What opens each. */
const DIALOGS = { 'go-to': 'Control+k', shortcuts: '?', settings: ',' };
const MAX_OPENING_MS = 150;

/** Notes how long after the next key a dialog stands, with the focus in it. */
const WATCH_DIALOG = `
  window.opening = new Promise((resolve) => {
    let pressed = 0;
    window.addEventListener('keydown', () => (pressed = performance.now()), { capture: true, once: true });
    const look = () => {
      const dialog = document.querySelector('[role=dialog]');
      if (pressed > 0 && dialog?.contains(document.activeElement)) resolve(performance.now() - pressed);
      else requestAnimationFrame(look);
    };
    look();
  });
  null;`;

/**
 * Opens a dialog for the first time on a page that stands, closes it, and opens it again.
 * @param {import('@playwright/test').Browser} browser @param {string} address @param {string} key
 */
async function openDialog(browser, address, key) {
  const context = await browser.newContext({ serviceWorkers: 'block', reducedMotion: 'reduce' });
  const page = await context.newPage();
  await page.goto(address);
  // What comes last on a sheet: before it the page does not stand, and a dialog waits for what is being loaded.
  await page.getByRole('region', { name: 'In portions and directions' }).waitFor();
  await page.waitForLoadState('networkidle');
  const open = async () => {
    await page.evaluate('document.activeElement?.blur(); null');
    await page.evaluate(WATCH_DIALOG);
    await page.keyboard.press(key);
    return /** @type {number} */ (await page.evaluate('window.opening'));
  };
  const first = await open();
  await page.keyboard.press('Escape');
  await page.locator('[role=dialog]').waitFor({ state: 'detached' });
  const again = await open();
  await context.close();
  return { first, again };
}

await onInstance(async ({ browser, address }) => {
  const empty = await serveEmpty();
  try {
    const running = await beginRun(browser, address);
    for (const slower of [1, 4]) {
      /** @type {{ typed: number, painted: number }[][]} */
      const [ours = [], theirs = []] = [[], []];
      /** @type {number[]} */
      const reloaded = [];
      for (let run = 0; run < RUNS; run += 1) {
        // oxlint-disable no-await-in-loop -- one after the other, in turn: what else the machine does falls on both
        ours.push(await openOnce(browser, address, slower));
        theirs.push(await openOnce(browser, empty.address, slower));
        reloaded.push(await reloadOnce(browser, running, slower));
      }
      /** @param {string} what @param {number} own @param {number} other @param {number} most */
      const beside = (what, own, other, most) =>
        note(`${what}, ${slower === 1 ? 'this machine' : 'four times slower'}`, `empty app ${ms(other)}`, `${ms(own)}, ${(own / other).toFixed(2)} times (at most ${most})`, own / other <= most); // prettier-ignore
      for (const [what, said] of /** @type {const} */ ([
        ['typed', 'first field can be typed into'],
        ['painted', 'first paint'],
      ]))
        beside(said, median(ours, what), median(theirs, what), MAX[what]);
      beside('a running test run, loaded again', quantile(reloaded, 0.5), median(theirs, 'typed'), MAX.typed);
    }
    for (const [name, key] of Object.entries(DIALOGS)) {
      /** @type {{ first: number, again: number }[]} */
      const times = [];
      for (let run = 0; run < RUNS; run += 1) times.push(await openDialog(browser, address, key));
      const [first, again] = [quantile(times.map((each) => each.first), 0.5), quantile(times.map((each) => each.again), 0.5)]; // prettier-ignore
      note(`${name} stands`, `at most ${ms(MAX_OPENING_MS)}`, `${ms(first)} the first time, ${ms(again)} again`, first <= MAX_OPENING_MS); // prettier-ignore
    }
  } finally {
    empty.close();
  }
});
process.exit(printTable() ? 0 : 1);
