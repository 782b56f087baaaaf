import { expect, test } from '@playwright/test';
import { expectAccessible, keep, kept, typeSheet } from './support.ts';

test.describe('when it goes wrong', () => {
  test('a page whose parts were replaced meanwhile says so where one is asked for, saves all the same, and never goes blank', async ({
    page,
  }) => {
    // As after an update: what was loaded stays, what was not is gone.
    await page.route('**/assets/JobsPage-*.js', (route) => route.fulfill({ status: 404, body: '' }));
    await typeSheet(page, 'Before the update');
    await keep(page, 'Save job');
    await expect(kept(page)).toBeVisible();
    await page.getByLabel('Grade on the label').fill('22-2-11');
    await page.getByRole('link', { name: 'Jobs' }).click();
    await expect(page.getByRole('heading', { name: 'New version available' })).toBeVisible();
    await page.goBack();
    await expect(page.getByLabel('Grade on the label')).toHaveValue('22-2-11');
  });

  test('a screen that breaks says what to do, and loading again brings everything back', async ({ page }) => {
    await page.route('**/assets/JobsPage-*.js', (route) =>
      route.fulfill({
        contentType: 'text/javascript',
        body: 'export default () => { throw new Error("Broken on purpose"); };',
      }),
    );
    await typeSheet(page, 'Before the crash');
    await page.getByRole('link', { name: 'Jobs' }).click();
    await expect(page.getByRole('heading', { name: 'This screen broke' })).toBeVisible();
    await expect(page.getByText('Broken on purpose')).toBeVisible();
    await expectAccessible(page);
    await page.unroute('**/assets/JobsPage-*.js');
    await page.getByRole('link', { name: 'New sheet' }).click();
    await page.getByRole('link', { name: 'Before the crash' }).click();
    await expect(page.getByLabel('Name of the job')).toHaveValue('Before the crash');
  });

  test('a clock that is wrong by a year is noticed', async ({ page }) => {
    await page.clock.setFixedTime(Date.now() - 365 * 86_400_000);
    await page.goto('/jobs');
    await expect(page.getByText('This device’s clock is far from the server’s.')).toBeVisible();
  });

  test('a browser that holds nothing says so at once, and the sheet still works', async ({ page }) => {
    await page.addInitScript(() => {
      for (const store of ['localStorage', 'sessionStorage', 'indexedDB']) {
        Object.defineProperty(window, store, {
          get: () => {
            throw new DOMException('denied', 'SecurityError');
          },
        });
      }
    });
    await typeSheet(page, 'Nothing held');
    await expect(page.getByText('This device cannot save what you type')).toBeVisible();
    await keep(page, 'Save job');
    await expect(kept(page)).toBeVisible();
  });
});
