import { Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { UNITS } from '@steady-scatter/core/quantities';
import { readWidth, rigKind } from '@steady-scatter/core/rigs';
import type { CalibrationInput } from '@steady-scatter/core/testing';
import { mismatchOf, mismatchText } from '@steady-scatter/core/width';
import { useWidthTests } from '../width/useWidthTests.ts';
import type { CalibrationContext } from './calibrationContext.ts';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';

interface Props {
  typed: CalibrationInput;
  on: CalibrationContext;
  onChange(typed: CalibrationInput): void;
}

/** The spacing that was accepted for this machine last, when it is not the one that the rates are worked out for. */
export function SpacingDoubt({ typed, on, onChange }: Props) {
  const { data: tests = [] } = useWidthTests();
  const { widthM } = on.reading;
  const latest = tests
    .filter(({ typed: test }) => test.rig === typed.rig && test.accepted && !test.deflector)
    .toSorted((a, b) => (b.typed.accepted?.onDay ?? '').localeCompare(a.typed.accepted?.onDay ?? ''))[0];
  const accepted = latest?.typed.accepted;
  if (!accepted || widthM === null || !on.rig || rigKind(on.rig.kind).width !== 'pass spacing') return null;
  const passedM = toResult(() => readWidth({ ...accepted, by: 'chosen' }, 'width').si).value;
  const mismatch = passedM === null ? null : mismatchOf(widthM, passedM);
  const id = `width.${latest.id}.${accepted.text}.${typed.width.text}`;
  if (!mismatch || typed.answers.includes(id)) return null;
  const own = /[a-z'"]/i.test(typed.width.text)
    ? typed.width.text
    : `${typed.width.text} ${UNITS[typed.width.unit].symbol}`;
  return (
    <WarningBox marginBottom="12px">
      <b>▲ Two spacings.</b> “{latest.typed.name}” says to pass {accepted.text} apart.{' '}
      {mismatchText(mismatch, own, accepted.text)}
      <WarningActs>
        <Button
          minHeight={{ base: '56px', md: '44px' }}
          onClick={() =>
            onChange({ ...typed, width: { text: accepted.text, unit: accepted.unit, by: 'chosen' } })
          }
        >
          Work the rates out for {accepted.text}
        </Button>
        <Button
          minHeight={{ base: '56px', md: '44px' }}
          onClick={() => onChange({ ...typed, answers: [...typed.answers, id] })}
        >
          Keep passing {own} apart
        </Button>
      </WarningActs>
    </WarningBox>
  );
}
