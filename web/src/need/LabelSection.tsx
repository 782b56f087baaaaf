import { memo } from 'react';
import { Box, Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { readSize, retypeSize } from '@steady-scatter/core/fields';
import { NUTRIENTS } from '@steady-scatter/core/need';
import type { AreaUnit } from '@steady-scatter/core/quantities';
import { needFromLabel, type WorksheetAnswer } from '@steady-scatter/core/worksheet';
import { useWatch } from 'react-hook-form';
import { nameOf, say, speak } from '@steady-scatter/words/sheet';
import { AREA_CHOICES } from '../units/areas.ts';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { useShowIn } from '../sheet/useShowIn.ts';
import { PackageTerm } from '../worksheet/PackageTerm.tsx';
import { SheetError } from '../sheet/SheetError.tsx';
import { useNotices } from '../notices/notices.tsx';
import { Section } from '../ui/Section.tsx';
import { UnitPicker } from '../ui/UnitPicker.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { needsUnit, symbolOf } from '../units/units.ts';

function CoverageTerm() {
  const form = useSheetForm();
  const { size, unit } = useWatch({ control: form.control, name: 'worksheet.product.coverage' });
  const reading = toResult(() => readSize(size, unit, '')).value;
  return (
    <TypedTerm
      name="worksheet.product.coverage.size"
      label={say('sheet.label.coverage')}
      placeholder="12 000"
      origin="label"
      unit={
        <UnitPicker<AreaUnit>
          label={say('sheet.label.coverageUnit')}
          current={reading?.unit ?? unit}
          shown={needsUnit(size) ? symbolOf(unit) : ''}
          options={AREA_CHOICES.map((id) => ({
            id,
            symbol: symbolOf(id),
            preview: reading && ((change) => retypeSize(reading, id, change)),
          }))}
          onPick={(id, change) => {
            form.setValue('worksheet.product.coverage.unit', id, { shouldDirty: true });
            if (reading)
              form.setValue('worksheet.product.coverage.size', retypeSize(reading, id, change), {
                shouldDirty: true,
              });
          }}
        />
      }
    />
  );
}

/** "The label puts down 20.0 % more nitrogen than you asked for. It also brings 0.267 lb K₂O." */
function labelSentence(
  { labelAgainstNeed, labelDelivers }: WorksheetAnswer,
  nutrientName: string,
): string | null {
  const along = labelDelivers
    .filter(({ part }) => part === 'along')
    .map(
      ({ shown, nutrient }) =>
        `${shown.number} ${shown.unit.replace(' /', ` ${NUTRIENTS[nutrient].symbol} /`)}`,
    );
  const brings = along.length > 0 ? say('sheet.label.brings', { nutrients: along.join(', ') }) : null;
  if (!labelAgainstNeed) return brings;
  const { verdict } = labelAgainstNeed;
  const compared = say('sheet.label.compared', {
    verdict,
    amount: verdict === 'same' ? '' : verdict === 'times' ? labelAgainstNeed.times : labelAgainstNeed.percent,
    nutrient: nutrientName,
  });
  return brings === null ? compared : `${compared} ${brings}`;
}

/** The label read backwards: what its own coverage puts down, beside what was asked for. */
export const LabelSection = memo(function LabelSectionOf({ onEnter }: { onEnter(): void }) {
  const { answer, worksheet } = useSheet();
  const form = useSheetForm();
  const notices = useNotices();
  const rate = useShowIn('rate');
  const { label } = answer.lines;
  const sentence = labelSentence(answer, nameOf('nutrient', worksheet.need.nutrient));
  const need = needFromLabel(answer, worksheet);
  const differs = answer.labelAgainstNeed?.verdict !== 'same';

  const takeNeed = (text: string) => {
    const before = worksheet.need.amount;
    form.setValue('worksheet.need.amount', text, { shouldDirty: true });
    notices.undoable(say('sheet.label.needIsLabels'), () =>
      form.setValue('worksheet.need.amount', before, { shouldDirty: true }),
    );
  };

  return (
    <Section heading={speak(label.label)} onEnter={onEnter}>
      <WorkingLine
        working={label}
        names={{
          'label.rate': say('sheet.label.rate'),
          'label.nutrient': say('sheet.label.nutrient'),
        }}
        showIn={{ 'label.rate': rate }}
        editors={{
          'label.package': (
            <PackageTerm label={say('sheet.label.package')} unitLabel={say('sheet.label.unit')} />
          ),
          'coverage.size': <CoverageTerm />,
        }}
      />
      <SheetError name="worksheet.product.coverage.size" />
      {sentence && (
        <Box marginTop="4px" fontSize="16px">
          {sentence}
          {need && differs && (
            <Button size="sm" marginLeft="10px" data-noprint onClick={() => takeNeed(need)}>
              {say('sheet.label.take')}
            </Button>
          )}
        </Box>
      )}
    </Section>
  );
});
