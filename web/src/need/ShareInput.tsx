import { Box } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { fractionOf, withShare, type Grade, type Nutrient } from '@steady-scatter/core/need';
import { showExact } from '@steady-scatter/core/quantities';
import { useState } from 'react';
import { nameOf, say, speak } from '@steady-scatter/words/sheet';
import { useSheetForm } from '../sheet/sheet.tsx';
import { TermInput } from '../ui/TermInput.tsx';

/** The share of the nutrient in the product. Changing it changes the grade that it was read from. */
export function ShareInput({ grade, nutrient }: { grade: Grade; nutrient: Nutrient }) {
  const form = useSheetForm();
  const shown = `${showExact(fractionOf(grade, nutrient) * 100, 5)} %`;
  const [input, setInput] = useState<string | null>(null);
  const { error } = input === null ? { error: null } : toResult(() => withShare(grade, nutrient, input));

  const commit = () => {
    if (input !== null && !error && input !== shown) {
      form.setValue('worksheet.product.grade', withShare(grade, nutrient, input), { shouldDirty: true });
    }
    if (!error) setInput(null);
  };

  return (
    <>
      <TermInput
        label={say('sheet.need.share', { name: nameOf('nutrient', nutrient) })}
        origin="label"
        value={input ?? shown}
        errorId={error ? 'error-share' : undefined}
        onChange={(event) => setInput(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setInput(null);
        }}
      />
      {error && (
        <Box id="error-share" role="alert" color="warn" fontSize="15px">
          {speak(error.sentence)}
        </Box>
      )}
    </>
  );
}
