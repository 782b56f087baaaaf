import { Box, Button } from '@chakra-ui/react';
import { showQuantity } from '@steady-scatter/core/quantities';
import { labelRange } from '@steady-scatter/core/regulations';
import { say } from '@steady-scatter/words/rules';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { useNotices } from '../notices/notices.tsx';
import { Section } from '../ui/Section.tsx';

/** Changes the need to a text, with a way back. */
function useNeedChange() {
  const form = useSheetForm();
  const notices = useNotices();
  return (text: string, told: string) => {
    const before = form.getValues('worksheet.need.amount');
    form.setValue('worksheet.need.amount', text, { shouldDirty: true });
    notices.undoable(told, () => form.setValue('worksheet.need.amount', before, { shouldDirty: true }));
  };
}

const OFF_WORDS = {
  below: say('rules.range.below'),
  above: say('rules.range.above'),
};

/** The label's own range of rates, and how one application stands to it. */
export function LabelRangeSection() {
  const { answer } = useSheet();
  const worksheet = useSheet().worksheet;
  const change = useNeedChange();
  const range = labelRange(answer, worksheet);
  if (!range) return null;
  const { ends, rateSi, off } = range;
  const shown = (si: number) => {
    const { number, unit } = showQuantity(si, answer.units.rate);
    return `${number} ${unit}`;
  };
  return (
    <Section heading={say('rules.range.heading')} noPrint={off === null}>
      <Box display="flex" flexWrap="wrap" gap="10px 18px" alignItems="center" fontSize="17px">
        {ends.map(({ end, si, need }) => (
          <Box key={end}>
            {end} {shown(si)}
            {need && (
              <Button
                size="sm"
                marginLeft="8px"
                data-noprint
                onClick={() => change(need, say('rules.range.needIs', { end }))}
              >
                {say('rules.range.use', { end })}
              </Button>
            )}
          </Box>
        ))}
        {rateSi !== null && (
          <Box fontWeight="bold">
            {answer.reading.split.portions > 1 ? say('rules.range.portion') : say('rules.range.chosen')}{' '}
            {shown(rateSi)}
          </Box>
        )}
      </Box>
      {off && (
        <Box color="warn" fontWeight="semibold" fontSize="16px" marginTop="4px">
          ▲ {OFF_WORDS[off]}
        </Box>
      )}
    </Section>
  );
}
