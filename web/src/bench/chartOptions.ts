import type { Mark } from '@steady-scatter/core';
import type { ChartOptions } from 'chart.js';
import { FIGURES, type Ink } from '../ui/useInk.ts';

interface Asked {
  readonly marks: readonly Mark[];
  readonly unit: string;
  readonly ink: Ink;
  readonly control: string;
  /** Values that have to be in view. */
  readonly tops: readonly number[];
}

/** A chart of marks against rates: marks by their names, rates from nothing up. */
export function chartOptions({ marks, unit, ink, control, tops }: Asked): ChartOptions<'scatter'> {
  const font = { family: FIGURES, size: 14 };
  const axis = (text: string) => ({
    title: { display: true, text, color: ink.ink, font },
    ticks: { color: ink.ink, font },
    grid: { color: ink.line },
  });
  return {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    scales: {
      x: {
        ...axis(`mark on the ${control}`),
        min: 0,
        max: marks.at(-1)?.opening ?? 10,
        grid: { display: false },
        ticks: {
          color: ink.ink,
          font,
          callback: (value) => marks.find(({ opening }) => opening === Number(value))?.label ?? '',
        },
      },
      y: { ...axis(unit), beginAtZero: true, suggestedMax: 1.15 * Math.max(...tops) },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
}
