import { Box, chakra } from '@chakra-ui/react';
import { moneyText } from '@steady-scatter/core/fields';
import { planNeeds, type PlanNeed } from '@steady-scatter/core/plan';
import { showNumber, type System } from '@steady-scatter/core/quantities';
import { useMemo } from 'react';
import { say } from '@steady-scatter/words/plans';
import { useFigures } from '../ui/currency.ts';
import { PlainTable } from '../ui/PlainTable.tsx';
import { Section } from '../ui/Section.tsx';
import { SideScroll } from '../ui/SideScroll.tsx';
import { shownIn } from '../units/shownIn.ts';
import { spreadUnits } from '../units/spreadUnits.ts';
import type { PlanView } from './usePlan.ts';

const HEADINGS = [
  [say('plans.needs.product'), false],
  [say('plans.needs.amount'), true],
  [say('plans.needs.packages'), true],
  [say('plans.needs.stock'), true],
  [say('plans.needs.buy'), true],
  [say('plans.needs.cost'), true],
] as const;

function NeedRow({ need, isUs, money }: { need: PlanNeed; isUs: boolean; money(cents: number | null): string }) {
  const { name, isLiquid, amountSi, unknown, order } = need;
  return (
    <tr>
      <th scope="row">
        {name}
        {unknown > 0 && <Box color="warn" fontSize="15px" fontWeight="normal">▲ {say('plans.needs.unknown', { count: unknown })}</Box>}
      </th>
      <td data-end="">{shownIn(amountSi, spreadUnits(isLiquid, isUs).amount)}</td>
      <td data-end="">{order ? showNumber(order.exact, 3) : ''}</td>
      <td data-end="">{order ? showNumber(order.stock, 3) : ''}</td>
      <chakra.td data-end="" fontWeight="bold">{order?.buy ?? ''}</chakra.td>
      <td data-end="">{money(order?.costCents ?? null)}</td>
    </tr>
  );
} // prettier-ignore

/** What the open portions take of each product, against what is on the shelf. */
export function PlanTakes({ view: { open, shelf }, system }: { view: PlanView; system: System }) {
  const needs = useMemo(() => planNeeds(open, shelf), [open, shelf]);
  const figures = useFigures();
  const money = (cents: number | null) => (cents === null ? '' : figures({ number: moneyText(cents), isMoney: true })); // prettier-ignore
  const costs = needs.flatMap(({ order }) => order?.costCents ?? []);
  return (
    <Section heading={say('plans.needs.heading')}>
      {needs.length === 0 ? (
        <Box fontSize="17px">{say('plans.needs.none')}</Box>
      ) : (
        <SideScroll label={say('plans.needs.heading')} maxWidth="900px">
          <PlainTable>
            <thead><tr>{HEADINGS.map(([label, isEnd]) => <th key={label} scope="col" {...(isEnd && { 'data-end': '' })}>{label}</th>)}</tr></thead>
            <tbody>{needs.map((need) => <NeedRow key={need.product} need={need} isUs={system === 'us'} money={money} />)}</tbody>
            {costs.length > 1 && <tfoot><tr><th scope="row" colSpan={5}>{say('plans.needs.total')}</th><chakra.td data-end="" fontWeight="bold">{money(costs.reduce((sum, cents) => sum + cents, 0))}</chakra.td></tr></tfoot>}
          </PlainTable>
        </SideScroll>
      )}
    </Section>
  );
} // prettier-ignore
