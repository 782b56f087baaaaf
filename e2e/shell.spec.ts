import { expect, test } from '@playwright/test';
import {
  expectAccessible,
  expectAccessibleDayAndNight,
  kept,
  openSample,
  PHONE,
  typeSheet,
  go,
} from './support.ts';

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
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog')).toHaveCount(0);
      await expect(page.getByRole('button', { name: panel, exact: true })).toBeFocused();
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
  await go(page, '/jobs');
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
