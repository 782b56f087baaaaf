import { expect, test } from '@playwright/test';
import { expectAccessible, openOwnCopy, PHONE } from './support.ts';

test.describe('after the work, on a phone', () => {
  test.use({ ...PHONE, serviceWorkers: 'allow' });

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
