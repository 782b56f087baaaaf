import { Box, chakra } from '@chakra-ui/react';
import { NavLink } from 'react-router';

const TABS = [
  { to: '/shelf', label: 'Products' },
  { to: '/shelf/compare', label: 'Labels side by side' },
  { to: '/shelf/soil', label: 'Soil tests' },
  { to: '/shelf/mix', label: 'Find a mix' },
  { to: '/shelf/rules', label: 'Rules' },
] as const;

const Tab = chakra(NavLink, {
  base: {
    minHeight: '44px',
    display: 'inline-flex',
    alignItems: 'center',
    whiteSpace: 'nowrap',
    borderBottomWidth: '3px',
    borderColor: 'transparent',
    color: 'ink.soft',
    '&.active': { color: 'ink', fontWeight: 'bold', borderColor: 'tape' },
    _hover: { color: 'ink' },
  },
});

/** What stands in the room of the shelf: products, and what turns a need into them. */
export const ShelfTabs = () => (
  <Box
    as="nav"
    aria-label="On the shelf"
    display="flex"
    gap="4px 20px"
    overflowX="auto"
    paddingX={{ base: '16px', md: '24px' }}
    marginBottom="10px"
    data-noprint
  >
    {TABS.map(({ to, label }) => (
      <Tab key={to} to={to} end>
        {label}
      </Tab>
    ))}
  </Box>
);
