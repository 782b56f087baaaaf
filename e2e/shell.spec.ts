import { expect, test, type Page } from '@playwright/test';
import {
  answer,
  bigNumber,
  expectAccessible,
  line,
  lineText,
  openSample,
  PHONE,
  plain,
  typeSheet,
} from './support.ts';

const keep = (page: Page, name = 'Keep changes') => page.getByRole('button', { name }).click();
const kept = (page: Page) => page.getByRole('button', { name: 'Kept', exact: true });

test('the label read backwards, either way round, on one sheet', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Grade on the label').fill('24-0-8');
  await page.getByLabel('Package on the label').fill('40 lb');
  await page.getByLabel('Ground that one package covers', { exact: true }).fill('12 000');
  expect(await lineText(page, 'What the label does')).toBe(
    '40 lb covers 12 000 ft² = 3.33 lb / 1000 ft² puts down 0.800 lb N / 1000 ft²',
  );
  const section = page.getByRole('region', { name: 'What the label does' });
  await expect(section).toContainText('It also brings 0.267 lb K₂O');

  await page.getByLabel('Amount needed').fill('0.8 lb');
  await expect(section).toContainText('The label’s rate puts down as much nitrogen as you asked for.');
  await expect(line(page, 'One package at this rate')).toContainText('12 000 ft²');
  await page.getByLabel('Amount needed').fill('1 lb');
  await expect(section).toContainText('puts down 20.0 % less nitrogen than you asked for');
  await page.getByRole('button', { name: 'Ask for what the label gives' }).click();
  await expect(page.getByLabel('Amount needed')).toHaveValue('0.8 lb');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Amount needed')).toHaveValue('1 lb');
});

test.describe('two people on one job', () => {
  /** The same kept job open on two screens, both changed, theirs kept first. */
  async function collide(page: Page, name: string) {
    await typeSheet(page, name);
    await keep(page, 'Keep this job');
    await expect(kept(page)).toBeVisible();
    const other = await (await page.context().browser()!.newContext()).newPage();
    await other.goto(page.url());
    await other.getByLabel('Grade on the label').fill('22-2-11');
    await other.getByLabel('Package size', { exact: true }).fill('50 lb');
    await keep(other);
    await expect(kept(other)).toBeVisible();
    await page.getByLabel('Amount needed').fill('0.9 lb');
    await page.getByLabel('Grade on the label').fill('18-0-6');
    await keep(page);
    return { other, dialog: page.getByRole('dialog', { name: 'Changed elsewhere' }) };
  }

  test('both sides are shown term by term, and a choice of terms is kept', async ({ page }) => {
    const { dialog, other } = await collide(page, 'Collide, per term');
    await expect(dialog.getByRole('group', { name: 'Grade' })).toContainText('Mine: 18-0-6');
    await expect(dialog.getByRole('group', { name: 'Grade' })).toContainText('Theirs: 22-2-11');
    await expect(dialog.getByRole('group')).toHaveCount(3);
    await expectAccessible(page);
    await dialog
      .getByRole('group', { name: 'Grade' })
      .getByRole('radio', { name: /Theirs/ })
      .check();
    await dialog
      .getByRole('group', { name: 'Package' })
      .getByRole('radio', { name: /Theirs/ })
      .check();
    await dialog.getByRole('button', { name: 'Keep what is chosen' }).click();
    await expect(kept(page)).toBeVisible();
    await other.reload();
    await expect(other.getByLabel('Amount needed')).toHaveValue('0.9 lb');
    await expect(other.getByLabel('Grade on the label')).toHaveValue('22-2-11');
    await expect(other.getByLabel('Package size', { exact: true })).toHaveValue('50 lb');
  });

  test('theirs can be taken, and mine brought back', async ({ page }) => {
    const { dialog } = await collide(page, 'Collide, theirs');
    await dialog.getByRole('button', { name: 'Take theirs' }).click();
    await expect(page.getByLabel('Grade on the label')).toHaveValue('22-2-11');
    await expect(kept(page)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('Grade on the label')).toHaveValue('18-0-6');
    await keep(page);
    await expect(kept(page)).toBeVisible();
  });

  test('mine can be kept whole, also over a job that was deleted', async ({ page }) => {
    const { dialog, other } = await collide(page, 'Collide, mine');
    await dialog.getByRole('button', { name: 'Keep mine' }).click();
    await expect(kept(page)).toBeVisible();
    await other.reload();
    await expect(other.getByLabel('Grade on the label')).toHaveValue('18-0-6');
    await other.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(other).toHaveURL(/\/jobs$/);
    await page.getByLabel('Grade on the label').fill('30-0-0');
    await keep(page);
    await page.getByRole('button', { name: 'Bring it back with mine' }).click();
    await expect(kept(page)).toBeVisible();
    await other.reload();
    await expect(other.getByRole('link', { name: 'Collide, mine' })).toBeVisible();
  });

  test('two tabs of one browser know of each other, and a reload of one keeps its own text', async ({
    page,
  }) => {
    await typeSheet(page, 'Two tabs');
    await keep(page, 'Keep this job');
    await expect(kept(page)).toBeVisible();
    const second = await page.context().newPage();
    await second.goto(page.url());
    await expect(kept(second)).toBeVisible();
    await page.getByLabel('Grade on the label').fill('18-0-6');
    await expect(second.getByText('also typed on in another tab')).toBeVisible();
    await second.getByLabel('Grade on the label').fill('22-2-11');
    await page.reload();
    await expect(page.getByLabel('Grade on the label')).toHaveValue('18-0-6');
  });
});

test('a job is duplicated under another name, and what is dropped comes back', async ({ page }) => {
  await openSample(page, 'Rose terrace, potash');
  const before = await page.getByLabel('Upper bed, measured as').inputValue();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Name of the job')).toHaveValue('Rose terrace, potash (copy)');
  await page.getByLabel('Upper bed, measured as').fill('40 x 6 ft');
  await page.getByRole('button', { name: 'Drop changes' }).click();
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

for (const colorScheme of ['light', 'dark'] as const) {
  test.describe(`axe, ${colorScheme}`, () => {
    test.use({ colorScheme });
    test('finds nothing on any view', async ({ page }) => {
      await openSample(page, 'Spring feed, lake front');
      await expectAccessible(page);
      await page.getByLabel('Grade on the label').fill('240-8');
      await expect(page.getByRole('alert').first()).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Drop changes' }).click();
      await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
      await expectAccessible(page);
      await page.goto('/jobs');
      await expect(page.getByRole('link', { name: 'Spring feed, lake front' })).toBeVisible();
      await expectAccessible(page);
      for (const panel of ['Go to', 'Settings', 'Keys']) {
        await page.getByRole('button', { name: panel, exact: true }).click();
        await expect(page.getByRole('dialog')).toBeVisible();
        await expectAccessible(page);
        await page.keyboard.press('Escape');
        await expect(page.getByRole('dialog')).toHaveCount(0);
      }
    });

    test.describe('on a phone', () => {
      test.use(PHONE);
      test('finds nothing on the sheet and the list', async ({ page }) => {
        await openSample(page, 'Fall feed, lake front');
        await expectAccessible(page);
        await page.getByRole('button', { name: 'Settings' }).tap();
        await expect(page.getByRole('dialog')).toBeVisible();
        await expectAccessible(page);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      });
    });
  });
}

test('a tour by keyboard alone: find an area, change, keep, list the keys, delete, undo', async ({
  page,
}) => {
  await typeSheet(page, 'Tour by keyboard');
  await page.keyboard.press('Control+s');
  await expect(kept(page)).toBeVisible();
  await page.goto('/jobs');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find a job, an area or an act' })).toBeFocused();
  await page.keyboard.type('bandstand tour');
  await expect(page.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of the job')).toHaveValue('Tour by keyboard');

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
  await expect(keys).toContainText('Add an area');
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);

  await page.keyboard.press('Control+k');
  await page.keyboard.type('delete this');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/jobs$/);
  await expect(page.getByRole('row').filter({ hasText: 'Tour by keyboard' })).toHaveCount(0);
  const undo = page.getByRole('button', { name: 'Undo' });
  await undo.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Tour by keyboard' })).toBeVisible();
  await expect(undo).toHaveCount(0);
  expect(await page.evaluate(() => document.activeElement?.id)).toBe('screen');
});

test('single keys can be switched off', async ({ page }) => {
  await page.goto('/jobs');
  await page.keyboard.press('n');
  await expect(page.getByLabel('Amount needed')).toBeFocused();
  await page.goto('/jobs');
  await page.keyboard.press(',');
  await page.getByText('Single keys are shortcuts').click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/jobs$/);
});

test('the answer is announced after a pause, not at each keystroke', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Grade on the label').fill('24-0-8');
  await page.getByLabel('area 1, measured as').fill('7400');
  await expect(answer(page).locator('output')).toHaveAttribute('aria-live', 'polite');
  await page.getByLabel('Amount needed').pressSequentially('0.8', { delay: 30 });
  await expect(bigNumber(page)).toHaveText(/—/);
  await expect(bigNumber(page)).toHaveText('24.7 lb');
});

test.describe('when it goes wrong', () => {
  test('an attempt to keep without a server loses nothing, and works when it is back', async ({
    page,
    context,
  }) => {
    await typeSheet(page, 'Kept after a break');
    await context.setOffline(true);
    await keep(page, 'Keep this job');
    await expect(page.getByText('The server does not answer. You can go on typing')).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Grade on the label').fill('22-2-11');
    await context.setOffline(false);
    await expect(page.getByText('The server answers again.')).toBeVisible();
    await keep(page, 'Keep this job');
    await expect(kept(page)).toBeVisible();
    await expect(page.getByLabel('Grade on the label')).toHaveValue('22-2-11');
  });

  test('a database that is down says so and keeps what was typed', async ({ page }) => {
    await typeSheet(page, 'While the database is down');
    await page.route('**/api/jobs/**', (route) =>
      route.fulfill({
        status: 503,
        contentType: 'application/problem+json',
        body: JSON.stringify({
          type: 'about:blank',
          title: 'Database not reachable',
          status: 503,
          detail: 'The database does not answer.',
        }),
      }),
    );
    await keep(page, 'Keep this job');
    await expect(page.getByText('The database does not answer.')).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Name of the job')).toHaveValue('While the database is down');
  });

  test('a screen that breaks says what to do, and loading again brings everything back', async ({ page }) => {
    await page.route('**/assets/JobsPage-*.js', (route) =>
      route.fulfill({
        contentType: 'text/javascript',
        body: 'export default () => { throw new Error("Broken on purpose"); };',
      }),
    );
    await typeSheet(page, 'Before the crash');
    await page.getByRole('link', { name: 'Jobs' }).click();
    await expect(page.getByRole('heading', { name: 'This screen broke' })).toBeVisible();
    await expect(page.getByText('Broken on purpose')).toBeVisible();
    await expectAccessible(page);
    await page.unroute('**/assets/JobsPage-*.js');
    await page.getByRole('link', { name: 'New sheet' }).click();
    await expect(page.getByLabel('Name of the job')).toHaveValue('Before the crash');
  });

  test('a clock that is wrong by a year is noticed', async ({ page }) => {
    await page.clock.setFixedTime(Date.now() - 365 * 86_400_000);
    await page.goto('/jobs');
    await expect(page.getByText('This device’s clock is far from the server’s.')).toBeVisible();
  });

  test('a browser that holds nothing says so at once, and the sheet still works', async ({ page }) => {
    await page.addInitScript(() => {
      for (const store of ['localStorage', 'sessionStorage']) {
        Object.defineProperty(window, store, {
          get: () => {
            throw new DOMException('denied', 'SecurityError');
          },
        });
      }
    });
    await typeSheet(page, 'Nothing held');
    await expect(page.getByText('this browser cannot hold it')).toBeVisible();
    await keep(page, 'Keep this job');
    await expect(kept(page)).toBeVisible();
  });

  test('a draft that an older version left is taken over', async ({ page }) => {
    const old = {
      format: 1,
      baseVersion: 0,
      form: {
        name: 'From last week',
        onDay: '2026-04-18',
        worksheet: {
          need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
          grade: '24-0-8',
          areas: [{ id: '01890000-0000-7000-8000-000000000001', name: 'Lawn', size: '7400', unit: 'ft2' }],
          package: { size: '', unit: 'lb' },
          shownIn: { rate: null, amount: null, area: null },
        },
      },
    };
    await page.addInitScript(
      (draft) => localStorage.setItem('steady-scatter.draft.new', draft),
      JSON.stringify(old),
    );
    await page.goto('/');
    await expect(page.getByLabel('Name of the job')).toHaveValue('From last week');
    await expect(bigNumber(page)).toHaveText('24.7 lb');
  });

  test('a session left open for a week meets what was kept meanwhile', async ({ page }) => {
    await typeSheet(page, 'Left open');
    await keep(page, 'Keep this job');
    await expect(kept(page)).toBeVisible();
    await page.getByLabel('Grade on the label').fill('18-0-6');
    const id = page.url().split('/').at(-1);
    const current = await (await page.request.get(`/api/jobs/${id}`)).json();
    const { name, onDay, worksheet, version } = current;
    await page.request.put(`/api/jobs/${id}`, {
      data: { name: 'Renamed meanwhile', onDay, worksheet, version },
    });
    expect(name).toBe('Left open');
    await page.reload();
    await expect(page.getByText('changed elsewhere meanwhile')).toBeVisible();
    await expect(page.getByLabel('Grade on the label')).toHaveValue('18-0-6');
    await keep(page);
    const dialog = page.getByRole('dialog', { name: 'Changed elsewhere' });
    expect(plain(await dialog.getByRole('group', { name: 'Name' }).innerText())).toContain(
      'Theirs: Renamed meanwhile',
    );
  });
});
