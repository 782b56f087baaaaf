import { Box } from '@chakra-ui/react';
import { fromSi, UNITS, type LengthUnit } from '@steady-scatter/core/quantities';
import type { WidthResult } from '@steady-scatter/core/width';
import { Chart, LinearScale, LineElement, PointElement, type ChartData, type ChartOptions, type Plugin } from 'chart.js'; // prettier-ignore
import { useEffect, useMemo, useRef } from 'react';
import { Scatter } from 'react-chartjs-2';
import { say } from '@steady-scatter/words/width';
import { chartAxis } from '../charts/chartAxis.ts';
import { FIGURES, useInk, type Ink } from '../charts/useInk.ts';
import { ChartBox } from '../charts/ChartBox.tsx';

Chart.register(LinearScale, PointElement, LineElement);

type Points = { x: number; y: number }[];
const MAX_POINTS = 220;
const MAX_CV = 60;

/** A curve thinned to what a screen can show. */
function thinned(sweep: { spacingM: readonly number[]; cv: readonly number[] }, unit: LengthUnit): Points {
  const step = Math.max(1, Math.floor(sweep.spacingM.length / MAX_POINTS));
  return sweep.spacingM.flatMap((spacing, index) =>
    index % step === 0 ? [{ x: fromSi(spacing, unit), y: Math.min(MAX_CV, 100 * sweep.cv[index]!) }] : [],
  );
}

interface Marks {
  readonly limit: number;
  readonly looked: number | null;
  readonly recommended: number | null;
}

/** What the chart draws over its curves: it changes with each frame of a drag, without the curves being drawn anew. */
interface MarksHolder {
  get(): Marks;
  set(marks: Marks): void;
}

function holdMarks(): MarksHolder {
  let held: Marks = { limit: 15, looked: null, recommended: null };
  return {
    get: () => held,
    set(marks) {
      held = marks;
    },
  };
}

/** The limit across, the recommended spacing and the one looked at, drawn over whatever the chart shows. */
const marksOver = (marks: MarksHolder, ink: Ink): Plugin<'scatter'> => ({
  id: 'marks-over',
  afterDatasetsDraw({ ctx, chartArea: { left, right, top, bottom }, scales }) {
    const [x, y] = [scales['x'], scales['y']];
    if (!x || !y) return;
    const { limit, looked, recommended } = marks.get();
    ctx.save();
    ctx.font = `14px ${FIGURES}`;
    ctx.lineWidth = 2;
    ctx.strokeStyle = ink.warn;
    ctx.fillStyle = ink.warn;
    ctx.setLineDash([6, 4]);
    const py = y.getPixelForValue(limit);
    ctx.beginPath();
    ctx.moveTo(left, py);
    ctx.lineTo(right, py);
    ctx.stroke();
    ctx.textAlign = 'left';
    ctx.fillText(say('width.chart.limit', { limit }), left + 6, py - 6);
    ctx.setLineDash([]);
    const line = (value: number, colour: string, width: number, words: string, above: boolean) => {
      const px = x.getPixelForValue(value);
      ctx.strokeStyle = colour;
      ctx.fillStyle = colour;
      ctx.lineWidth = width;
      ctx.beginPath();
      ctx.moveTo(px, top);
      ctx.lineTo(px, bottom);
      ctx.stroke();
      const isRight = px > (left + right) / 2;
      ctx.textAlign = isRight ? 'right' : 'left';
      ctx.fillText(words, px + (isRight ? -6 : 6), above ? top + 14 : top + 32);
    };
    if (recommended !== null) line(recommended, ink.act, 4, 'recommended', true);
    if (looked !== null && looked !== recommended) line(looked, ink.ink, 2, say('width.chart.looked'), false);
    ctx.restore();
  },
});

function optionsOf(unit: LengthUnit, ink: Ink): ChartOptions<'scatter'> {
  return {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    scales: {
      x: chartAxis(say('width.chart.spacing', { unit: UNITS[unit].symbol }), ink),
      y: { ...chartAxis(say('width.chart.cv'), ink), min: 0, suggestedMax: 40 },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
}

interface Props {
  reading: WidthResult;
  unit: LengthUnit;
  /** The spacing that is looked at, m. */
  lookedM: number | null;
}

/** How uneven passes are at each spacing, in both modes, with the limit and where one looks. */
export default function UnevenChart({ reading, unit, lookedM }: Props) {
  const ink = useInk();
  const { sweeps, limit, recommendedM } = reading;
  const data = useMemo((): ChartData<'scatter', Points> | null => {
    if (!sweeps) return null;
    const line = { showLine: true, pointRadius: 0, borderWidth: 2.5 };
    return {
      datasets: [
        { ...line, data: thinned(sweeps['back-and-forth'], unit), borderColor: ink.ink },
        { ...line, data: thinned(sweeps['one-way'], unit), borderColor: ink.water, borderDash: [8, 5] },
      ],
    };
  }, [sweeps, unit, ink]);
  const options = useMemo(() => optionsOf(unit, ink), [unit, ink]);
  const marks = useMemo(() => holdMarks(), []);
  const plugin = useMemo(() => marksOver(marks, ink), [marks, ink]);
  const chart = useRef<Chart<'scatter', Points>>(null);
  useEffect(() => {
    marks.set({
      limit: Math.round(1000 * limit) / 10,
      looked: lookedM === null ? null : fromSi(lookedM, unit),
      recommended: recommendedM === null ? null : fromSi(recommendedM, unit),
    });
    chart.current?.draw();
  });
  if (!data) return null;
  return (
    <Box>
      <ChartBox height={{ base: '250px', md: '270px' }}>
        <Scatter
          key={ink.ink}
          ref={chart}
          role="img"
          aria-label={say('width.chart.label')}
          data={data}
          options={options}
          plugins={[plugin]}
        />
      </ChartBox>
      <Box fontSize="14px" color="ink.soft">
        {say('width.chart.legend')}
      </Box>
    </Box>
  );
}
