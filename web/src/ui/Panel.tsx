import { CloseButton, Dialog, Portal } from '@chakra-ui/react';
import { useEffect, useState, type ReactNode } from 'react';
import { say } from '@steady-scatter/words/common';

type Props = {
  title: string;
  children: ReactNode;
  onClose(): void;
  size?: 'sm' | 'md' | 'lg';
  footer?: ReactNode;
};

/** A dialog over the screen; closing it gives the focus back to where it was. */
export function Panel({ title, children, onClose, size = 'sm', footer }: Props) {
  // Noted before anything in it is drawn, and takes the focus by itself; that may also be closed before the dialog has noted anything.
  const [before] = useState(() => document.activeElement);
  useEffect(
    () => () =>
      void setTimeout(() => {
        const isLost = document.activeElement === document.body;
        if (isLost && before instanceof HTMLElement) before.focus();
      }),
    [before],
  );
  return (
    <Dialog.Root
      open
      onOpenChange={({ open }) => !open && onClose()}
      size={size}
      placement="center"
      scrollBehavior="inside"
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner padding="12px">
          <Dialog.Content bg="paper" color="ink" borderRadius="12px">
            <Dialog.Header paddingBottom="8px">
              <Dialog.Title fontSize="20px" fontFamily="body">
                {title}
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body fontSize="16px">{children}</Dialog.Body>
            {footer && <Dialog.Footer flexWrap="wrap">{footer}</Dialog.Footer>}
            <Dialog.CloseTrigger asChild>
              <CloseButton size="md" variant="ghost" aria-label={say('common.close')} />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
