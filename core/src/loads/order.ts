import { countPackages } from './packages.ts';

/** What to buy for a plan of several areas with one product. */
export interface Order {
  /** Packages that all the ground takes, not rounded. */
  readonly exact: number;
  /** Packages in stock; a part of one counts as a fraction. */
  readonly stock: number;
  /** Whole packages to buy: rounded up once, for everything together and after the stock. */
  readonly buy: number;
  /** Packages to buy when the ground is as large as its band allows. */
  readonly buyAtMost: number;
  /** Packages left over when all is done. */
  readonly left: number;
  /** Hundredths of the currency; null without a price. */
  readonly costCents: number | null;
}

/**
 * The order for a plan: `packages = amount / package - stock`, rounded up once.
 *
 * @param amountSi product needed in all, kg or L, 0 or more
 * @param bandSi about 95 % of it, 0 where it is not known
 * @param packageSi product in one package, above 0
 * @param stock packages in stock, 0 or more
 * @param priceCents price of one package; null: not known
 * @example orderFor(45, 0, 18, 0.5, 3180) // { exact: 2.5, stock: 0.5, buy: 2, buyAtMost: 2, left: 0, costCents: 6360 }
 */
export function orderFor(
  amountSi: number,
  bandSi: number,
  packageSi: number,
  stock: number,
  priceCents: number | null,
): Order {
  const beyond = (si: number) => countPackages(Math.max(0, si - stock * packageSi), packageSi).whole;
  const { exact } = countPackages(amountSi, packageSi);
  const buy = beyond(amountSi);
  return {
    exact,
    stock,
    buy,
    buyAtMost: beyond(amountSi + bandSi),
    left: Math.max(0, stock + buy - exact),
    costCents: priceCents === null ? null : buy * priceCents,
  };
}
