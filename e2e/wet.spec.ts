import { expect, test, type Page } from '@playwright/test';
import { answer, expectAccessible, next, PHONE } from './support.ts';

/** A new calibration of a sprayer, as far as its first reading. */
async function begin(page: Page, machine: string, rate: string) {
  await page.goto('/bench/new');
  await page.getByRole('radio', { name: machine }).check({ force: true });
  await page.getByLabel('Rate', { exact: true }).fill(rate);
  await page.getByRole('button', { name: 'Start test run 1' }).click();
  await page.getByRole('button', { name: 'Begin test run 1' }).click();
  await page.getByRole('button', { name: 'All of it is right' }).click();
  await next(page);
  await next(page);
}

test.describe('on a phone', () => {
  test.use(PHONE);

  test('a boom with a worn nozzle: jugs typed down the row, a reload in the middle, and which to replace', async ({ page }) => {
    await begin(page, 'Utility boom, 8 nozzles', '1.0');
    await page.getByLabel(/^Pressure/).fill('40');
    await next(page);
    await page.getByLabel('Course length').fill('75');
    for (const [at, label] of ['Course time', 'Course time, run 2', 'Course time, run 3'].entries())
      await page.getByLabel(new RegExp(`^${label}( \\(optional\\))?$`)).fill(['17.0', '16.9', '17.2'][at]!);
    await next(page);
    await page.getByLabel('Catch time', { exact: true }).fill('30');
    await next(page);
    const volumes = ['800 mL', '795', '798', '802', '940', '797', '801', '796'];
    for (const [at, text] of volumes.slice(0, 5).entries()) await page.getByLabel(`Volume, nozzle ${at + 1}`, { exact: true }).fill(text);
    await page.getByRole('button', { name: 'Show result' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'volume, nozzle 6' })).toBeVisible();
    await page.waitForTimeout(400);
    await page.reload();
    await expect(page.getByLabel('Volume, nozzle 2')).toHaveValue('795 mL');
    for (const [at, text] of volumes.slice(5).entries()) await page.getByLabel(`Volume, nozzle ${at + 6}`, { exact: true }).fill(text);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Show result' }).click();
    await expect(page.getByText(/^Nozzle 5: \+1\d % of the mean/)).toContainText('Replace it.');
    await expect(page.getByRole('img', { name: /^Boom with 8 nozzles/ })).toBeVisible();
    await expectAccessible(page);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
  });

  test('a gun: the pace is practiced, a bucket is caught for the time of the course', async ({ page }) => {
    await begin(page, 'Hose reel gun', '2.0');
    await next(page);
    await page.getByLabel('Course length').fill('125');
    await expect(page.getByText('Aim for 30.0 s')).toBeVisible();
    await page.clock.pauseAt(await page.evaluate(() => Date.now() + 1000));
    await page.getByRole('button', { name: 'Practice the pace first' }).click();
    await page.getByRole('button', { name: /practice/ }).click();
    await page.clock.runFor(29_500);
    await page.getByRole('button', { name: /Press at the end/ }).click();
    await page.clock.resume();
    await expect(page.getByText(/^One walk: 29.5 s/)).toBeVisible();
    await page.getByRole('button', { name: 'Time the real run' }).click();
    await page.getByLabel('Course time', { exact: true }).fill('30');
    await next(page);
    await page.getByLabel('Catch time', { exact: true }).fill('30');
    await next(page);
    await page.getByLabel('Volume caught').fill('2.04 gal');
    await page.getByRole('button', { name: 'Show result' }).click();
    await expect(answer(page)).toContainText('2.0gal / 1000 ft² ±0.3');
    await expect(answer(page)).toContainText('Right:');
  });
}); // prettier-ignore
