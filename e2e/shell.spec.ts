import { expect, test } from '@playwright/test';
import {
  answer,
  bigNumber,
  expectAccessible,
  expectAccessibleDayAndNight,
  kept,
  line,
  lineText,
  openSample,
  PHONE,
  typeSheet,
} from './support.ts';

test('the label read backwards, either way round, on one sheet', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Grade on the label').fill('24-0-8');
  await page.getByLabel('Package on the label').fill('40 lb');
  await page.getByLabel('Ground that one package covers', { exact: true }).fill('12 000');
  expect(await lineText(page, 'What the label does')).toBe(
    '40 lb covers 12 000 ft² = 3.33 lb / 1000 ft² × 24 % in 24-0-8 = 0.800 lb N / 1000 ft²',
  );
  const section = page.getByRole('region', { name: 'What the label does' });
  await expect(section).toContainText('It also delivers 0.267 lb K₂O');

  await page.getByLabel('Amount needed').fill('0.8 lb');
  await expect(section).toContainText('The label’s rate delivers as much nitrogen as needed.');
  await expect(line(page, 'One package at this rate')).toContainText('12 000 ft²');
  await page.getByLabel('Amount needed').fill('1 lb');
  await expect(section).toContainText('delivers 20.0 % less nitrogen than needed');
  await page.getByRole('button', { name: 'Use the label’s rate' }).click();
  await expect(page.getByLabel('Amount needed')).toHaveValue('0.8 lb');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Amount needed')).toHaveValue('1 lb');
});

test('a job is duplicated under another name, and what is dropped comes back', async ({ page }) => {
  await openSample(page, 'Rose terrace, potash');
  const before = await page.getByLabel('Upper bed, measured as').inputValue();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Name of the job')).toHaveValue('Rose terrace, potash (copy)');
  await page.getByLabel('Upper bed, measured as').fill('40 x 6 ft');
  await page.getByRole('button', { name: 'Discard changes' }).click();
  await expect(page.getByLabel('Upper bed, measured as')).toHaveValue(before);
  await expect(kept(page)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Upper bed, measured as')).toHaveValue('40 x 6 ft');
});

test('units as preferred change what is shown, never what was typed', async ({ page }) => {
  await openSample(page, 'Spring feed, lake front');
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('button', { name: 'metric' }).click();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Settings' })).toBeFocused();
  await expect(bigNumber(page)).toHaveText('11.4 kg');
  await expect(page.getByLabel('Amount needed')).toHaveValue('0.8');
  expect(await lineText(page, 'In all')).toBe('163 kg / ha × 698 m² = 11.4 kg');
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('dialog').getByLabel('Areas').selectOption('acre');
  await page.keyboard.press('Escape');
  expect(await lineText(page, 'In all')).toBe('163 kg / ha × 0.172 acre = 11.4 kg');
  await expect(kept(page)).toBeVisible();
  await page.goto('/jobs');
  await expect(page.getByRole('row').filter({ hasText: 'Spring feed, lake front' })).toContainText('11.4 kg');
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Change the unit of the need, now kg' })).toBeVisible();
});

test('day and night: follows the device, or is set, and stays set', async ({ page }) => {
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/');
  await expect.poll(ground).toBe('rgb(12, 18, 16)');
  await page.emulateMedia({ colorScheme: 'light' });
  await expect.poll(ground).toBe('rgb(243, 245, 243)');
  await page.getByRole('button', { name: 'Night' }).click();
  await expect.poll(ground).toBe('rgb(12, 18, 16)');
  await page.reload();
  await expect.poll(ground).toBe('rgb(12, 18, 16)');
  await expect(page.getByRole('button', { name: 'Day', exact: true })).toBeVisible();
});

test.describe(`axe by day and night`, () => {
  test('finds nothing on what is wrong, told or opened', async ({ page }) => {
    await openSample(page, 'Spring feed, lake front');
    await page.getByRole('button', { name: 'Change the unit of the need' }).click();
    await expect(page.getByText('Keep the number')).toBeVisible();
    await expectAccessible(page, '[data-scope=popover][data-part=content]');
    await page.keyboard.press('Escape');
    await page.getByLabel('Grade on the label').fill('240-8');
    await expect(page.getByRole('alert').first()).toBeVisible();
    await expectAccessibleDayAndNight(page);
    await page.getByRole('button', { name: 'Discard changes' }).click();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
    await expectAccessibleDayAndNight(page);
    for (const panel of ['Go to', 'Settings', 'Keys']) {
      await page.getByRole('button', { name: panel, exact: true }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
      await expectAccessibleDayAndNight(page);
      await page.setViewportSize(PHONE.viewport);
      await expectAccessible(page);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog')).toHaveCount(0);
    }
  });
});

test('a tour by keyboard alone: find an area, change, keep, list the keys, delete, undo', async ({
  page,
}) => {
  const name = `Tour ${Date.now()}`;
  await typeSheet(page, name);
  await page.keyboard.press('Control+s');
  await expect(kept(page)).toBeVisible();
  await page.goto('/jobs');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('Control+k');
  await expect(
    page.getByRole('combobox', { name: 'Find anything stored, or something to do' }),
  ).toBeFocused();
  await page.keyboard.type(`bandstand ${name}`);
  await expect(page.getByRole('option')).toContainText([name, 'Records with']);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of the job')).toHaveValue(name);

  await page.keyboard.press('Alt+2');
  await expect(page.getByLabel('Name of area 1')).toBeFocused();
  await page.keyboard.press('Alt+a');
  await expect(page.getByLabel('Name of area 2')).toBeFocused();
  await page.keyboard.type('Strip');
  await page.keyboard.press('Enter');
  await page.keyboard.type('1,600');
  await page.keyboard.press('Control+s');
  await expect(kept(page)).toBeVisible();
  await expect(page.getByLabel('Strip, measured as')).toBeFocused();

  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Change the unit of Strip' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Change the unit of Strip, now ft²' })).toBeFocused();

  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Shortcuts' });
  await expect(keys).toContainText('Ctrl+S');
  await expect(keys).toContainText('Add area');
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);

  await page.keyboard.press('Control+k');
  await page.keyboard.type('archive this');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/jobs$/);
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('row').filter({ hasText: name })).toHaveCount(0);
  const undo = page.getByRole('button', { name: 'Undo' });
  await undo.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: name })).toBeVisible();
  await expect(undo).toHaveCount(0);
  expect(await page.evaluate(() => document.activeElement?.id)).toBe('screen');
});

test('single keys can be switched off', async ({ page }) => {
  await page.goto('/jobs');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByLabel('Amount needed')).toBeFocused();
  await page.goto('/jobs');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press(',');
  await page.getByText('Use single keys as shortcuts').click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/jobs$/);
});

test('the answer is announced after a pause, not at each keystroke', async ({ page }) => {
  await page.clock.install();
  await page.goto('/');
  await page.getByLabel('Grade on the label').fill('24-0-8');
  await page.getByLabel('area 1, measured as').fill('7400');
  await expect(answer(page).locator('output')).toHaveAttribute('aria-live', 'polite');
  await page.clock.runFor(5000);
  await page.clock.pauseAt(Date.now() + 60_000);
  await page.getByLabel('Amount needed').pressSequentially('0.8');
  await expect(answer(page)).toContainText('24.7');
  await expect(bigNumber(page)).toHaveText(/—/);
  await page.clock.runFor(1100);
  await expect(bigNumber(page)).toHaveText('24.7 lb');
});
