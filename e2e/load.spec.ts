import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, keep, openOwnCopy, PHONE, plain } from './support.ts';

/** The September feed on three areas of a site; a job of its own for each journey. */
async function openCopy(page: Page, as: string) {
  await openOwnCopy(page, 'Lake front, September feed', as);
  await page.getByRole('link', { name: /^Load/ }).click();
  await expect(page.getByRole('img', { name: /^Bandstand lawn with 6 passes and one trim/ })).toBeVisible();
}
const look = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

test('an area is planned with trims, two spacings are compared, blocks are laid out, the sheet is made ready over a reason and printed', async ({ page }) => {
  await openCopy(page, 'Run sheet at the desk');
  await page.getByRole('button', { name: 'Change Trim passes' }).click();
  await page.getByLabel('Trim passes', { exact: true }).fill('2');
  await expect(page.getByRole('img', { name: /and 2 trims round the edge/ })).toBeVisible();
  await page.getByLabel('Trim passes', { exact: true }).fill('1');
  await expectAccessible(page);

  await look(page, 'Coverage');
  await expect(page.getByRole('img', { name: /^Simulated coverage of Bandstand lawn/ })).toBeVisible();
  await page.getByRole('button', { name: 'Twice as far apart' }).click();
  await expect(page.getByText(/ft apart instead of .*: CV \d+ % for \d+ %, .*walking/)).toBeVisible();
  await expectAccessible(page);

  await look(page, 'Blocks');
  await expect(page.getByRole('img', { name: /^Bandstand lawn in 3 blocks/ })).toBeVisible();
  expect(plain((await page.getByRole('row', { name: /^3 / }).textContent()) ?? '')).toMatch(/ft².*lb$/);
  await expectAccessible(page);

  await look(page, 'Passes');
  await page.getByLabel('Your name').fill('R. Fenn');
  await page.getByRole('button', { name: 'Mark ready' }).click();
  await expect(page.getByText(/stands? against it: give a reason for each/)).toBeVisible();
  const reasons = page.getByLabel(/^Reason to go on: /);
  for (let index = 0; index < (await reasons.count()); index += 1) await reasons.nth(index).fill('Looked at, fine for today');
  await page.getByRole('button', { name: 'Mark ready' }).click();
  await expect(page.getByText(/Ready, marked by R\. Fenn/)).toBeVisible();
  await keep(page, 'Save changes');

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save run sheet as PDF' }).click();
  expect((await download).suggestedFilename()).toMatch(/run-sheet\.pdf$/);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('region', { name: 'Library strip' })).toContainText('Spread by');
  await page.emulateMedia({ media: null });

  await page.getByRole('link', { name: 'Season order' }).click();
  await expect(page.getByRole('row', { name: /^Autumn feed 22-2-11/ })).toContainText('Run sheet at the desk');
  await expectAccessible(page);
}); // prettier-ignore

test.describe('on a phone', () => {
  test.use(PHONE);

  test('the run sheet is read with one thumb, by keyboard too, and the plan is turned', async ({ page }) => {
    await openCopy(page, 'Run sheet on a phone');
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0); // prettier-ignore
    await page.getByRole('button', { name: 'Change Direction' }).press('Enter');
    await page.getByRole('button', { name: 'Turn by 15°' }).press('Enter');
    await expect(page.getByText('Passes run 105°')).toBeVisible();
    await page.getByLabel('Area', { exact: true }).selectOption({ index: 1 });
    await expect(page.getByRole('img', { name: /^Slipway bank with/ })).toBeVisible();
    await expectAccessible(page);
  });
});
