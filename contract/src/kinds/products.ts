import { evaluateProduct, PRODUCT_KIND_IDS, productInput, productUpgrades, type ProductInput } from '@steady-scatter/core/products'; // prettier-ignore
import * as z from 'zod';
import { message } from '@steady-scatter/core/messages';
import { kindOf, whole, shortText, siColumn, type Column } from './kind.ts';

const productKind: Column<ProductInput['kind']> = { type: 'text', schema: z.enum(PRODUCT_KIND_IDS) };

/** Products of the shelf, each as its label states it. */
export const products = kindOf({
  name: 'products',
  path: '/api/products',
  schema: productInput,
  upgrades: productUpgrades,
  evaluate: evaluateProduct,
  columns: {
    kind: productKind,
    grade: shortText,
    load: shortText,
    package: shortText,
    packageUnit: shortText,
    /** kg, or L of a liquid. */
    packageSi: siColumn,
    price: shortText,
    priceCents: siColumn,
    lot: shortText,
    grainSize: shortText,
  },
  sort: 'name',
  summarise: ({ kind, grade, load, package: pack, price, lot, grainSize }, result) => ({
    kind,
    grade,
    load,
    package: pack.size,
    packageUnit: pack.unit,
    packageSi: result.package?.si ?? null,
    price,
    priceCents: result.priceCents,
    lot,
    grainSize,
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ kind, grade, lot, notes, activeIngredient }, speak) => whole([speak(message(`kinds.product.${kind}`)), grade, lot, notes, activeIngredient]), // prettier-ignore
  linksOf: () => [],
});
