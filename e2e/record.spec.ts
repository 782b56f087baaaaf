import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectAccessible, openOwnCopy, PHONE, go } from './support.ts';

test.describe('after the work, on a phone', () => {
  test.use({ ...PHONE });

  test('work is recorded without a network, sent on return, corrected with a reason; the drift of the machine is told', async ({ page, context }) => {
    const job = await openOwnCopy(page, 'Spring feed, lake front', 'Feed on a phone');
    await page.getByRole('link', { name: /^After/ }).click();
    await expect(page.getByText('Nothing is recorded of this job yet.')).toBeVisible();
    await expect(page.getByText(/it drifts heavy\. Run a check test/)).toBeVisible();
    await expectAccessible(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);

    await context.setOffline(true);
    await page.getByLabel('Your name').fill('R. Fenn');
    await page.getByLabel('Went out in all').fill('25');
    await page.getByRole('button', { name: 'Save record' }).click();
    await expect(page.getByText(/3 saved on this device, not on the server yet/)).toBeVisible();
    await expect(page.getByRole('listitem').filter({ hasText: 'Bandstand lawn' })).toBeVisible();
    await context.setOffline(false);
    const rows = async () => (await (await page.request.get(`/api/applications?subject=${job}`)).json()).events as { input: { void: string } }[];
    await expect.poll(async () => (await rows()).length).toBe(3);

    await page.getByRole('button', { name: 'Correct Library strip' }).click();
    const panel = page.getByRole('dialog');
    await panel.getByRole('button', { name: 'Does not count' }).click();
    await panel.getByLabel('Reason').fill('Not done: too wet');
    await panel.getByRole('button', { name: 'Save correction' }).click();
    await expect(page.getByText('Does not count: Not done: too wet')).toBeVisible();
    await expect.poll(async () => (await rows()).filter(({ input }) => input.void !== '').length).toBe(1);
    await expectAccessible(page);
  });
}); // prettier-ignore

test('work without a sheet is typed at a desk, and the report tells it', async ({ page }) => {
  await page.goto('/log');
  await page.getByRole('button', { name: 'Record work' }).click();
  const panel = page.getByRole('dialog');
  await panel.getByLabel('Area').selectOption({ label: 'School: Training end' });
  await panel.getByLabel('Product').selectOption({ label: 'Potash 0-0-60' });
  await panel.getByLabel('Amount that went out').fill('12.5');
  await panel.getByLabel('Your name').fill('J. Alder');
  await expectAccessible(page);
  await panel.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('row', { name: /Training end, School.*Potash 0-0-60.*12\.5.*J\. Alder/ })).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF report' }).click();
  const { getDocumentProxy, extractText } = await import('unpdf');
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(await readFile(await (await saved).path()))), { mergePages: true });
  for (const words of ['What was spread', 'School', 'Potash 0-0-60', 'J. Alder, TH-131 (sample)', 'K2O', 'Does not count: Closed that day']) expect(text.replaceAll(/\s+/g, ' ')).toContain(words);
  const table = page.waitForEvent('download');
  await page.getByRole('button', { name: 'XLSX' }).click();
  expect((await readFile(await (await table).path())).subarray(0, 2).toString()).toBe('PK');
}); // prettier-ignore

test('a look two weeks later stands with its photo; what is short on the shelf is counted', async ({ page }) => {
  await page.goto('/log/looks');
  await expect(page.getByRole('row', { name: /Lake feed.*in stripes/ })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Photo of the work' }).first()).toBeVisible();
  await expectAccessible(page);
  await go(page, '/shelf');
  await page.getByRole('link', { name: 'Lake feed 24-0-8' }).click();
  await expect(page.getByText(/Counted on 2 Mar 2026, since then 4 received/)).toBeVisible();
  await page.getByRole('button', { name: 'Counted', exact: true }).click();
  await page.getByLabel('Packages').fill('9');
  await page.getByRole('button', { name: 'Save movement' }).click();
  await expect(page.getByText('9 packages')).toBeVisible();
  await expectAccessible(page);
}); // prettier-ignore
