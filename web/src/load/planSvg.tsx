import type { AreaRun } from '@steady-scatter/core/runSheet';
import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';
import { PlanSvg } from './PlanDrawing.tsx';

/** Inks of paper: what is drawn with those of the theme on the screen. */
const PAPER_INKS: Readonly<Record<string, string>> = {
  ink: '#14201c',
  'ink-soft': '#46554f',
  act: '#0d5c4d',
  paper: '#ffffff',
  water: '#1f6f9f',
  tape: '#f6c83b',
  warn: '#b0410e',
};

/** The drawing of an area as a file of its own, in the inks of paper. */
export function planSvg(run: AreaRun, label: string, width: number, highest: number): string {
  const box = document.createElement('div');
  const root = createRoot(box);
  flushSync(() => root.render(<PlanSvg run={run} label={label} width={width} highest={highest} />));
  const drawn = box.innerHTML.replace(
    /var\(--chakra-colors-([\w-]+)\)/g,
    (_, ink: string) => PAPER_INKS[ink] ?? '#14201c',
  );
  root.unmount();
  return drawn.replace('<svg ', '<svg xmlns="http://www.w3.org/2000/svg" font-family="sans-serif" ');
}
