import { expect, test } from '@playwright/test';
import { bigNumber, expectAccessible, keep, kept, plain, typeSheet } from './support.ts';

test.describe('when it goes wrong', () => {
  test('what is saved without a server is saved on the device, and is on the server by itself when that is back', async ({
    page,
    context,
  }) => {
    await typeSheet(page, 'Kept after a break');
    await context.setOffline(true);
    await keep(page, 'Save job');
    await expect(page.getByText('The server does not answer.')).toBeVisible();
    await expect(page.getByText('saved on this device', { exact: true })).toBeVisible();
    await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]{36}$/);
    await expectAccessible(page);
    await page.getByLabel('Grade on the label').fill('22-2-11');
    await keep(page);
    await expect(page.getByText('1 saved on this device, not on the server yet.')).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText('The server answers again.')).toBeVisible();
    await expect(page.getByText('saved on this device', { exact: true })).toBeHidden();
    const stored = await page.request.get(page.url().replace('/jobs/', '/api/jobs/'));
    expect((await stored.json()).input.worksheet.product.grade).toBe('22-2-11');
  });

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

  test('a database that is down says so and keeps what was typed', async ({ page }) => {
    await typeSheet(page, 'While the database is down');
    await page.route('**/api/jobs/**', (route) =>
      route.fulfill({
        status: 503,
        contentType: 'application/problem+json',
        body: JSON.stringify({
          type: '/problems/database-down',
          title: 'Database not reachable',
          status: 503,
          detail: 'The database does not answer.',
        }),
      }),
    );
    await keep(page, 'Save job');
    await expect(page.getByText('saved on this device', { exact: true })).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Name of the job')).toHaveValue('While the database is down');
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

  test('a draft that an older version left is taken over', async ({ page }) => {
    const old = {
      format: 3,
      baseVersion: 0,
      form: {
        name: 'From last week',
        onDay: '2026-04-18',
        worksheet: {
          need: { of: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
          areas: [{ id: '01890000-0000-7000-8000-000000000001', name: 'Lawn', size: '7400', unit: 'ft2' }],
          product: { kind: 'dry-fertilizer', grade: '24-0-8', package: { size: '', unit: 'lb' } },
          shownIn: { rate: null, amount: null, area: null },
        },
      },
    };
    await page.addInitScript(
      (draft) => localStorage.setItem('steady-scatter.draft.new', draft),
      JSON.stringify(old),
    );
    await page.goto('/');
    await expect(page.getByLabel('Name of the job')).toHaveValue('From last week');
    await expect(bigNumber(page)).toHaveText('24.7 lb');
  });

  test('a session left open for a week meets what was kept meanwhile', async ({ page }) => {
    await typeSheet(page, 'Left open');
    await keep(page, 'Save job');
    await expect(kept(page)).toBeVisible();
    await page.getByLabel('Grade on the label').fill('18-0-6');
    const id = page.url().split('/').at(-1);
    const current = await (await page.request.get(`/api/jobs/${id}`)).json();
    const { version, schemaVersion, input } = current;
    await page.request.put(`/api/jobs/${id}`, {
      data: { version, schemaVersion, input: { ...input, name: 'Renamed meanwhile' } },
    });
    expect(input.name).toBe('Left open');
    await page.reload();
    await expect(page.getByText('changed elsewhere meanwhile')).toBeVisible();
    await expect(page.getByLabel('Grade on the label')).toHaveValue('18-0-6');
    await keep(page);
    const dialog = page.getByRole('dialog', { name: 'Changed elsewhere' });
    expect(plain(await dialog.getByRole('group', { name: 'Name' }).innerText())).toContain(
      'Theirs: Renamed meanwhile',
    );
  });
});
