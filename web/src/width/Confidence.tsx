import { Box, Button } from '@chakra-ui/react';
import { showExact } from '@steady-scatter/core/quantities';
import { useConfidence } from './useConfidence.ts';
import { lengthText, type WidthProps } from './widthProps.ts';

/** How sure the figures are, worked out beside; it can be stopped. */
export function Confidence({ input, on }: Pick<WidthProps, 'input' | 'on'>) {
  const { found, share, stop } = useConfidence(on.reading);
  if (share !== null)
    return (
      <Box fontSize="15px" color="ink.soft" marginTop="6px" display="flex" gap="10px" alignItems="center">
        Working out how sure that is: {Math.round(100 * share)} %
        <Button size="sm" minHeight="36px" onClick={stop}>
          Stop
        </Button>
      </Box>
    );
  if (!found) return null;
  const band = found.widestM[input.passPattern];
  const cv = found.cv[input.passPattern];
  const from =
    found.from === 'rows'
      ? 'from how the rows differ'
      : 'from the reading of the trays alone; three rows would tell more';
  return (
    <Box fontSize="16px" marginTop="6px">
      {band
        ? `The widest even spacing lies between ${lengthText(band.low, input)} and ${lengthText(band.high, input)}`
        : 'Often enough no spacing was even'}
      ; CV here between {showExact(100 * cv.low, 2)} and {showExact(100 * cv.high, 2)} % ({from}).
    </Box>
  ); // prettier-ignore
}
