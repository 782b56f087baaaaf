import { BarElement, CategoryScale, Chart, Legend, LinearScale, type ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Bar } from 'react-chartjs-2';
import { NUTRIENTS } from '@steady-scatter/core/need';
import { fromSi, UNITS, type MassPerAreaUnit } from '@steady-scatter/core/quantities';
import type { LedgerArea } from '@steady-scatter/core/regulations';
import { say } from '@steady-scatter/words/ledger';
import { CHART_FONT, chartAxis } from '../charts/chartAxis.ts';
import { ChartBox } from '../charts/ChartBox.tsx';
import { useInk } from '../charts/useInk.ts';
import { monthName } from './ledgerTexts.ts';

Chart.register(CategoryScale, LinearScale, BarElement, Legend);

const SHOWN = ['N', 'P2O5', 'K2O'] as const;

/** What was delivered in each month of the year, nutrient beside nutrient. */
export default function MonthChart({ area, months, unit }: { area: LedgerArea; months: readonly string[]; unit: MassPerAreaUnit }) {
  const ink = useInk();
  const data = useMemo(() => {
    const by = new Map(area.months.map((each) => [each.month, each]));
    const colours = [ink.act, ink.tape, ink.water];
    return {
      labels: months.map(monthName),
      datasets: SHOWN.map((nutrient, index) => ({
        label: NUTRIENTS[nutrient].symbol,
        data: months.map((month) => fromSi(by.get(month)?.perM2[nutrient] ?? 0, unit)),
        backgroundColor: colours[index],
        borderColor: ink.ink,
        borderWidth: index,
      })),
    };
  }, [area, months, unit, ink]);
  const options = useMemo(
    (): ChartOptions<'bar'> => ({
      animation: false,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: { ticks: { color: ink.ink, font: CHART_FONT }, grid: { display: false } },
        y: { ...chartAxis(UNITS[unit].symbol, ink), beginAtZero: true },
      },
      plugins: { legend: { labels: { color: ink.ink, font: CHART_FONT, boxWidth: 16 } }, tooltip: { enabled: false } },
    }),
    [unit, ink],
  );
  return (
    <ChartBox height="220px">
      <Bar role="img" aria-label={say('ledger.chart', { area: area.areaName })} data={data} options={options} />
    </ChartBox>
  );
} // prettier-ignore
