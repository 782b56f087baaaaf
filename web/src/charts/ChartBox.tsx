import { Box, type BoxProps } from '@chakra-ui/react';

/** Room for a chart. What is drawn in it does not keep it wide where a window grows narrow. */
export const ChartBox = (props: Pick<BoxProps, 'height' | 'children'>) => (
  <Box position="relative" css={{ '& > canvas': { position: 'absolute', inset: 0 } }} {...props} />
);
