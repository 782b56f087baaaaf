import type { KeyboardEvent } from 'react';

/** Enter goes to the next thing to type, so that a whole sheet can be typed without reaching for Tab. */
export function goOnWithEnter(event: KeyboardEvent<HTMLElement>) {
  const { target, currentTarget } = event;
  if (event.key !== 'Enter' || event.defaultPrevented) return;
  if (!(target instanceof HTMLInputElement) || target.dataset['flow'] === undefined) return;
  event.preventDefault();
  const flow = [...currentTarget.querySelectorAll<HTMLInputElement>('input[data-flow]')];
  const next = flow[flow.indexOf(target) + 1];
  next?.focus();
  next?.select();
}
