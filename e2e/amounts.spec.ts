import { expect, test } from '@playwright/test';
import {
  answer,
  openStop,
  expectAccessible,
  lineText,
  next,
  openSample,
  PHONE,
  startTestRuns,
} from './support.ts';

test('two portions in two directions reach the setting, the load and the card', async ({ page }) => {
  await openSample(page, 'Bandstand lawn, summer in two portions');
  const setting = page.getByRole('region', { name: 'Setting' });
  await expect(answer(page)).toContainText('This time, each way: 4.30 lb');
  await expect(page.getByText('each portion 3.00 lb / 1000 ft²')).toBeVisible();
  await expect(page.getByText('above the label’s highest')).toHaveCount(0);
  expect(await lineText(page, 'This time, each way')).toBe(
    '6.00 lb / 1000 ft² ÷ 2 portions ÷ 2 directions = 1.50 lb / 1000 ft² so in all 4.30 lb',
  );
  await expectAccessible(page);
  // 1.44 lb N from 24 % are 6 lb: a quarter of it each time over.
  await openStop(page, 'Test');
  await expect(setting).toContainText(/1\.50 lb \/ 1000 ft²/);
  await expect(setting).toContainText('Set gate to 8.5');
  await openStop(page, 'Ground');
  await page.getByLabel('Over the ground').selectOption('one');
  await openStop(page, 'Test');
  await expect(setting).toContainText('Set gate to 10.5');
  await openStop(page, 'Ground');
  await page.getByLabel('Over the ground').selectOption('two');
  await openStop(page, 'Test');
  await page.getByRole('link', { name: 'Card for this job' }).click();
  const card = page.getByRole('article', { name: /^Card of Red push spreader/ });
  await expect(card).toContainText('Bandstand lawn, summer in two portions');
  await expect(card).toContainText('1.50 lb / 1000 ft²');
  await expect(card).toContainText('8.5');
  await expectAccessible(page);
});

test('a chart of another product gives no setting, and leads to its own test', async ({ page }) => {
  await openSample(page, 'Bandstand lawn, summer in two portions');
  await openStop(page, 'Machine');
  const machine = page.getByRole('region', { name: 'The machine' });
  await page.getByLabel('Chart of a machine').selectOption({ label: 'Two-row distributor, organic meal, at 7.5' });
  await expect(machine.getByRole('alert')).toContainText('This chart was made with Organic meal 8-3-1');
  await expect(machine).not.toContainText(/Set .* to/);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Same product, other name' }).click();
  await expect(machine).toContainText('one product under two names');
  await openStop(page, 'Test');
  await expect(page.getByRole('region', { name: 'Setting' })).toContainText('Set slide to');
  await openStop(page, 'Machine');
  await page.getByRole('button', { name: 'They are not' }).click();
  await openStop(page, 'Test');
  await expect(page.getByRole('region', { name: 'Setting' })).not.toContainText(/Set .* to/);
  await page.getByRole('link', { name: 'Test it, with this chart’s shape as first guess' }).click();
  await expect(page.getByLabel('Rate', { exact: true })).toHaveValue(/^1\.50 lb/);
  await expect(page.getByRole('radio', { name: /^Two-row distributor/ })).toBeChecked();
  await expect(page.getByText('Lake feed 24-0-8').first()).toBeAttached();
}); // prettier-ignore

test.describe('on a phone', () => {
  test.use(PHONE);
  test('a low start where nothing flows goes on from there', async ({ page }) => {
    await startTestRuns(page, 'Red spreader, bridged', 'Red push spreader', '5', { 'Scale step': '0.05' });
    await page.getByRole('button', { name: 'Begin test run 1' }).click();
    await page.getByRole('button', { name: 'All of it is right' }).click();
    await next(page);
    await page.getByLabel('or another mark').fill('4.5');
    for (const [label, text] of [
      ['Weight before', '48.00'],
      ['Strip length', '100'],
    ] as const) {
      await next(page);
      await page.getByLabel(label).fill(text);
    }
    await next(page);
    await page.getByRole('button', { name: 'Nothing came out' }).click();
    await expect(page.getByRole('region', { name: 'Result' })).toContainText('first flow lies above this mark');
    await expect(answer(page)).toContainText('Half way from there to fully open');
    await expectAccessible(page);
    // Half way from 4.5 to 20, never above it.
    await page.getByRole('button', { name: 'Next test run at 12' }).click();
    await expect(page.getByText('2 of 6: Set the machine')).toBeVisible();
    await page.reload();
    await expect(page.getByText('2 of 6: Set the machine')).toBeVisible();
  }); // prettier-ignore
});

test('what was walked at another pace cannot be signed off', async ({ page }) => {
  await startTestRuns(page, 'Red spreader, in a hurry', 'Red push spreader', '3.33', {
    'Scale step': '0.05',
    'Course length': '120',
    'Course time, s': '27.2',
  });
  await page.getByRole('button', { name: 'To the bench' }).click();
  const signOff = page.getByRole('button', { name: /^Sign off at / });
  for (const number of [1, 2]) {
    await page.getByLabel('Method of the test run').selectOption('weigh-back');
    await page.getByRole('button', { name: 'Type in a test run' }).click();
    await page.getByLabel('Setting', { exact: true }).fill('11');
    await page.getByLabel('Weight before').fill('48.00');
    await page.getByLabel('Weight after').fill('44.40');
    await page.getByLabel('Strip length').fill('120');
    await page.getByLabel('Strip time').fill('12');
    await expect(page.getByText('More than 15 % apart, so it does not count')).toBeVisible();
    await expect(page.getByRole('button', { name: new RegExp(`^Test run ${number}\\s+at 11.*another pace`) })).toBeVisible();
  }
  await expect(signOff).toHaveCount(0);
  await expectAccessible(page);
  await page.getByLabel('Strip time').fill('27.2');
  await page.getByRole('button', { name: /^Test run 1\s+at 11/ }).click();
  await page.getByLabel('Strip time').fill('27.2');
  await expect(signOff).toHaveText('Sign off at 11');
}); // prettier-ignore
