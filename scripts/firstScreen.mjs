// npm run first-screen: how soon the first screen can be typed into, beside an empty app that has one of each part of the library. Both from a
// fresh profile on a phone's screen over loopback, packed alike; medians of nine runs, on this machine and on one four times slower.
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

/** Notes when the first field can be typed into. */
const WATCH = `
  window.firstField = new Promise((resolve) => {
    const look = () => {
      const field = document.querySelector('main input:not([disabled])');
      if (field && field.getClientRects().length > 0) resolve(performance.now());
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
  await page.addInitScript(WATCH);
  await page.goto(address);
  const times = /** @type {{ typed: number, painted: number }} */ (
    await page.evaluate(`window.firstField.then((typed) => ({ typed, painted: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? typed }))`) // prettier-ignore
  );
  await context.close();
  return times;
}

/** @param {{ typed: number, painted: number }[]} all @param {'typed' | 'painted'} what */
const median = (all, what) => quantile(all.map((each) => each[what]), 0.5); // prettier-ignore

await onInstance(async ({ browser, address }) => {
  const empty = await serveEmpty();
  try {
    for (const slower of [1, 4]) {
      /** @type {{ typed: number, painted: number }[][]} */
      const [ours = [], theirs = []] = [[], []];
      for (let run = 0; run < RUNS; run += 1) {
        // oxlint-disable no-await-in-loop -- one after the other, in turn: what else the machine does falls on both
        ours.push(await openOnce(browser, address, slower));
        theirs.push(await openOnce(browser, empty.address, slower));
      }
      for (const [what, said] of /** @type {const} */ ([
        ['typed', 'first field can be typed into'],
        ['painted', 'first paint'],
      ])) {
        const [own, other] = [median(ours, what), median(theirs, what)];
        const times = own / other;
        note(`${said}, ${slower === 1 ? 'this machine' : 'four times slower'}`, `empty app ${ms(other)}`, `${ms(own)}, ${times.toFixed(2)} times (at most ${MAX[what]})`, times <= MAX[what]); // prettier-ignore
      }
    }
  } finally {
    empty.close();
  }
});
process.exit(printTable() ? 0 : 1);
