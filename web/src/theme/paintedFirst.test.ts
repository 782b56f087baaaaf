import { expect, it } from 'vitest';
import html from '../../index.html?raw';
import { PLACE, paintedFirst } from './paintedFirst.ts';
import { ROLES } from './tokens.ts';

it('stands in both lights, by the colours of the app, and says whose page it is', () => {
  const page = paintedFirst('Steady Scatter');
  for (const light of [0, 1] as const) {
    for (const role of ['ground', 'rail', 'tape.on.rail'] as const)
      expect(page).toContain(`: ${ROLES[role][light]};`);
  }
  expect(page).toContain('<p>Steady Scatter</p>');
});

it('has its place in the page, once, and needs no script', () => {
  expect(html.split(PLACE)).toHaveLength(2);
  expect(paintedFirst('x')).not.toContain('<script');
});
