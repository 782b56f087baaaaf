import { Box } from '@chakra-ui/react';
import {
  fromSi,
  UNITS,
  type CalibrationReading,
  type CalibrationTyped,
  type Mark,
} from '@steady-scatter/core';
import { Chart, Legend, LinearScale, LineElement, PointElement, Tooltip, type ChartData, type ChartOptions, type Plugin } from 'chart.js'; // prettier-ignore
import { useMemo } from 'react';
import { Scatter } from 'react-chartjs-2';
import { useInk, FIGURES, type Ink } from '../ui/useInk.ts';

Chart.register(LinearScale, PointElement, LineElement, Tooltip, Legend);

interface Point {
  x: number;
  y: number;
  /** Half-width of the band, in the unit of the chart. */
  band?: number;
}

/** The target with its tolerance as a band, and a bar through each mean. */
const bandsAndBars = (target: number | null, tolerance: number, ink: Ink): Plugin<'scatter'> => ({
  id: 'bands-and-bars',
  beforeDatasetsDraw({ ctx, chartArea: { left, right }, scales }) {
    const y = scales['y'];
    if (target === null || !y) return;
    const [top, bottom] = [
      y.getPixelForValue(target * (1 + tolerance)),
      y.getPixelForValue(target * (1 - tolerance)),
    ];
    ctx.save();
    ctx.fillStyle = `${ink.act}22`;
    ctx.fillRect(left, top, right - left, bottom - top);
    ctx.strokeStyle = ink.act;
    ctx.setLineDash([6, 4]);
    ctx.beginPath();
    ctx.moveTo(left, y.getPixelForValue(target));
    ctx.lineTo(right, y.getPixelForValue(target));
    ctx.stroke();
    ctx.restore();
  },
  afterDatasetsDraw({ ctx, data, scales }) {
    const [x, y] = [scales['x'], scales['y']];
    if (!x || !y) return;
    ctx.save();
    ctx.strokeStyle = ink.ink;
    ctx.lineWidth = 2;
    for (const { data: points } of data.datasets)
      for (const { x: at, y: mean, band } of points as Point[]) {
        if (!band) continue;
        const [px, high, low] = [
          x.getPixelForValue(at),
          y.getPixelForValue(mean + band),
          y.getPixelForValue(mean - band),
        ];
        ctx.beginPath();
        ctx.moveTo(px, high);
        ctx.lineTo(px, low);
        for (const end of [high, low]) {
          ctx.moveTo(px - 5, end);
          ctx.lineTo(px + 5, end);
        }
        ctx.stroke();
      }
    ctx.restore();
  },
});

const CURVE_STEPS = 120;

function dataOf(
  { advice, runs, targetKgPerM2 }: CalibrationReading,
  typed: CalibrationTyped,
  ink: Ink,
): ChartData<'scatter', Point[]> {
  const inUnit = (kgPerM2: number) => fromSi(kgPerM2, typed.target.unit);
  const curve = advice?.curve;
  const line = curve
    ? Array.from({ length: CURVE_STEPS + 1 }, (_, at): Point => {
        const x = curve.from + ((curve.to - curve.from) * at) / CURVE_STEPS;
        return { x, y: inUnit(curve.at(x)) };
      })
    : [];
  const each = runs.flatMap(({ mark, worked, counts }) => (counts && mark && worked ? [{ x: mark.opening, y: inUnit(worked.rateKgPerM2) }] : [])); // prettier-ignore
  const means = (advice?.means ?? []).map(({ setting, mean, uRelative }): Point => ({ x: setting, y: inUnit(mean), band: inUnit(mean * uRelative) })); // prettier-ignore
  const next =
    advice && targetKgPerM2 !== null
      ? [{ x: advice.setting, y: inUnit(advice.expected ?? targetKgPerM2) }]
      : [];
  return {
    datasets: [
      {
        label: 'curve',
        pointStyle: 'line',
        data: line,
        showLine: true,
        borderColor: ink.ink,
        borderWidth: 2,
        pointRadius: 0,
      },
      { label: 'runs', data: each, backgroundColor: ink.water, pointRadius: 4 },
      {
        label: 'mean with its band',
        data: means,
        backgroundColor: ink.ink,
        pointRadius: 5,
        pointStyle: 'rect',
      },
      {
        label: 'set next',
        data: next,
        backgroundColor: ink.tape,
        borderColor: ink['tape-ink'],
        borderWidth: 2,
        pointRadius: 9,
        pointStyle: 'triangle',
      },
    ],
  };
}

function optionsOf(
  marks: readonly Mark[],
  unit: string,
  ink: Ink,
  controlName: string,
): ChartOptions<'scatter'> {
  const font = { family: FIGURES, size: 14 };
  const axis = (text: string) => ({
    title: { display: true, text, color: ink.ink, font },
    ticks: { color: ink.ink, font },
    grid: { color: ink.line },
  });
  return {
    animation: false,
    maintainAspectRatio: false,
    scales: {
      x: {
        ...axis(controlName),
        min: 0,
        max: marks.at(-1)?.opening ?? 10,
        ticks: {
          color: ink.ink,
          font,
          callback: (value) => marks.find(({ opening }) => opening === Number(value))?.label ?? '',
        },
      },
      y: { ...axis(unit), beginAtZero: true },
    },
    plugins: {
      legend: { labels: { color: ink.ink, font, usePointStyle: true, boxWidth: 10 } },
      tooltip: { enabled: false },
    },
  };
}

interface Props {
  typed: CalibrationTyped;
  reading: CalibrationReading;
  marks: readonly Mark[];
}

/** Setting against rate: runs, means with their bands, the curve through them, the target and the mark to set. */
export default function SettingChart({ typed, reading, marks }: Props) {
  const ink = useInk();
  const { targetKgPerM2, tolerance } = reading;
  const data = useMemo(() => dataOf(reading, typed, ink), [reading, typed, ink]);
  const options = useMemo(
    () => optionsOf(marks, UNITS[typed.target.unit].symbol, ink, 'setting'),
    [marks, typed.target.unit, ink],
  );
  const plugin = useMemo(
    () =>
      bandsAndBars(targetKgPerM2 === null ? null : fromSi(targetKgPerM2, typed.target.unit), tolerance, ink),
    [targetKgPerM2, tolerance, typed.target.unit, ink],
  );
  if (marks.length === 0) return null;
  return (
    <Box height={{ base: '280px', md: '340px' }} marginTop="12px">
      <Scatter
        key={JSON.stringify([targetKgPerM2, tolerance, ink.ink])}
        role="img"
        aria-label="Setting against rate: the runs, their means with bands, and the curve. The table below has the rates."
        data={data}
        options={options}
        plugins={[plugin]}
      />
    </Box>
  );
}
