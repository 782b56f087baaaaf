import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectAccessible, openOwnCopy, PHONE } from './support.ts';

/** One of the sample's own. */
const aPicture = async () => Buffer.from((JSON.parse(await readFile('demo/tarn-hollow.json', 'utf8')) as { photos: { picture: string }[] }).photos[0]!.picture, 'base64'); // prettier-ignore

test.describe('the run, on a phone at night', () => {
  test.use({ ...PHONE, colorScheme: 'dark', serviceWorkers: 'allow' });

  test('passes are counted, a reload and no network in the middle, paused, then recorded with its pace', async ({ page, context }) => {
    await openOwnCopy(page, 'Lake front, September feed', 'Run on a phone');
    await page.getByRole('link', { name: /^Run/ }).click();
    // Who, the weather from the stand-in, what to mind.
    await page.getByLabel('Your name').fill('R. Fenn');
    await page.getByRole('button', { name: 'Fill in from Stand-in station' }).click();
    await expect(page.getByText('Simulated: a stand-in, no real weather.')).toBeVisible();
    await expect(page.getByLabel('Wind')).toHaveValue('5.4 mph');
    await page.getByRole('checkbox', { name: /Shut the gate before filling/ }).check();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Begin run' }).click();
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
    // A photo on the way waits on the device.
    await page.getByRole('button', { name: 'Change note and photos' }).click();
    await page.locator('input[type=file]').setInputFiles({ name: 'bank.png', mimeType: 'image/png', buffer: await aPicture() });
    await expect(page.getByRole('button', { name: 'Open photo' })).toBeVisible();
    await page.getByRole('link', { name: 'Finish and record' }).click();
    await expect(page.getByLabel('Your name')).toHaveValue('R. Fenn');
    await expect(page.getByText(/Bandstand lawn: 2 passes timed: \d+ % fast on average/)).toBeVisible();
    await expect(page.getByText(/^Weather: 5\.4 mph/)).toBeVisible();
    await page.getByRole('button', { name: 'Save record' }).click();
    await expect(page.getByText(/[45] saved on this device, not on the server yet/)).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/saved on this device, not on the server yet/)).toBeHidden();
    await expect(page.getByRole('listitem').filter({ hasText: 'as planned, not weighed' })).toHaveCount(3);
    const job = page.url().split('/').at(-2)!;
    const sent = async () => (await (await page.request.get(`/api/applications?subject=${job}`)).json()).events as { input: { photos: string[] } }[];
    await expect.poll(async () => (await sent()).length).toBe(3);
    const rows = await sent();
    expect(rows[0]!.input.photos).toHaveLength(1);
    expect((await page.request.get(`/api/photos/${rows[0]!.input.photos[0]}`)).headers()['content-type']).toBe('image/jpeg');
    // What was counted is recorded: no other device sees it under way any more.
    expect((await (await page.request.get(`/api/walks?filter=job:${job}`)).json()).items).toEqual([]);
  });
}); // prettier-ignore
