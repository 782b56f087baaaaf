import { ledgerOf, type LedgerArea } from '@steady-scatter/core/regulations';
import { doneRows, ledgerRow } from '@steady-scatter/core/season';
import { allRows } from '../events/appended.ts';
import type { LedgerAsk } from './useLedger.ts';

/** The ledger as the server adds it up, from the records that this device has at hand. */
export async function ledgerAtHand({ from, to, areas, without }: LedgerAsk): Promise<LedgerArea[]> {
  const rows = doneRows(await allRows('applications')).filter(({ subject }) => subject !== without);
  const lines = rows.map(ledgerRow).filter(({ onDay, areaKey }) => onDay >= from && onDay <= to && (!areas || areas.includes(areaKey))); // prettier-ignore
  return ledgerOf(lines);
}
