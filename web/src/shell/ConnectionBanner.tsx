import { Box, Button } from '@chakra-ui/react';
import { useEffect, useSyncExternalStore, type ReactNode } from 'react';
import { connectionStore } from '../api/connection.ts';
import { call } from '../api/lazyCall.ts';
import { keepWaiting } from '../api/whenBack.ts';
import { holdingStore } from '../ui/browserStores.ts';
import { useNotices } from '../ui/notices.tsx';

const TRY_AGAIN_MS = 4000;
const CLOCK_WRONG_MS = 12 * 3600 * 1000;

const Strip = ({ children }: { children: ReactNode }) => (
  <Box
    role="status"
    bg="warn"
    color="paper"
    paddingX={{ base: '16px', md: '24px' }}
    paddingY="8px"
    display="flex"
    gap="14px"
    alignItems="center"
    flexWrap="wrap"
    fontWeight="semibold"
    data-noprint
  >
    {children}
  </Box>
);

const askHealth = (): void => void call('health').catch(() => undefined);

/** Asks for the server's health until it answers, then has everything read again. */
function useComeback(reachable: boolean) {
  const notices = useNotices();
  useEffect(() => {
    if (reachable) return undefined;
    const timer = setInterval(askHealth, TRY_AGAIN_MS);
    window.addEventListener('online', askHealth);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', askHealth);
      notices.tell('The server answers again.');
      void import('../api/queries.ts').then(({ queries }) => queries.invalidateQueries());
      void keepWaiting();
    };
  }, [reachable, notices]);
}

/** Says when the server does not answer, when this browser holds nothing, and when this device's clock is far off. */
export function ConnectionBanner() {
  const { reachable, clockDifferenceMs } = useSyncExternalStore(
    connectionStore.subscribe,
    connectionStore.get,
  );
  const holds = useSyncExternalStore(holdingStore.subscribe, holdingStore.get);
  useComeback(reachable);
  const clockIsWrong = clockDifferenceMs !== null && Math.abs(clockDifferenceMs) > CLOCK_WRONG_MS;
  return (
    <>
      {!reachable && (
        <Strip>
          The server does not answer. You can go on typing: it stays in this browser until it can be kept.
          <Button size="sm" minHeight="44px" bg="paper" color="ink" onClick={askHealth}>
            Try now
          </Button>
        </Strip>
      )}
      {!holds && (
        <Strip>
          This browser cannot hold what you type: its storage is full or not allowed. Keep it before you leave
          this page.
        </Strip>
      )}
      {clockIsWrong && (
        <Strip>This device’s clock is far from the server’s. Check the day before you keep a job.</Strip>
      )}
    </>
  );
}
