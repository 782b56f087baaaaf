import { expect, test } from '@playwright/test';
import { answer, bigNumber, expectAccessible, line, lineText, PHONE, plain } from './support.ts';

test('fresh open to the right answer by keyboard alone', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByLabel('Amount needed')).toBeFocused();
  for (const [input, key] of [['0.8', 'Enter'], ['24-0-8', 'Enter'], ['Bandstand lawn', 'Enter'], ['7,400', 'Enter'], ['40', 'Tab']] as const) {
    await page.keyboard.type(input);
    await page.keyboard.press(key);
  } // prettier-ignore
  await expect(bigNumber(page)).toHaveText('24.7 lb');
  expect(await lineText(page, 'What the ground needs')).toBe(
    '0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²',
  );
  expect(await lineText(page, 'In all')).toBe('3.33 lb / 1000 ft² × 7 400 ft² = 24.7 lb');
  expect(await lineText(page, 'Packages')).toBe('24.7 lb ÷ 40 lb = 0.617 packages so take 1');
  expect(await lineText(page, 'Back-check')).toBe(
    '24.7 lb of 24-0-8 on 7 400 ft² × 24 % in 24-0-8 = 0.800 lb N / 1000 ft²',
  );
  await expect(answer(page)).toContainText('Take 1 package of 40 lb');
  await expect(answer(page).getByRole('row', { name: 'K₂O 0.267 lb also delivers' })).toBeVisible();
});

test('three areas in mixed units, a need in metric, and units changed in place', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Amount needed').fill('40 kg/ha');
  await page.getByLabel('Grade on the label').fill('24-0-8');
  await page.getByLabel('area 1, measured as').fill('62 x 38 ft');
  await page.getByRole('button', { name: 'Add area' }).click();
  await expect(page.getByLabel('Name of area 2')).toBeFocused();
  await page.keyboard.type('Slipway bank');
  await page.getByLabel('Slipway bank, measured as').fill('690 m2');
  await page.getByRole('button', { name: 'Add area' }).click();
  await page.getByLabel('area 3, measured as').fill('0.17 ac');
  // (2356 ft2 + 690 m2 + 0.17 ac) x 40 kg/ha / 0.24
  await expect(bigNumber(page)).toHaveText('26.6 kg');
  await expect(page.getByLabel('Amount needed')).toHaveValue('40 kg');

  await page.getByRole('button', { name: 'Change the area that the need is given on, now ha' }).click();
  await page.getByRole('button', { name: /^m² 0.004 kg/ }).click();
  expect(plain(await page.getByLabel('Amount needed').inputValue())).toBe('0.004 kg');
  await expect(bigNumber(page)).toHaveText('26.6 kg');

  await page.getByRole('button', { name: 'Change the unit of the need' }).click();
  await page.getByText('Keep the number').click();
  await page.getByRole('button', { name: /^g 0.004 g/ }).click();
  await expect(page.getByLabel('Amount needed')).toHaveValue('0.004 g');
  await expect(bigNumber(page)).toHaveText('26.6 g');

  await page.getByRole('button', { name: 'Amount in all: 26.6 g' }).first().click();
  await expect(page.getByText('before rounding')).toContainText('26.6');
  await page.getByRole('button', { name: 'oz', exact: true }).click();
  await expect(bigNumber(page)).toHaveText('0.939 oz');
});

test('the share in the line changes the grade, and a need typed with its nutrient finds its terms', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByLabel('Amount needed').fill('1 lb K2O per acre');
  await page.getByLabel('Amount needed').press('Enter');
  await expect(page.getByLabel('What is needed')).toHaveValue('K2O');
  await expect(page.getByLabel('Amount needed')).toHaveValue('1 lb');
  await page.getByLabel('Grade on the label').fill('24-0-8');
  await page.getByLabel('Share of potash in the product').fill('12');
  await page.getByLabel('Share of potash in the product').press('Enter');
  await expect(page.getByLabel('Grade on the label')).toHaveValue('24-0-12');
  expect(await lineText(page, 'What the ground needs')).toBe(
    '1 lb K₂O on each acre ÷ 12 % in 24-0-12 = 8.33 lb / acre',
  );
});

test('wrong entries say what would be right and keep what was typed', async ({ page }) => {
  await page.goto('/');
  const cases = [
    ['Grade on the label', '240-8', 'Is it 24-0-8?'],
    ['Grade on the label', '0.24-0-0.08', 'Is 0.24-0-0.08 meant as 24-0-8?'],
    ['Grade on the label', '60-30-20', 'adds up to 110 %'],
    ['Grade on the label', '0-0-50', 'holds no nitrogen'],
    ['Amount needed', '0', 'has to be more than 0'],
    ['Amount needed', '0,5', 'Write 0.5 if it marks a decimal'],
    ['Amount needed', '1e309', 'too large a number'],
    ['Amount needed', '🌱', 'cannot be read as a weight per area'],
    ['Amount needed', '<b>0.8</b>', 'cannot be read'],
    ['Amount needed', 'x'.repeat(10_000), '10000 characters'],
    ['area 1, measured as', '-5 m2', 'has to be more than 0'],
    ['area 1, measured as', '10 001 ha', 'more than 10 000 ha'],
    ['area 1, measured as', '5 blorps', 'no unit blorps'],
    ['Package size', '40 ft', 'does not measure a weight'],
  ] as const;
  await page.getByLabel('Amount needed').fill('0.8');
  for (const [label, input, said] of cases) {
    const field = page.getByLabel(label);
    await field.fill(input);
    await field.blur();
    await expect(page.getByRole('alert').filter({ hasText: said })).toBeVisible();
    await expect(field).toHaveValue(input);
    await expect(field).toHaveAttribute('aria-invalid', 'true');
    await expect(field).toHaveAccessibleDescription(new RegExp(said.slice(0, 12).replace(/[?.]/g, '.')));
    await field.fill(label === 'Amount needed' ? '0.8' : '');
  }
  await page.getByLabel('Grade on the label').fill('240-8');
  await page.getByRole('button', { name: 'Use 24-0-8' }).click();
  await expect(page.getByLabel('Grade on the label')).toHaveValue('24-0-8');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('the sentence about an error waits while somebody types', async ({ page }) => {
  await page.clock.install();
  await page.goto('/');
  await page.clock.runFor(5000);
  await page.clock.pauseAt(Date.now() + 60_000);
  await page.getByLabel('Grade on the label').focus();
  await page.keyboard.type('24-');
  await expect(page.getByLabel('Grade on the label')).toHaveValue('24-');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.clock.runFor(1000);
  await expect(page.getByRole('alert')).toContainText('three numbers');
});

test('copies the working as text', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.goto('/');
  await page.getByLabel('Name of the job').fill('Library strip');
  await page.getByLabel('Amount needed').fill('0.8');
  await page.getByLabel('Grade on the label').fill('24-0-8');
  await page.getByLabel('area 1, measured as').fill('1 600 ft2');
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByText('The working is copied.')).toBeVisible();
  const lines = plain(await page.evaluate(() => navigator.clipboard.readText()));
  expect(lines).toContain(
    'Library strip What the ground needs: 0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²',
  );
  expect(lines).toContain('In all: 3.33 lb / 1000 ft² × 1 600 ft² = 5.33 lb');
});

test('a whole job prints on one page, without the tools of the screen', async ({ page }) => {
  await page.goto('/jobs');
  await page.getByRole('link', { name: 'Fall feed, lake front' }).click();
  await expect(bigNumber(page)).toHaveText('29.0 lb');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation')).toHaveCount(0);
  await expect(page.getByRole('columnheader', { name: 'Measured as' })).toBeVisible();
  await expect(line(page, 'In all')).toBeVisible();
  for (const format of ['A4', 'Letter']) {
    const pdf = (await page.pdf({ format })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
  }
});

test.describe('on a phone', () => {
  test.use(PHONE);
  test('the same answer by thumb, in sight while typing', async ({ page }) => {
    await page.goto('/');
    await page.getByLabel('Amount needed').fill('0.8');
    await page.getByLabel('Grade on the label').fill('24-0-8');
    await page.getByLabel('area 1, measured as').fill('62 x 38');
    await page.getByLabel('Package size').fill('40');
    await expect(bigNumber(page)).toHaveText('7.85 lb');
    await expect(page.getByText('take 1 package', { exact: true })).toBeInViewport();
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(width).toBeLessThanOrEqual(390);
    for (const link of await page.getByRole('navigation', { name: 'Main places' }).getByRole('link').all()) {
      expect((await link.boundingBox())?.height).toBeGreaterThanOrEqual(56);
    }
    await expectAccessible(page);
  });
});
