import { screen, within } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { keepDemo, onSheet, plainSheet } from '../testing/inApp.tsx';
import { Questions } from './Questions.tsx';

beforeEach(() => keepDemo());
const questions = () => screen.queryAllByRole('alert').map(({ textContent }) => textContent);

it('asks nothing about a plain sheet', () => {
  onSheet(<Questions about={['need', 'product', 'areas']} />, plainSheet());
  expect(questions()).toEqual([]);
});

it('a need ten times the usual: the likely reading is one act away, and so is the way back', async () => {
  const input = plainSheet({ need: { nutrient: 'N', amount: '10', unit: 'lb/1000 ft2' } });
  const { person, worksheet } = onSheet(<Questions about={['need']} />, input);
  expect(questions()).toHaveLength(1);
  const likely = within(screen.getByRole('alert')).getByRole('button', { name: /^Use / });
  await person.click(likely);
  expect(worksheet().need).not.toEqual(input.worksheet.need);
  expect(questions()).toEqual([]);
  await person.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(worksheet().need).toEqual(input.worksheet.need);
});

it('what is right as typed is not asked again', async () => {
  const { person, worksheet } = onSheet(
    <Questions about={['product']} />,
    plainSheet({}, { slowShare: '0.2' }),
  );
  expect(questions()[0]).toContain('20 %');
  await person.click(screen.getByRole('button', { name: 'It is right as typed' }));
  expect(questions()).toEqual([]);
  expect(worksheet().product.slowShare).toBe('0.2');
  expect(worksheet().confirmed).toHaveLength(1);
});

it('asks only about its own part', () => {
  onSheet(<Questions about={['areas']} />, plainSheet({}, { slowShare: '0.2' }));
  expect(questions()).toEqual([]);
});
