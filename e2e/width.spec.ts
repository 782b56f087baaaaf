import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { change, bigNumber, expectAccessible, openSample, plain, openStop, go } from './support.ts';

const ROW = '0 .3 .9 1.8 2.7 3.3 3.6 3.8 3.9 3.7 3.4 3.0 2.3 1.5 .7 .2 0'.split(' ');
const big = async (page: Page) => plain((await bigNumber(page).textContent()) ?? '');
const answer = (page: Page) => page.getByRole('region', { name: 'Answer' });

/** A new test of 17 trays half a metre apart, its catches not typed yet. */
async function setOut(page: Page, name: string) {
  await page.goto('/bench/width/new');
  await page.getByRole('radio', { name: 'Red push spreader' }).check({ force: true });
  for (const what of ['name', 'units', 'tray layout', 'passes and evenness']) await change(page, what);
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Length unit').selectOption('m');
  await page.getByLabel('Trays', { exact: true }).fill('17');
  await page.getByLabel('Tray spacing', { exact: true }).fill('0.5');
  await page.getByLabel('Tray size unit').selectOption('m');
  await page.getByLabel('Tray length').fill('0.5');
  await page.getByLabel('Tray width').fill('0.3');
}

test('a row of 17 trays is typed, the spacing slid, accepted, and the bench and a job tell when theirs is another', async ({ page }) => {
  await setOut(page, 'Red, seventeen trays');
  await page.getByLabel('Tray 1 at −4 m').focus();
  for (const text of ROW) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
  await expect.poll(() => big(page)).toBe('5.17 m');
  await expect(answer(page)).toContainText('up to 5.43 m');
  await expect(answer(page)).toContainText('52.3 % falls to the left');
  await expect(answer(page)).toContainText(/The widest even spacing lies between/);
  await expectAccessible(page);

  const slider = page.getByLabel('Pass spacing looked at');
  await slider.focus();
  await slider.fill('6');
  await expect(answer(page)).toContainText('CV 26 %, beyond your limit of 15 %');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByLabel('Pass spacing', { exact: true })).toHaveValue('5.99');
  await page.getByLabel('Pass spacing', { exact: true }).fill('5');
  await expect(answer(page)).toContainText('The mean is 7.80 g / m²');
  await page.getByRole('button', { name: 'Back to the recommended one' }).click();
  await page.getByLabel('Passes go').selectOption('one-way');
  await expect.poll(() => big(page)).toBe('5.20 m');
  await page.getByRole('button', { name: 'Pass 5.2 m apart' }).click();
  await page.getByRole('button', { name: 'Save width test' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();

  // Its charts hold for 9 ft, which is 2.74 m.
  await go(page, '/bench');
  await page.getByRole('link', { name: 'Red spreader, lake feed', exact: true }).click();
  await expect(answer(page).getByRole('alert')).toContainText('says to pass 5.2 m apart');
  await expect(answer(page).getByRole('alert')).toContainText('this will deliver 0.53 times the rate');
  await page.getByRole('button', { name: 'Work the rates out for 5.2 m' }).click();
  await expect(answer(page).getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Test run 1\s+at 8/ })).toContainText('0.62');
  await page.getByRole('button', { name: 'Discard changes' }).click();

  await openSample(page, 'Spring feed, lake front');
  await openStop(page, 'Test');
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('Worked out for passes 9 ft apart and passed 4.5 ft apart, this will deliver 2.0 times the rate.');
  await page.getByRole('button', { name: 'Work the chart out for 4.5 ft' }).click();
  await expect(alert).toHaveCount(0);
  // What other journeys weighed back enters this chart, by one in its last figure.
  await expect(page.getByText(/^Set gate to 8.5: 3.0[34] lb/)).toBeVisible();
  await page.getByRole('region', { name: 'Setting' }).getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Pass 9 ft apart' }).click();
  await expect(alert).toHaveCount(0);
  await expect(page.getByText(/^Set gate to 11: 3.2[46] lb/)).toBeVisible();
}); // prettier-ignore

test('a level is dragged in its tube; a slip is asked about; wrong trays are said', async ({ page }) => {
  await setOut(page, 'Red, dragged');
  for (const [at, text] of ROW.entries()) await page.getByLabel(`Tray ${at + 1} at`).fill(text);
  await expect.poll(() => big(page)).toBe('5.17 m');
  const drawing = page.getByRole('img', { name: /^The trays across the throw/ });
  const box = (await drawing.boundingBox())!;
  // The middle tray, from its level down to the floor.
  await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.4);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.79, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await page.getByLabel('Tray 9 at 0 m').inputValue())).toBeLessThan(0.5);
  await expect(answer(page)).toContainText('The middle gets too little.');
  await page.getByLabel('Tray 9 at 0 m').fill('390');
  await expect(page.getByRole('alert')).toContainText('Tray 9 caught 390');
  await page.getByLabel('Tray 9 at 0 m').fill('-1');
  await expect(page.getByRole('alert').first()).toContainText('number of 0 or more');
  await page.getByLabel('Tray 9 at 0 m').fill('');
  await expect(page.getByText('1 missing, put in straight')).toBeVisible();
  await page.getByLabel('Tray width').fill('0.9');
  await expect(page.getByRole('alert')).toContainText('would lie over each other');
}); // prettier-ignore

test('trays as CSV and back; a report of one page', async ({ page }) => {
  await page.goto('/bench/width');
  await page.getByRole('link', { name: 'Red spreader, trays in April' }).click();
  await expect.poll(() => big(page)).toBe('10.4 ft');
  await expect(answer(page)).toContainText(/The trays caught 9\d % of what the machine delivers/);
  await expect(answer(page)).toContainText(/CV was \d+ % before and is 10 % now/);
  const saved = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name }).click()]);
    return readFile(await download.path());
  };
  const csv = (await saved('Export trays (CSV)')).toString();
  expect(csv.split('\r\n')[0]).toContain('"Place, ft",Row 1,Row 2,Row 3');
  const pdf = await getDocumentProxy(new Uint8Array(await saved('Report')));
  const { text, totalPages } = await extractText(pdf);
  expect(totalPages).toBe(1);
  for (const words of ['Red spreader, trays in April', 'sample', 'Pass 9 ft apart, M. Orr', 'within 15 % up to 10.9 ft', 'Red push spreader'])
    expect(plain(text[0]!)).toContain(words);

  await setOut(page, 'Red, from a file');
  const give = (body: string) => page.getByLabel('Trays from a CSV file').setInputFiles({ name: 'trays.csv', mimeType: 'text/csv', buffer: Buffer.from(body) });
  await give('Place\nx');
  await expect(page.getByText('The first column has to hold the places')).toBeVisible();
  await page.getByLabel('Length unit').selectOption('ft');
  await page.getByLabel('Tray width').fill('0.1');
  await give(csv);
  await expect.poll(() => big(page)).toBe('10.4 ft');
}); // prettier-ignore
