import { Box, Button, chakra } from '@chakra-ui/react';
import type { PortionGroup } from '@steady-scatter/core/plan';
import type { System } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/plans';
import { dayText } from '../ui/dayText.ts';
import { PlainTable } from '../ui/PlainTable.tsx';
import { SideScroll } from '../ui/SideScroll.tsx';
import { shownIn } from '../units/shownIn.ts';
import { spreadUnits } from '../units/spreadUnits.ts';
import { brokenOf, groupState, needText, plannedOf, stateText, whereText } from './planTexts.ts';
import type { PlanView } from './usePlan.ts';

interface Props {
  groups: readonly PortionGroup[];
  view: PlanView;
  system: System;
  onOpen(ids: ReadonlySet<string>): void;
}

/** What is weighed out for a group; null: something of it is not known. */
function amountOf(group: PortionGroup, view: PlanView, system: System): string {
  const planned = plannedOf(group, view);
  const isLiquid = planned.some(({ product }) => product?.form === 'liquid');
  const all = planned.map(({ amountSi }) => amountSi);
  if (all.includes(null)) return say('plans.row.unknown');
  return shownIn(all.reduce<number>((sum, si) => sum + (si ?? 0), 0), spreadUnits(isLiquid, system === 'us').amount); // prettier-ignore
}

function Row({ group, view, system, onOpen }: Omit<Props, 'groups'> & { group: PortionGroup }) {
  const [first] = group.portions as [PortionGroup['portions'][number]];
  const isBroken = brokenOf(group, view).length > 0;
  const isMissed = groupState(group, view) === 'missed';
  const isWrong = isBroken || isMissed;
  return (
    <tr>
      <chakra.td whiteSpace="nowrap">{dayText(first.onDay)}</chakra.td>
      <chakra.th scope="row">
        <Button variant="ghost" size="sm" minHeight="44px" height="auto" whiteSpace="normal" textAlign="left" marginLeft="-10px" paddingX="10px" aria-label={say('plans.row.open', { what: `${first.productName}, ${whereText(group)}`, day: dayText(first.onDay) })} onClick={() => onOpen(new Set(group.portions.map(({ id }) => id)))}>
          {first.productName}
        </Button>
        <Box hideFrom="md" fontWeight="normal" fontSize="15px">{whereText(group)}</Box>
      </chakra.th>
      <chakra.td hideBelow="md">{whereText(group)}</chakra.td>
      <chakra.td hideBelow="md" data-end="">{needText(first)}</chakra.td>
      <chakra.td data-end="" hideBelow="md">{amountOf(group, view, system)}</chakra.td>
      <chakra.td color={isWrong ? 'warn' : undefined}>{isWrong && '▲ '}{isBroken && !isMissed ? say('plans.state.broken') : stateText(group, view)}</chakra.td>
    </tr>
  );
} // prettier-ignore

const HEADINGS = [
  [say('plans.row.day'), false, false],
  [say('plans.row.what'), false, false],
  [say('plans.row.where'), false, true],
  [say('plans.row.each'), true, true],
  [say('plans.row.amount'), true, true],
  [say('plans.row.state'), false, false],
] as const;

/** The same as the calendar, day by day. */
export const PlanList = ({ groups, ...rest }: Props) => (
  <SideScroll label={say('plans.list')}>
    <PlainTable>
      <thead>
        <tr>
          {HEADINGS.map(([label, isEnd, isWide]) => (
            <chakra.th key={label} scope="col" {...(isEnd && { 'data-end': '' })} {...(isWide && { hideBelow: 'md' as const })}>{label}</chakra.th>
          ))}
        </tr>
      </thead>
      <tbody>{groups.map((group) => <Row key={group.id} group={group} {...rest} />)}</tbody>
    </PlainTable>
  </SideScroll>
); // prettier-ignore
