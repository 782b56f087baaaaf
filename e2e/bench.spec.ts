import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { expectAccessible, plain } from './support.ts';

async function saved(page: Page, press: () => Promise<unknown>) {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  return { name: download.suggestedFilename(), bytes: await readFile(await download.path()) };
}

test('the cards: which still hold, and the PDF on cards and on sheets', async ({ page }) => {
  await page.goto('/bench/cards');
  await page.getByLabel(/^Brine trailer/).uncheck();
  await page.getByLabel(/^Hose reel gun/).check();
  await page.getByLabel(/^Red spreader, lake feed/).check();
  await page.getByLabel(/^Two-row distributor/).check();
  await expectAccessible(page);
  // The hose reel gun stands among them, too: it has a rate and no marks.
  const pages = { a6: 3, letter: 2 };
  for (const [size, count] of Object.entries(pages)) {
    await page.getByLabel('Paper').selectOption(size);
    const { bytes } = await saved(page, () => page.getByRole('button', { name: /cards as PDF/ }).click());
    const pdf = await getDocumentProxy(new Uint8Array(bytes));
    const { text, totalPages } = await extractText(pdf, { mergePages: false });
    expect([size, totalPages]).toEqual([size, count]);
    const all = plain(text.join(' '));
    for (const words of ['Red push spreader', 'Lake feed 24-0-8', '3.24 ±0.13 lb / 1000 ft²', '120 ft in 27.2 s', '9 ft between passes', '10 Apr 2026, M. Orr', 'Two-row distributor', '790 ±40 kg / ha', 'Hose reel gun', '2.0 ±0.2 gal / 1000 ft²']) // prettier-ignore
      expect(all).toContain(words);
    const [, , width, height] = (await pdf.getPage(1)).view;
    if (size === 'a6') expect([width! / 72, height! / 72].map((inch) => Math.round(inch * 25.4))).toEqual([105, 148]);
  }
  await page.getByLabel(/^Yard truck, rock salt, last winter/).check();
  await expect(page.getByText('A stale chart misleads')).toBeVisible();
}); // prettier-ignore

test('a phone that is not paired is asked for the code', async ({ page }) => {
  await page.route('**/api/jobs', (route) =>
    route.fulfill({ status: 401, contentType: 'application/problem+json', body: JSON.stringify({ type: '/problems/not-paired', title: 'Not paired', status: 401, detail: 'This device is not paired yet.' }) }),
  );
  await page.goto('/jobs');
  await expect(page.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Code').fill('1111 1111');
  await page.getByRole('button', { name: 'Pair this device' }).click();
  await expect(page.getByRole('alert')).toContainText('It has eight digits');
}); // prettier-ignore
