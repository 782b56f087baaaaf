import { expect, test, type Page } from '@playwright/test';
import { answer, expectAccessible, keep, PHONE, plain, go } from './support.ts';

const textOf = async (of: { textContent(): Promise<string | null> }) => plain((await of.textContent()) ?? '');
/** A line of a guide that was just added. */
async function fillLine(page: Page, of: { situation: string; cold: string; warm: string; low: string; high: string }) {
  const field = (label: string) => page.getByLabel(label, { exact: true }).last();
  await field('Situation').fill(of.situation);
  await field('Coldest pavement').fill(of.cold);
  await field('Warmest pavement').fill(of.warm);
  await field('Low rate').fill(of.low);
  await field('High rate').fill(of.high);
} // prettier-ignore

test('a guide is entered: its gap is shown on the ruler and closed; then three settings are calibrated by it on taped ground, and the card is printed', async ({ page }) => {
  await page.goto('/winter/guides/new');
  await page.getByLabel('Name', { exact: true }).fill('Ramp guide');
  await fillLine(page, { situation: 'Frost', cold: '25', warm: '32', low: '1', high: '2' });
  await page.getByRole('button', { name: 'Add line' }).click();
  await fillLine(page, { situation: 'Frost', cold: '15', warm: '23', low: '2.5', high: '3.5' });
  await expect(page.getByText(/Frost, dry: no rate from 23 to 25 °F/)).toBeVisible();
  await page.getByLabel('Warmest pavement').last().fill('25');
  await expect(page.getByText(/no rate from/)).toBeHidden();
  await keep(page, 'Save rate guide');
  await expectAccessible(page);

  await go(page, '/bench/new');
  await page.getByRole('radio', { name: 'Walk salter' }).check({ force: true });
  await page.getByRole('radio', { name: /Rock salt, washed/ }).check({ force: true });
  await page.getByRole('radio', { name: /By rate guide/ }).check({ force: true });
  await page.getByLabel('Rate guide', { exact: true }).selectOption('Ramp guide');
  await page.getByLabel('Settings to test in turn').fill('C, D, E');
  await page.getByRole('button', { name: 'Start test run 1' }).click();
  await page.getByLabel('a smooth floor to sweep').check({ force: true });
  await page.getByRole('button', { name: /^sweep up taped ground/ }).click();
  for (const [at, gross] of ['2.27', '2.62', '3.05'].entries()) {
    // Each setting in its turn.
    await page.getByRole('button', { name: at === 0 ? 'Begin test run 1' : `Next test run at ${['C', 'D', 'E'][at]}` }).click();
    await expect(page.getByText(['C', 'D', 'E'][at]!, { exact: true }).first()).toBeVisible();
    if (at === 0) {
      await page.getByRole('button', { name: 'All of it is right' }).click();
      await page.getByRole('button', { name: 'Read scale' }).first().click();
      await expect(page.getByText(/^Stand-in station, simulated: not a real weight/)).toBeVisible({ timeout: 15_000 });
      await page.getByLabel('Empty container').fill('1.82');
      await page.getByLabel('Taped area').fill(`24' 0" x 12' 0"`);
    } else await expect(page.getByLabel('Empty container')).toHaveValue('1.82');
    await page.getByLabel('Full container').fill(gross);
    await page.getByRole('button', { name: 'Finish test run' }).click();
  }
  await page.getByRole('button', { name: 'Go to sign-off' }).click();
  await page.getByRole('button', { name: 'By condition' }).click();
  const card = page.getByRole('article', { name: /Card by condition/ });
  expect(await textOf(card.getByRole('row', { name: /25 to 32/ }))).toMatch(/^Frost, dry ?1\.56.*lb \/ 1000 ft².*C$/);
  expect(await textOf(card.getByRole('row', { name: /15 to 25/ }))).toMatch(/D$/);
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save card as PDF' }).click();
  expect((await download).suggestedFilename()).toMatch(/^card-by-condition.*a6\.pdf$/);
}); // prettier-ignore

test.describe('at night, on a phone', () => {
  test.use({ ...PHONE, colorScheme: 'dark' });

  test('25 °F falling from the station: two entries to the rate; a storm of two rounds, one without a network, in the season', async ({ page, context }) => {
    await page.goto('/winter');
    await expect(page.getByText(/simulated: not a real reading/)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Pavement' })).toContainText('falling');
    await expect(page.getByText(/^Town winter guide .*, from/)).toBeVisible();
    await page.getByRole('radio', { name: 'Light snow' }).check({ force: true });
    await page.getByRole('radio', { name: 'After it' }).check({ force: true });
    await expect(answer(page).locator('output')).toHaveText(/4\.5/);
    await expect(answer(page)).toContainText(/holds about 0\.3\d.mm of water at 25.°F/);
    await expectAccessible(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);

    await page.getByRole('button', { name: 'Start storm' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Night of two rounds');
    await keep(page, 'Save storm');
    await page.getByRole('link', { name: 'Start round 1' }).click();
    for (const area of ['Front steps', 'Ramp', 'Main walk', 'Front lot', 'Promenade', 'Depot yard']) await page.getByRole('button', { name: `Done: ${area}` }).click();
    await expect(page.getByRole('heading', { name: 'Round 1: 6 of 6 areas done' })).toBeVisible();
    await expectAccessible(page);
    const storm = page.url().split('/').at(-2)!;
    const rows = async () => (await (await page.request.get(`/api/applications?subject=${storm}`)).json()).events as { input: { round: string } }[];
    await expect.poll(async () => (await rows()).length).toBe(6);

    await page.getByRole('link', { name: 'Back to storm' }).click();
    await expect(page.getByRole('heading', { name: 'Round 1', exact: true })).toBeVisible();
    await context.setOffline(true);
    // What tells of it moves the page down.
    await expect(page.getByText(/^The server does not answer/)).toBeVisible();
    await page.getByRole('link', { name: 'Start round 2' }).click();
    await expect(page.getByRole('heading', { name: 'Round 2: 0 of 6 areas done' })).toBeVisible();
    await page.getByRole('button', { name: 'Done: Main walk' }).click();
    await page.getByRole('button', { name: 'Done: Front steps' }).click();
    await expect(page.getByText(/2 saved on this device, not on the server yet/)).toBeVisible();
    await context.setOffline(false);
    await expect.poll(async () => (await rows()).map(({ input }) => input.round).toSorted().join('')).toBe('11111122');

    await page.getByRole('link', { name: 'Back to storm' }).click();
    await page.getByRole('button', { name: 'Correct Main walk, round 2' }).click();
    const panel = page.getByRole('dialog');
    await panel.getByRole('button', { name: 'Does not count' }).click();
    await panel.getByLabel('Reason').fill('Twice by mistake');
    await panel.getByRole('button', { name: 'Save correction' }).click();
    await expect(page.getByText('Does not count: Twice by mistake')).toBeVisible();

    await go(page, '/winter/seasons');
    await page.getByRole('link', { name: /Winter 2026/ }).click();
    await expect(page.getByRole('link', { name: 'Night of two rounds' })).toBeVisible();
    // What is known stands at once, what came meanwhile a moment later.
    await expect.poll(() => textOf(page.getByRole('region', { name: 'Storms' }).getByRole('row', { name: /Night of two rounds/ }))).toMatch(/Night of two rounds ?7 ?\d/);
    await expectAccessible(page);
  });
}); // prettier-ignore

test('the route of a storm is put in order by keyboard alone', async ({ page }) => {
  await page.goto('/winter/storms/new');
  const names = () => page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^Take / }) }).allInnerTexts(); // prettier-ignore
  await expect.poll(async () => (await names())[0]).toContain('Front steps');
  const grip = page.getByRole('button', { name: /^Move Front steps, Town hall: press space/ });
  await grip.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Front steps, Town hall at place 1 of 6.')).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('Front steps, Town hall at place 2 of 6.')).toBeAttached();
  await page.keyboard.press('Space');
  await expect.poll(async () => plain((await names())[1] ?? '')).toContain('Front steps');
  await expectAccessible(page);
});
