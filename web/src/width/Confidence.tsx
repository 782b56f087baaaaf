import { Box, Button } from '@chakra-ui/react';
import { showExact } from '@steady-scatter/core/quantities';
import { useConfidence } from './useConfidence.ts';
import { lengthText, type WidthProps } from './widthProps.ts';

/** How sure the figures are, worked out beside; it can be stopped. */
export function Confidence({ typed, on }: Pick<WidthProps, 'typed' | 'on'>) {
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
  const band = found.widestM[typed.mode];
  const cv = found.cv[typed.mode];
  const from =
    found.from === 'rows'
      ? 'from how the rows differ'
      : 'from the reading of the trays alone; three rows would tell more';
  return (
    <Box fontSize="16px" marginTop="6px">
      {band
        ? `The widest even spacing lies between ${lengthText(band.low, typed)} and ${lengthText(band.high, typed)}`
        : 'Often enough no spacing was even'}
      ; CV here between {showExact(100 * cv.low, 2)} and {showExact(100 * cv.high, 2)} % ({from}).
    </Box>
  ); // prettier-ignore
}
