import { createContext, use } from 'react';

/** The sign of a currency, and where it stands. */
export interface Currency {
  readonly symbol: string;
  readonly place: 'before' | 'after';
}

/** Prices are bare figures until the crew's currency is known. */
export const CurrencyContext = createContext<Currency>({ symbol: '', place: 'before' });

const NO_BREAK = '\u00a0';

/** An amount of money with its sign: "$5.76", "EUR 5.76", "5.76 €". */
export function withCurrency(number: string, { symbol, place }: Currency): string {
  if (symbol === '') return number;
  if (place === 'after') return `${number}${NO_BREAK}${symbol}`;
  return symbol.length > 1 ? `${symbol}${NO_BREAK}${number}` : `${symbol}${number}`;
}

/** Figures as they are shown: money with the sign of the crew's currency. */
export function useFigures(): (shown: { readonly number: string; readonly isMoney?: true }) => string {
  const currency = use(CurrencyContext);
  return ({ number, isMoney }) => (isMoney ? withCurrency(number, currency) : number);
}
