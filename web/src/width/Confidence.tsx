import { Box, Button } from '@chakra-ui/react';
import { showExact } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/width';
import { useConfidence } from './useConfidence.ts';
import { lengthText, type WidthProps } from './widthProps.ts';

/** How sure the figures are, worked out beside; it can be stopped. */
export function Confidence({ input, on }: Pick<WidthProps, 'input' | 'on'>) {
  const { found, share, stop } = useConfidence(on.reading);
  if (share !== null)
    return (
      <Box fontSize="15px" color="ink.soft" marginTop="6px" display="flex" gap="10px" alignItems="center">
        {say('width.sure.working', { percent: Math.round(100 * share) })}
        <Button size="sm" minHeight="36px" onClick={stop}>
          {say('width.sure.stop')}
        </Button>
      </Box>
    );
  if (!found) return null;
  const band = found.widestM[input.passPattern];
  const cv = found.cv[input.passPattern];
  const from = found.from === 'rows' ? say('width.sure.fromRows') : say('width.sure.fromReading');
  return (
    <Box fontSize="16px" marginTop="6px">
      {say('width.sure.band', { isKnown: band ? 'yes' : 'no', narrow: band ? lengthText(band.low, input) : '', wide: band ? lengthText(band.high, input) : '', low: showExact(100 * cv.low, 2), high: showExact(100 * cv.high, 2), from })}</Box>
  ); // prettier-ignore
}
