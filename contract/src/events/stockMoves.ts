import { evaluateStockMove, stockMoveInput, type StockMoveInput } from '@steady-scatter/core/season';
import { eventOf } from './event.ts';
import { SUBJECTS } from './subjects.ts';

/** What was counted, received and thrown away of a product; what was spread is known from the applications. */
export const stockMoves = eventOf<StockMoveInput>({
  name: 'stockMoves',
  path: '/api/stock-moves',
  subjects: SUBJECTS.stockMoves,
  schema: stockMoveInput,
  upgrades: [],
  evaluate: (input) => evaluateStockMove(input),
});
