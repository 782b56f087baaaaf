import { Box, chakra } from '@chakra-ui/react';
import { moneyText } from '@steady-scatter/core/fields';
import { showNumber } from '@steady-scatter/core/quantities';
import { seasonOrderTable, type OrderLine } from '@steady-scatter/core/runSheet';
import { FileDown } from 'lucide-react';
import { list, say, speak } from '@steady-scatter/words/load';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { useFigures } from '../ui/currency.ts';
import { saveCsv } from '../ui/saveCsv.ts';
import { PlainTable } from '../ui/PlainTable.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { shownIn } from '../units/shownIn.ts';
import { useOrder } from './useOrder.ts';

/** How many to buy: more where the ground is as large as its band allows. */
const buyText = ({ order }: OrderLine): string => {
  if (!order) return say('load.order.unknown');
  return order.buyAtMost > order.buy
    ? say('load.order.atMost', { buy: order.buy, most: order.buyAtMost })
    : String(order.buy);
};

function OrderRow({ line, money }: { line: OrderLine; money(cents: number | null): string }) {
  const { product, amountSi, unit, order, jobs } = line;
  return (
    <tr>
      <th scope="row">{product}</th>
      <td data-end="">{shownIn(amountSi, unit)}</td>
      <td data-end="">{order ? showNumber(order.exact, 3) : ''}</td>
      <td data-end="">{order ? showNumber(order.stock, 3) : ''}</td>
      <chakra.td data-end="" fontWeight="bold">
        {buyText(line)}
      </chakra.td>
      <td data-end="">{money(order?.costCents ?? null)}</td>
      <chakra.td color="ink.soft" fontSize="15px">
        {list(jobs)}
      </chakra.td>
    </tr>
  );
}

const HEADINGS = [
  [say('load.order.product'), false],
  [say('load.order.amount'), true],
  [say('load.order.packages'), true],
  [say('load.order.stock'), true],
  [say('load.order.buy'), true],
  [say('load.order.cost'), true],
  [say('load.order.jobs'), false],
] as const;

function OrderTable({ lines }: { lines: readonly OrderLine[] }) {
  const figures = useFigures();
  const money = (cents: number | null) => (cents === null ? '' : figures({ number: moneyText(cents), isMoney: true })); // prettier-ignore
  const costs = lines.flatMap(({ order }) => order?.costCents ?? []);
  return (
    <Box overflowX="auto">
      <PlainTable>
        <thead>
          <tr>
            {HEADINGS.map(([label, isEnd]) => (
              <th key={label} scope="col" {...(isEnd && { 'data-end': '' })}>
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <OrderRow key={line.product} line={line} money={money} />
          ))}
        </tbody>
        {costs.length > 0 && (
          <tfoot>
            <tr>
              <th scope="row" colSpan={5}>
                {say('load.order.total')}
              </th>
              <chakra.td data-end="" fontWeight="bold">
                {money(costs.reduce((sum, cents) => sum + cents, 0))}
              </chakra.td>
              <td />
            </tr>
          </tfoot>
        )}
      </PlainTable>
    </Box>
  );
}

const save = (lines: readonly OrderLine[]): void => saveCsv(`${say('load.order.file')}.csv`, seasonOrderTable(lines, speak, moneyText)); // prettier-ignore

/** What to buy for the season: all sheets that are ready, against what is in stock. */
export default function OrderPage() {
  const lines = useOrder();
  return (
    <>
      <title>{say('load.order.title')}</title>
      <TopBar
        acts={
          lines &&
          lines.length > 0 && (
            <CommandButton icon={FileDown} label={say('load.order.csv')} onClick={() => save(lines)} />
          )
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('load.order.heading')}
        </chakra.h1>
      </TopBar>
      <JobsTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }}>
        {lines?.length === 0 && <Box fontSize="18px">{say('load.order.none')}</Box>}
        {lines && lines.length > 0 && (
          <>
            <Box fontSize="17px" marginBottom="12px">
              {say('load.order.what')}
            </Box>
            <OrderTable lines={lines} />
          </>
        )}
      </Box>
    </>
  );
}
