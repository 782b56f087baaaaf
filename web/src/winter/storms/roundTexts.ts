import type { Round } from '@steady-scatter/core/season';
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
