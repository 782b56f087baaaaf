import { Popover, Portal } from '@chakra-ui/react';
import { getTabbables } from '@zag-js/dom-query';
import type { ReactNode } from 'react';
import type { PanelPlace } from './PanelButton.tsx';

type Props = { place: PanelPlace; label: string; width: string; children: ReactNode };

/** The focus goes into a panel that has come: to its first choice, or to the panel while its choices are on their way. */
function takeFocus(panel: HTMLElement | null): void {
  if (panel === null) return;
  requestAnimationFrame(() => {
    const at = document.activeElement;
    if (at === panel || !panel.contains(at)) (getTabbables(panel)[0] ?? panel).focus({ preventScroll: true });
  });
}

/** A small panel at its button: closes by Esc, by a press elsewhere, or by a choice in it. */
export function SmallPanel({ place: { anchor, close }, label, width, children }: Props) {
  return (
    <Popover.Root
      open
      onOpenChange={({ open }) => !open && close()}
      positioning={{ placement: 'bottom-start', getAnchorRect: () => anchor.getBoundingClientRect() }}
    >
      <Portal>
        <Popover.Positioner>
          <Popover.Content
            ref={takeFocus}
            width={width}
            maxHeight="min(70vh, var(--available-height, 70vh))"
            overflowY="auto"
            bg="paper"
            aria-label={label}
          >
            <Popover.Body padding="12px">{children}</Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}
