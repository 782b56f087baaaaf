import { expect, test, type Page } from '@playwright/test';
import { bigNumber, expectAccessible, lineText, PHONE, plain } from './support.ts';

const mark = async (page: Page) => plain((await bigNumber(page).textContent()) ?? '');
const why = (page: Page) => page.getByRole('region', { name: 'Answer' });

async function newCalibration(page: Page, name: string, machine: string, rate: string) {
  await page.goto('/bench/new');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Machine').selectOption({ label: machine });
  await page.getByLabel('Rate', { exact: true }).fill(rate);
}

/** A run of a strip of 100 ft at the setting that is proposed. */
async function strip(page: Page, before: string, after: string) {
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByLabel('Before the strip').fill(before);
  await page.getByLabel('After the strip').fill(after);
  if ((await page.getByLabel('Length of the strip').inputValue()) === '')
    await page.getByLabel('Length of the strip').fill('100');
}

test.describe('on a phone', () => {
  test.use(PHONE);
  test('a machine is right after three settings, weighed back over a strip', async ({ page }) => {
    await newCalibration(page, 'Red spreader, meal', 'Red push spreader', '5');
    await page.getByLabel('The scale reads to').fill('0.05');
    // Nothing is tested: a third of the way from where product first flows.
    await expect.poll(() => mark(page)).toBe('9.5');
    await expect(why(page)).toContainText('Nothing is tested yet');
    await strip(page, '48.00', '45.60');
    // 2.40 lb on 100 x 9 ft are 2.67: in proportion from first flow, 4 + 5.5 x 5 / 2.67.
    await expect.poll(() => mark(page)).toBe('14.5');
    await expect(why(page)).toContainText('it is a guess');
    await strip(page, '45.60', '39.90');
    await expect.poll(() => mark(page)).toBe('12.5');
    await expect(why(page)).toContainText('The curve through your tests');
    await strip(page, '39.90', '35.35');
    await expect(why(page)).toContainText('Run it again');
    await strip(page, '35.35', '30.85');
    await expect.poll(() => mark(page)).toBe('12.5');
    await expect(why(page)).toContainText('It can be used');
    await page.getByRole('button', { name: 'Keep at 12.5' }).click();
    await page.getByLabel('By', { exact: true }).fill('M. Orr');
    await page.reload();
    await expect(page.getByText('since')).toBeVisible();
    await page.getByRole('button', { name: 'Keep this calibration' }).click();
    await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
    await page.goto('/bench');
    await expect(page.getByRole('row', { name: /Red spreader, meal/ })).toContainText('at 12.5');
  });
});

test('a sweep-up in US units says what a coarse scale cannot tell; slips are asked about', async ({
  page,
}) => {
  await newCalibration(page, 'Green, sweep-up', 'Green drop spreader', '6');
  await page.getByLabel('Bare weights in').selectOption('lb');
  await page.getByLabel('Bare lengths in').selectOption('ft');
  await page.getByLabel('Hopper').fill('3 ft');
  await page.getByLabel('The scale reads to').fill('0.1');
  await page.getByLabel('Method of the next run').selectOption('catch');
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByLabel('Container and product').fill('1.3');
  await page.getByLabel('Empty container').fill('1.0');
  await page.getByLabel('Length of the strip').fill('20');
  await expect
    .poll(() => lineText(page, 'Run at E'))
    .toMatch(/^\( 1\.3 lb − 1\.0 lb \) ÷ \( 20 ft × 3 ft \) = 5\.0 lb \/ 1000 ft² ±1\.4$/);
  await expect(page.getByText(/cannot tell 3\.6 from 6\.4/)).toBeVisible();
  await page.getByLabel('Empty container').fill('1.4');
  await expect(page.getByRole('alert')).toContainText('a full container has to be heavier');
  await page.getByLabel('Empty container').fill('1.0');
  await page.getByLabel('Container and product').fill('400');
  await page.getByLabel('Length of the strip').fill('5 in');
  await expect(page.getByRole('alert')).toContainText('no spreader puts down');
  await page.getByLabel('Setting', { exact: true }).fill('Q');
  await expect(page.getByText('There is no mark Q on this scale; it runs from A to M.')).toBeVisible();
});

test('a struck run does not count, and stays', async ({ page }) => {
  await page.goto('/bench');
  await page.getByRole('link', { name: 'Red spreader, lake feed' }).click();
  await expect.poll(() => mark(page)).toBe('11');
  await expect(why(page)).toContainText('from 3 runs');
  await page.getByRole('button', { name: /^at 11 .* struck out/ }).click();
  await page.getByLabel('Struck out, because').fill('');
  await expect(why(page)).not.toContainText('from 3 runs');
});

test('a machine is typed in: its marks are counted, wrong ones asked about', async ({ page }) => {
  await page.goto('/bench/rigs/new');
  await page.getByLabel('Name', { exact: true }).fill('Blue hand spreader');
  await page.getByLabel('Kind').selectOption('hand-rotary');
  await page.getByLabel('First mark').fill('1');
  await page.getByLabel('Last mark').fill('5');
  await page.getByLabel('Smallest step').fill('0.5');
  await page.getByLabel('Closed at').fill('7');
  await expect(page.getByRole('alert')).toContainText('runs from 1 to 5');
  await page.getByLabel('Closed at').fill('5');
  await expect(page.getByText('9 marks, from 5 (shut) to 1')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this machine' }).click();
  await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
});

for (const [name, size] of [
  ['desk', null],
  ['phone', PHONE],
] as const) {
  test(`the bench is accessible at a ${name}`, async ({ page }) => {
    if (size) await page.setViewportSize(size.viewport);
    for (const [path, link] of [
      ['/bench', 'Red spreader, lake feed'],
      ['/bench/rigs', 'Red push spreader'],
    ] as const) {
      await page.goto(path);
      await expect(page.getByRole('link', { name: link })).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('link', { name: link }).click();
      await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
      await page.waitForTimeout(300);
      await expectAccessible(page);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(wide).toBeLessThanOrEqual(0);
    }
  });
}
