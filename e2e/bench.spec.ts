import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { bigNumber, expectAccessible, plain } from './support.ts';

const mark = async (page: Page) => plain((await bigNumber(page).textContent()) ?? '');
const why = (page: Page) => page.getByRole('region', { name: 'Answer' });

async function saved(page: Page, press: () => Promise<unknown>) {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  return { name: download.suggestedFilename(), bytes: await readFile(await download.path()) };
}

test('an excluded run does not count, and stays; marks and rates are looked up', async ({ page }) => {
  await page.goto('/bench');
  await page.getByRole('link', { name: 'Red spreader, lake feed' }).click();
  await expect.poll(() => mark(page)).toBe('11');
  await expect(why(page)).toContainText('from 3 test runs');
  await page.getByLabel('Rate needed').fill('4.4');
  await expect(page.getByText(/^Set 12.5: 4.30/)).toBeVisible();
  await page.getByLabel('Rate needed').fill('9');
  await expect(page.getByText(/above what was tested/)).toBeVisible();
  await page.getByRole('button', { name: /^Test run 3\s+at 11.*excluded/ }).click();
  await page.getByLabel('Excluded because').fill('');
  await expect(why(page)).not.toContainText('from 3 test runs');
  await expect(why(page).getByRole('alert')).toContainText('Test runs at 11 differ');
});

test('the cards: which still hold, and the PDF in each size', async ({ page }) => {
  await page.goto('/bench/cards');
  await page.getByLabel(/^Brine trailer/).uncheck();
  await page.getByLabel(/^Hose reel gun/).check();
  await page.getByLabel(/^Red spreader, lake feed/).check();
  await page.getByLabel(/^Two-row distributor/).check();
  await expectAccessible(page);
  // The hose reel gun stands among them, too: it has a rate and no marks.
  const pages = { a6: 3, '4x6': 3, a4: 1, letter: 2 };
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

test('machines and products side by side, and what happened to each', async ({ page }) => {
  await page.goto('/bench/compare');
  await expect(page.locator('canvas')).toBeVisible();
  await page.getByLabel(/Two-row distributor/).check();
  await expect(page.getByText('A setting is never copied from one machine to another')).toBeVisible();
  await expect(page.getByRole('row', { name: /Red push spreader.*serviced: New gate cable/ })).toBeVisible();
  await expectAccessible(page);
});

test('tests go out as JSON and CSV and come back; what is wrong with a file is said, nothing half taken', async ({ page }) => {
  await page.goto('/bench/files');
  const press = (name: string) => () => page.getByRole('button', { name }).click();
  const json = await saved(page, press('Tests as JSON'));
  const csv = await saved(page, press('Runs as CSV'));
  expect(csv.bytes.toString()).toContain('Weight before: 48.00; Strip length: 100\' 0""'.slice(0, 30));
  const give = (name: string, text: string) => page.getByLabel('File to import').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  const alert = page.getByRole('alert');
  await give('half.json', json.bytes.toString().slice(0, 400));
  await expect(alert).toContainText('breaks off or is damaged');
  await give('other.json', '{"format":"something"}');
  await expect(alert).toContainText('not one of tests');
  await give('empty.json', ' ');
  await expect(alert).toContainText('empty');
  const file = JSON.parse(json.bytes.toString()) as { calibrations: { input: { name: string; runs: { readings: Record<string, string> }[] } }[] };
  const lakeFeed = file.calibrations.findIndex(({ input }) => input.name === 'Red spreader, lake feed');
  const wrong = structuredClone(file);
  wrong.calibrations[lakeFeed]!.input.runs[0]!.readings['left'] = '99';
  await give('wrong.json', JSON.stringify(wrong));
  await expect(alert).toContainText('Less has to be left than went in');
  await give('shed.csv', 'Name,Rate\nRed,3');
  await expect(alert).toContainText('Missing columns:');

  await give('tests.csv', csv.bytes.toString());
  await expect(page.getByText(/^Red spreader, lake feed, Red push spreader, 6 test runs/)).toBeVisible();
  await give('tests.json', JSON.stringify({ ...file, calibrations: [{ ...file.calibrations[lakeFeed], input: { ...file.calibrations[lakeFeed]!.input, name: 'Came back' } }] }));
  await page.getByRole('button', { name: 'Import this calibration' }).click();
  await expect(page.getByText('Imported one calibration.')).toBeVisible();
  await page.goto('/bench');
  await expect(page.getByRole('link', { name: 'Came back' })).toBeVisible();
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
