import { BarElement, CategoryScale, Chart, LinearScale, type ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Bar } from 'react-chartjs-2';
import { fromSi, UNITS, type MassUnit } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/winter';
import { CHART_FONT, chartAxis } from '../../charts/chartAxis.ts';
import { ChartBox } from '../../charts/ChartBox.tsx';
import { useInk } from '../../charts/useInk.ts';
import type { Part } from './useSeason.ts';

Chart.register(CategoryScale, LinearScale, BarElement);

/** Long names are cut where a bar has no room for them. */
const MAX_NAME = 18;
const short = (name: string): string => (name.length > MAX_NAME ? `${name.slice(0, MAX_NAME - 1)}…` : name);

/** Salt of each storm, a bar beside the other. */
export default function SaltChart({ parts, unit }: { parts: readonly Part[]; unit: MassUnit }) {
  const ink = useInk();
  const data = useMemo(
    () => ({
      labels: parts.map(({ name }) => short(name)),
      datasets: [
        {
          data: parts.map(({ sums }) => fromSi(sums.saltKg, unit)),
          backgroundColor: ink.act,
          maxBarThickness: 64,
        },
      ],
    }),
    [parts, unit, ink],
  );
  const options = useMemo(
    (): ChartOptions<'bar'> => ({
      animation: false,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: { ticks: { color: ink.ink, font: CHART_FONT, autoSkip: true }, grid: { display: false } },
        y: { ...chartAxis(say('winter.season.axis', { unit: UNITS[unit].symbol }), ink), beginAtZero: true },
      },
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
    }),
    [unit, ink],
  );
  return (
    <ChartBox height="260px">
      <Bar role="img" aria-label={say('winter.season.chart')} data={data} options={options} />
    </ChartBox>
  );
}
