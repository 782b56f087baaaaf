import { expect, test } from '@playwright/test';
import { bigNumber, typeSheet } from './support.ts';

test('what is typed survives a reload; keep, reload, open again, change, delete and undo', async ({
  page,
}) => {
  const name = 'Lake front, round trip';
  await typeSheet(page, name);
  await page.getByLabel('Package size').fill('5 stone');
  await page.reload();
  await expect(page.getByLabel('Package size')).toHaveValue('5 stone');
  await expect(page.getByText('unsaved changes')).toBeVisible();
  await page.getByLabel('Package size').fill('40 lb');
  await page.getByRole('button', { name: 'Save job' }).click();
  await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]{36}$/);
  await page.reload();
  await expect(page.getByLabel('Name of the job')).toHaveValue(name);
  await expect(page.getByLabel('Bandstand lawn, measured as')).toHaveValue("62' x 38'");
  await expect(bigNumber(page)).toHaveText('7.85 lb');

  await page.getByRole('link', { name: 'Jobs' }).click();
  await page.getByRole('link', { name }).click();
  await page.getByLabel('Amount needed').fill('1 lb');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible();

  await page.getByRole('link', { name: 'Jobs' }).click();
  const row = page.getByRole('row').filter({ hasText: name });
  await expect(row).toContainText('1 lb N / 1000 ft²');
  await expect(row).toContainText('18 Apr 2026');
  await expect(row).toContainText('9.82 lb');
  await row.getByRole('button', { name: `Archive ${name}` }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('9.82 lb');

  await page.getByRole('link', { name }).click();
  await page.getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(page).toHaveURL(/\/jobs$/);
  await expect(row).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('row').filter({ hasText: 'sample' }).first()).toBeVisible();
  await expect(row).toHaveCount(0);
});
