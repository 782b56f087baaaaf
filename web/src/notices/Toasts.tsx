import { Box, Button, createToaster, Portal, Toast, Toaster } from '@chakra-ui/react';
import { useEffect, useRef, useState, type FocusEvent, type KeyboardEvent } from 'react';
import { say } from '@steady-scatter/words/common';
import type { Notice } from './notices.tsx';

const SECONDS_TO_READ = 5;
const SECONDS_TO_UNDO = 30;

/** On a phone what is pressed next stands at the foot: messages stand above it. */
const ABOVE_THE_FOOT = '156px';
const isSmall = (): boolean => matchMedia('(max-width: 47.99em)').matches;

const newToaster = () =>
  createToaster({
    placement: 'bottom',
    pauseOnPageIdle: true,
    max: 3,
    offsets: { top: '16px', left: '16px', right: '16px', bottom: isSmall() ? ABOVE_THE_FOOT : '16px' },
  });

const toScreen = (): void => document.getElementById('screen')?.focus({ preventScroll: true });

/** The message goes with its button, so the focus goes on to the screen that was mended. */
function undoAndStay(undo: () => void): void {
  undo();
  toScreen();
}

function show(toaster: ReturnType<typeof newToaster>, { text, undo }: Notice): void {
  toaster.create({
    // What stands there already is not said a second time beside it; what can be undone is each its own.
    ...(!undo && { id: text }),
    description: text,
    closable: true,
    duration: (undo ? SECONDS_TO_UNDO : SECONDS_TO_READ) * 1000,
    ...(undo && { action: { label: say('common.undo'), onClick: () => undoAndStay(undo) } }),
  });
}

/**
 * A message that has the focus stays; one that is closed gives it back to where it came from. By itself the toaster would give it back
 * whenever it is left, by Tab too: nobody got past a message.
 */
function useFocusOnMessages(toaster: ReturnType<typeof newToaster>) {
  const cameFrom = useRef<HTMLElement | null>(null);
  const isAmong = ({ currentTarget }: FocusEvent, other: EventTarget | null) =>
    other instanceof Node && currentTarget.parentElement?.contains(other) === true;
  const goBack = () => {
    if (cameFrom.current?.isConnected) cameFrom.current.focus({ preventScroll: true });
    else toScreen();
  };
  return {
    goBack,
    ofMessage: {
      onFocus(event: FocusEvent) {
        event.stopPropagation();
        toaster.pause();
        if (isAmong(event, event.relatedTarget)) return;
        cameFrom.current = event.relatedTarget instanceof HTMLElement ? event.relatedTarget : null;
      },
      onBlur(event: FocusEvent) {
        if (!isAmong(event, event.relatedTarget)) toaster.resume();
      },
      onKeyDown({ key }: KeyboardEvent) {
        if (key === 'Escape') goBack();
      },
    },
  };
}

/** Draws the notices, each once. */
export default function Toasts({ notices }: { notices: readonly Notice[] }) {
  const [toaster] = useState(newToaster);
  const shown = useRef(0);
  const { goBack, ofMessage } = useFocusOnMessages(toaster);
  useEffect(() => {
    const fresh = notices.slice(shown.current);
    shown.current = notices.length;
    // The toaster listens only after its own first effects.
    setTimeout(() => fresh.forEach((notice) => show(toaster, notice)));
  }, [notices, toaster]);
  return (
    <Portal>
      <Toaster toaster={toaster} insetInline={{ base: '12px' }} data-noprint>
        {(toast) => (
          <Toast.Root
            width={{ base: 'calc(100vw - 24px)', md: '420px' }}
            bg="ink"
            color="paper"
            boxShadow="none"
            {...ofMessage}
          >
            <Box flex="1" fontSize="16px">
              <Toast.Description>{toast.description}</Toast.Description>
            </Box>
            {toast.action && (
              <Toast.ActionTrigger asChild>
                <Button size="sm" minHeight="44px" bg="paper" color="ink">
                  {toast.action.label}
                </Button>
              </Toast.ActionTrigger>
            )}
            <Toast.CloseTrigger color="paper" aria-label={say('common.closeMessage')} onClick={goBack} />
          </Toast.Root>
        )}
      </Toaster>
    </Portal>
  );
}
