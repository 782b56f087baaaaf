import type { Mark } from '@steady-scatter/core/machines';
import type { ChartOptions } from 'chart.js';
import { say } from '@steady-scatter/words/bench';
import { CHART_FONT, chartAxis } from '../charts/chartAxis.ts';
import type { Ink } from '../charts/useInk.ts';

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
  return {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    scales: {
      x: {
        ...chartAxis(say('bench.chart.axis', { control }), ink),
        min: 0,
        max: marks.at(-1)?.opening ?? 10,
        grid: { display: false },
        ticks: {
          color: ink.ink,
          font: CHART_FONT,
          callback: (value) => marks.find(({ opening }) => opening === Number(value))?.label ?? '',
        },
      },
      y: { ...chartAxis(unit, ink), beginAtZero: true, suggestedMax: 1.15 * Math.max(...tops) },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
}
