// npm run views: opens every view of the app with the sample data, at every width from a small phone to a wide desk, by day and by night,
// and says what scrolls sideways and what axe finds. "npm run views -- longer" does so in a language that is longer by two fifths.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { onInstance } from './lib/onInstance.mjs';
import { viewsOf } from './lib/views.mjs';
import { note, printTable } from './soak/table.mjs';

const WIDTHS = [320, 390, 768, 1024, 1280, 1920];
/** Parts of that language are lengthened each by itself, so that a name of a button does not hold what stands on it. */
const RULES = process.argv.includes('longer') ? { 'label-content-name-mismatch': { enabled: false } } : {};
const WCAG_22_AA = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** @typedef {import('@playwright/test').Page} Page */

/** What reaches over the right edge, the widest of it first. @param {Page} page */
const over = (page) =>
  page.evaluate(() => {
    const { scrollWidth, clientWidth } = document.documentElement;
    if (scrollWidth <= clientWidth) return null;
    const widest = [...document.querySelectorAll('body *')]
      .map((element) => ({ element, right: element.getBoundingClientRect().right }))
      .filter(({ right }) => right > clientWidth + 0.5)
      .toSorted((a, b) => a.right - b.right)
      .at(-1);
    const element = widest?.element;
    return `${scrollWidth - clientWidth} px over: ${element?.tagName.toLowerCase()} “${(element?.textContent ?? '').trim().slice(0, 40)}”`;
  });

/** @param {Page} page @returns {Promise<string[]>} */
async function findings(page) {
  await page.evaluate(axe);
  return page.evaluate(
    async ({ tags, rules }) =>
      /** @type {any} */ (globalThis).axe
        .run(document, { runOnly: tags, rules })
        .then((/** @type {any} */ { violations }) =>
          violations.map((/** @type {any} */ { id, nodes }) => `${id}: ${nodes[0].html.slice(0, 110)}`),
        ),
    { tags: WCAG_22_AA, rules: RULES },
  );
}

/** @param {Page} page @param {string} path */
async function look(page, path) {
  /** @type {string[]} */
  const wrong = [];
  await page.locator('h1').first().waitFor({ state: 'attached' });
  await page.waitForLoadState('networkidle');
  for (const width of [...WIDTHS.toReversed(), WIDTHS.at(-1) ?? 0]) {
    await page.setViewportSize({ width, height: width < 700 ? 844 : 800 });
    await page.waitForTimeout(120);
    const found = await over(page);
    if (found) wrong.push(`${width}: ${found}`);
  }
  for (const [width, colorScheme] of /** @type {const} */ ([[1280, 'light'], [1280, 'dark'], [390, 'dark']])) {
    await page.setViewportSize({ width, height: 844 });
    await page.emulateMedia({ colorScheme });
    await page.waitForTimeout(80);
    wrong.push(...(await findings(page)).map((finding) => `${width} ${colorScheme}: ${finding}`));
  }
  await page.emulateMedia({ colorScheme: 'light' });
  note(path, '', wrong.length === 0 ? 'nothing found' : [...new Set(wrong)].join('<br>'), wrong.length === 0);
} // prettier-ignore

if (process.argv.includes('longer')) process.env['PSEUDO'] = '1';
await onInstance(
  async ({ browser, address }) => {
    const page = await browser.newPage({ reducedMotion: 'reduce' });
    for (const path of await viewsOf(address)) {
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      await page.goto(`${address}${path}`);
      // oxlint-disable-next-line no-await-in-loop
      await look(page, path);
    }
  },
  { REQUESTS_PER_MINUTE: '100000000' },
);
process.exitCode = printTable() ? 0 : 1;
