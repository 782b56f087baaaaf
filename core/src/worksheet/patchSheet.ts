import { toResult, type InputError } from '../errors/InputError.ts';
import { PRODUCT_KINDS } from '../products/product.ts';
import { dissolving, type Dissolved } from '../wet/dissolve.ts';
import { patchPlan, type PatchPlan } from '../wet/patch.ts';
import type { WorksheetAnswer } from './answer.ts';
import { tankSheet } from './tankSheet.ts';
import type { WorksheetInput } from './worksheetInput.ts';

/** A sheet as a small patch that is treated out of a bottle or a can: the tank is the bottle. */
export interface PatchSheet {
  /** Product for the whole patch, kg or L; null while the need, the product or the patch is missing. */
  readonly productSi: number | null;
  readonly form: 'dry' | 'liquid';
  readonly bottleL: number | null;
  readonly waterC: number;
  readonly dissolved: Dissolved | null;
  readonly plan: PatchPlan | null;
  readonly errors: readonly InputError[];
}

/**
 * A small patch: product, and the bottles that it goes into.
 *
 * @param answer of the same sheet
 * @example patchSheet(sheet, answer).plan // null: nobody said what the bottle holds
 */
export function patchSheet(input: WorksheetInput, answer: WorksheetAnswer): PatchSheet {
  const { tankL: bottleL, waterC, errors } = tankSheet({ ...input, mates: [] }, answer, { tankL: null, chartLPerM2: null }); // prettier-ignore
  const { form } = PRODUCT_KINDS[input.product.kind];
  const { amountSi: productSi, totalM2: areaM2 } = answer.numbers;
  const { gPer100g } = answer.reading.product;
  const { salt } = input.product;
  const dissolved = form === 'dry' && productSi !== null && bottleL !== null
    ? toResult(() => dissolving({ kg: productSi, salt: salt === '' ? null : salt, gPer100g, degC: waterC, waterL: bottleL })).value
    : null; // prettier-ignore
  const plan = productSi !== null && areaM2 !== null && bottleL !== null
    ? toResult(() => patchPlan({ productSi, form, areaM2, bottleL, leastWaterL: dissolved?.leastWaterL ?? null })).value
    : null; // prettier-ignore
  return { productSi, form, bottleL, waterC, dissolved, plan, errors };
}
