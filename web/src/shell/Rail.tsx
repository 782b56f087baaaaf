import { Box, chakra } from '@chakra-ui/react';
import {
  ClipboardList,
  Gauge,
  LandPlot,
  Keyboard,
  Moon,
  Package,
  Search,
  Settings2,
  Snowflake,
  SquarePen,
  Sun,
  type LucideIcon,
} from 'lucide-react';
import { NavLink } from 'react-router';
import { say } from '@steady-scatter/words/shell';
import { useCommandRegistry } from '../commands/CommandsProvider.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { useRest } from '../ui/useFirstThenRest.ts';

/** The rooms of the app. Only what is built stands here. */
export const ROOMS: readonly { to: string; label: string; icon: LucideIcon }[] = [
  { to: '/', label: say('shell.newSheet'), icon: SquarePen },
  { to: '/jobs', label: say('shell.jobs'), icon: ClipboardList },
  { to: '/sites', label: say('shell.sites'), icon: LandPlot },
  { to: '/bench', label: say('shell.bench'), icon: Gauge },
  { to: '/shelf', label: say('shell.shelf'), icon: Package },
  { to: '/winter', label: say('shell.winter'), icon: Snowflake },
];

const itemStyle = {
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: '3px',
  width: { base: 'auto', md: '76px' },
  flex: { base: 1, md: 'none' },
  minHeight: { base: '56px', md: '52px' },
  borderRadius: '8px',
  minWidth: 0,
  fontSize: { base: '12px', md: '13px' },
  lineHeight: 1.15,
  textAlign: 'center',
  overflowWrap: 'anywhere',
  color: 'rail.ink',
  cursor: 'pointer',
  _hover: { bg: 'rgba(255, 255, 255, 0.08)' },
} as const;

const RoomLink = chakra(NavLink, {
  base: { ...itemStyle, '&.active': { bg: 'rgba(255, 255, 255, 0.16)', color: 'white', fontWeight: 'bold' } },
});
const Tool = chakra('button', { base: itemStyle });

/** What serves every room: finding, the light, the settings, the keys. */
function Tools() {
  const { open } = useCommandRegistry();
  const { isNight, change } = usePreferences();
  const Light = isNight ? Sun : Moon;
  return (
    <>
      <Tool type="button" marginTop={{ md: 'auto' }} onClick={() => open('go-to')}>
        <Search size={20} aria-hidden />
        {say('shell.goTo')}
      </Tool>
      <Tool type="button" hideBelow="md" onClick={() => change({ theme: isNight ? 'day' : 'night' })}>
        <Light size={20} aria-hidden />
        {isNight ? say('shell.day') : say('shell.night')}
      </Tool>
      <Tool type="button" onClick={() => open('settings')}>
        <Settings2 size={20} aria-hidden />
        {say('shell.settings')}
      </Tool>
      <Tool type="button" hideBelow="md" onClick={() => open('shortcuts')}>
        <Keyboard size={20} aria-hidden />
        {say('shell.keysTool')}
      </Tool>
    </>
  );
}

/** Down the side at a desk, along the foot under the thumb on a phone. It stands at once; what is on it comes after what is typed into. */
export function Rail() {
  const isRest = useRest();
  return (
    <Box
      as="nav"
      aria-label={say('shell.places')}
      data-noprint
      position="fixed"
      zIndex="10"
      bg="rail"
      left="0"
      bottom="0"
      top={{ md: 0 }}
      right={{ base: 0, md: 'auto' }}
      width={{ md: '84px' }}
      display="flex"
      flexDirection={{ base: 'row', md: 'column' }}
      alignItems="center"
      gap={{ base: '2px', md: '4px' }}
      padding={{ base: '4px 4px', md: '14px 4px' }}
      minHeight={{ base: '64px' }}
    >
      <Box
        hideBelow="md"
        fontFamily="figure"
        fontWeight="bold"
        fontSize="19px"
        lineHeight="1"
        textAlign="center"
        color="tape.on-rail"
        marginBottom="14px"
        css={{ fontStretch: '75%' }}
      >
        Steady
        <br />
        Scatter
      </Box>
      {isRest && (
        <>
          {ROOMS.map(({ to, label, icon: Icon }) => (
            <RoomLink key={to} to={to} end={to === '/'}>
              <Icon size={20} aria-hidden />
              {label}
            </RoomLink>
          ))}
          <Tools />
        </>
      )}
    </Box>
  );
}
