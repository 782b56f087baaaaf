import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { systemOf } from '@steady-scatter/core/quantities';
import { evaluateApplication, type ApplicationInput, type Round } from '@steady-scatter/core/season';
import { say } from '@steady-scatter/words/winter';
import { dayText } from '../../ui/dayText.ts';
import { clockText } from '../../ui/momentText.ts';
import { dayOf } from '../../ui/today.ts';
import { shownIn } from '../../units/shownIn.ts';
import { spreadUnits } from '../../units/spreadUnits.ts';

/** The time of day of a moment as it is stored. */
export const timeText = (iso: string): string => clockText(new Date(iso));

/** "22 Nov 2026, 7:30 PM to 8:00 PM" */
export const spanText = ({ from, until }: Pick<Round, 'from' | 'until'>): string =>
  say('winter.round.span', { day: dayText(dayOf(new Date(from))), from: timeText(from), until: timeText(until) }); // prettier-ignore

/** What went out in a round, dry and liquid. */
export const amountText = ({ dryKg, liquidL }: Pick<Round, 'dryKg' | 'liquidL'>, isUs: boolean): string =>
  [
    ...(dryKg > 0 ? [shownIn(dryKg, spreadUnits(false, isUs).amount)] : []),
    ...(liquidL > 0 ? [shownIn(liquidL, spreadUnits(true, isUs).amount)] : []),
  ].join(', ') || '—';

/** What went out on an area, over it: "18 lb, 3.2 lb / 1000 ft²". */
export function rowText(input: ApplicationInput): string {
  const { amountSi, achievedSi } = evaluateApplication(input);
  const isUs = systemOf(input.amount.unit) === 'us';
  const isLiquid = PRODUCT_KINDS[input.product.kind].form === 'liquid';
  const rate = achievedSi === null ? '' : shownIn(achievedSi, spreadUnits(isLiquid, isUs).rate); // prettier-ignore
  const amount = amountSi === null ? input.amount.text : shownIn(amountSi, input.amount.unit);
  return [amount, rate].filter(Boolean).join(', ');
}
