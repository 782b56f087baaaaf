import { orderFor, type Order } from '../loads/order.ts';
import type { PackageUnit } from '../loads/packages.ts';
import { evaluateProduct, type ProductInput } from '../products/index.ts';
import type { JobInput, JobResult } from '../worksheet/index.ts';

/** One product over all sheets that are ready. */
export interface OrderLine {
  readonly product: string;
  /** kg or L, and about 95 % of it. */
  readonly amountSi: number;
  readonly bandSi: number;
  readonly unit: PackageUnit;
  /** Size of a package, kg or L; null: not known, so nothing is counted. */
  readonly packageSi: number | null;
  readonly order: Order | null;
  /** Names of the sheets, in the order of their days. */
  readonly jobs: readonly string[];
}

const keyOf = ({ name, grade }: Pick<ProductInput, 'name' | 'grade'>): string =>
  (name.trim() || grade.trim()).toLowerCase();

/**
 * What all sheets of a season take together, product by product, against what is in stock: rounded up once for each product.
 *
 * @param shelf products as they stand on the shelf now: stock, package and price are theirs where they are known there
 * @example seasonOrder([], []) // []
 */
export function seasonOrder(
  jobs: readonly { readonly input: JobInput; readonly result: JobResult }[],
  shelf: readonly ProductInput[],
): OrderLine[] {
  const byProduct = new Map<string, { input: JobInput; result: JobResult }[]>();
  for (const job of jobs.toSorted((a, b) => a.input.onDay.localeCompare(b.input.onDay))) {
    const key = keyOf(job.input.worksheet.product);
    if (key !== '' && job.result.answer.numbers.amountSi !== null) byProduct.set(key, [...(byProduct.get(key) ?? []), job]);
  }
  return [...byProduct].map(([key, own]) => {
    const label = shelf.find((each) => keyOf(each) === key) ?? own[0]!.input.worksheet.product;
    const { package: pack, stockPackages, priceCents } = evaluateProduct(label);
    const amountSi = own.reduce((sum, { result }) => sum + result.answer.numbers.amountSi!, 0);
    const bandSi = Math.hypot(...own.map(({ result: { answer: { numbers } } }) => (numbers.rateSi ?? 0) * numbers.totalBandM2));
    return {
      product: label.name.trim() || label.grade.trim(),
      amountSi,
      bandSi,
      unit: own[0]!.result.answer.units.amount,
      packageSi: pack?.si ?? null,
      order: pack ? orderFor(amountSi, bandSi, pack.si, stockPackages ?? 0, priceCents) : null,
      jobs: own.map(({ input }) => input.name),
    };
  });
} // prettier-ignore
