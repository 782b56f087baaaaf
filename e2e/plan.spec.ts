import { readFile } from 'node:fs/promises';
import { expect, test, type Locator, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import { expectAccessible, PHONE, go } from './support.ts';

const day = (page: Page, on: string) => page.locator(`[data-day="${on}"]`);
const middleOf = async (at: Locator) => {
  const box = (await at.boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

/** A plan of the next year with three portions of the pitch's need, from its soil test. */
async function planPitch(page: Page, name: string): Promise<void> {
  await page.goto('/plans/new');
  await page.getByRole('button', { name: 'Change the plan' }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('First day').fill('2029-01-01');
  await page.getByLabel('Last day').fill('2029-12-31');
  await page.getByRole('button', { name: 'Done with the plan' }).click();
  await page.getByLabel('Site').selectOption({ label: 'School' });
  for (const area of ['Training end', 'Yard']) await page.getByRole('checkbox', { name: area }).uncheck();
  await page.getByRole('button', { name: /From soil test: 120 kg N \/ ha/ }).click();
  await page.getByLabel('Product').selectOption({ label: 'Straight nitrogen 46-0-0' });
  await page.getByLabel('In how many portions').fill('3');
  await page.getByLabel('First on').fill('2029-04-02');
  await page.getByLabel('Days apart').fill('28');
  await expect(page.getByText('Each time 40 kg N / ha')).toBeVisible();
  await page.getByRole('button', { name: 'Put them on the plan' }).click();
}

test('a year is planned from a soil test, moved by mouse and by keys while the rules speak, and saved', async ({ page }) => {
  await planPitch(page, 'Pitch by mouse');
  const chip = (on: string) => day(page, on).getByRole('button', { name: /Straight nitrogen/ });
  await expect(chip('2029-04-02')).toBeVisible();
  await expectAccessible(page);

  await chip('2029-04-30').scrollIntoViewIfNeeded();
  const [from, to] = [await middleOf(chip('2029-04-30')), await middleOf(day(page, '2029-04-11'))];
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x, from.y - 20, { steps: 3 });
  await page.mouse.move(to.x, to.y, { steps: 8 });
  await expect(page.getByText(/^▲ 11 Apr 2029: .*least days between two applications\. The nearest allowed day is 23 Apr 2029\.$/)).toBeVisible();
  await page.mouse.up();
  await expect(chip('2029-04-11')).toBeVisible();
  await expect(chip('2029-04-30')).toHaveCount(0);

  // Two days to the right and a week down: 20 April. Escape leaves it where it was.
  await chip('2029-04-11').focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^▲ 11 Apr 2029: /)).toBeVisible();
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown']) await page.keyboard.press(key);
  await expect(page.getByText(/^▲ 20 Apr 2029: /)).toBeVisible();
  await page.keyboard.press('Space');
  await expect(chip('2029-04-20')).toBeVisible();
  await chip('2029-04-20').focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^▲ 20 Apr 2029: /)).toBeVisible();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/^▲ 13 Apr 2029: /)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(chip('2029-04-20')).toBeVisible();

  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText('13 weeks from April 2029')).toBeVisible();
  await expect(chip('2029-04-20')).toBeVisible();
}); // prettier-ignore

test('a closed day says so under the pointer, with the nearest allowed day; the plan goes out as a calendar', async ({ page, request }) => {
  await page.goto('/plans');
  await page.getByRole('link', { name: '2027 season' }).click();
  await page.getByRole('button', { name: 'A month earlier' }).click();
  const chip = page.getByRole('button', { name: /^Lake feed 24-0-8, Lake front, 3 areas, 19 Apr 2027/ });
  await chip.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^19 Apr 2027: /).first()).toBeVisible();
  for (let week = 0; week < 7; week += 1) await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/^▲ 1 Mar 2027: closed dates\. The nearest allowed day is 2 Mar 2027\.$/).first()).toBeVisible();
  await page.keyboard.press('Escape');

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as calendar file' }).click();
  const eventsOf = (text: string) => new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  const events = eventsOf(await readFile(await (await saved).path(), 'utf8'));
  expect(events.map(({ startDate, summary }) => `${String(startDate)} ${summary}`)).toContain('2027-04-19 Lake feed 24-0-8 on Lake front');

  await page.getByLabel('Who it is for').fill('Foreman');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = await page.locator('code').innerText();
  const followed = await request.get(address);
  expect(eventsOf(await followed.text()).length).toBeGreaterThanOrEqual(events.length);
  await page.getByRole('button', { name: 'Take back the address of Foreman' }).click();
  await expect(page.getByText(/leads nowhere now/)).toBeVisible();
  expect((await request.get(address)).status()).toBe(404);
}); // prettier-ignore

test.describe('on a phone', () => {
  test.use(PHONE);

  test('a portion is dragged by touch', async ({ page }) => {
    await page.goto('/plans');
    await page.getByRole('link', { name: '2027 season' }).click();
    const chip = page.getByRole('button', { name: /^Lake feed 24-0-8, Lake front, 3 areas, 19 Apr 2027/ });
    await chip.scrollIntoViewIfNeeded();
    const [from, to] = [await middleOf(chip), await middleOf(day(page, '2027-04-14'))];
    const touch = await page.context().newCDPSession(page);
    const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number, y: number) =>
      touch.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
    await send('touchStart', from.x, from.y);
    for (let step = 1; step <= 8; step += 1) await send('touchMove', from.x + ((to.x - from.x) * step) / 8, from.y + ((to.y - from.y) * step) / 8);
    await send('touchEnd', to.x, to.y);
    await expect(day(page, '2027-04-14').getByRole('button', { name: /Lake feed/ })).toBeVisible();
    await expect(page.getByText('Lake feed 24-0-8 is on 14 Apr 2027 now.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(day(page, '2027-04-19').getByRole('button', { name: /Lake feed/ })).toBeVisible();
    await expectAccessible(page);
  });
}); // prettier-ignore

test('from today to a finished record in one path; the plan knows that it was spread', async ({ page }) => {
  // As long ago as anybody catches up with: among what other journeys left to do it is the first.
  const daysAgo = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);
  await page.goto('/plans/new');
  await page.getByRole('button', { name: 'Change the plan' }).click();
  await page.getByLabel('Name').fill('This week');
  await page.getByLabel('First day').fill(daysAgo(60));
  await page.getByLabel('Last day').fill(daysAgo(-60));
  await page.getByLabel('Held against').selectOption({ label: 'the label alone' });
  await page.getByRole('button', { name: 'Done with the plan' }).click();
  await page.getByLabel('Site').selectOption({ label: 'Sports meadow' });
  await page.getByLabel('Product').selectOption({ label: 'Potash 0-0-60' });
  await page.getByLabel('Need of').selectOption({ label: 'K₂O' });
  await page.getByLabel('In all', { exact: true }).first().fill('0.5 lb/1000 ft2');
  await page.getByLabel('First on').fill(daysAgo(44));
  await page.getByRole('button', { name: 'Put them on the plan' }).click();
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible();

  await go(page, '/today');
  await page.getByRole('link', { name: 'Make the sheet: Potash 0-0-60 on Sports meadow' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page).toHaveURL(/\/jobs\/[\w-]+$/);
  await expect(page.getByLabel('Amount needed')).toHaveValue(/0\.5/);
  await page.getByRole('link', { name: /^After/ }).click();
  await page.getByLabel('Your name').fill('R. Fenn');
  await page.getByLabel('Went out in all').fill('80');
  await page.getByRole('button', { name: 'Save record' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Meadow, walked edge' })).toBeVisible();

  await go(page, '/plans');
  await page.getByRole('link', { name: 'This week' }).click();
  await page.getByRole('button', { name: 'List', exact: true }).click();
  await expect(page.getByRole('row', { name: /Potash 0-0-60.*spread on/ })).toBeVisible();
  await go(page, '/today');
  await expect(page.getByText(/Potash 0-0-60 on School/)).toBeVisible();
  await expect(page.getByText(/Potash 0-0-60 on Sports meadow/)).toHaveCount(0);
}); // prettier-ignore
