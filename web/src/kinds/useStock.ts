import type { StockLine } from '@steady-scatter/contract';
import { evaluateProduct, type ProductInput } from '@steady-scatter/core/products';
import { nameKey } from '@steady-scatter/core/fields';
import { doneRows, evaluateApplication, isVoid, lotCameAt, stockOf } from '@steady-scatter/core/season';
import { useQuery } from '@tanstack/react-query';
import { Unreachable } from '../api/errors.ts';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { allDocs, useDocs, type Doc } from '../documents/docs.ts';
import { allRows, useRows } from '../events/appended.ts';
import { dayOf } from '../ui/today.ts';
import { PRODUCTS } from './useProducts.ts';

/** What of the shelf is known by the id of a product. */
export type StockById = ReadonlyMap<string, StockLine>;

/** The same as the server adds it up, from what this device has at hand. */
async function stockAtHand(): Promise<StockLine[]> {
  const [products, moves, applications] = await Promise.all([
    allDocs(PRODUCTS),
    allRows('stockMoves'),
    allRows('applications'),
  ]);
  const used = doneRows(applications).filter(({ input }) => !isVoid(input));
  return products.flatMap(({ id, input }) => {
    const own = moves.filter(({ subject }) => subject === id);
    const uses = used.flatMap((row) => {
      const { amountSi } = evaluateApplication(row.input);
      return nameKey(row.input.product.name) === nameKey(input.name) && amountSi !== null ? [{ at: row.startedAt, si: amountSi }] : [];
    });
    const stock = stockOf(own, uses, evaluateProduct(input).package?.si ?? null);
    return stock ? [{ product: id, ...stock }] : [];
  });
} // prettier-ignore

async function readStock(): Promise<StockLine[]> {
  try {
    return await call('stock');
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    return stockAtHand();
  }
}

/** What is on the shelf; without a network as far as this device knows. */
export const fetchStock = async (): Promise<StockById> =>
  new Map((await queries.fetchQuery({ queryKey: ['stock'], queryFn: readStock })).map((line) => [line.product, line])); // prettier-ignore

/** The same, watched. */
export function useStock(): StockById {
  const { data } = useQuery({ queryKey: ['stock'], queryFn: readStock, select: byId }, queries);
  return data ?? NOTHING;
}
const byId = (lines: StockLine[]): StockById => new Map(lines.map((line) => [line.product, line]));
const NOTHING: StockById = new Map();

/** The day on which a lot of a product came, where somebody said it. */
export function useLotCame({ name, lot }: { readonly name: string; readonly lot: string }): string {
  const { data: products = [] } = useDocs(PRODUCTS);
  const { data: moves = [] } = useRows('stockMoves', null);
  const own = new Set(products.filter(({ input }) => nameKey(input.name) === nameKey(name)).map(({ id }) => id));
  const at = lotCameAt(moves.filter(({ subject }) => own.has(subject)), lot);
  return at === '' ? '' : dayOf(new Date(at));
} // prettier-ignore

/** Packages for a field or a cell: at most three decimals, never below nothing. */
export const packagesText = (packages: number): string => String(Number(Math.max(0, packages).toFixed(2)));

/** A product as its label says it, with what is on the shelf of it by now. */
export function withStock(doc: Doc<ProductInput>, stock: StockById): Doc<ProductInput> {
  const line = stock.get(doc.id);
  return line ? { ...doc, input: { ...doc.input, stock: packagesText(line.packages) } } : doc;
}
