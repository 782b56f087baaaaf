import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { term } from '@steady-scatter/core/working';
import { inApp } from '../testing/inApp.tsx';
import { ResultTerm } from './ResultTerm.tsx';
import { CurrencyContext, useFigures, withCurrency } from './currency.ts';

const plain = (text: string) => text.replace(/\u00a0/g, ' ');

it.each([
  ['$', 'before', '$5.76'],
  ['EUR', 'before', 'EUR 5.76'],
  ['€', 'after', '5.76 €'],
  ['', 'before', '5.76'],
] as const)('%j %s: %s', (symbol, place, text) => {
  expect(plain(withCurrency('5.76', { symbol, place }))).toBe(text);
});

it('only money gets the sign', () => {
  const Both = () => {
    const figures = useFigures();
    return <output>{`${figures({ number: '5.76', isMoney: true })}, ${figures({ number: '3.33' })}`}</output>;
  };
  render(
    <CurrencyContext value={{ symbol: '$', place: 'before' }}>
      <Both />
    </CurrencyContext>,
  );
  expect(screen.getByRole('status').textContent).toBe('$5.76, 3.33');
});

it('whoever listens hears the sign, too', () => {
  const cost = term('cost', { number: '5.76', unit: '/ acre', isMoney: true }, { unrounded: '5.7612' });
  inApp(
    <CurrencyContext value={{ symbol: '$', place: 'before' }}>
      <ResultTerm term={cost} label="Cost" />
    </CurrencyContext>,
  );
  expect(screen.getByRole('button', { name: 'Cost: $5.76 / acre' })).toBeTruthy();
});
