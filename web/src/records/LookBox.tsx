import { Box, Button } from '@chakra-ui/react';
import { isVoid, type DoneRow } from '@steady-scatter/core/season';
import { useState } from 'react';
import { say } from '@steady-scatter/words/looks';
import { useLooks } from '../kinds/useLooks.ts';
import { Photos } from '../photos/Photo.tsx';
import { dayText } from '../ui/dayText.ts';
import { Section } from '../ui/Section.tsx';
import { LookPanel } from './LookPanel.tsx';

/** What was seen weeks later of what was put down, and the way to look again. */
export function LookBox({ rows, subject }: { rows: readonly DoneRow[]; subject: string }) {
  const { seen, due } = useLooks(subject, rows);
  const [open, setOpen] = useState<DoneRow | null>(null);
  const counted = rows.filter(({ input }) => !isVoid(input));
  if (counted.length === 0) return null;
  return (
    <Section heading={say('looks.heading')} noPrint>
      {seen.length === 0 && due[0] && <Box fontSize="17px">{say('looks.when', { from: dayText(due[0].from), to: dayText(due[0].to) })}</Box>}
      <Box as="ul" listStyleType="none" fontSize="17px">
        {seen.map(({ id, input, afterDays }) => (
          <Box as="li" key={id} borderBottomWidth="1px" borderColor="line" paddingY="8px">
            <b>{input.areaName}</b> {say('looks.line', { day: dayText(input.onDay), days: afterDays === null ? 'none' : String(afterDays), rating: input.rating || 'none', note: input.note.trim() || 'none', by: input.by.trim() || 'none' })}
            <Photos ids={input.photos} />
          </Box>
        ))}
      </Box>
      <Box display="flex" flexWrap="wrap" gap="8px" marginTop="10px">
        {counted.map((row) => <Button key={row.root} minHeight="56px" onClick={() => setOpen(row)}>{say('looks.look', { area: row.input.areaName })}</Button>)}
      </Box>
      {open && <LookPanel row={open} seen={seen} onClose={() => setOpen(null)} />}
    </Section>
  );
} // prettier-ignore
