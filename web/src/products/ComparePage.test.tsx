import { screen, within } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import ComparePage from './ComparePage.tsx';

beforeEach(() => keepDemo());
const table = () => within(screen.getByRole('region', { name: 'Compare labels' }));
const row = (name: string) =>
  (table().getByRole('rowheader', { name }).closest('tr')?.textContent ?? '').replace(/\s+/g, ' ');
const open = () => inApp(<ComparePage />, '/shelf/compare');

it('each product that holds it takes its rate for one need, and the cheapest is said', async () => {
  const person = open();
  await person.clear(screen.getByLabelText('Amount needed'));
  await person.type(screen.getByLabelText('Amount needed'), '0.8');
  const heads = table().getAllByRole('columnheader').map(({ textContent }) => textContent ?? '');
  expect(heads.some((head) => head.startsWith('Lake feed 24-0-8'))).toBe(true);
  expect(heads.filter((head) => head.includes('costs least'))).toHaveLength(1);
  expect(row('Rate')).toContain('3.33 lb / 1000 ft²');
  expect(row('By the label')).toMatch(/within the label’s rates|below the label’s lowest rate|no range given/);
}); // prettier-ignore

it('asked for something else, other products answer', async () => {
  const person = open();
  await person.selectOptions(screen.getByLabelText('What is needed'), 'K2O');
  const potash = table().getAllByRole('columnheader').filter(({ textContent }) => textContent?.startsWith('Potash')); // prettier-ignore
  expect(potash).not.toEqual([]);
  expect(row('Also delivers')).toContain('nothing');
});

it('an amount that cannot be read says so, and what stood there stays typed', async () => {
  const person = open();
  await person.clear(screen.getByLabelText('Amount needed'));
  await person.type(screen.getByLabelText('Amount needed'), 'much');
  expect(screen.getByRole('alert').textContent).toContain('much');
  expect(screen.getByLabelText<HTMLInputElement>('Amount needed').value).toBe('much');
});
