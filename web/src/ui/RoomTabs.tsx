import { Box, chakra } from '@chakra-ui/react';
import { NavLink } from 'react-router';

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

interface Props {
  /** "On the shelf": for people who listen. */
  label: string;
  tabs: readonly { readonly to: string; readonly label: string }[];
}

/** What stands in a room. */
export const RoomTabs = ({ label, tabs }: Props) => (
  <Box
    as="nav"
    aria-label={label}
    display="flex"
    flexWrap="wrap"
    gap="4px 20px"
    paddingX={{ base: '16px', md: '24px' }}
    marginBottom="10px"
    data-noprint
  >
    {tabs.map((tab) => (
      <Tab key={tab.to} to={tab.to} end>
        {tab.label}
      </Tab>
    ))}
  </Box>
);
