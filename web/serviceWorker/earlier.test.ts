import { expect, it } from 'vitest';
import { isEarlier, isOfEarlierPage } from './earlier.ts';

const LISTED = [{ url: 'index.html', revision: 'a' }, { url: 'assets/index-new.js', revision: null }]; // prettier-ignore
const at = (path: string) => `https://scatter.test${path}`;

it('a file of the build that this version does not list is of an earlier one', () => {
  expect(isEarlier(at('/assets/index-old.js'), LISTED)).toBe(true);
  expect(isEarlier(at('/assets/index-new.js'), LISTED)).toBe(false);
});

it('what has no hash in its name is never taken for one', () => {
  expect(isEarlier(at('/index.html'), LISTED)).toBe(false);
  expect(isEarlier(at('/api/jobs'), LISTED)).toBe(false);
});

it('a page is answered from earlier files for its own address alone', () => {
  expect(isOfEarlierPage(at('/assets/index-old.js'), 'https://scatter.test', LISTED)).toBe(true);
  expect(isOfEarlierPage('https://other.test/assets/index-old.js', 'https://scatter.test', LISTED)).toBe(false); // prettier-ignore
});
