import { Box, Button, chakra } from '@chakra-ui/react';
import { EVENTS } from '@steady-scatter/contract';
import { latestOf } from '@steady-scatter/core/fields';
import {
  evaluateStockMove,
  STOCK_MOVES,
  type StockMoveInput,
  type StockMoveKind,
} from '@steady-scatter/core/season';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/shelf';
import { append, useRows, type Row } from '../events/appended.ts';
import { packagesText, useStock } from '../kinds/useStock.ts';
import { aboutDocument } from '../outbox/index.ts';
import { dayText } from '../ui/dayText.ts';
import { LotList } from './LotList.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { dayOf } from '../ui/today.ts';
import { keepWho, whoWorks } from '../ui/who.ts';

type Move = Row<StockMoveInput>;

const BLANK: StockMoveInput = {
  what: 'counted',
  packages: '',
  lot: '',
  price: '',
  by: '',
  note: '',
  void: '',
};

/** Says a movement of stock: held on this device at once, and sent in its order. */
function appendMove(product: string, input: StockMoveInput, of?: Move): void {
  const row = {
    id: newId(),
    subject: product,
    first: of ? (of.first ?? of.id) : null,
    occurredAt: new Date(Math.max(Date.now(), of ? Date.parse(of.occurredAt) + 1 : 0)).toISOString(),
    schemaVersion: EVENTS.stockMoves.schemaVersion,
    input,
  };
  append('stockMoves', row, { name: say('shelf.stock.named', { what: input.what }), needs: [aboutDocument('products', product)] }); // prettier-ignore
}

const moveText = ({ input, occurredAt }: Move): string =>
  say('shelf.stock.line', {
    day: dayText(dayOf(new Date(occurredAt))),
    what: input.what,
    packages: input.packages,
    lot: input.lot.trim() || 'none',
    by: input.by.trim() || 'none',
    note: input.note.trim() || 'none',
  });

/** What was said of it, the last first; a slip is taken back and stays in the list. */
function Moves({ product, moves }: { product: string; moves: readonly Move[] }) {
  return (
    <Box as="ul" listStyleType="none" fontSize="16px">
      {moves.toReversed().map((move) => {
        const isVoid = move.input.void.trim() !== '';
        return (
          <Box as="li" key={move.first ?? move.id} display="flex" gap="14px" justifyContent="space-between" alignItems="center" borderBottomWidth="1px" borderColor="line" minHeight="touch">
            <chakra.span textDecoration={isVoid ? 'line-through' : undefined} color={isVoid ? 'ink.soft' : undefined}>{moveText(move)}</chakra.span>
            {!isVoid && <Button variant="ghost" minHeight="touch" aria-label={say('shelf.stock.takeBackNamed', { line: moveText(move) })} onClick={() => appendMove(product, { ...move.input, void: say('shelf.stock.slip') }, move)}>{say('shelf.stock.takeBack')}</Button>}
          </Box>
        );
      })}
    </Box>
  );
} // prettier-ignore

function NewMove({ product }: { product: string }) {
  const [input, setInput] = useState(BLANK);
  const [tried, setTried] = useState(false);
  const set = (more: Partial<StockMoveInput>) => {
    setInput({ ...input, ...more });
    setTried(false);
  };
  const error = evaluateStockMove(input).errors[0];
  const save = () => {
    setTried(true);
    if (error) return;
    const by = input.by.trim() || whoWorks();
    keepWho(by);
    appendMove(product, { ...input, by });
    setInput({ ...BLANK, what: input.what });
    setTried(false);
  };
  return (
    <>
      <Box display="flex" flexWrap="wrap" gap="8px" marginY="12px" role="group" aria-label={say('shelf.stock.what')}>
        {STOCK_MOVES.map((what: StockMoveKind) => (
          <Button key={what} minHeight="touch" aria-pressed={input.what === what} variant={input.what === what ? 'solid' : 'outline'} onClick={() => set({ what })}>
            {say('shelf.stock.move', { what })}
          </Button>
        ))}
      </Box>
      <Box display="grid" gap="12px" gridTemplateColumns="repeat(auto-fill, minmax(150px, 1fr))" alignItems="end" maxWidth="760px">
        <LabelledField label={say('shelf.stock.packages')} inputMode="decimal" placeholder="3.5" value={input.packages} error={tried ? error : undefined} onChange={(packages) => set({ packages })} />
        {input.what !== 'counted' && <LabelledField label={say('shelf.lot.lot')} value={input.lot} onChange={(lot) => set({ lot })} />}
        <LabelledField label={say('shelf.stock.note')} value={input.note} onChange={(note) => set({ note })} />
        <Button minHeight="touch" variant="outline" onClick={save}>{say('shelf.stock.save')}</Button>
      </Box>
    </>
  );
} // prettier-ignore

/** What is there of a product: counted and received less thrown away and spread; each of it a line that stays. */
export function StockSection({ product }: { product: string }) {
  const line = useStock().get(product);
  const { data } = useRows('stockMoves', product);
  const moves = latestOf(data ?? []);
  return (
    <Box marginTop="20px"><Section heading={say("shelf.stock")}>
      <Box fontSize="24px" fontWeight="bold" fontFamily="figure">
        {line ? say('shelf.stock.is', { packages: Number(packagesText(line.packages)) }) : say('shelf.stock.none')}
      </Box>
      {line && (
        <Box fontSize="16px" color={line.packages < 0 ? 'warn' : 'ink.soft'}>
          {say('shelf.stock.from', { counted: line.countedAt === '' ? 'none' : dayText(dayOf(new Date(line.countedAt))), received: packagesText(line.received), used: packagesText(line.used), disposed: packagesText(line.disposed) })}
          {line.packages < 0 && ` ${say('shelf.stock.below')}`}
        </Box>
      )}
      <NewMove product={product} />
      <Moves product={product} moves={moves} />
      <LotList product={product} />
    </Section></Box>
  );
} // prettier-ignore
