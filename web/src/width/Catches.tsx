import { Box, Button, chakra } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { middleOf } from '@steady-scatter/core/numeric';
import { readNumber, showExact, showQuantity, UNITS } from '@steady-scatter/core/quantities';
import { MAX_ROWS, positionsOf, type WidthResult, type WidthTestInput } from '@steady-scatter/core/width';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { rich, say, speak } from '@steady-scatter/words/width';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { Section } from '../ui/Section.tsx';
import { CsvActs } from './CsvActs.tsx';
import { Tubes } from './Tubes.tsx';
import { WarningBox } from '../ui/WarningBox.tsx';
import { richly, TAGS } from '../ui/richly.tsx';

const Catch = chakra('input', {
  base: {
    ...fieldBox,
    width: '100%',
    minWidth: 0,
    minHeight: { base: '52px', md: '40px' },
    paddingX: '4px',
    textAlign: 'center',
    fontSize: { base: '19px', md: '16px' },
    fontVariantNumeric: 'tabular-nums',
  },
});

const RowTab = chakra('button', {
  base: {
    minHeight: '44px',
    paddingX: '12px',
    borderRadius: '8px',
    cursor: 'pointer',
    '&[aria-pressed=true]': { bg: 'soft', fontWeight: 'bold' },
  },
});

const KIND_UNIT = { mass: '', count: say('width.catch.granules'), height: 'mm' };

/** What each tray caught: typed down the row, Enter goes to the next, or dragged in the drawing; a row for each repeat. */
export function Catches({
  input,
  errorAt,
  set,
  reading,
}: DocFormProps<WidthTestInput> & { reading: WidthResult }) {
  const [wanted, setOpen] = useState(0);
  const open = Math.min(wanted, Math.max(0, input.rows.length - 1));
  // As they are now: the reading may still be that of the layout before.
  const positions = useMemo(() => positionsOf(input.layout), [input.layout]);
  const row = input.rows[open] ?? [];
  const unit = input.kind === 'mass' ? UNITS[input.unit].symbol : KIND_UNIT[input.kind];
  const type = (at: number, text: string) => {
    const whole = positions.map((_, index) => (index === at ? text : (row[index] ?? '')));
    set('rows', input.rows.length === 0 ? [whole] : input.rows.with(open, whole));
  };
  const place = (xM: number) => {
    const { number } = showQuantity(Math.abs(xM), input.layout.unit, 3);
    const text = xM === 0 ? '0' : `${xM < 0 ? '−' : ''}${number.replace(/\.?0+$/, '')}`;
    return text;
  };
  const levels = positions.map((_, index) => toResult(() => readNumber(row[index] ?? '', 'row')).value);
  return (
    <Section heading={say('width.catch.label', { unit: unit || 'none' })}>
      <Tubes
        positionsM={positions}
        levels={levels}
        trays={reading.trays.trays}
        labelOf={(xM) => `${place(xM)} ${UNITS[input.layout.unit].symbol}`}
        onLevel={type}
      />
      <Box display="flex" flexWrap="wrap" gap="4px" marginY="6px" alignItems="center" data-noprint>
        {input.rows.length > 1 &&
          input.rows.map((_, index) => (
            <RowTab
              // oxlint-disable-next-line react/no-array-index-key -- a row is known by its place
              key={index}
              type="button"
              aria-pressed={index === open}
              onClick={() => setOpen(index)}
            >{say('width.catch.row', { number: index + 1 })}</RowTab>
          ))}
        <Button
          variant="ghost"
          minHeight="44px"
          disabled={input.rows.length >= MAX_ROWS}
          onClick={() => {
            set('rows', [...input.rows, positions.map(() => '')]);
            setOpen(input.rows.length);
          }}
        >
          <Plus size={18} />{' '}{say('width.catch.addRow')}</Button>
        <CsvActs input={input} set={set} />
      </Box>
      <Box
        display="grid"
        gap="6px"
        gridTemplateColumns={{ base: 'repeat(auto-fill, minmax(76px, 1fr))', md: `repeat(auto-fill, minmax(58px, 1fr))` }}
      >
        {positions.map((xM, index) => {
          const error = errorAt(`rows.${open}.${index}`);
          return (
            // A field stays while its place changes: what is being typed into it is not lost.
            // oxlint-disable-next-line react/no-array-index-key -- a tray is known by its place in the row
            <chakra.label key={index} display="block" textAlign="center" fontSize="14px" color="ink.soft">
              {place(xM)}
              <Catch
                aria-label={say('width.catch.tray', { number: index + 1, place: place(xM), unit: UNITS[input.layout.unit].symbol, row: input.rows.length > 1 ? open + 1 : 0 })}
                value={row[index] ?? ''}
                data-flow
                autoComplete="off"
                inputMode="decimal"
                aria-invalid={error !== undefined}
                onChange={(event) => type(index, event.target.value)}
              />
            </chakra.label>
          );
        })}
      </Box>
      {positions.map((xM, index) => (
        <FieldErrors key={xM} error={errorAt(`rows.${open}.${index}`)} input={row[index] ?? ''} />
      ))}
      {reading.trays.plausibility.map(({ id, text }) => (
        <WarningBox key={id} marginTop="10px">
          {richly(rich('width.doubt.ask', { ...TAGS, text: speak(text) }))}<Box marginTop="8px">
            <Button minHeight="44px" onClick={() => set('confirmed', [...input.confirmed, id])}>{say('width.doubt.right')}</Button>
          </Box>
        </WarningBox>
      ))}
      <Scatter reading={reading} />
    </Section>
  ); // prettier-ignore
}

/** How much the rows differ, and which trays were put in. */
function Scatter({ reading: { trays } }: { reading: WidthResult }) {
  const filled = trays.trays.filter(({ isFilled }) => isFilled).length;
  const scatters = trays.trays.flatMap(({ scatter }) => (scatter === null ? [] : [scatter]));
  const typical = middleOf(scatters);
  return (
    <Box fontSize="15px" color="ink.soft" marginTop="6px">
      {filled > 0 && say('width.catch.missing', { count: filled })}{' '}
      {typical !== null &&
        say('width.catch.rows', { rows: trays.rows.length, percent: showExact(typical * 100, 2) })}
    </Box>
  );
}
