import { FIGURES, type Ink } from './useInk.ts';

/** The face of figures on a chart, which does not inherit that of the page. */
export const CHART_FONT = { family: FIGURES, size: 14 };

/** An axis in the colours of the theme. */
export const chartAxis = (text: string, ink: Ink) => ({
  title: { display: true, text, color: ink.ink, font: CHART_FONT },
  ticks: { color: ink.ink, font: CHART_FONT },
  grid: { color: ink.line },
});
