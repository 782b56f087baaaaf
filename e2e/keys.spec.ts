import { expect, test, type Locator, type Page } from '@playwright/test';
import { answer, bigNumber } from './support.ts';

/** A person without a mouse. */
function keysOn(page: Page) {
  const { keyboard } = page;
  /** Presses Tab, or Shift+Tab to what stands before, until something has the focus, or one of a group. */
  const reach = async (place: Locator): Promise<void> => {
    // Found once: to find it by its name again after each key takes longer than the key.
    const goal = await place.elementHandle();
    const hasFocus = () => goal.evaluate((element) => element.contains(document.activeElement));
    const isBefore = await goal.evaluate(
      (element) =>
        element.compareDocumentPosition(document.activeElement!) === Node.DOCUMENT_POSITION_FOLLOWING,
    );
    for (let presses = 0; !(await hasFocus()); presses += 1) {
      expect(presses, `Tab does not lead to ${String(place)}`).toBeLessThan(40);
      await keyboard.press(isBefore ? 'Shift+Tab' : 'Tab');
    }
  };
  const press = async (name: string | RegExp, role: 'button' | 'link' = 'button'): Promise<void> => {
    await reach(page.getByRole(role, { name, exact: typeof name === 'string' }));
    await keyboard.press('Enter');
  };
  /** Goes to an answer of a question, along its group. */
  const choose = async (question: string, named: RegExp): Promise<void> => {
    const group = page.getByRole('group', { name: question });
    await reach(group);
    await keyboard.press('Space');
    const wanted = group.getByRole('radio', { name: named });
    for (let presses = 0; !(await wanted.isChecked()); presses += 1) {
      expect(presses, `arrows do not lead to ${named}`).toBeLessThan(20);
      await keyboard.press('ArrowDown');
    }
  };
  /** Types into the field that has the focus, and goes on as Enter does. */
  const type = async (...texts: readonly string[]): Promise<void> => {
    for (const text of texts) {
      await keyboard.type(text);
      await keyboard.press('Enter');
    }
  };
  const fill = async (label: string, text: string): Promise<void> => {
    await reach(page.getByLabel(label, { exact: true }));
    await keyboard.type(text);
  };
  /** Opens a small panel, which takes the focus. */
  const open = async (name: string | RegExp): Promise<void> => {
    await press(name);
    await expect(page.getByRole('dialog').locator(':focus')).toBeAttached();
  };
  return { reach, press, choose, type, fill, open };
}

test('a machine with marks of its own is made, calibrated, signed off and put on a card', async ({
  page,
}) => {
  const { reach, press, choose, type, fill } = keysOn(page);
  await page.goto('/bench/new');
  await press('New machine', 'link');
  await choose('Kind', /^push drop spreader/);
  await reach(page.getByLabel('Name', { exact: true }));
  await type('Plum drop spreader', 'shut, thin line, thick line, wide open', '40');
  await expect(page.getByText('4 marks, shut is shut, wide open is fully open.')).toBeVisible();
  await page.keyboard.press('Control+s');

  // It comes back chosen, and asks for what it has not said.
  await expect(page.getByRole('radio', { name: /^Plum drop spreader/ })).toBeChecked();
  await choose('Product', /^Lake feed/);
  await choose('Target rate', /^3\.33 lb/);
  await fill('Hopper width', '3.00 ft');
  await press('Change scale step');
  await fill('Scale step', '0.01');
  await press('Start test run 1');
  await press('Begin test run 1');
  const run = async (before: string, length: string, after: string) => {
    await reach(page.getByLabel('Weight before'));
    await type(before, length);
    await fill('Weight after', after);
    await press('Finish test run');
  };
  await press('All of it is right');
  // What has done its one act hands the focus on.
  await expect(page.getByLabel('It begins to run at')).toBeFocused();
  await run('42.00', '200.0', '41.00');
  await expect(answer(page)).toContainText('thick line');
  await press('Next test run at thick line');
  await run('41.00', '200.0', '39.00');
  await press('Next test run at thick line');
  await run('39.00', '200.0', '37.02');
  await expect(answer(page)).toContainText('sure enough');
  await press('Go to sign-off');
  await press('Sign off at thick line');
  await fill('By', 'M. Orr');
  await page.keyboard.press('Control+s');
  await expect(page.getByText(/^thick line, since .* fresh/)).toBeVisible();
  await press('Card');
  await expect(page.getByRole('article', { name: /^Card of Plum drop spreader/ })).toContainText(
    'thick line',
  );
});

test('an area is chosen from a site, and its unit changed either way', async ({ page }) => {
  const { press, type, open } = keysOn(page);
  const { keyboard } = page;
  const size = page.getByLabel('Bandstand lawn, measured as');
  await page.goto('/');
  await expect(page.getByLabel('Amount needed')).toBeFocused();
  await type('1', '20-0-0');
  await open('Choose from a site');
  await press(/^Bandstand lawn/);
  await expect(size).toHaveValue(/^2\s867 ft² ±1\.8 %$/);
  await keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Choose from a site' })).toBeFocused();
  await expect(bigNumber(page)).toHaveText(/^14\.3 lb ±0\.3$/);
  await open(/^Change the unit of Bandstand lawn/);
  await press(/^m²/);
  await expect(size).toHaveValue(/^266\.353 m² ±1\.8 %$/);
  await expect(bigNumber(page)).toHaveText(/^14\.3 lb ±0\.3$/);
  await open(/^Change the unit of the need/);
  await keyboard.press('ArrowRight');
  await press(/^kg/);
  await expect(page.getByLabel('Amount needed')).toHaveValue('1 kg');
  await expect(page.getByRole('button', { name: /^Change the unit of the need/ })).toBeFocused();
  await expect(bigNumber(page)).toHaveText('14.3 kg ±0.3');
});
