// npm run shots: makes docs/screenshots again, from demo data in a database of its own.
import { spawn } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { freePort } from './lib/database.mjs';
import { ensureDebian } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';
import { say } from './lib/say.mjs';

const DATA = join(tmpdir(), 'steady-shots');
const TARGET = join(ROOT, 'docs', 'screenshots');
const DESK = { viewport: { width: 1280, height: 800 } };
const PHONE = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };

/**
 * @typedef {object} View
 * @property {string} name
 * @property {object} size
 * @property {'light' | 'dark'} [scheme]
 * @property {(page: import('@playwright/test').Page) => Promise<unknown>} open
 */

/** @param {string} job */
const openJob = (job) => async (/** @type {import('@playwright/test').Page} */ page) => {
  await page.goto('/jobs');
  await page.getByRole('link', { name: job, exact: true }).click();
  await page.getByLabel('Amount needed').waitFor();
};

/**
 * @param {string} site
 * @param {string} area
 */
const openArea = (site, area) => async (/** @type {import('@playwright/test').Page} */ page) => {
  await page.goto('/sites');
  await page.getByRole('link', { name: site, exact: true }).click();
  await page.getByRole('tab', { name: area }).click();
  await page.locator('canvas').first().waitFor();
  await page.getByRole('button', { name: /^cut out circle/ }).click();
};

/** @param {string} name */
const openBench = (name) => async (/** @type {import('@playwright/test').Page} */ page) => {
  await page.goto('/bench');
  await page.getByRole('link', { name, exact: true }).click();
  await page.locator('canvas').waitFor();
};

/**
 * @param {string} list
 * @param {string} name
 */
const openFirst = (list, name) => async (/** @type {import('@playwright/test').Page} */ page) => {
  await page.goto(list);
  await page.getByRole('link', { name, exact: true }).click();
  await page.getByRole('button', { name: 'Saved' }).waitFor();
};

const TRUCK = 'Yard truck, rock salt';

/**
 * A test run of the yard truck on its way, as far as the catch or to what it came to.
 * @param {import('@playwright/test').Page} page
 */
async function startTestRun(page) {
  await openBench(TRUCK)(page);
  await page.getByRole('button', { name: /^(Start test run|Go on)/ }).click();
  await page.getByRole('button', { name: /^Begin test run/ }).click();
  await page.getByRole('button', { name: 'All of it is right' }).click();
  for (let step = 0; step < 4; step += 1) await page.getByRole('button', { name: /^Next: / }).click();
  await page.getByRole('button', { name: /as you open/ }).waitFor();
}

/** @param {import('@playwright/test').Page} page */
async function openTank(page) {
  await openJob('Lake front, boom top-up')(page);
  const tank = page.getByRole('region', { name: 'Tank', exact: true });
  await tank.getByRole('table').waitFor();
  await tank.evaluate((section) => section.scrollIntoView());
}

/** @param {string} name */
const openWidth = (name) => async (/** @type {import('@playwright/test').Page} */ page) => {
  await page.goto('/bench/width');
  await page.getByRole('link', { name, exact: true }).click();
  await page.getByText('The widest even spacing lies').waitFor();
};

/** Four readings that are a rate. @param {import('@playwright/test').Page} page */
async function quickTest(page) {
  await page.goto('/bench/quick');
  const readings = { 'Weight before': '18.00', 'Strip length': '60', 'Weight after': '16.02', 'Pass spacing': '9' }; // prettier-ignore
  for (const [label, text] of Object.entries(readings)) {
    // oxlint-disable-next-line no-await-in-loop -- one field after the other
    await page.getByLabel(label).fill(text);
  }
  await page.getByLabel('Pass spacing').blur();
}

/** Pavement by the station, one entry. @param {import('@playwright/test').Page} page */
async function openTonight(page) {
  await page.goto('/winter');
  await page.getByRole('radio', { name: 'Light snow' }).check({ force: true });
  await page.getByRole('list', { name: 'Settings' }).waitFor();
}

/** @param {import('@playwright/test').Page} page */
async function openLoad(page) {
  await openJob('Lake front, September feed')(page);
  await page.getByRole('link', { name: /^Load/ }).click();
}

/** @param {import('@playwright/test').Page} page */
async function openCoverage(page) {
  await openLoad(page);
  await page.getByRole('button', { name: 'Coverage', exact: true }).click();
  await page.getByText(/of the ground gets under/).waitFor();
}

/** A run that somebody has begun. @param {import('@playwright/test').Page} page */
async function openRun(page) {
  await openJob('Lake front, September feed')(page);
  await page.getByRole('link', { name: /^Run/ }).click();
  await page.getByLabel('Your name').fill('R. Fenn');
  await page.clock.install();
  await page.getByRole('button', { name: 'Begin run' }).click();
  const field = page.getByRole('button', { name: /^Tap/ });
  await field.click();
  // The edge at a pace that is walked, and a little of what comes next.
  await page.clock.fastForward(65_000);
  await field.click();
  await page.clock.fastForward(4000);
  await page.evaluate(() => window.scrollTo(0, 0));
}

/** @param {import('@playwright/test').Page} page */
async function openRecord(page) {
  await openJob('Spring feed, lake front')(page);
  await page.getByRole('link', { name: /^After/ }).click();
  await page.getByRole('img', { name: 'Photo of the work' }).first().waitFor();
}

/** @param {import('@playwright/test').Page} page */
async function openLedger(page) {
  await page.goto('/log/ledger');
  await page.getByRole('link', { name: 'Bandstand lawn, Lake front' }).click();
  await page.getByRole('img', { name: /^Delivered each month/ }).waitFor();
  await page.getByText('Still allowed').evaluate((heading) => heading.scrollIntoView({ block: 'end' }));
}

/** @param {import('@playwright/test').Page} page */
async function openPlan(page) {
  await page.goto('/plans');
  await page.getByRole('link', { name: '2027 season' }).click();
  await page.getByText('13 weeks from April 2027').waitFor();
}

/** @param {import('@playwright/test').Page} page */
async function openReport(page) {
  await page.goto('/log/season');
  await page.getByText('Bandstand lawn').first().waitFor();
}

/** @param {import('@playwright/test').Page} page */
async function openToday(page) {
  await page.goto('/today');
  await page.getByRole('listitem').nth(3).waitFor();
}

/** @type {View[]} */
const VIEWS = [
  { name: 'today-phone', size: PHONE, open: openToday },
  { name: 'worksheet', size: DESK, open: openJob('Lake front, September feed') },
  { name: 'load', size: DESK, open: openLoad },
  { name: 'coverage', size: DESK, open: openCoverage },
  { name: 'site', size: DESK, open: openArea('Lake front', 'Bandstand lawn') },
  { name: 'bench', size: DESK, open: openBench('Red spreader, lake feed') },
  { name: 'quick-test-phone', size: PHONE, open: quickTest },
  { name: 'test-run-phone-night', size: PHONE, scheme: 'dark', open: startTestRun },
  { name: 'run-phone-night', size: PHONE, scheme: 'dark', open: openRun },
  { name: 'record', size: DESK, open: openRecord },
  { name: 'width', size: DESK, open: openWidth('Red spreader, trays in April') },
  { name: 'tank', size: DESK, open: openTank },
  { name: 'tonight-phone-night', size: PHONE, scheme: 'dark', open: openTonight },
  { name: 'plan', size: DESK, open: openPlan },
  { name: 'report', size: DESK, open: openReport },
  { name: 'ledger', size: DESK, open: openLedger },
  { name: 'season', size: DESK, open: openFirst('/winter/seasons', 'Winter 2025–26') },
  { name: 'jobs', size: DESK, open: (page) => page.goto('/jobs') },
  { name: 'shelf', size: DESK, open: (page) => page.goto('/shelf') },
];

await ensureBuilt();
await ensureDebian('mariadb');
await ensureDebian('chromium');
rmSync(DATA, { recursive: true, force: true });
mkdirSync(TARGET, { recursive: true });
const port = await freePort(4395);
const env = { ...process.env, STEADY_DATA: DATA, PORT: String(port) };
const server = spawn(process.execPath, ['scripts/start.mjs'], {
  cwd: ROOT,
  env,
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve, reject) => {
  server.stdout.on('data', (chunk) => String(chunk).includes('is ready') && resolve(true));
  server.on('exit', () => reject(new Error('The server did not start.')));
});

const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' });
try {
  for (const { name, size, scheme = 'light', open } of VIEWS) {
    const page = await browser.newPage({ ...size, colorScheme: scheme, baseURL: `http://localhost:${port}` });
    await open(page);
    // A worker that was done before its script was told to have come is waited for without end.
    await page.waitForLoadState('networkidle', { timeout: 5000 }).catch(() => undefined);
    await page.locator('main').filter({ hasText: /\S/ }).first().waitFor();
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(TARGET, `${name}.png`) });
    await page.close();
    say(`docs/screenshots/${name}.png`);
  }
} finally {
  await browser.close();
  server.removeAllListeners('exit');
  server.kill('SIGTERM');
}
