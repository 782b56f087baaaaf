// npm run entries: how much is asked before there is an answer. Each journey is walked on a private instance with the sample data, in a
// browser of a phone's size; what is typed, chosen and pressed on the way is counted, and held against what may be asked.
import { onInstance } from './lib/onInstance.mjs';
import { note, printTable } from './soak/table.mjs';

/** @typedef {import('@playwright/test').Page} Page */
/** @typedef {{ typed: number, chosen: number, pressed: number }} Count */

/**
 * Hands that count what they do.
 * @param {Page} page
 */
function handsOn(page) {
  /** @type {Count} */
  const count = { typed: 0, chosen: 0, pressed: 0 };
  return {
    count,
    /** @param {string} label @param {string} text */
    async type(label, text) {
      count.typed += 1;
      await page.getByLabel(label, { exact: true }).first().fill(text);
    },
    /** @param {RegExp} name */
    async choose(name) {
      count.chosen += 1;
      await page.getByRole('radio', { name }).first().check({ force: true });
    },
    /** @param {RegExp | string} name */
    async press(name) {
      count.pressed += 1;
      await page.getByRole('button', { name }).first().click();
    },
  };
}

/** @typedef {ReturnType<typeof handsOn>} Hands */

/**
 * @typedef {object} Journey
 * @property {string} what
 * @property {string} path
 * @property {Partial<Count>} most what may be asked
 * @property {(hands: Hands) => Promise<void>} walk
 * @property {RegExp} answer what the answer then says
 */

/** @type {readonly Journey[]} */
const JOURNEYS = [
  {
    what: 'a fresh sheet, to the amount',
    path: '/',
    most: { typed: 3, chosen: 0, pressed: 0 },
    async walk({ type }) {
      await type('Amount needed', '0.8');
      await type('Grade on the label', '24-0-8');
      await type('Area 1, measured as', '62 x 38 ft');
    },
    answer: /7\.85/,
  },
  {
    what: 'a quick test, to the rate with its band',
    path: '/bench/quick',
    most: { typed: 4, chosen: 1, pressed: 0 },
    async walk({ type }) {
      await type('Weight before', '18.00');
      await type('Strip length', '60');
      await type('Weight after', '14.35');
      await type('Pass spacing', '9');
    },
    answer: /6\.8.*from one run/s,
  },
  {
    what: 'a new calibration of a known machine, to the first setting',
    path: '/bench/new',
    most: { typed: 1, chosen: 3, pressed: 0 },
    async walk({ choose }) {
      await choose(/^Red push spreader/);
      await choose(/^Lake feed 24-0-8/);
      await choose(/^3\.33 lb/);
    },
    answer: /Nothing is tested yet/,
  },
  {
    what: 'a small patch, to the bottles',
    path: '/patch',
    most: { typed: 4, chosen: 0, pressed: 0 },
    async walk({ type }) {
      await type('Amount needed', '0.5');
      await type('Grade on the label', '13-0-45');
      await type('Patch', '6 x 40 ft');
      await type('Bottle or can holds', '2 gal');
    },
    answer: /14\.8/,
  },
  {
    what: 'a new calibration of a known sprayer, to its plan',
    path: '/bench/new',
    most: { typed: 1, chosen: 1, pressed: 1 },
    async walk({ choose, type, press }) {
      await choose(/^Utility boom/);
      await type('Rate', '1.0');
      await press('Start test run 1');
    },
    answer: /A course of 75\.00.ft covers exactly 1000.ft²/,
  },
  {
    what: 'a new machine, to its marks',
    path: '/bench/rigs/new',
    most: { typed: 2, chosen: 1, pressed: 0 },
    async walk({ choose, type }) {
      await choose(/^push drop spreader/);
      await type('Name', 'Orange drop spreader');
      await type('Scale', 'A to M');
    },
    answer: /13 marks, A is shut, M is fully open/,
  },
];

/** @param {Count} count */
const told = ({ typed, chosen, pressed }) => `${typed} typed, ${chosen} chosen, ${pressed} pressed`;

await onInstance(async ({ browser, address }) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  for (const { what, path, most, walk, answer } of JOURNEYS) {
    const hands = handsOn(page);
    // oxlint-disable no-await-in-loop -- one journey after the other
    await page.goto(`${address}${path}`);
    await walk(hands);
    await page.locator('main', { hasText: answer }).waitFor();
    // oxlint-enable no-await-in-loop
    const { count } = hands;
    const limit = { typed: 0, chosen: 0, pressed: 0, ...most };
    const isFew =
      count.typed <= limit.typed && count.chosen <= limit.chosen && count.pressed <= limit.pressed;
    note(what, `at most ${told(limit)}`, told(count), isFew);
  }
});
process.exitCode = printTable() ? 0 : 1;
