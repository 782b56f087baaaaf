import { memo } from 'react';
import { Box } from '@chakra-ui/react';
import { MISSING } from '@steady-scatter/core/working';
import { say } from '@steady-scatter/words/sheet';
import { useSheet } from '../sheet/sheet.tsx';
import { termShown } from '../ui/termShown.ts';

/** On a phone the answer stays in sight over the rail while the sheet is typed. */
export const AnswerBar = memo(function AnswerBarOf() {
  const { answer } = useSheet();
  const shown = termShown(answer.lines.total, 'total.amount');
  const { packages } = answer.numbers;
  return (
    <Box
      hideFrom="lg"
      data-noprint
      aria-hidden
      position="fixed"
      zIndex="9"
      left={{ base: 0, md: '84px' }}
      right="0"
      bottom={{ base: '64px', md: 0 }}
      bg="paper"
      borderTopWidth="2px"
      borderColor="line.strong"
      paddingX="16px"
      minHeight="52px"
      display="flex"
      alignItems="baseline"
      gap="12px"
    >
      <Box
        fontFamily="figure"
        fontWeight="bold"
        fontSize="34px"
        lineHeight="52px"
        css={{ fontStretch: '82%' }}
      >
        {shown?.number ?? MISSING} <small>{shown?.unit}</small>
      </Box>
      {packages && <Box>{say('sheet.load.take', { count: packages.whole })}</Box>}
    </Box>
  );
});
