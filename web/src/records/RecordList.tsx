import { Box, Button, chakra } from '@chakra-ui/react';
import { NUTRIENTS } from '@steady-scatter/core/need';
import { fromSi, UNITS } from '@steady-scatter/core/quantities';
import {
  achievedOver,
  evaluateApplication,
  isVoid,
  saysAmount,
  type DoneRow,
} from '@steady-scatter/core/season';
import { useState } from 'react';
import { list, say } from '@steady-scatter/words/record';
import type { Subject } from '../kinds/useApplications.ts';
import { dayText } from '../ui/dayText.ts';
import { clockText } from '../ui/momentText.ts';
import { Photos } from '../photos/Photo.tsx';
import { Section } from '../ui/Section.tsx';
import { dayOf } from '../ui/today.ts';
import { shownIn } from '../units/shownIn.ts';
import { RowPanel } from './RowPanel.tsx';
import { rowText, weatherText } from './rowText.ts';

const SAME = 0.005;

/** "4 % heavy", "as meant"; what was not weighed says so. */
export function achievedText({ input }: Pick<DoneRow, 'input'>): string {
  const { ratio, uRatio } = evaluateApplication(input);
  if (input.amount.from === 'planned') return say('record.row.planned');
  if (ratio === null) return '';
  const percent = Math.round(Math.abs(ratio - 1) * 100);
  const how = Math.abs(ratio - 1) < SAME ? say('record.as.meant') : say(ratio > 1 ? 'record.as.heavy' : 'record.as.light', { percent });
  // What was shared out has no digits of its own.
  return input.amount.from === 'weighed' && uRatio > SAME ? `${how}, ${say('record.as.band', { percent: Math.max(1, Math.round(uRatio * 100)) })}` : how;
} // prettier-ignore

/** Every nutrient on the ground, in the units of the rate. */
function deliveredText({ input }: Pick<DoneRow, 'input'>): string {
  const { delivered } = evaluateApplication(input);
  const some = delivered.filter(({ kgPerM2 }) => kgPerM2 > 0);
  if (some.length === 0 || UNITS[input.rate.unit].kind !== 'massPerArea') return '';
  const [mass, area] = UNITS[input.rate.unit].symbol.split(' / ');
  const what = some.map(({ nutrient, kgPerM2 }) => `${fromSi(kgPerM2, input.rate.unit).toFixed(2)} ${mass} ${NUTRIENTS[nutrient].symbol}`); // prettier-ignore
  return say('record.row.delivered', { what: list(what), area: area ?? '' });
}

function RecordRow({ row, onCorrect }: { row: DoneRow; onCorrect(): void }) {
  const { input, startedAt } = row;
  const who = say('record.row.by', { by: input.by, license: input.license || 'none' });
  const notes = [who, input.machine.name, input.setting && say('record.row.at', { setting: input.setting }), weatherText(input.weather), input.note];
  return (
    <Box as="li" display="grid" gridTemplateColumns="minmax(0, 1fr) auto" gap="2px 14px" borderBottomWidth="1px" borderColor="line" paddingY="8px" alignItems="center">
      <Box textDecoration={isVoid(input) ? 'line-through' : undefined} fontSize="17px">
        <b>{input.areaName}</b> {dayText(dayOf(new Date(startedAt)))}, {clockText(new Date(startedAt))} · {rowText(input)} · <chakra.b>{achievedText(row)}</chakra.b>
      </Box>
      <Button variant="ghost" minHeight="touch" aria-label={say('record.area.change', { area: input.areaName })} data-noprint onClick={onCorrect}>{say('record.area.correct')}</Button>
      <Box gridColumn="1 / -1" fontSize="15px" color="ink.soft">
        {notes.filter(Boolean).join(' · ')}
        {deliveredText(row) && <Box>{deliveredText(row)}</Box>}
        {input.checks.map(({ said, why }) => <Box key={said}>▲ {said} {why}</Box>)}
        {input.correction && !isVoid(input) && <Box>{say('record.row.corrected', { why: input.correction })}</Box>}
        <Photos ids={input.photos} />
        {isVoid(input) && <Box color="warn">{say('record.row.isVoid', { why: input.void })}</Box>}
      </Box>
    </Box>
  );
} // prettier-ignore

/** All rows that count, against what was meant for them. */
function Sum({ rows }: { rows: readonly DoneRow[] }) {
  const achieved = achievedOver(rows);
  const first = rows.find((row) => saysAmount(row.input))?.input;
  if (!achieved || !first) return null;
  const [amount, area] = [shownIn(achieved.amountSi, first.amount.unit), shownIn(achieved.areaM2, first.size.unit)];
  return (
    <Box fontSize="19px" fontWeight="semibold" marginTop="10px">
      {say('record.sum')}: {say('record.sum.is', { amount, area, percent: Math.round(achieved.ratio * 100) })}
    </Box>
  );
} // prettier-ignore

/** What was recorded of a job, each row with what it came to; corrections stand beside. */
export function RecordList({ rows, subject }: { rows: readonly DoneRow[]; subject: Subject }) {
  const [open, setOpen] = useState<DoneRow | null>(null);
  return (
    <Section heading={say('record.heading')}>
      {rows.length === 0 ? (
        <Box fontSize="17px">{say('record.none')}</Box>
      ) : (
        <>
          <Box as="ul" listStyleType="none">
            {rows.map((row) => (
              <RecordRow key={row.root} row={row} onCorrect={() => setOpen(row)} />
            ))}
          </Box>
          <Sum rows={rows} />
        </>
      )}
      {open && <RowPanel row={open} subject={subject} onClose={() => setOpen(null)} />}
    </Section>
  );
}
