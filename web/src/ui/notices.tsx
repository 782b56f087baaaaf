import { Box, Button, createToaster, Portal, Toast, Toaster } from '@chakra-ui/react';
import { createContext, use, useMemo, type ReactNode } from 'react';

/** Short messages at the foot of the screen; the one for a delete carries its undo. */
export interface Notices {
  tell(text: string): void;
  undoable(text: string, undo: () => void): void;
}

const NoticesContext = createContext<Notices | null>(null);
const SECONDS_TO_UNDO = 30;

const toaster = createToaster({ placement: 'bottom', pauseOnPageIdle: true, max: 3 });

export function NoticesProvider({ children }: { children: ReactNode }) {
  const notices = useMemo<Notices>(
    () => ({
      tell: (text) => void toaster.create({ description: text, duration: 5000, closable: true }),
      undoable: (text, undo) =>
        void toaster.create({
          description: text,
          duration: SECONDS_TO_UNDO * 1000,
          closable: true,
          action: { label: 'Undo', onClick: undo },
        }),
    }),
    [],
  );
  return (
    <NoticesContext value={notices}>
      {children}
      <Portal>
        <Toaster toaster={toaster} insetInline={{ base: '12px' }} data-noprint>
          {(toast) => (
            <Toast.Root
              width={{ base: 'calc(100vw - 24px)', md: '420px' }}
              bg="ink"
              color="paper"
              boxShadow="none"
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
              <Toast.CloseTrigger color="paper" aria-label="Close this message" />
            </Toast.Root>
          )}
        </Toaster>
      </Portal>
    </NoticesContext>
  );
}

/** The notices of the app. */
export function useNotices(): Notices {
  const notices = use(NoticesContext);
  if (!notices) throw new Error('useNotices needs a NoticesProvider above it.');
  return notices;
}
