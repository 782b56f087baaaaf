import { Box, chakra } from '@chakra-ui/react';
import { Outlet } from 'react-router';
import { Rail } from './Rail.tsx';

const SkipLink = chakra('a', {
  base: {
    position: 'fixed',
    top: '-60px',
    left: '96px',
    zIndex: 20,
    bg: 'act',
    color: 'act.ink',
    padding: '10px 16px',
    borderRadius: '8px',
    _focus: { top: '8px' },
  },
});

/** What every screen lives in: the rail, and room for the screen. */
export function Shell() {
  return (
    <>
      <SkipLink href="#main">Skip to the sheet</SkipLink>
      <Rail />
      <Box
        paddingLeft={{ md: '84px' }}
        paddingBottom={{ base: '136px', md: '60px', lg: 0 }}
        css={{ '@media print': { padding: 0 } }}
      >
        <Outlet />
      </Box>
    </>
  );
}
