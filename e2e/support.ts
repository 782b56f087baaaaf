import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, type Page } from '@playwright/test';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } as const;

interface AxeResult {
  violations: { id: string; help: string; nodes: { html: string; failureSummary?: string }[] }[];
}

/** All styles are in the page itself: none has to be fetched anew. */
const FINDINGS_ALONE = { preload: false, resultTypes: ['violations'] };
const WCAG_22_AA = {
  ...FINDINGS_ALONE,
  runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
};

async function findings(page: Page, within: string, options: object): Promise<string[]> {
  // A dialog that is still fading in does not count as open yet.
  await page.evaluate(() => Promise.allSettled(document.getAnimations().map(({ finished }) => finished)));
  const { violations } = await page.evaluate(
    ([where, how]) =>
      (window as unknown as { axe: { run(where: string, how: object): Promise<AxeResult> } }).axe.run(where, how), // prettier-ignore
    [within, options] as const,
  );
  return violations.map(
    ({ id, help, nodes }) => `${id}: ${help}\n  ${nodes.map(({ html }) => html).join('\n  ')}`,
  );
}

/**
 * Runs axe with the WCAG 2.2 AA rules on what is shown now; any finding fails with its place. For a small panel that lies
 * over the page, on the panel alone: what it half covers cannot be pressed and is not small.
 */
export async function expectAccessible(page: Page, within = 'html'): Promise<void> {
  // A page that is still loading has nothing to find fault with.
  await expect(page.locator('h1').first()).toBeAttached();
  // A message that comes or goes is half seen through, and nobody reads it then.
  await page.waitForFunction(() =>
    [...document.querySelectorAll('[data-scope=toast][data-part=root]')].every(
      (toast) => getComputedStyle(toast).opacity === '1',
    ),
  );
  if (await page.evaluate(() => !('axe' in window))) await page.evaluate(axeSource);
  await expect(page.locator('main')).toBeAttached();
  expect(await findings(page, within, WCAG_22_AA), page.url()).toEqual([]);
}

/** What axe finds of colors, once it is there. */
export const findContrast = (page: Page): Promise<string[]> =>
  findings(page, 'html', { ...FINDINGS_ALONE, runOnly: ['color-contrast'] });

/** The same by day, and by night what a night can change: its colors. */
export async function expectAccessibleDayAndNight(page: Page): Promise<void> {
  await expectAccessible(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(page.locator('html')).toHaveClass(/dark/);
  expect(await findContrast(page)).toEqual([]);
  await page.emulateMedia({ colorScheme: 'light' });
  await expect(page.locator('html')).toHaveClass(/light/);
}

/** The live answer in the panel, for people who listen and for tests. */
export const answer = (page: Page) => page.getByRole('region', { name: 'Answer' });
export const bigNumber = (page: Page) => answer(page).locator('output');
export const line = (page: Page, name: string) => page.getByRole('group', { name, exact: true });

/** Text with every kind of space made plain. */
export const plain = (text: string): string => text.replace(/[\s\u00a0\u202f]+/g, ' ').trim();

/** A line of working as it reads on screen, typed values included. */
export async function lineText(page: Page, name: string): Promise<string> {
  return plain(
    await line(page, name).evaluate((root) => {
      const copy = root.cloneNode(true) as HTMLElement;
      const inputs = [...root.querySelectorAll('input')];
      copy
        .querySelectorAll('input')
        .forEach((input, index) => input.replaceWith(` ${inputs[index]?.value ?? ''} `));
      copy.querySelectorAll('select').forEach((select, index) => {
        const original = root.querySelectorAll('select')[index];
        select.replaceWith(` ${original?.selectedOptions[0]?.label ?? ''} `);
      });
      copy.querySelectorAll('span, button').forEach((element) => element.append(' '));
      return copy.textContent ?? '';
    }),
  );
}

/** Goes to an address: the first time the app is loaded, then it goes on within the app, as a link does. */
export async function go(page: Page, address: string): Promise<void> {
  if (page.url() === 'about:blank') return void (await page.goto(address));
  const { pathname, search } = new URL(address, page.url());
  await page.evaluate((path) => {
    window.history.pushState({}, '', path);
    window.dispatchEvent(new PopStateEvent('popstate'));
  }, pathname + search);
  await page.locator(`#screen[data-at="${pathname}"]`).waitFor({ state: 'attached' });
}

/** Types a whole new sheet: 24-0-8 on the bandstand lawn. */
export async function typeSheet(page: Page, name: string) {
  await go(page, '/');
  await page.getByLabel('Name of the job').fill(name);
  await page.getByLabel('Day of the job').fill('2026-04-18');
  await page.getByLabel('Amount needed').fill('0.8 lb');
  await page.getByLabel('Grade on the label').fill('24-0-8');
  await page.getByLabel('Name of area 1').fill('Bandstand lawn');
  await page.getByLabel('Bandstand lawn, measured as').fill("62' x 38'");
}

/** Opens one of the sample jobs from the list. */
export async function openSample(page: Page, name: string) {
  await go(page, '/jobs');
  await page.getByRole('link', { name, exact: true }).click();
  await expect(page.getByLabel('Name of the job')).toHaveValue(name);
}

/** Presses the act that keeps the sheet. */
export const keep = (page: Page, name = 'Save changes') => page.getByRole('button', { name }).click();
/** Says that the sheet is kept. */
export const kept = (page: Page) => page.getByRole('button', { name: 'Saved', exact: true });

/** The next step of a test run. */
export const next = (page: Page) => page.getByRole('button', { name: /^Next: / }).click();

/** Opens what is assumed of a calibration, to change it. */
export const change = (page: Page, what: string) => page.getByRole('button', { name: `Change ${what}`, exact: true }).click(); // prettier-ignore

/** The questions of a new calibration, answered; what is assumed of pace and scale stands open. */
export async function aimAt(page: Page, name: string, machine: string, rate: string) {
  await page.getByRole('radio', { name: machine }).check({ force: true });
  await page.getByLabel('Rate', { exact: true }).fill(rate);
  for (const what of ['name', 'pace', 'scale step']) await change(page, what);
  await page.getByLabel('Name', { exact: true }).fill(name);
}

/** A new calibration, kept, on the way to its first test run. */
export async function startTestRuns(page: Page, name: string, machine: string, rate: string, more: Record<string, string> = {}) {
  await go(page, '/bench/new');
  await aimAt(page, name, machine, rate);
  for (const [label, text] of Object.entries(more)) await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('button', { name: 'Start test run 1' }).click();
  await expect(page.getByRole('region', { name: 'Plan' })).toBeVisible();
} // prettier-ignore

/** From setting the mark on: weighs in, keeps the strip, walks without a watch, weighs out. */
export async function strip(page: Page, before: string, after: string) {
  await next(page);
  await page.getByLabel('Weight before').fill(before);
  await next(page);
  await page.getByLabel('Strip length').fill('100');
  await next(page);
  await next(page);
  await page.getByLabel('Weight after').fill(after);
  await page.getByRole('button', { name: 'Show result' }).click();
  await expect(page.getByRole('region', { name: 'Result' })).toBeVisible();
}

/** Waits until the app's files and the crew's documents are on the device. */
export async function settled(page: Page): Promise<void> {
  await page.goto('/');
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    const caught = async () => {
      // Opened before the app makes it, it would be made without its table.
      const made = await indexedDB.databases();
      if (!made.some(({ name }) => name === 'steady-scatter-caught-up')) return false;
      return new Promise<boolean>((resolve) => {
        const asked = indexedDB.open('steady-scatter-caught-up');
        asked.addEventListener('success', () => {
          const found = asked.result.transaction('rows').objectStore('rows').count();
          found.addEventListener('success', () => resolve(found.result > 0));
        });
      });
    };
    while (!(await caught())) await new Promise((resolve) => setTimeout(resolve, 200));
  });
}

/** Opens a stop of the tape: a part of the sheet, or a page of the job. */
export async function openStop(page: Page, name: string): Promise<void> {
  const tape = page.getByRole('navigation', { name: 'Stops of the job' });
  await tape.getByRole('link', { name: new RegExp(`^${name}`) }).click();
  await expect(tape.getByRole('link', { name: new RegExp(`^${name}`) })).toHaveAttribute(
    'aria-current',
    'step',
  );
}

/** A sample job once more under another name, opened: what is done with it disturbs nobody else. */
export async function openOwnCopy(page: Page, name: string, as: string): Promise<string> {
  const { items } = await (await page.request.get('/api/jobs', { params: { q: name } })).json();
  const { id } = (items as { id: string; name: string }[]).find((each) => each.name === name)!;
  const { schemaVersion, input } = await (await page.request.get(`/api/jobs/${id}`)).json();
  const own = crypto.randomUUID();
  const data = {
    version: 0,
    schemaVersion,
    input: { ...input, name: as, load: { ...input.load, ready: null } },
  };
  expect((await page.request.put(`/api/jobs/${own}`, { data })).ok()).toBe(true);
  await go(page, `/jobs/${own}`);
  return own;
}
