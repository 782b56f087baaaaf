import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { systemOf } from '@steady-scatter/core/quantities';
import { evaluateApplication, type ApplicationInput } from '@steady-scatter/core/season';
import { shownIn } from '../units/shownIn.ts';
import { spreadUnits } from '../units/spreadUnits.ts';

/** What went out on an area, over it: "18 lb, 3.2 lb / 1000 ft²". */
export function rowText(input: ApplicationInput): string {
  const { amountSi, achievedSi } = evaluateApplication(input);
  const isUs = systemOf(input.amount.unit) === 'us';
  const isLiquid = PRODUCT_KINDS[input.product.kind].form === 'liquid';
  const rate = achievedSi === null ? '' : shownIn(achievedSi, spreadUnits(isLiquid, isUs).rate); // prettier-ignore
  const amount = amountSi === null ? input.amount.text : shownIn(amountSi, input.amount.unit);
  return [amount, rate].filter(Boolean).join(', ');
}
