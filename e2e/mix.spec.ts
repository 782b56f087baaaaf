import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { change, bigNumber, expectAccessible, kept, line, lineText, plain } from './support.ts';

const theMix = (page: Page) => page.getByRole('region', { name: 'The mix' });
const textOf = async (page: Page) => plain(await theMix(page).innerText());

test('a soil test is typed in, the cheapest mix is found for it, and put on jobs', async ({ page }) => {
  await page.goto('/shelf/soil/new');
  await page.getByRole('button', { name: 'Save soil test' }).click();
  await expect(page.getByRole('alert')).toContainText('Give it a name');
  await page.getByLabel('Ground', { exact: true }).fill('Boat house lawn');
  await page.getByLabel('Sampling day').fill('2026-03-09');
  for (const what of ['units', 'laboratory and pH']) await change(page, what);
  await page.getByLabel('Need unit').selectOption('kg/ha');
  await page.getByLabel('N, nitrogen').fill('30');
  await page.getByLabel('P₂O₅, phosphate').fill('0');
  await page.getByLabel('K₂O, potash').fill('5O');
  await expect(page.getByRole('alert')).toContainText('There is no unit O here');
  await page.getByLabel('K₂O, potash').fill('50');
  await page.getByLabel('pH', { exact: true }).fill('62');
  await expect(page.getByRole('alert')).toContainText('A pH lies between 2 and 12');
  await page.getByLabel('pH', { exact: true }).fill('6.2');
  await page.reload();
  await expect(page.getByLabel('K₂O, potash')).toHaveValue('50');
  await page.getByRole('button', { name: 'Save soil test' }).click();
  await expect(kept(page)).toBeVisible();

  await page.getByRole('link', { name: 'Find a mix', exact: true }).first().click();
  await expect(theMix(page)).toContainText('The cheapest mix that meets every need');
  await expect(page.getByLabel('Need of nitrogen')).toHaveValue('30');
  // What brings phosphate is left out, since none is wanted.
  await expect(theMix(page)).toContainText(/products are left out/);
  await page.getByLabel('Tolerance over a need').fill('0');
  for (const name of [
    'Lake feed 24-0-8',
    'Liquid nitrogen 28-0-0',
    'Potash 0-0-50 S',
    'Bowling green iron 6-0-0 Fe',
    'Potassium nitrate, soluble 13-0-45',
  ]) {
    await page.getByRole('checkbox', { name, exact: true }).uncheck();
  }
  await page.getByLabel('Ground in all').fill('1000');
  await page.getByLabel('Unit of the ground').selectOption('m2');
  // 30 / 0.46 kg and 50 / 0.60 kg on each ha.
  await expect(line(page, 'Straight nitrogen 46-0-0')).toContainText('6.52 kg');
  await expect.poll(() => lineText(page, 'Potash 0-0-60')).toContain('83.3 kg / ha × 1 000 m² = 8.33 kg for');
  expect(await textOf(page)).toContain('30.0 kg N / ha from Straight nitrogen 46-0-0 of 30.0 wanted');
  await expect(theMix(page)).toContainText('No mix of fewer than 2 products meets the needs');

  // The school's contract allows 180 kg N in a year: with 165 put down there are 15 left.
  await page.getByLabel('Rules', { exact: true }).selectOption({ label: 'School contract' });
  await page.getByLabel('Already this year: nitrogen').fill('165');
  await expect(theMix(page)).toContainText(
    'Nitrogen falls 15.0 kg / ha short. In the way: most nitrogen in a year',
  );
  // The search survives a reload.
  await page.reload();
  await expect(page.getByLabel('Already this year: nitrogen')).toHaveValue('165');
  await expect(theMix(page)).toContainText('Nitrogen falls 15.0 kg / ha short');
  await page.getByLabel('Rules', { exact: true }).selectOption({ label: 'none' });

  await page.getByRole('checkbox', { name: 'Straight nitrogen 46-0-0' }).uncheck();
  await expect(theMix(page)).toContainText('Nitrogen falls 30.0 kg / ha short');
  await page.getByRole('checkbox', { name: 'Straight nitrogen 46-0-0' }).check();
  await page.getByRole('button', { name: 'Make 2 jobs of it' }).click();
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await page.getByRole('link', { name: 'Boat house lawn: Potash 0-0-60' }).click();
  await expect(bigNumber(page)).toHaveText('8.33 kg');
  await expect
    .poll(() => lineText(page, 'What the ground needs'))
    .toBe('83.33 kg of product on each ha = 83.3 kg / ha');
  await expect(page.getByRole('button', { name: /Product Potash 0-0-60/ })).toBeVisible();
});

const MESSY = readFileSync(join(import.meta.dirname, '../web/src/products/messyShelf.csv'));
const csv = (text: string | Buffer, name = 'shelf.csv') => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.isBuffer(text) ? text : Buffer.from(text),
});

test('a messy CSV: good rows are taken, bad ones are named, and it can be undone', async ({ page }) => {
  await page.goto('/shelf/import');
  const file = page.getByLabel('File to import');
  await file.setInputFiles(csv(MESSY));
  await expect(
    page.getByText('2 products can be imported, 5 rows cannot, 1 is there already.'),
  ).toBeVisible();
  await expect(
    page.getByText('Columns are separated by semicolons. Commas are read as decimal marks.'),
  ).toBeVisible();
  await expect(page.getByText('left out: Colour')).toBeVisible();
  const bad = page.getByRole('region', { name: '5 rows cannot be imported' });
  await expect(bad.getByRole('row', { name: /^3 / })).toContainText('adds up to 110 %');
  await expect(bad.getByRole('row', { name: /^6 / })).toContainText('is a formula of a spreadsheet');
  await expect(bad.getByRole('row', { name: /^7 / })).toContainText('pure potassium chloride has 52.4 %');
  await expectAccessible(page);
  await page.getByLabel('Import those too').check();
  await expect(page.getByRole('button', { name: 'Import 3 products' })).toBeEnabled();
  await page.getByLabel('Import those too').uncheck();
  await page.getByRole('button', { name: 'Import 2 products' }).click();
  await expect(page.getByRole('link', { name: 'Harbour feed' })).toBeVisible();
  await page.getByRole('link', { name: 'Harbour feed' }).click();
  await expect(page.getByLabel('Notes')).toHaveValue('says "slow";\non two lines');
  await change(page, 'price');
  await expect(page.getByLabel('Package price')).toHaveValue('31.80');
  await page.getByRole('button', { name: 'Undo' }).click();
  // Within the page: one that is loaded anew would break off what is under way.
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Lake feed 24-0-8' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Harbour feed' })).toHaveCount(0);
});
