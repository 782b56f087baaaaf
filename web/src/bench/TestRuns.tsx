import { Box, Button, chakra } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import {
  blankRun,
  keptReadings,
  isEmptyRun,
  isEnded,
  methodsFor,
  MAX_RUNS,
  showRate,
  type CalibrationInput,
  type MethodId,
} from '@steady-scatter/core/testing';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { nameOf, say } from '@steady-scatter/words/bench';
import { useCommands } from '../commands/CommandsProvider.tsx';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';
import type { CalibrationContext } from './calibrationContext.ts';
import { OpenRun, RUN_COLUMNS, RunLine } from './RunRow.tsx';

/** Rows that are drawn at once; all runs are worked out and drawn on the chart. */
const MAX_ROWS = 40;

const Select = chakra('select', { base: { ...fieldBox, minHeight: 'touch' } });

/** What a run that is typed in takes over from the one before. */
const COURSE = new Set(['length', 'passes', 'course']);

/** Adds a run that was made and written down elsewhere. */
function useTypedRuns({ input, add }: Pick<DocFormProps<CalibrationInput>, 'input' | 'add'>, on: CalibrationContext) {
  const [open, setOpen] = useState<string | null>(null);
  const [picked, setPicked] = useState<MethodId | null>(null);
  const last = input.runs.at(-1);
  const possible = methodsFor(on.bench.kind, on.bench.spray !== null);
  const method = [picked, last?.method].find((each) => each && possible.includes(each)) ?? possible[0] ?? 'weigh-back'; // prettier-ignore
  return {
    open,
    setOpen,
    method,
    setPicked,
    add() {
      const id = newId();
      const setting = on.reading.advice?.mark.label ?? last?.setting ?? '';
      const kept = last?.method === method ? keptReadings(input, method, on.bench.outlets) : {};
      const readings = Object.fromEntries(Object.entries(kept).filter(([field]) => COURSE.has(field)));
      const width = input.width.text.trim() === '' ? null : input.width;
      add('runs', { ...blankRun(id, today(), method), setting, readings, width });
      setOpen(id);
    },
  };
} // prettier-ignore

interface Props extends DocFormProps<CalibrationInput> {
  /** What was worked out: a moment behind what is being typed. */
  resting: CalibrationInput;
  on: CalibrationContext;
  id: string | null;
}

/** All test runs in their order, what comes next, and a run typed in by hand. */
export function TestRuns({ resting, ...props }: Props) {
  const { input, on, id: calibration } = props;
  const runs = useTypedRuns(props, on);
  useCommands([{ id: 'add-run', label: say('bench.runs.typeIn'), keys: 'Alt+R', run: runs.add }]);
  const { advice } = on.reading;
  const next = advice && !isEnded(advice.because) ? advice : null;
  const [showsAll, setShowsAll] = useState(false);
  const first = showsAll ? 0 : Math.max(0, input.runs.length - MAX_ROWS);
  return (
    <Section heading={say('bench.runs.heading')}>
      {input.runs.length > 0 && (
        <Box display="grid" gridTemplateColumns={RUN_COLUMNS} gap="10px" paddingX="8px" paddingBottom="6px" fontSize="14px" fontWeight="semibold" color="ink.soft" textAlign="right">
          <Box textAlign="left">{say('bench.runs.number')}</Box>
          <Box>{say('bench.run.setting')}</Box>
          <Box hideBelow="md">{say('bench.runs.delivered')}</Box>
          <Box>{say('bench.runs.rate', { unit: UNITS[input.target.unit].symbol })}</Box>
          <Box textAlign="left">{say('bench.runs.against', { target: input.target.amount || say('bench.runs.theTarget') })}</Box>
        </Box>
      )}
      {first > 0 && (
        <Button variant="ghost" minHeight="44px" marginLeft="-12px" onClick={() => setShowsAll(true)}>{say('bench.runs.earlier', { count: first })}</Button>
      )}
      {input.runs.map((run, index) => index < first ? null : (
        <Box key={run.id} borderTopWidth="1px" borderColor="line">
          <RunLine run={run} at={index} resting={resting} on={on} isOpen={runs.open === run.id} onOpen={runs.setOpen} />
          {runs.open === run.id && (
            <OpenRun {...props} run={run} at={index} path={`/bench/${calibration}/run/${run.id}`} />
          )}
          <FieldErrors error={props.errorAt(`runs.${index}`)} input="" />
        </Box>
      ))}
      {next && input.runs.length > 0 && (
        <Box display="grid" gridTemplateColumns={RUN_COLUMNS} gap="10px" padding="10px 8px" borderY="1px solid" borderColor="line" color="ink.soft" textAlign="right" fontSize="17px">
          <Box textAlign="left">{input.runs.filter((run) => !isEmptyRun(run)).length + 1}</Box>
          <b>{next.mark.label}</b>
          <Box hideBelow="md">{say('bench.runs.next')}</Box>
          <Box>{next.expected === null ? '' : say('bench.runs.expected', { rate: showRate(next.expected, 0, input.target.unit).number })}</Box>
          <Box textAlign="left">{next.isGuess ? say('bench.runs.guess') : say('bench.runs.try')}</Box>
        </Box>
      )}
      <Box display="flex" flexWrap="wrap" gap="8px" marginTop="12px" data-noprint>
        <Select aria-label={say('bench.runs.method')} value={runs.method} onChange={(event) => runs.setPicked(event.target.value as MethodId)}>
          {methodsFor(on.bench.kind, on.bench.spray !== null).map((id) => (
            <option key={id} value={id}>
              {nameOf('method', id)}
            </option>
          ))}
        </Select>
        <Button minHeight="touch" disabled={input.runs.length >= MAX_RUNS} onClick={runs.add}>
          <Plus size={18} />{' '}{say('bench.runs.typeIn')}</Button>
      </Box>
    </Section>
  );
} // prettier-ignore
