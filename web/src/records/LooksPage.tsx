import { Box, Button, chakra } from '@chakra-ui/react';
import type { DoneRow } from '@steady-scatter/core/season';
import { useState } from 'react';
import { say } from '@steady-scatter/words/looks';
import { useApplications } from '../kinds/useApplications.ts';
import { useLooks } from '../kinds/useLooks.ts';
import { Photos } from '../photos/Photo.tsx';
import { achievedText } from './RecordList.tsx';
import { rowText } from './rowText.ts';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { dayText } from '../ui/dayText.ts';
import { Section } from '../ui/Section.tsx';
import { PlainTable } from '../ui/PlainTable.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { LookPanel } from './LookPanel.tsx';

const NONE: readonly DoneRow[] = [];
const HEADINGS = [say('looks.product'), say('looks.area'), say('looks.rate'), say('looks.day'), say('looks.rating'), say('looks.note')]; // prettier-ignore

/** What wants to be looked at, and what was seen of each product at which rate. */
export default function LooksPage() {
  const rows = useApplications(null) ?? NONE;
  const { seen, due } = useLooks(null, rows);
  const [open, setOpen] = useState<DoneRow | null>(null);
  return (
    <>
      <title>{say('looks.pageTitle')}</title>
      <TopBar><chakra.h1 fontSize="21px" fontWeight="bold">{say('looks.heading')}</chakra.h1></TopBar>
      <JobsTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }}>
        <Section heading={say('looks.due')}>
          {due.length === 0 && <Box fontSize="17px">{say('looks.noneDue')}</Box>}
          {due.map(({ row, onDay, from, to, state }) => (
            <Box key={row.root} display="flex" flexWrap="wrap" gap="6px 14px" alignItems="center" justifyContent="space-between" borderBottomWidth="1px" borderColor="line" paddingY="6px" fontSize="17px">
              <span><b>{[row.input.areaName, row.input.siteName].filter(Boolean).join(', ')}</b> {say('looks.dueLine', { product: row.input.product.name, day: dayText(onDay), from: dayText(from), to: dayText(to), state })}</span>
              <Button minHeight="touch" onClick={() => setOpen(row)} aria-label={say('looks.look', { area: row.input.areaName })}>{say('looks.act')}</Button>
            </Box>
          ))}
        </Section>
        <Section heading={say('looks.results')}>
          {seen.length === 0 && <Box fontSize="17px">{say('looks.noneSeen')}</Box>}
          {seen.length > 0 && (
            <Box overflowX="auto">
              <PlainTable>
                <thead><tr>{HEADINGS.map((heading) => <th key={heading} scope="col">{heading}</th>)}</tr></thead>
                <tbody>
                  {seen.map(({ id, input, row, afterDays }) => (
                    <tr key={id}>
                      <th scope="row">{input.productName}</th>
                      <td>{input.areaName}</td>
                      <td>{row ? [rowText(row.input), achievedText(row)].filter(Boolean).join(', ') : ''}</td>
                      <chakra.td whiteSpace="nowrap">{say('looks.after', { day: dayText(input.onDay), days: afterDays === null ? 'none' : String(afterDays) })}</chakra.td>
                      <chakra.td whiteSpace="nowrap">{input.rating === '' ? '' : say('looks.rating.of', { rating: input.rating })}</chakra.td>
                      <td>{input.note}<Photos ids={input.photos} /></td>
                    </tr>
                  ))}
                </tbody>
              </PlainTable>
            </Box>
          )}
        </Section>
        {open && <LookPanel row={open} seen={seen} onClose={() => setOpen(null)} />}
      </Box>
    </>
  );
} // prettier-ignore
