import { expect, test, type BrowserContext, type Page } from '@playwright/test';
import { expectAccessible, keep, next, PHONE, settled, startTestRuns, strip, typeSheet } from './support.ts';

/** The server is gone, and what the page has loaded too. */
async function coldWithout(context: BrowserContext, page: Page, path: string): Promise<void> {
  await context.setOffline(true);
  await page.goto(path);
}
const waiting = (page: Page) => page.getByText(/saved on this device, not on the server yet/);
const onDevice = (page: Page) => page.getByText('saved on this device', { exact: true }).first();
/** What the server has of a kind under a name. */
async function stored(page: Page, kind: string, q: string) {
  const list = await (await page.request.get(`/api/${kind}?q=${encodeURIComponent(q)}`)).json();
  return Promise.all((list.items as { id: string }[]).map(async ({ id }) => (await page.request.get(`/api/${kind}/${id}`)).json())); // prettier-ignore
}

test.describe('without a network, from a cold start', () => {
  test.use({ ...PHONE, serviceWorkers: 'allow' });

  test('a sheet is typed, a site changed, a test run finished; on return all of it is stored once', async ({
    page,
    context,
  }) => {
    await settled(page);
    await coldWithout(context, page, '/');
    await typeSheet(page, 'Without a network');
    await keep(page, 'Save job');
    await expect(onDevice(page)).toBeVisible();
    await page.goto('/jobs');
    await expect(page.getByText('No connection: this is what this device has.')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Without a network' })).toBeVisible();
    await expectAccessible(page);

    await page.goto('/sites');
    await page.getByRole('link', { name: 'Market garden' }).click();
    await page.getByLabel('Notes on the site').fill('Gate locked after six.');
    await keep(page, 'Save site');
    await expect(onDevice(page)).toBeVisible();

    await startTestRuns(page, 'Red spreader, no network', 'Red push spreader', '5', { 'Scale step': '0.05' }); // prettier-ignore
    await page.getByRole('button', { name: 'Begin test run 1' }).click();
    await page.getByRole('button', { name: 'All of it is right' }).click();
    await next(page);
    await strip(page, '48.00', '44.55');
    await page.getByRole('button', { name: 'Enough for now' }).click();
    await expect(page).toHaveURL(/\/bench\/[0-9a-f-]{36}$/);
    await expect(waiting(page)).toContainText('4 saved on this device');
    // A page that is opened anew has all of it.
    await page.reload();
    await expect(waiting(page)).toContainText('4 saved on this device');
    await expect(page.getByRole('button', { name: /^Test run 1/ })).toBeVisible();

    await context.setOffline(false);
    await expect(waiting(page)).toBeHidden();
    const id = page.url().split('/').at(-1);
    // What was saved last is sent last.
    const rows = async () => (await (await page.request.get(`/api/test-runs?subject=${id}`)).json()).events;
    await expect.poll(rows).toMatchObject([{ input: { readings: { in: '48.00', left: '44.55' } } }]);
    expect(await stored(page, 'jobs', 'Without a network')).toHaveLength(1);
    expect((await stored(page, 'sites', 'Market garden'))[0].input.notes).toBe('Gate locked after six.');
    expect(await stored(page, 'calibrations', 'Red spreader, no network')).toHaveLength(1);
    const open = await (await page.request.get(`/api/open-runs?filter=calibration:${id}`)).json();
    expect(open.items).toEqual([]);
  });
});

test.describe('without a network, on an open page', () => {
  test.use(PHONE);

  test('two who change one job without a network are merged on return, value by value', async ({
    page,
    context,
    browser,
  }) => {
    await typeSheet(page, 'Both changed it');
    await keep(page, 'Save job');
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible();
    const other = await (await browser.newContext(PHONE)).newPage();
    await other.goto(page.url());
    // What comes last on a sheet: a page that is still opening needs the network for its parts.
    for (const each of [page, other])
      await expect(each.getByRole('region', { name: 'In portions and directions' })).toBeVisible();
    for (const [each, label, text] of [[page, 'Amount needed', '0.9 lb'], [other, 'Grade on the label', '22-2-11']] as const) {
      await each.context().setOffline(true);
      await each.getByLabel(label).fill(text);
      await keep(each);
      await expect(onDevice(each)).toBeVisible();
    } // prettier-ignore
    await other.context().setOffline(false);
    await expect(onDevice(other)).toBeHidden();
    await context.setOffline(false);
    const dialog = page.getByRole('dialog', { name: 'Changed elsewhere' });
    await expect(dialog.getByRole('group', { name: 'Need' }).getByRole('radio', { name: /Mine/ })).toBeChecked(); // prettier-ignore
    await expect(dialog.getByRole('group', { name: 'Grade' }).getByRole('radio', { name: /Theirs/ })).toBeChecked(); // prettier-ignore
    await expectAccessible(page);
    await dialog.getByRole('button', { name: 'Save what is chosen' }).click();
    await expect.poll(async () => (await stored(page, 'jobs', 'Both changed it'))[0].input.worksheet).toMatchObject({ need: { amount: '0.9 lb' }, product: { grade: '22-2-11' } }); // prettier-ignore
    await other.context().close();
  });
});
