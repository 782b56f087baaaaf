import { expect, test } from '@playwright/test';
import { change, bigNumber, expectAccessible, lineText, plain, go } from './support.ts';

test('a label is typed in, three products are held side by side, and one is put on a job', async ({
  page,
}) => {
  await page.goto('/shelf/new');
  await page.getByRole('button', { name: 'Save product' }).click();
  await expect(page.getByRole('alert')).toContainText('Give it a name');
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
  await page.getByLabel('Name', { exact: true }).fill('Half bag from the shed');
  await page.getByLabel('Grade', { exact: true }).fill('240-8');
  await expect(page.getByRole('alert')).toContainText('Is it 24-0-8?');
  await page.getByRole('button', { name: 'Use 24-0-8' }).click();
  for (const what of ['slow release', 'price', 'label rates']) await change(page, what);
  await page.getByLabel('Slow-release share').fill('50');
  await page.getByLabel('Package size').fill('40');
  await page.getByLabel('Package price').fill('26.40');
  await page.getByLabel('One package covers').fill('12 000');
  await page.getByLabel('Highest rate').fill('3');
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half bag from the shed');
  await page.getByRole('button', { name: 'Save product' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();

  await go(page, '/shelf');
  for (const name of ['Half bag from the shed', 'Straight nitrogen 46-0-0', 'Liquid nitrogen 28-0-0']) {
    await page.getByLabel(`Select ${name}`).check();
  }
  await page.getByRole('button', { name: 'Compare 3' }).click();
  const table = page.getByRole('region', { name: 'Compare labels' });
  await expect(table.getByRole('columnheader')).toHaveCount(3);
  await expect(table.getByRole('row', { name: /^Price of what is needed/ })).toContainText('$2.75 / lb N');
  await expect(table.getByRole('row', { name: /^One package covers/ })).toContainText('12 000 ft²');
  await expect(table.getByRole('row', { name: /^By the label/ })).toContainText(
    'above the label’s highest rate',
  );
  await expect(table.getByRole('columnheader', { name: /Straight nitrogen/ })).toContainText('costs least');
  expect(plain(await table.getByRole('group').first().innerText())).toBe(
    '0.8 lb N / 1000 ft² ÷ 24 % = 3.33 lb / 1000 ft²',
  );
  await expectAccessible(page);

  await page.getByLabel('Amount needed').fill('1');
  await expect(table.getByRole('row', { name: /^One package covers/ })).toContainText('9 600 ft²');
  await page.reload();
  await expect(page.getByLabel('Amount needed')).toHaveValue('1');
  await page.getByLabel('Amount needed').fill('0,8');
  await expect(page.getByRole('alert')).toContainText('Write 0.8 if it marks a decimal');
  await page.getByRole('button', { name: 'Use 0.8' }).click();
  await table.getByRole('button', { name: 'Make a job of it' }).first().click();
  await expect(page.getByLabel('Name of the job')).toHaveValue('Half bag from the shed');
  await expect
    .poll(() => lineText(page, 'What the label does'))
    .toContain('= 3.33 lb / 1000 ft² × 24 % in 24-0-8 = 0.800 lb N');
  const job = page.url();

  await go(page, '/shelf');
  await page.getByRole('link', { name: 'Half bag from the shed' }).click();
  await page.getByLabel('Grade', { exact: true }).fill('30-0-0');
  await page.getByRole('button', { name: 'Save product' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await go(page, job);
  await expect(page.getByLabel('Grade on the label')).toHaveValue('24-0-8');
  await page.getByLabel('area 1, measured as').fill('7400');
  await expect(bigNumber(page)).toHaveText('24.7 lb');
});
