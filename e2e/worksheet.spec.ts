import { expect, test } from '@playwright/test';
import { answer, bigNumber, expectAccessible, line, lineText, PHONE } from './support.ts';

test('fresh open to the right answer by keyboard alone', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByLabel('Amount needed')).toBeFocused();
  for (const [input, key] of [['0.8', 'Enter'], ['24-0-8', 'Enter'], ['Bandstand lawn', 'Enter'], ['7,400', 'Enter'], ['40', 'Tab']] as const) {
    await page.keyboard.type(input);
    await page.keyboard.press(key);
  } // prettier-ignore
  await expect(bigNumber(page)).toHaveText('24.7 lb');
  await expect
    .poll(() => lineText(page, 'What the ground needs'))
    .toBe('0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²');
  await expect.poll(() => lineText(page, 'In all')).toBe('3.33 lb / 1000 ft² × 7 400 ft² = 24.7 lb');
  await expect.poll(() => lineText(page, 'Packages')).toBe('24.7 lb ÷ 40 lb = 0.617 packages so take 1');
  await expect
    .poll(() => lineText(page, 'Back-check'))
    .toBe('24.7 lb of 24-0-8 on 7 400 ft² × 24 % in 24-0-8 = 0.800 lb N / 1000 ft²');
  await expect(answer(page)).toContainText('Take 1 package of 40 lb');
  await expect(answer(page).getByRole('row', { name: 'K₂O 0.267 lb also delivers' })).toBeVisible();
});

test('a whole job prints on one page, without the tools of the screen', async ({ page }) => {
  await page.goto('/jobs');
  await page.getByRole('link', { name: 'Fall feed, lake front' }).click();
  await expect(bigNumber(page)).toHaveText('29.0 lb');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation')).toHaveCount(0);
  await expect(page.getByRole('columnheader', { name: 'Measured as' })).toBeVisible();
  await expect(line(page, 'In all')).toBeVisible();
  for (const format of ['A4', 'Letter']) {
    const pdf = (await page.pdf({ format })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
  }
});

test.describe('on a phone', () => {
  test.use(PHONE);
  test('the same answer by thumb, in sight while typing', async ({ page }) => {
    await page.goto('/');
    await page.getByLabel('Amount needed').fill('0.8');
    await page.getByLabel('Grade on the label').fill('24-0-8');
    await page.getByLabel('area 1, measured as').fill('62 x 38');
    await page.getByLabel('Package size').fill('40');
    await expect(bigNumber(page)).toHaveText('7.85 lb');
    await expect(page.getByText('take 1 package', { exact: true })).toBeInViewport();
    // What gets the focus does not lie under the answer and the menu.
    const packed = page.getByLabel('Package size');
    await packed.evaluate((field) => {
      field.blur();
      window.scrollBy(0, field.getBoundingClientRect().bottom - (window.innerHeight - 10));
      field.focus();
    });
    const { y, height } = (await packed.boundingBox())!;
    expect(y + height).toBeLessThanOrEqual(PHONE.viewport.height - 64 - 52);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(width).toBeLessThanOrEqual(390);
    for (const link of await page.getByRole('navigation', { name: 'Main places' }).getByRole('link').all()) {
      expect((await link.boundingBox())?.height).toBeGreaterThanOrEqual(56);
    }
    await expectAccessible(page);
  });
});
