import { expect, test } from '@playwright/test';
import { expectAccessible, openOwnCopy, PHONE } from './support.ts';

test.describe('the run, on a phone at night', () => {
  test.use({ ...PHONE, colorScheme: 'dark', serviceWorkers: 'allow' });

  test('passes are counted, a reload and no network in the middle, paused, then recorded with its pace', async ({ page, context }) => {
    await openOwnCopy(page, 'Lake front, September feed', 'Run on a phone');
    await page.getByRole('link', { name: /^Run/ }).click();
    const field = page.getByRole('button', { name: /Tap|All passes/ });
    await expect(field).toContainText('0 of 11');
    await expectAccessible(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
    await field.click();
    await expect(field).toContainText('Tap at the end of trim 1');
    await page.waitForTimeout(700);
    await field.click();
    await expect(field).toContainText('1 of 11');
    await expect(page.getByText(/^Last: 1 s\..*fast: about .*light/)).toBeVisible();
    await page.getByRole('button', { name: 'Pause' }).click();
    await page.reload();
    await expect(field).toContainText('Paused. Tap to go on');
    await expect(field).toContainText('1 of 11');

    // All of the app has come along.
    await page.waitForLoadState('networkidle');
    await context.setOffline(true);
    await field.click();
    await page.waitForTimeout(700);
    await field.click();
    await expect(field).toContainText('2 of 11');
    await page.getByRole('link', { name: 'Finish and record' }).click();
    await page.getByLabel('Your name').fill('R. Fenn');
    await expect(page.getByText(/Bandstand lawn: 2 passes timed: \d+ % fast on average/)).toBeVisible();
    await page.getByRole('button', { name: 'Save record' }).click();
    await expect(page.getByText(/3 saved on this device, not on the server yet/)).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/saved on this device, not on the server yet/)).toBeHidden();
    await expect(page.getByRole('listitem').filter({ hasText: 'as planned, not weighed' })).toHaveCount(3);
  });
}); // prettier-ignore
