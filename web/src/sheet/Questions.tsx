import { Box, Button } from '@chakra-ui/react';
import { questionsOf } from '@steady-scatter/core/worksheet';
import { rich, say, speak } from '@steady-scatter/words/sheet';
import { useSheet } from './sheet.tsx';
import { useSheetChange } from './useSheetChange.ts';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';
import { richly, TAGS } from '../ui/richly.tsx';

/** What is asked about the entries of one part of the sheet: the likely reading is one act away, and so is "it is right". */
export function Questions({ about }: { about: readonly string[] }) {
  const { answer } = useSheet();
  const change = useSheetChange();
  const input = useSheet().worksheet;
  const asked = questionsOf({ input, ...answer }).filter(({ field }) => about.some((part) => field.startsWith(part))); // prettier-ignore
  return asked.map(({ id, text, likely }) => (
    <WarningBox key={id} marginTop="10px" data-noprint>
      <Box fontSize="16px">
        {richly(rich('sheet.doubt.ask', { ...TAGS, text: speak(text) }))}</Box>
      <WarningActs>
        {likely && (
          <Button minHeight="44px" onClick={() => change(likely.sheet, say('sheet.doubt.now', { value: speak(likely.label) }))}>{say('sheet.doubt.use', { value: speak(likely.label) })}</Button>
        )}
        <Button
          minHeight="44px"
          variant="outline"
          onClick={() => change({ ...input, confirmed: [...input.confirmed, id] }, say('sheet.doubt.stands'))}
        >{say('sheet.doubt.asTyped')}</Button>
      </WarningActs>
    </WarningBox>
  )); // prettier-ignore
}
