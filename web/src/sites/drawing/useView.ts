import type { Outline } from '@steady-scatter/core/ground';
import { useEffect, useRef, useState } from 'react';
import { stillFits, viewOf, type View } from './view.ts';

const HEIGHT = { phone: 300, desk: 425 };

/** The width that the drawing has, and the height that goes with it. */
export function useSize() {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = box.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => setWidth(Math.floor(element.clientWidth)));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { box, width, height: width > 0 && width < 480 ? HEIGHT.phone : HEIGHT.desk };
}

/** The view of the drawing: stays while everything is in it, and never changes under a finger. */
export function useView(
  outlines: readonly Outline[],
  width: number,
  height: number,
  isDragging: boolean,
): View {
  const [held, setHeld] = useState<{ view: View; width: number; height: number } | null>(null);
  const sameSize = held?.width === width && held.height === height;
  if (held && sameSize && (isDragging || stillFits(held.view, outlines, width, height))) return held.view;
  const view = viewOf(outlines, width, height);
  // A drawing too thin to fill half the view is seen as well as it can be.
  if (held && sameSize && JSON.stringify(held.view) === JSON.stringify(view)) return held.view;
  setHeld({ view, width, height });
  return view;
}
