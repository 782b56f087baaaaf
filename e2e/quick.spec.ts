import { expect, test } from '@playwright/test';
import { expectAccessible, PHONE, go } from './support.ts';

test('four readings by keyboard are a rate, and the test begins a calibration of a new machine', async ({
  page,
}) => {
  await page.goto('/bench');
  await page.getByRole('link', { name: 'Quick test' }).waitFor();
  await page.keyboard.press('q');
  await expect(page.getByRole('heading', { name: 'Quick test' })).toBeVisible();
  await page.getByLabel('Weight before').focus();
  for (const text of ['18.00', '60', '14.35', '9']) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('region', { name: 'Answer' })).toContainText(/from one run/);
  await expectAccessible(page);
  // What is typed is still there after a reload.
  await page.reload();
  await expect(page.getByLabel('Weight after')).toHaveValue('14.35');
  await page.getByRole('button', { name: 'Save to a machine' }).press('Enter');
  await page.getByLabel('Machine', { exact: true }).selectOption('New machine');
  await page.getByLabel('Machine name').fill('Grey hand spreader');
  await page.getByLabel('Setting', { exact: true }).fill('3');
  await expectAccessible(page);
  await page.getByLabel('Setting', { exact: true }).press('Enter');
  await expect(page.getByRole('button', { name: /^Test run 1\s+at 3/ })).toBeVisible();
  await go(page, '/bench/quick');
  await expect(page.getByLabel('Weight before')).toHaveValue('');
  await go(page, '/bench/rigs');
  await expect(page.getByRole('link', { name: 'Grey hand spreader' })).toBeVisible();
});

test.describe('on a phone', () => {
  test.use(PHONE);
  test('the rate stands in view under its readings, and nothing sticks out', async ({ page }) => {
    await page.goto('/bench/quick');
    for (const [label, text] of Object.entries({
      'Weight before': '18',
      'Strip length': '60',
      'Weight after': '16',
      'Pass spacing': '9',
    }))
      await page.getByLabel(label).fill(text);
    await page.getByLabel('Pass spacing').blur();
    await expect(page.getByText(/from one run/)).toBeInViewport();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    await expectAccessible(page);
  });
});
