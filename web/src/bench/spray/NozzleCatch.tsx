import { Box, Button } from '@chakra-ui/react';
import { isBareNumber } from '@steady-scatter/core/quantities';
import { unitsOf, type MethodField } from '@steady-scatter/core/testing';
import { Fragment, useState } from 'react';
import { say, speak } from '@steady-scatter/words/bench';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { readingUnit } from '../readingUnit.ts';
import type { StepProps } from '../run/steps.ts';

const UNIT_TYPED = /^[\d.,\s]+([a-z][a-z ]*)$/i;

/** The unit that was typed behind a volume: "480 mL" is mL. */
const unitTyped = (text: string): string | null => UNIT_TYPED.exec(text.trim())?.[1]?.trim() ?? null;

/** The volumes of a boom typed down the row, each with a time of its own where one was caught for longer. */
export function NozzleCatch({ fields, ...props }: StepProps & { fields: readonly MethodField[] }) {
  const { input, run, at, errorAt, onType } = props;
  const volumes = fields.filter(({ kind }) => kind === 'volume');
  const times = fields.filter(({ kind }) => kind === 'time');
  const [hasTimes, setHasTimes] = useState(times.some(({ id }) => run.readings[id]?.trim()));
  const first = volumes.map(({ id }) => run.readings[id] ?? '').find((text) => unitTyped(text) !== null);
  const put = (id: string, text: string) => onType({ readings: { ...run.readings, [id]: text } });
  const unitOfRow = first === undefined ? null : unitTyped(first);
  // What is being typed stands as it is typed; what is stored of it has the unit at once.
  const [typing, setTyping] = useState<{ readonly id: string; readonly text: string } | null>(null);
  /** A unit that was typed once holds for the row: the jug is the same. */
  const withUnit = (text: string) =>
    unitOfRow && text.trim() !== '' && isBareNumber(text) ? `${text.trim()} ${unitOfRow}` : text;
  const field = ({ id, label, placeholder, kind }: MethodField) => (
    <LabelledField
      key={id}
      label={speak(label)}
      placeholder={placeholder}
      value={typing?.id === id ? typing.text : (run.readings[id] ?? '')}
      inputMode="decimal"
      minHeight={{ base: '60px', md: '48px' }}
      fontSize={{ base: '22px', md: '19px' }}
      fontVariantNumeric="tabular-nums"
      unit={
        isBareNumber((typing?.id === id ? typing.text : run.readings[id]) || '0') && (
          <Box whiteSpace="nowrap">
            {(kind === 'volume' && unitOfRow) || readingUnit({ kind }, unitsOf(run, input))}
          </Box>
        )
      }
      error={errorAt(`runs.${at}.readings.${id}`)}
      onBlur={() => setTyping(null)}
      onChange={(text) => {
        setTyping({ id, text });
        put(id, kind === 'volume' ? withUnit(text) : text);
      }}
    />
  );
  return (
    <Box>
      <Box display="grid" gap="10px 14px" gridTemplateColumns={hasTimes ? '1fr 1fr' : { base: '1fr 1fr', md: 'repeat(auto-fill, minmax(190px, 1fr))' }}>
        {volumes.map((volume, index) => (
          <Fragment key={volume.id}>
            {field(volume)}
            {hasTimes && times[index] && field(times[index])}
          </Fragment>
        ))}
      </Box>
      {times.length > 0 && !hasTimes && (
        <Button variant="ghost" minHeight="touch" marginLeft="-12px" onClick={() => setHasTimes(true)}>
          {say('testRun.step.ownTimes')}
        </Button>
      )}
    </Box>
  );
} // prettier-ignore
