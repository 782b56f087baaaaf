import { chakra } from '@chakra-ui/react';
import { startTransition, Suspense, useRef, useState, type ComponentProps, type ReactNode } from 'react';

const Trigger = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    alignSelf: 'center',
    gap: '1px',
    minHeight: '28px',
    minWidth: '24px',
    color: 'ink.soft',
    fontSize: 'inherit',
    paddingX: '3px',
    borderRadius: '4px',
    cursor: 'pointer',
    _hover: { bg: 'soft', color: 'ink' },
    '@media (pointer: coarse)': { minHeight: '44px', minWidth: '36px' },
    '@media print': { '& svg': { display: 'none' } },
  },
});

/** What a panel needs to stand at its button and to close. */
export interface PanelPlace {
  readonly anchor: HTMLElement;
  close(): void;
}

type Props = Omit<ComponentProps<typeof Trigger>, 'onClick'> & {
  children: ReactNode;
  renderPanel(place: PanelPlace): ReactNode;
};

/**
 * A button in the text that opens a small panel. The panel's code is loaded when one is first opened, so that a sheet
 * of two hundred areas carries two hundred plain buttons and nothing more.
 */
export function PanelButton({ children, renderPanel, ...rest }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // A press on the button of an open panel closes the panel first; the click that follows must not open it again.
  const pressedWhileOpen = useRef(false);
  const close = () => {
    const button = anchor;
    setAnchor(null);
    setTimeout(() => {
      if (document.activeElement === document.body) button?.focus();
    }, 30);
  };
  return (
    <>
      <Trigger
        type="button"
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onPointerDown={() => {
          pressedWhileOpen.current = anchor !== null;
        }}
        onClick={(event) => {
          const next = pressedWhileOpen.current ? null : event.currentTarget;
          // While its part comes the screen stays as it is.
          startTransition(() => setAnchor(next));
          pressedWhileOpen.current = false;
        }}
        {...rest}
      >
        {children}
      </Trigger>
      <Suspense fallback={null}>{anchor && renderPanel({ anchor, close })}</Suspense>
    </>
  );
}
