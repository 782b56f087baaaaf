import { Box } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { rowRefills } from '@steady-scatter/core/loads';
import { rigKind } from '@steady-scatter/core/machines';
import { message } from '@steady-scatter/core/messages';
import { readPositive, showQuantity } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/sheet';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { useJobMachine } from './useJobMachine.ts';

/** Of a machine that feeds rows: how far one filling goes, the load for each block of whole rows, where the refill point stands. */
export default function Refills() {
  const { spread, on } = useJobMachine();
  const { answer } = useSheet();
  const form = useSheetForm();
  if (!on || rigKind(on.bench.kind).width !== 'rows') return null;
  const { rowLength } = spread;
  const { rateSi } = answer.numbers.once;
  const { totalM2 } = answer.numbers;
  const spacingM = answer.reading.passedM ?? on.reading.widthM;
  const row = toResult(() => readPositive(rowLength.text, { kind: 'length', bareUnit: rowLength.unit, field: 'spread.rowLength.text' }, message('errors.what.rowLength')).si); // prettier-ignore
  const { hopperKg } = on.bench;
  const isKnown =
    rateSi !== null && totalM2 !== null && spacingM !== null && hopperKg !== null && row.value !== null;
  const found = isKnown ? toResult(() => rowRefills({ kgPerM: rateSi * spacingM, fillKg: hopperKg, rowM: row.value, rows: Math.ceil(totalM2 / spacingM / row.value - 1e-6) })).value : null; // prettier-ignore
  const text = (si: number, unit: Parameters<typeof showQuantity>[1]) => {
    const { number, unit: symbol } = showQuantity(si, unit, 3);
    return `${number} ${symbol}`;
  };
  const { amount } = answer.units;
  return (
    <Section heading={say('sheet.refill.heading')}>
      <Box maxWidth="220px" data-noprint>
        <LabelledField
          label={say('sheet.refill.row')}
          placeholder={rowLength.unit === 'm' ? '80' : '260'}
          inputMode="decimal"
          unit={<BareUnit {...rowLength} />}
          value={rowLength.text}
          error={rowLength.text.trim() === '' ? undefined : (row.error ?? undefined)}
          onChange={(text) => form.setValue('worksheet.spread.rowLength.text', text, { shouldDirty: true })}
        />
      </Box>
      <Box fontSize="17px" marginTop="8px">
        {found
          ? say('sheet.refill.is', { metres: text(found.metresPerFill, rowLength.unit), rows: found.rowsPerFill, load: text(found.loadKg, amount), blocks: found.blocks, last: found.lastRows, stands: found.standsAt === 'both-ends' ? 'both' : found.standsAt })
          : say(hopperKg === null ? 'sheet.refill.lacksHopper' : 'sheet.refill.lacks')}
      </Box>
    </Section>
  ); // prettier-ignore
}
