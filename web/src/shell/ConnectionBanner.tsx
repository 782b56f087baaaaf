import { lazyPart } from '../ui/lazyPart.ts';
import { Box, Button } from '@chakra-ui/react';
import { Suspense, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { say } from '@steady-scatter/words/shell';
import { connectionStore } from '../api/connection.ts';
import { call } from '../api/lazyCall.ts';
import { holdingStore } from '../device/index.ts';
import { useOutbox } from '../outbox/index.ts';
import { takeUpdate } from '../serviceWorker.ts';
import { useNotices } from '../notices/notices.tsx';

const OutboxPanel = lazyPart(() => import('./OutboxPanel.tsx'));

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
    gap="6px 12px"
    alignItems="center"
    flexWrap="wrap"
    fontWeight="semibold"
    data-noprint
  >
    {children}
  </Box>
);

const StripButton = ({ children, onClick }: { children: string; onClick(): void }) => (
  <Button size="sm" minHeight="44px" bg="paper" color="ink" onClick={onClick}>
    {children}
  </Button>
);

const askHealth = (): void => void call('health').catch(() => undefined);

/** Asks for the server's health until it answers. */
function useComeback(reachable: boolean) {
  const notices = useNotices();
  useEffect(() => {
    if (reachable) return undefined;
    const timer = setInterval(askHealth, TRY_AGAIN_MS);
    window.addEventListener('online', askHealth);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', askHealth);
      notices.tell(say('shell.answersAgain'));
    };
  }, [reachable, notices]);
}

/** That nothing answers, and what waits for it. */
const silenceText = (waiting: number): string => say('shell.silent', { waiting });

/** Says when the server does not answer, what waits on this device, when this browser holds nothing, and when this device's clock is far off. */
export function ConnectionBanner() {
  const { reachable, clockDifferenceMs, updated } = useSyncExternalStore(
    connectionStore.subscribe,
    connectionStore.get,
  );
  const holds = useSyncExternalStore(holdingStore.subscribe, holdingStore.get);
  useComeback(reachable);
  const waiting = useOutbox();
  const refused = waiting.filter(({ refusal }) => refusal !== null).length;
  const [isOpen, setOpen] = useState(false);
  const clockIsWrong = clockDifferenceMs !== null && Math.abs(clockDifferenceMs) > CLOCK_WRONG_MS;
  return (
    <>
      {!reachable && (
        <Strip>
          {silenceText(waiting.length - refused)}
          <StripButton onClick={askHealth}>{say('shell.tryNow')}</StripButton>
          {waiting.length > 0 && (
            <StripButton onClick={() => setOpen(true)}>{say('shell.showWaiting')}</StripButton>
          )}
        </Strip>
      )}
      {refused > 0 && (
        <Strip>
          {say('shell.refused', { count: refused })}
          <StripButton onClick={() => setOpen(true)}>{say('shell.decide')}</StripButton>
        </Strip>
      )}
      {isOpen && (
        <Suspense fallback={null}>
          <OutboxPanel onClose={() => setOpen(false)} />
        </Suspense>
      )}
      {updated && (
        <Strip>
          {say('shell.newVersion')}
          <StripButton onClick={() => void takeUpdate()}>{say('shell.loadVersion')}</StripButton>
        </Strip>
      )}
      {!holds && <Strip>{say('shell.cannotHold')}</Strip>}
      {clockIsWrong && <Strip>{say('shell.clockFar')}</Strip>}
    </>
  );
}
