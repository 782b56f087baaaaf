import { getTabbables } from '@zag-js/dom-query';
import { useEffect, type RefObject } from 'react';

/** What stands where a node was taken out; what stands before it, if nothing follows. */
function besides(place: MutationRecord, screen: HTMLElement): HTMLElement | undefined {
  const { target, previousSibling } = place;
  const before = previousSibling?.isConnected ? previousSibling : target;
  const follows = (element: HTMLElement): boolean =>
    (before.compareDocumentPosition(element) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0 &&
    !(before === previousSibling && before.contains(element));
  const around = getTabbables(screen);
  return around.find(follows) ?? around.at(-1);
}

/**
 * Who holds no mouse goes on from where they are: a button that had the focus, and is gone with the one act that it stood for, hands it on to
 * what stands there now. It would fall to the page as a whole, and be told from its top.
 */
export function useFocusHandedOn(screen: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const root = screen.current!;
    let held: Element | null = null;
    let heldAt = '';
    let isByKey = false;
    const note = ({ target }: FocusEvent) => {
      held = target instanceof Element ? target : null;
      heldAt = window.location.pathname;
    };
    const onKey = () => {
      isByKey = true;
    };
    const onPointer = () => {
      isByKey = false;
    };
    const observer = new MutationObserver((changes) => {
      if (held === null || held.isConnected || document.activeElement !== document.body) return;
      const gone = held;
      held = null;
      // Another screen has a beginning of its own.
      if (!isByKey || heldAt !== window.location.pathname) return;
      const place = changes.find(({ removedNodes }) => [...removedNodes].some((node) => node.contains(gone)));
      if (place?.target.isConnected) besides(place, root)?.focus();
    });
    root.addEventListener('focusin', note);
    root.addEventListener('keydown', onKey, true);
    root.addEventListener('pointerdown', onPointer, true);
    observer.observe(root, { childList: true, subtree: true });
    return () => {
      root.removeEventListener('focusin', note);
      root.removeEventListener('keydown', onKey, true);
      root.removeEventListener('pointerdown', onPointer, true);
      observer.disconnect();
    };
  }, [screen]);
}
