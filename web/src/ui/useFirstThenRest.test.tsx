import { flushSync } from 'react-dom';
import { createRoot, type Root } from 'react-dom/client';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { goOnWithEnter } from './goOnWithEnter.ts';
import { useFirstThenRest } from './useFirstThenRest.ts';

function Page() {
  const { isWhole, onKey } = useFirstThenRest();
  return (
    <div onKeyDownCapture={onKey} onKeyDown={goOnWithEnter}>
      <input aria-label="first" data-flow="" />
      {isWhole && <input aria-label="second" data-flow="" />}
    </div>
  );
}

const acting = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean };
let at: HTMLElement;
let root: Root;
const field = (name: string) => at.querySelector<HTMLInputElement>(`[aria-label=${name}]`);
const press = (key: string) =>
  field('first')!.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));

beforeEach(() => {
  // As in a browser: nothing waits for what is deferred.
  acting.IS_REACT_ACT_ENVIRONMENT = false;
  at = document.body.appendChild(document.createElement('div'));
  root = createRoot(at);
  flushSync(() => root.render(<Page />));
  field('first')!.focus();
});
afterEach(() => {
  root.unmount();
  at.remove();
  acting.IS_REACT_ACT_ENVIRONMENT = true;
});

it('the first stands alone at first, and the rest comes by itself', async () => {
  expect(field('second')).toBeNull();
  await expect.poll(() => field('second')).not.toBeNull();
});

it('Enter before the rest is there goes on to it all the same', () => {
  expect(field('second')).toBeNull();
  press('Enter');
  expect(document.activeElement).toBe(field('second'));
});

it('a key that only types waits for nothing', () => {
  press('8');
  expect(field('second')).toBeNull();
});
