import { Box, Button, chakra } from '@chakra-ui/react';
import {
  blankQuickTest,
  evaluateQuickTest,
  keptReadings,
  METHODS,
  blankRun,
  QUICK_METHODS,
  type CalibrationInput,
  type QuickMethod,
} from '@steady-scatter/core/testing';
import { UNITS } from '@steady-scatter/core/quantities';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { say, speak } from '@steady-scatter/words/bench';
import { fieldsOf, type FieldsOf } from '../../documents/fields.ts';
import { useDocument } from '../../documents/useDocument.ts';
import { CALIBRATIONS } from '../../kinds/useCalibrations.ts';
import { useNotices } from '../../notices/notices.tsx';
import { useSystem } from '../../settings/useSystem.ts';
import { goOnWithEnter } from '../../ui/goOnWithEnter.ts';
import { today } from '../../ui/today.ts';
import { TopBar } from '../../ui/TopBar.tsx';
import { fieldsFor, METHOD_NAMES, UNIT_SETS, type UnitSet } from './quickFields.ts';
import { readingUnit } from '../readingUnit.ts';
import { QuickAnswer } from './QuickAnswer.tsx';
import { QuickField } from './QuickField.tsx';
import { SaveToMachine } from './SaveToMachine.tsx';

/** The methods side by side; the first three are nearly always the one. */
function MethodTabs({ method, onPick }: { method: QuickMethod; onPick(method: QuickMethod): void }) {
  return (
    <Box
      role="group"
      aria-label={say('bench.quick.method')}
      display="flex"
      gap="8px"
      marginBottom="6px"
      marginX={{ base: '-16px', md: '-4px' }}
      paddingX={{ base: '16px', md: '4px' }}
      paddingY="4px"
      overflowX="auto"
      css={{ scrollbarWidth: 'none' }}
    >
      {QUICK_METHODS.map((id) => (
        <Button
          key={id}
          minHeight="56px"
          flex="0 0 auto"
          variant={id === method ? 'solid' : 'outline'}
          aria-pressed={id === method}
          onClick={() => onPick(id)}
        >
          {METHOD_NAMES[id]}
        </Button>
      ))}
    </Box>
  );
}

interface ReadingsProps extends FieldsOf<CalibrationInput> {
  input: CalibrationInput;
  at: number;
}

/** The three or four readings that make a rate; what may be left out is folded away. */
function Readings({ input, at, field }: ReadingsProps) {
  const run = input.runs[at]!;
  const { needed, optional } = fieldsFor(run.method as QuickMethod);
  const [isMore, setMore] = useState(false);
  const opened = isMore || optional.some(({ id }) => (run.readings[id] ?? '') !== '');
  const line = (each: (typeof needed)[number]) => {
    const { value, ...bound } = field(`runs.${at}.readings.${each.id}`);
    // Empty, a reading is not there at all.
    return (
      <QuickField
        key={each.id}
        label={speak(each.label)}
        unit={readingUnit(each, input.units)}
        placeholder={each.placeholder.replace(/ .*/, '')}
        value={value ?? ''}
        {...bound}
      />
    );
  };
  return (
    <>
      {needed.map(line)}
      {run.method !== 'run-out' && (
        <QuickField
          label={run.method === 'tray' ? say('bench.aim.hopperWidth') : say('bench.aim.passSpacing')}
          unit={UNITS[input.width.unit].symbol}
          placeholder="9"
          {...field('width.text')}
        />
      )}
      {opened && optional.map(line)}
      {!opened && optional.length > 0 && (
        <Button variant="ghost" minHeight="56px" marginLeft="-12px" onClick={() => setMore(true)}>
          {say('bench.quick.more', {
            fields: optional.map(({ label }) => speak(label).toLowerCase()).join(', '),
          })}
        </Button>
      )}
    </>
  );
}

/** Everything that the page can do to the test that is typed. */
function useQuickTest() {
  const system = useSystem();
  const open = useDocument(CALIBRATIONS, null, {
    blank: () => blankQuickTest(system, { id: newId(), onDay: today() }),
    heldAs: 'quick-test',
  });
  const { input, form } = open;
  const [wanted, setAt] = useState(input.runs.length - 1);
  const at = Math.min(wanted, input.runs.length - 1);
  const result = useMemo(() => evaluateQuickTest(input), [input]);
  const errorAt = (path: string) =>
    result.errors.find((error) => error.field === path && !error.code.endsWith('.empty'));
  const fields = fieldsOf(form, input, errorAt);
  const method = input.runs[at]!.method as QuickMethod;
  return {
    open,
    input,
    at,
    setAt,
    result,
    fields,
    method,
    pickMethod: (id: QuickMethod) => fields.set(`runs.${at}.method`, id),
    pickUnits(set: UnitSet) {
      const { units, rate } = UNIT_SETS[set];
      fields.set('units', units);
      fields.set('width.unit', units.length);
      fields.set('target.unit', rate);
    },
    nextRun() {
      fields.add('runs', { ...blankRun(newId(), today(), method), readings: keptReadings(input, method, 1) });
      setAt(input.runs.length);
    },
  };
}

/** A rate in under twenty seconds: weight in, weight out, length, spacing. Whose machine it was is asked when it is saved. */
export default function QuickTestPage() {
  const test = useQuickTest();
  const { open, input, result, fields } = test;
  const navigate = useNavigate();
  const notices = useNotices();
  const [isSaving, setSaving] = useState(false);
  const shownIn: UnitSet = input.units.mass === 'kg' ? 'metric' : 'us';
  const other: UnitSet = shownIn === 'us' ? 'metric' : 'us';

  async function saveAs(calibration: CalibrationInput) {
    open.replace(calibration);
    const { id, held } = open.save();
    await held;
    await navigate(`/bench/${id}`);
  }
  function clear() {
    const typed = open.discard();
    notices.undoable('Cleared.', () => open.replace(typed));
    test.setAt(0);
  }

  return (
    <>
      <title>{say('bench.quick.pageTitle')}</title>
      <TopBar
        acts={
          <>
            {open.differs && <Button onClick={clear}>{say('bench.quick.clear')}</Button>}
            <Button asChild hideBelow="md">
              <Link to="/bench/new">{say('bench.quick.newCalibration')}</Link>
            </Button>
            <Button
              onClick={() => test.pickUnits(other)}
              aria-label={say('bench.quick.units', {
                now: UNIT_SETS[shownIn].label,
                other: UNIT_SETS[other].label,
              })}
            >
              {UNIT_SETS[shownIn].label}
            </Button>
          </>
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('bench.quick.title')}
        </chakra.h1>
      </TopBar>
      <Box
        as="main"
        id="main"
        padding={{ base: '4px 16px 24px', md: '8px 24px 32px' }}
        display="grid"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
        gridTemplateRows={{ lg: 'auto 1fr' }}
        gridTemplateAreas={{ base: '"readings" "answer" "acts"', lg: '"readings answer" "acts answer"' }}
        columnGap="48px"
        rowGap="16px"
        alignItems="start"
        maxWidth="1240px"
      >
        <Box gridArea="readings" minWidth={0} onKeyDown={goOnWithEnter}>
          <MethodTabs method={test.method} onPick={test.pickMethod} />
          <Readings {...fields} input={input} at={test.at} />
          {!result.mean && (
            <Box fontSize="16px" color="ink.soft" marginTop="12px">
              {speak(METHODS[test.method].how)}
            </Box>
          )}
        </Box>
        <Box gridArea="answer" minWidth={0}>
          <QuickAnswer input={input} result={result} at={test.at} onOpen={test.setAt} />
        </Box>
        <Box
          gridArea="acts"
          minWidth={0}
          position={{ base: isSaving ? 'static' : 'sticky', lg: 'static' }}
          bottom="64px"
          bg="ground"
          paddingY="8px"
        >
          {isSaving ? (
            <SaveToMachine
              input={input}
              onSave={(calibration) => void saveAs(calibration)}
              onCancel={() => setSaving(false)}
            />
          ) : (
            <Box display="flex" gap="10px">
              <Button minHeight="60px" flex="1" disabled={!result.mean} onClick={test.nextRun}>
                {say('bench.quick.next')}
              </Button>
              <Button
                variant="solid"
                minHeight="60px"
                flex="2"
                fontSize="18px"
                disabled={!result.mean}
                onClick={() => setSaving(true)}
              >
                {say('bench.quick.save')}
              </Button>
            </Box>
          )}
        </Box>
      </Box>
    </>
  );
}
