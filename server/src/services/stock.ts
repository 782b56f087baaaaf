import { EVENTS, KINDS, type StockLine } from '@steady-scatter/contract';
import { evaluateProduct, type ProductInput } from '@steady-scatter/core/products';
import { grouped, nameKey } from '@steady-scatter/core/fields';
import { stockOf, type StockMoveInput } from '@steady-scatter/core/season';
import type { Actor } from '../actor.ts';
import { AppliedRow } from '../models/applied.ts';
import { DocumentRow, EventRow } from '../models/index.ts';
import { storedOrNull } from './readStored.ts';

interface Move {
  readonly id: string;
  readonly first: string | null;
  readonly occurredAt: string;
  readonly input: StockMoveInput;
}

function moveOf(row: EventRow): Move[] {
  const input = storedOrNull(EVENTS.stockMoves, row) as StockMoveInput | null;
  return input ? [{ id: row.id, first: row.firstId, occurredAt: row.occurredAt.toISOString(), input }] : [];
}

/** What stands as stock on a label, as one that came in a file has it, is a count of the day it came. */
const typedStock = ({ stock }: ProductInput, since: string): Move[] =>
  stock.trim() === '' ? [] : [{ id: '', first: null, occurredAt: since, input: { what: 'counted', packages: stock, lot: '', price: '', by: '', note: '', void: '' } }]; // prettier-ignore

/** What is on the shelf of each product of which something was said. */
export async function readStock({ crewId }: Actor): Promise<StockLine[]> {
  const rows = await EventRow.findAll({ where: { crewId, kind: EVENTS.stockMoves.name } });
  const moves = grouped(rows, ({ subjectId }) => subjectId);
  const documents = await DocumentRow.findAll({ where: { crewId, kind: 'products', deletedAt: null } });
  const labels = documents.flatMap((row) => {
    const label = storedOrNull(KINDS.products, row) as ProductInput | null;
    return label ? [{ id: row.id, label, key: nameKey(label.name), since: row.createdAt.toISOString() }] : [];
  });
  const used = await AppliedRow.findAll({
    where: { crewId, productKey: labels.map(({ key }) => key) },
    attributes: ['productKey', 'startedAt', 'amountSi'],
  });
  const usedOf = grouped(used, ({ productKey }) => productKey);
  return labels.flatMap(({ id, label, key, since }) => {
    const uses = (usedOf.get(key) ?? []).map(({ startedAt, amountSi }) => ({ at: startedAt.toISOString(), si: amountSi })); // prettier-ignore
    const stock = stockOf(
      [...typedStock(label, since), ...(moves.get(id) ?? []).flatMap(moveOf)],
      uses,
      evaluateProduct(label).package?.si ?? null,
    );
    return stock ? [{ product: id, ...stock }] : [];
  });
}
