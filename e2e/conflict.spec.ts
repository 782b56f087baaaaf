import { expect, test, type BrowserContext, type Page } from '@playwright/test';
import { expectAccessible, keep, kept, typeSheet } from './support.ts';

test.describe('two people on one job', () => {
  /** Of the other one: its page would go on asking beside the journeys that come after. */
  const others: BrowserContext[] = [];
  test.afterEach(async () => {
    await Promise.all(others.splice(0).map((other) => other.close()));
  });

  /** The same kept job open on two screens, both changed, theirs kept first. */
  async function collide(page: Page, name: string) {
    await typeSheet(page, name);
    await keep(page, 'Save job');
    await expect(kept(page)).toBeVisible();
    const context = await page.context().browser()!.newContext();
    others.push(context);
    const other = await context.newPage();
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
    await dialog.getByRole('button', { name: 'Save what is chosen' }).click();
    await expect(kept(page)).toBeVisible();
    await other.reload();
    await expect(other.getByLabel('Amount needed')).toHaveValue('0.9 lb');
    await expect(other.getByLabel('Grade on the label')).toHaveValue('22-2-11');
    await expect(other.getByLabel('Package size', { exact: true })).toHaveValue('50 lb');
  });

  test('two tabs of one browser know of each other, and a reload of one keeps its own text', async ({
    page,
  }) => {
    await typeSheet(page, 'Two tabs');
    await keep(page, 'Save job');
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
