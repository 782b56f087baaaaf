import { Box, chakra } from '@chakra-ui/react';
import { lengthUnitFor } from '@steady-scatter/core/fields';
import { showLength, type RowsResult } from '@steady-scatter/core/ground';
import { UNITS, type AreaUnit } from '@steady-scatter/core/quantities';
import { MISSING } from '@steady-scatter/core/working';
import { say } from '@steady-scatter/words/sites';
import { Choice } from '../ui/Choice.tsx';
import { Fields } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import type { AreaProps } from './AreaSheet.tsx';
import { SIZE_CHOICES } from './units.ts';

const SPACING_METHODS = [
  { id: 'byCountM', words: say('sites.rows.counted') },
  { id: 'byOwnM', words: say('sites.rows.own') },
  { id: 'bySpacingM', words: say('sites.rows.spacingWay') },
] as const satisfies readonly { id: keyof RowsResult; words: string }[];

/** Row length, in each way that is known; only where there are rows. */
export function RowsSection({ area, rows, bind, field }: AreaProps & { rows: RowsResult }) {
  const input = area.rows;
  const isTyped = [input.spacing, input.own, input.count, input.length].some((text) => text !== '');
  if (area.surface !== 'row-crop' && !isTyped) return null;
  const unit = lengthUnitFor(area.shownIn);
  const text = (name: 'spacing' | 'own' | 'count' | 'length', label: string, placeholder: string) => (
    <LabelledField label={label} placeholder={placeholder} {...field(`rows.${name}`)} />
  );
  const known = SPACING_METHODS.filter(({ id }) => rows[id] !== null);
  return (
    <Section heading={say('sites.rows.heading')}>
      <Fields>
        {text('spacing', say('sites.rows.spacing'), '1.5 m')}
        {text('count', say('sites.rows.count'), '24')}
        {text('length', say('sites.rows.length'), '46 m')}
        {text('own', say('sites.rows.figure', { unit: UNITS[input.per].symbol }), '6600 m')}
        <Choice<AreaUnit> label={say('sites.rows.per')} options={SIZE_CHOICES} {...bind('rows.per')} />
      </Fields>
      {known.length > 0 && (
        <chakra.dl marginTop="10px" fontSize="17px">
          {known.map(({ id, words }, index) => {
            const { number, unit: symbol } = rows[id] === null ? { number: MISSING, unit: '' } : showLength(rows[id], unit); // prettier-ignore
            return (
              <Box key={id} display="flex" gap="10px" fontWeight={index === 0 ? 'bold' : 'normal'}>
                <chakra.dd fontVariantNumeric="tabular-nums" minWidth="110px">
                  {number} {symbol}
                </chakra.dd>
                <chakra.dt color="ink.soft">
                  {say('sites.rows.by', {
                    way: words,
                    counts: index === 0 && known.length > 1 ? 'yes' : 'no',
                  })}
                </chakra.dt>
              </Box>
            );
          })}
        </chakra.dl>
      )}
    </Section>
  );
}
