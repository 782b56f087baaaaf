import { expect, test, type Page, type Request, type ViewportSize } from '@playwright/test';
import { CORE } from '@steady-scatter/words/en/core/index';
import { viewsOf } from '../scripts/lib/views.mjs';
import { expectAccessible, findContrast, go } from './support.ts';

/** An id of something that core has to say. */
const IDS = new RegExp(`\\b(?:${Object.keys(CORE).join('|')})\\.[a-z][\\w.-]+`);

/** Waits until all that was asked for has come, and is drawn. */
function quietOf(page: Page): () => Promise<void> {
  const asked = new Set<Request>();
  let whenNone = () => {};
  page.on('request', (request) => asked.add(request));
  for (const end of ['requestfinished', 'requestfailed'] as const)
    page.on(end as 'requestfinished', (request) => {
      asked.delete(request);
      if (asked.size === 0) whenNone();
    });
  return async () => {
    // What came may ask for more as soon as it is drawn.
    for (let drawn = 0; drawn < 2; drawn += 1) {
      if (asked.size > 0) await new Promise<void>((none) => void (whenNone = none));
      await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
    }
  };
}

async function setLight(page: Page, colorScheme: 'light' | 'dark', size: ViewportSize): Promise<void> {
  await page.setViewportSize(size);
  await page.emulateMedia({ colorScheme });
  await expect(page.locator('html')).toHaveClass(new RegExp(colorScheme));
}

/** How far a page reaches over its right edge. */
const over = `document.documentElement.scrollWidth - document.documentElement.clientWidth`;

// Shared between two workers. At every width, and by night on a phone too, a script of its own looks at them.
for (const half of [0, 1])
  test(`every view, ${half + 1} of 2: axe finds nothing by day and by night, and nothing scrolls sideways`, async ({
    page,
    baseURL,
  }) => {
    test.setTimeout(180_000);
    const views = (await viewsOf(baseURL ?? '')).filter((_, index) => index % 2 === half);
    const quiet = quietOf(page);
    await page.goto('/');
    const byDay = async (view: string) => {
      await setLight(page, 'light', { width: 1280, height: 800 });
      await expectAccessible(page);
      // What a screen has no words for is told by its id.
      expect([view, (await page.locator('body').innerText()).match(IDS)]).toEqual([view, null]);
    };
    const byNight = async (view: string) => {
      await setLight(page, 'dark', { width: 320, height: 700 });
      expect([view, await findContrast(page)]).toEqual([view, []]);
      await expect.poll(() => page.evaluate(over), { message: view }).toBeLessThanOrEqual(0);
    };
    // The next view begins as the one before it ended: each change draws a whole page anew.
    let looks = [byDay, byNight];
    for (const view of views) {
      await go(page, view);
      await quiet();
      for (const look of looks) await look(view);
      looks = looks.toReversed();
    }
  });
