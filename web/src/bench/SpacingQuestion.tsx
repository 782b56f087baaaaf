import { Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { UNITS } from '@steady-scatter/core/quantities';
import { readWidth, rigKind } from '@steady-scatter/core/machines';
import type { CalibrationInput } from '@steady-scatter/core/testing';
import { mismatchOf, mismatchRemark } from '@steady-scatter/core/width';
import { rich, say, speak } from '@steady-scatter/words/bench';
import { latestAccepted, useWidthTests } from '../kinds/useWidthTests.ts';
import type { DocFormProps } from '../documents/DocPage.tsx';
import type { CalibrationContext } from './calibrationContext.ts';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';
import { richly, TAGS } from '../ui/richly.tsx';

interface Props extends Pick<DocFormProps<CalibrationInput>, 'input' | 'set'> {
  on: CalibrationContext;
}

/** The spacing that was accepted for this machine last, when it is not the one that the rates are worked out for. */
export function SpacingQuestion({ input, on, set }: Props) {
  const { data: tests = [] } = useWidthTests();
  const { widthM } = on.reading;
  const latest = latestAccepted(tests, input.rig);
  const accepted = latest?.input.accepted;
  if (!accepted || widthM === null || !on.rig || rigKind(on.rig.kind).width !== 'passes') return null;
  const passedM = toResult(() => readWidth({ ...accepted, by: 'chosen' }, 'width').si).value;
  const mismatch = passedM === null ? null : mismatchOf(widthM, passedM);
  const id = `width.${latest.id}.${accepted.text}.${input.width.text}`;
  if (!mismatch || input.confirmed.includes(id)) return null;
  const own = /[a-z'"]/i.test(input.width.text)
    ? input.width.text
    : `${input.width.text} ${UNITS[input.width.unit].symbol}`;
  return (
    <WarningBox marginBottom="12px">
      {richly(
        rich('bench.spacing.two', {
          ...TAGS,
          test: latest.input.name,
          accepted: accepted.text,
          text: speak(mismatchRemark(mismatch, own, accepted.text)),
        }),
      )}
      <WarningActs>
        <Button
          minHeight="touch"
          onClick={() => set('width', { text: accepted.text, unit: accepted.unit, by: 'chosen' })}
        >
          {say('bench.spacing.workOut', { accepted: accepted.text })}
        </Button>
        <Button minHeight="touch" onClick={() => set('confirmed', [...input.confirmed, id])}>
          {say('bench.spacing.keep', { own })}
        </Button>
      </WarningActs>
    </WarningBox>
  );
}
