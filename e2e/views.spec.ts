import { expect, test } from '@playwright/test';
import { CORE } from '@steady-scatter/words/en/core/index';
import { viewsOf } from '../scripts/lib/views.mjs';
import { expectAccessible, findContrast } from './support.ts';

/** An id of something that core has to say. */
const IDS = new RegExp(`\\b(?:${Object.keys(CORE).join('|')})\\.[a-z][\\w.-]+`);

/** How far a page reaches over its right edge. */
const over = `document.documentElement.scrollWidth - document.documentElement.clientWidth`;

// Shared between two workers. At every width, and by night on a phone too, a script of its own looks at them.
for (const half of [0, 1])
  test(`every view, ${half + 1} of 2: axe finds nothing by day and by night, and nothing scrolls sideways`, async ({
    page,
    baseURL,
  }) => {
    test.setTimeout(180_000);
    const views = (await viewsOf(baseURL ?? '')).filter((_, at) => at % 2 === half);
    for (const view of views) {
      await page.goto(view);
      await expectAccessible(page);
      // What a screen has no words for is told by its id.
      expect([view, (await page.locator('body').innerText()).match(IDS)]).toEqual([view, null]);
      await page.setViewportSize({ width: 390, height: 844 });
      await page.emulateMedia({ colorScheme: 'dark' });
      await expect(page.locator('html')).toHaveClass(/dark/);
      expect([view, await findContrast(page)]).toEqual([view, []]);
      await page.setViewportSize({ width: 320, height: 700 });
      await expect.poll(() => page.evaluate(over), { message: view }).toBeLessThanOrEqual(0);
      await page.emulateMedia({ colorScheme: 'light' });
      await page.setViewportSize({ width: 1280, height: 800 });
    }
  });
