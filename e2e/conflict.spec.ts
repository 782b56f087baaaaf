import { expect, test } from '@playwright/test';
import { keep, kept, typeSheet } from './support.ts';

test('two tabs of one browser know of each other, and a reload of one keeps its own text', async ({
  page,
}) => {
  await typeSheet(page, 'Two tabs');
  await keep(page, 'Save job');
  await expect(kept(page)).toBeVisible();
  const second = await page.context().newPage();
  await second.goto(page.url());
  await expect(kept(second)).toBeVisible();
  await page.getByLabel('Grade on the label').fill('18-0-6');
  await expect(second.getByText('also typed on in another tab')).toBeVisible();
  await second.getByLabel('Grade on the label').fill('22-2-11');
  await page.reload();
  await expect(page.getByLabel('Grade on the label')).toHaveValue('18-0-6');
});
