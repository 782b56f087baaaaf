import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useSyncExternalStore, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useLocation, useNavigate } from 'react-router';
import { say } from '@steady-scatter/words/shell';
import { useCommandRegistry, useCommands } from '../commands/CommandsProvider.tsx';
import { connectionStore } from '../api/connection.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { useNotices } from '../notices/notices.tsx';
import { focusKeptField } from '../ui/fieldInFocus.ts';
import { CrashScreen } from './CrashScreen.tsx';
import { ConnectionBanner } from './ConnectionBanner.tsx';
import { PairScreen } from './PairScreen.tsx';
import { Rail } from './Rail.tsx';
import { useFocusHandedOn } from './useFocusHandedOn.ts';

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

/** Commands that every screen has. */
function useShellActs() {
  const navigate = useNavigate();
  const { open } = useCommandRegistry();
  const { isNight, change } = usePreferences();
  const { undoLast } = useNotices();
  useCommands([
    { id: 'go-to', label: say('shell.command.goTo'), keys: 'Ctrl+K', run: () => open('go-to') },
    { id: 'find', label: say('shell.command.goToKey'), keys: '/', run: () => open('go-to') },
    { id: 'new', label: say('shell.newSheet'), keys: 'n', run: () => void navigate('/') },
    { id: 'quick-test', label: say('shell.quickTest'), keys: 'q', run: () => void navigate('/bench/quick') },
    { id: 'patch', label: say('shell.patch'), run: () => void navigate('/patch') },
    { id: 'log', label: say('shell.log'), run: () => void navigate('/log') },
    { id: 'order', label: say('shell.order'), run: () => void navigate('/jobs/order') },
    { id: 'brine', label: say('shell.brine'), run: () => void navigate('/winter/brine') },
    { id: 'tonight', label: say('shell.tonight'), keys: 'w', run: () => void navigate('/winter') },
    { id: 'jobs', label: say('shell.jobs'), keys: 'j', run: () => void navigate('/jobs') },
    { id: 'shelf', label: say('shell.shelf'), keys: 's', run: () => void navigate('/shelf') },
    {
      id: 'light',
      label: isNight ? say('shell.themeDay') : say('shell.themeNight'),
      keys: 't',
      run: () => change({ theme: isNight ? 'day' : 'night' }),
    },
    {
      id: 'undo-last',
      label: say('common.undo'),
      keys: 'Ctrl+Z',
      restsWhileTyping: true,
      run: () => void undoLast(),
    },
    { id: 'settings', label: say('shell.settings'), keys: ',', run: () => open('settings') },
    { id: 'shortcuts', label: say('shell.command.shortcuts'), keys: '?', run: () => open('shortcuts') },
  ]);
}

/** After going to another screen the focus stands where somebody goes on typing, or at its beginning, unless the screen took it. */
function useFocusOnArrival(pathname: string) {
  const arrived = useRef(pathname);
  const screen = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (arrived.current === pathname) return;
    arrived.current = pathname;
    if (screen.current && focusKeptField(screen.current)) return;
    const at = document.activeElement;
    // Somebody who went on to a message, to undo, stays there.
    if (screen.current?.contains(at) || at?.closest('[data-scope=toast]')) return;
    screen.current?.focus({ preventScroll: true });
  }, [pathname]);
  return screen;
}

/** What every screen lives in: the rail, and room for the screen. */
export function Shell({ children }: { children: ReactNode }) {
  useShellActs();
  const { pathname } = useLocation();
  const screen = useFocusOnArrival(pathname);
  useFocusHandedOn(screen);
  const { paired } = useSyncExternalStore(connectionStore.subscribe, connectionStore.get);
  return (
    <>
      <SkipLink href="#main">{say('shell.skip')}</SkipLink>
      <Rail />
      <Box
        ref={screen}
        id="screen"
        data-at={pathname}
        tabIndex={-1}
        outline="none"
        paddingLeft={{ md: '84px' }}
        paddingBottom={{ base: '136px', md: '60px', lg: 0 }}
        css={{ '@media print': { padding: 0 } }}
      >
        <ConnectionBanner />
        <ErrorBoundary FallbackComponent={CrashScreen} resetKeys={[pathname]}>
          {paired ? children : <PairScreen />}
        </ErrorBoundary>
      </Box>
    </>
  );
}
