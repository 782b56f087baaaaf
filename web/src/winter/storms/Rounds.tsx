import { Box, Button, chakra } from '@chakra-ui/react';
import {
  evaluateApplication,
  isVoid,
  roundsOf,
  roundToDo,
  saltOf,
  type DoneRow,
  type Round,
} from '@steady-scatter/core/season';
import { Play } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/winter';
import { say as sayRecord } from '@steady-scatter/words/record';
import { useApplications } from '../../kinds/useApplications.ts';
import { useSystem } from '../../settings/useSystem.ts';
import { shownIn } from '../../units/shownIn.ts';
import { dayOf } from '../../ui/today.ts';
import { Section } from '../../ui/Section.tsx';
import { RowPanel } from '../../records/RowPanel.tsx';
import { amountText, timeText, spanText } from './roundTexts.ts';
import { rowText } from '../../records/rowText.ts';

interface RoundProps {
  round: Round;
  isUs: boolean;
  onRow(row: DoneRow): void;
}

/** What is told of a row beside its amount: that it does not count, that it was corrected, what was swept up. */
function RowNotes({ input }: Pick<DoneRow, 'input'>) {
  const { sweptSi } = evaluateApplication(input);
  if (isVoid(input)) return <Box color="warn">{sayRecord('record.row.isVoid', { why: input.void })}</Box>;
  return (
    <Box color="ink.soft" fontSize="15px">
      {[
        input.machine.name || say('winter.row.byHand'),
        input.setting && say('winter.row.setting', { setting: input.setting }),
        sweptSi > 0 && say('winter.row.sweptUp', { amount: shownIn(sweptSi, input.amount.unit, 2) }),
        input.correction && sayRecord('record.row.corrected', { why: input.correction }),
        input.note,
      ]
        .filter(Boolean)
        .join(' · ')}
    </Box>
  );
}

function RoundBox({ round, isUs, onRow }: RoundProps) {
  return (
    <Box as="li" marginBottom="18px">
      <Box display="flex" flexWrap="wrap" gap="2px 14px" alignItems="baseline" borderBottomWidth="2px" borderColor="ink" paddingBottom="4px">
        <chakra.h3 fontSize="18px" fontWeight="bold">{say('winter.round.number', { round: round.round || 'none' })}</chakra.h3>
        <Box>{spanText(round)}</Box>
        <Box marginLeft="auto" fontWeight="bold">{amountText(round, isUs)}</Box>
      </Box>
      <Box as="ul" listStyleType="none">
        {round.rows.map((row) => (
          <Box as="li" key={row.root} display="grid" gridTemplateColumns="minmax(0, 1fr) auto" gap="0 14px" alignItems="center" borderBottomWidth="1px" borderColor="line" minHeight="touch">
            <Box textDecoration={!isVoid(row.input) ? undefined : 'line-through'}>
              <b>{row.input.areaName}</b> {timeText(row.startedAt)} · {rowText(row.input)}
            </Box>
            <Button variant="ghost" minHeight="touch" aria-label={say('winter.row.change', { area: row.input.areaName, round: row.input.round })} onClick={() => onRow(row)}>
              {say('winter.row.correct')}
            </Button>
            <Box gridColumn="1 / -1" paddingBottom="6px"><RowNotes input={row.input} /></Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
} // prettier-ignore

/** The rounds of a storm, and the salt in all of them. */
export function Rounds({ storm, areas, isOver }: { storm: string; areas: number; isOver: boolean }) {
  const rows = useApplications(storm, !isOver);
  const isUs = useSystem() === 'us';
  const [open, setOpen] = useState<DoneRow | null>(null);
  const rounds = useMemo(() => roundsOf(rows ?? []), [rows]);
  const sums = useMemo(() => saltOf((rows ?? []).map(({ root, startedAt, subject, input }) => ({ id: root, subject, onDay: dayOf(new Date(startedAt)), input }))), [rows]); // prettier-ignore
  const mass = isUs ? 'lb' : 'kg';
  const { round, isBegun } = roundToDo(rounds, areas);
  return (
    <Section heading={say('winter.storm.rounds')}>
      {!isOver && rows && (
        <Button asChild variant="solid" minHeight="56px" fontSize="17px" marginBottom="14px">
          <Link to={`/winter/storms/${storm}/round?n=${round}`}>
            <Play size={18} aria-hidden /> {say('winter.storm.goOn', { how: isBegun ? 'on' : 'start', round })}
          </Link>
        </Button>
      )}
      {rounds.length === 0 && rows && <Box>{say('winter.storm.noRounds')}</Box>}
      {rounds.length > 0 && (
        <Box marginBottom="12px" fontSize="17px">
          {say('winter.storm.sums', { salt: shownIn(sums.saltKg, mass), chloride: shownIn(sums.chlorideKg, mass), swept: sums.sweptKg > 0 ? shownIn(sums.sweptKg, mass) : 'none', unknown: sums.unknown })}
        </Box>
      )}
      <Box as="ul" listStyleType="none">
        {rounds.toReversed().map((round) => <RoundBox key={round.round} round={round} isUs={isUs} onRow={setOpen} />)}
      </Box>
      {open && <RowPanel row={open} subject={{ kind: 'storms', id: storm }} onClose={() => setOpen(null)} />}
    </Section>
  );
} // prettier-ignore
