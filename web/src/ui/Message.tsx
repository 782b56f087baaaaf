import { Box, Button, chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/common';

type Props = { heading: string; text: string; act?: string; to?: string; onAct?: () => void };

/** A whole screen that says one thing and what to do next. */
export function Message({ heading, text, act, to, onAct }: Props) {
  return (
    <Box as="main" id="main" maxWidth="560px" padding={{ base: '40px 20px', md: '90px 40px' }}>
      <title>{say('common.pageTitle', { name: heading })}</title>
      <chakra.h1 fontSize="26px" fontWeight="bold" marginBottom="10px">
        {heading}
      </chakra.h1>
      {text && (
        <Box fontSize="18px" marginBottom="22px">
          {text}
        </Box>
      )}
      {act && to && (
        <Button variant="solid" asChild>
          <Link to={to}>{act}</Link>
        </Button>
      )}
      {act && onAct && (
        <Button variant="solid" onClick={onAct}>
          {act}
        </Button>
      )}
    </Box>
  );
}
