import { Box, type BoxProps } from '@chakra-ui/react';

/** The sheet of paper that an answer stands on. */
export function AnswerBox(props: BoxProps) {
  return (
    <Box
      as="section"
      aria-label="Answer"
      bg="paper"
      borderWidth="1px"
      borderColor="line"
      borderRadius="12px"
      padding={{ base: '16px', md: '18px 22px' }}
      {...props}
    />
  );
}
