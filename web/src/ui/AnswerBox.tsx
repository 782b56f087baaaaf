import { Box, type BoxProps } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/common';

/** The sheet of paper that an answer stands on. */
export function AnswerBox(props: BoxProps) {
  return (
    <Box
      as="section"
      aria-label={say('common.answer')}
      bg="paper"
      borderWidth="1px"
      borderColor="line"
      borderRadius="12px"
      padding={{ base: '16px', md: '18px 22px' }}
      {...props}
    />
  );
}
