import { Box, chakra } from '@chakra-ui/react';
import { nameKey } from '@steady-scatter/core/fields';
import type { Lot, LotStep } from '@steady-scatter/core/season';
import { useParams } from 'react-router';
import { say } from '@steady-scatter/words/shelf';
import { useLots } from '../kinds/useLots.ts';
import { packagesText } from '../kinds/useStock.ts';
import { rowText } from '../records/rowText.ts';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { dayText } from '../ui/dayText.ts';
import { Message } from '../ui/Message.tsx';
import { NameLink } from '../ui/NameLink.tsx';
import { PlainTable } from '../ui/PlainTable.tsx';
import { SideScroll } from '../ui/SideScroll.tsx';
import { dayOf } from '../ui/today.ts';
import { TopBar } from '../ui/TopBar.tsx';

const HEADINGS = [
  [say('shelf.lots.day'), false],
  [say('shelf.lots.step'), false],
  [say('shelf.lots.amount'), true],
  [say('shelf.lots.packages'), true],
  [say('shelf.lots.after'), true],
  [say('shelf.lots.by'), false],
] as const;

function Step({ step }: { step: LotStep }) {
  const { what, at, onDay, by, packages, left, row } = step;
  const isOut = what !== 'received';
  return (
    <tr>
      <chakra.td whiteSpace="nowrap">{dayText(onDay || dayOf(new Date(at)))}</chakra.td>
      <th scope="row">{say('shelf.lots.what', { what, area: row?.input.areaName ?? '', site: row?.input.siteName || 'none' })}</th>
      <td data-end="">{row ? rowText(row.input) : ''}</td>
      <td data-end="">{packages === null ? '' : `${isOut ? '−' : '+'}${packagesText(packages)}`}</td>
      <td data-end="">{left === null ? '' : left < 0 ? `−${packagesText(-left)}` : packagesText(left)}</td>
      <td>{by}</td>
    </tr>
  );
} // prettier-ignore

/** What is left of it, in one number. */
function Left({ lot: { left, received } }: { lot: Lot }) {
  if (left === null) return <Box fontSize="17px">{say('shelf.lots.leftUnknown')}</Box>;
  return (
    <>
      <BigNumber number={left < 0 ? '0' : packagesText(left)} unit={say('shelf.lots.left', { packages: Number(packagesText(left)), received: packagesText(received) })} />
      {left < 0 && <Box color="warn" fontSize="17px">▲ {say('shelf.lots.below')}</Box>}
    </>
  );
} // prettier-ignore

/** The whole path of a lot: when it came, where it was spread and by whom, what is left. */
export default function LotPage() {
  const { id = '', lot: sought = '' } = useParams();
  const known = useLots(id);
  if (!known) return null;
  const { product, lots } = known;
  const lot = lots.find((each) => nameKey(each.lot) === nameKey(sought));
  if (!lot) return <Message heading={say('shelf.lots.heading', { lot: sought })} text={say('shelf.lots.gone')} act={say('shelf.lots.toProduct')} to={`/shelf/${id}`} />;
  return (
    <>
      <title>{say('shelf.lots.title', { lot: lot.lot, product: product.name })}</title>
      <TopBar>
        <chakra.h1 fontSize="21px" fontWeight="bold">{say('shelf.lots.heading', { lot: lot.lot })}</chakra.h1>
        <NameLink to={`/shelf/${id}`}>{say('shelf.lots.of', { product: product.name })}</NameLink>
      </TopBar>
      <ShelfTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }}>
        <Left lot={lot} />
        <SideScroll label={say('shelf.lots.heading', { lot: lot.lot })} maxWidth="960px" marginTop="12px">
          <PlainTable>
            <thead><tr>{HEADINGS.map(([label, isEnd]) => <th key={label} scope="col" {...(isEnd && { 'data-end': '' })}>{label}</th>)}</tr></thead>
            <tbody>{lot.steps.map((step) => <Step key={`${step.what} ${step.id}`} step={step} />)}</tbody>
          </PlainTable>
        </SideScroll>
        <Box marginTop="12px" fontSize="17px"><NameLink to={`/log?${new URLSearchParams({ from: '2000-01-01', q: lot.lot }).toString()}`}>{say('shelf.lots.records')}</NameLink></Box>
      </Box>
    </>
  );
} // prettier-ignore
