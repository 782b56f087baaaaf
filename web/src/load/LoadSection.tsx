import { Box } from '@chakra-ui/react';
import { useWatch } from 'react-hook-form';
import { useSheet, useSheetForm } from '../jobs/sheet.tsx';
import { useShowIn } from '../jobs/useShowIn.ts';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { Section } from '../ui/Section.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { PackageTerm } from './PackageTerm.tsx';

const NAMES = {
  rate: 'Product rate',
  'total.area': 'All the ground',
  'total.amount': 'Amount in all',
  covers: 'Ground that one package covers at this rate',
  back: 'Nutrient put down',
};

/** In all: the whole amount, the packages it takes, how far one goes, and the check back to the need. */
export function LoadSection({ onEnter }: { onEnter(): void }) {
  const { answer, errorAt } = useSheet();
  const form = useSheetForm();
  const typed = useWatch({ control: form.control, name: 'worksheet.product.package.size' });
  const { total, packages, covers, back } = answer.lines;
  const area = useShowIn('area');
  const showIn = {
    rate: useShowIn('rate'),
    'total.area': area,
    covers: area,
    'total.amount': useShowIn('amount'),
  };
  return (
    <Section id="load" heading={total.label} onEnter={onEnter}>
      <WorkingLine working={total} names={NAMES} showIn={showIn} />
      <WorkingLine
        working={packages}
        names={NAMES}
        showIn={showIn}
        editors={{ 'package.size': <PackageTerm label="Package size" unitLabel="unit of the package" /> }}
      />
      <FieldErrors
        error={errorAt('product.package.size')}
        typed={typed}
        onUse={(text) => form.setValue('worksheet.product.package.size', text, { shouldDirty: true })}
      />
      <Box marginTop="12px" paddingTop="10px" borderTopWidth="1px" borderColor="line">
        {answer.numbers.packageCoversM2 !== null && (
          <Box display="flex" flexWrap="wrap" columnGap="8px" alignItems="baseline" fontSize="17px">
            <Box color="ink.soft">{covers.label}:</Box>
            <WorkingLine working={covers} names={NAMES} showIn={showIn} size="plain" />
          </Box>
        )}
        {answer.numbers.backPerM2 !== null && (
          <WorkingLine working={back} names={NAMES} showIn={showIn} size="plain" />
        )}
      </Box>
    </Section>
  );
}
