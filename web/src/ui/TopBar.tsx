import { Box } from '@chakra-ui/react';
import { memo, type ReactNode } from 'react';

/** The line over every screen: what it is on the left, what can be done on the right. */
export const TopBar = memo(function TopBarOf({ children, acts }: { children: ReactNode; acts?: ReactNode }) {
  return (
    <Box
      as="header"
      display="flex"
      flexWrap="wrap"
      alignItems="center"
      columnGap="16px"
      rowGap="8px"
      minHeight="58px"
      paddingX={{ base: '16px', md: '24px' }}
      paddingY="8px"
    >
      <Box flex="1 1 260px" display="flex" alignItems="center" flexWrap="wrap" columnGap="14px" minWidth={0}>
        {children}
      </Box>
      <Box display="flex" gap="10px" flexWrap="wrap" data-noprint>
        {acts}
      </Box>
    </Box>
  );
});
