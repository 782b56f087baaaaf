import { Box } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import type { Mark } from '@steady-scatter/core/machines';
import {
  settingPicture,
  type CalibrationInput,
  type ChartPoint,
  type SettingPicture,
} from '@steady-scatter/core/testing';
import { Chart, LinearScale, LineElement, PointElement, Filler, type ChartData, type Plugin } from 'chart.js';
import { memo, useMemo } from 'react';
import { Scatter } from 'react-chartjs-2';
import { say } from '@steady-scatter/words/bench';
import { FIGURES, useInk, type Ink } from '../charts/useInk.ts';
import type { CalibrationContext } from './calibrationContext.ts';
import { chartOptions } from './chartOptions.ts';
import { ChartBox } from '../charts/ChartBox.tsx';

Chart.register(LinearScale, PointElement, LineElement, Filler);

/** What is said on the chart itself. */
interface Said {
  readonly target: string;
  readonly next: string;
}

/** Rates that a chart is held against besides its own: from low to high in its unit, and what they are for. */
export interface RateBand {
  readonly low: number;
  readonly high: number;
  readonly label: string;
}
const NO_BANDS: readonly RateBand[] = [];

/** What is drawn over the chart comes with its first dataset: a chart that stands takes new data and is not made anew. */
interface Over {
  readonly picture: SettingPicture;
  readonly bands: readonly RateBand[];
  readonly said: Said;
  readonly ink: Ink;
}
const overOf = (chart: Chart): Over => (chart.data.datasets[0] as unknown as { over: Over }).over;

interface BandPlace {
  readonly left: number;
  readonly right: number;
  readonly ink: Ink;
  pixelOf(rate: number): number;
}

/** Bands beside each other in turn shaded and not, so that each is told from the next; named at their right end. */
function drawBands(ctx: CanvasRenderingContext2D, bands: readonly RateBand[], place: BandPlace): void {
  const { left, right, ink, pixelOf } = place;
  ctx.save();
  ctx.font = `13px ${FIGURES}`;
  ctx.textAlign = 'right';
  ctx.textBaseline = 'middle';
  for (const [at, { low, high, label }] of bands.entries()) {
    const [top, bottom] = [pixelOf(high), pixelOf(low)];
    ctx.fillStyle = `${ink.tape}${at % 2 === 0 ? '66' : '2e'}`;
    ctx.fillRect(left, top, right - left, bottom - top);
    ctx.fillStyle = ink.ink;
    ctx.fillText(label, right - 6, (top + bottom) / 2);
  }
  ctx.restore();
}

/** The rate that is wanted as a band, bars through the means, the mark to set, and what each is, at its place. */
const DRAWN_OVER: Plugin<'scatter'> = {
  id: 'drawn-over',
  beforeDatasetsDraw(chart) {
    const { ctx, chartArea: { left, right }, scales } = chart; // prettier-ignore
    const { picture, bands, said, ink } = overOf(chart);
    const y = scales['y'];
    const { target } = picture;
    if (y) drawBands(ctx, bands, { left, right, pixelOf: (rate) => y.getPixelForValue(rate), ink });
    if (!target || !y) return;
    const [top, bottom] = [target.y + target.band, target.y - target.band].map((value) =>
      y.getPixelForValue(value),
    ) as [number, number];
    ctx.save();
    ctx.fillStyle = `${ink.tape}8c`;
    ctx.fillRect(left, top, right - left, bottom - top);
    ctx.fillStyle = ink.ink;
    ctx.font = `14px ${FIGURES}`;
    // On the side where the mark to set is not.
    const markPx = picture.next && scales['x'] ? scales['x'].getPixelForValue(picture.next.x) : left;
    const isRight = markPx < (left + right) / 2;
    ctx.textAlign = isRight ? 'right' : 'left';
    ctx.textBaseline = 'middle';
    ctx.fillText(said.target, isRight ? right - 6 : left + 6, (top + bottom) / 2);
    ctx.restore();
  },
  afterDatasetsDraw(chart) {
    const { ctx, chartArea: { bottom, left }, scales } = chart; // prettier-ignore
    const { picture, said, ink } = overOf(chart);
    const [x, y] = [scales['x'], scales['y']];
    if (!x || !y) return;
    ctx.save();
    ctx.strokeStyle = ink.ink;
    ctx.lineWidth = 2;
    for (const { x: at, y: mean, band } of picture.means) {
      const [px, high, low] = [x.getPixelForValue(at), y.getPixelForValue(mean + band), y.getPixelForValue(mean - band)]; // prettier-ignore
      ctx.beginPath();
      ctx.moveTo(px, high);
      ctx.lineTo(px, low);
      ctx.stroke();
    }
    if (picture.next) {
      const [px, py] = [x.getPixelForValue(picture.next.x), y.getPixelForValue(picture.next.y)];
      ctx.strokeStyle = ink.warn;
      ctx.setLineDash([2, 4]);
      ctx.beginPath();
      ctx.moveTo(px, py + 9);
      ctx.lineTo(px, bottom);
      ctx.stroke();
      ctx.setLineDash([]);
      ctx.lineWidth = 3;
      ctx.strokeRect(px - 8, py - 8, 16, 16);
      ctx.fillStyle = ink.warn;
      ctx.font = `bold 15px ${FIGURES}`;
      const isLeft = px - left > 90;
      ctx.textAlign = isLeft ? 'right' : 'left';
      ctx.fillText(said.next, px + (isLeft ? -14 : 14), py - 12);
    }
    ctx.restore();
  },
};
const PLUGINS = [DRAWN_OVER];

type Points = { x: number; y: number }[];
const plain = (points: readonly ChartPoint[]): Points => points.map(({ x, y }) => ({ x, y }));
const edge = (points: readonly ChartPoint[], side: 1 | -1): Points => points.map(({ x, y, band }) => ({ x, y: Math.max(0, y + side * band) })); // prettier-ignore

function dataOf(over: Over): ChartData<'scatter', Points> {
  const { picture, ink } = over;
  const line = { showLine: true, pointRadius: 0, borderWidth: 1 };
  return {
    datasets: [
      { ...line, data: edge(picture.curve, 1), borderColor: 'transparent', fill: '+1', backgroundColor: `${ink.act}22`, over } as never,
      { ...line, data: edge(picture.curve, -1), borderColor: 'transparent' },
      { ...line, data: plain(picture.slower), borderColor: ink['ink-soft'], borderDash: [2, 5] },
      { ...line, data: plain(picture.faster), borderColor: ink['ink-soft'], borderDash: [8, 5] },
      { ...line, data: plain(picture.curve), borderColor: ink.ink, borderWidth: 2.5 },
      { data: plain(picture.runs), backgroundColor: 'transparent', borderColor: ink.act, borderWidth: 1.5, pointRadius: 4 },
      { data: plain(picture.means), backgroundColor: ink.act, borderColor: ink.act, pointRadius: 6 },
    ],
  }; // prettier-ignore
}

interface Props {
  input: CalibrationInput;
  on: CalibrationContext;
  marks: readonly Mark[];
  bands?: readonly RateBand[];
}

/** Setting against rate: runs, means with their bands, the curve with its own, other paces, what is wanted and the mark to set. */
function SettingChartOf({ input, on: { reading, bench, rig }, marks, bands = NO_BANDS }: Props) {
  const ink = useInk();
  const { unit } = input.target;
  const picture = useMemo(() => settingPicture(reading, unit, bench.kind), [reading, unit, bench.kind]);
  const control = rig?.control.name || say('bench.chart.control');
  const options = useMemo(
    () =>
      chartOptions({
        marks,
        unit: UNITS[unit].symbol,
        ink,
        control,
        tops: [picture.target?.y ?? 0, ...bands.map(({ high }) => high)],
      }),
    [marks, unit, ink, control, picture, bands],
  );
  const said = useMemo((): Said => {
    const because = reading.advice?.because;
    const keeps = because === 'settled' || because === 'usable';
    return {
      target: say('bench.chart.wanted', { amount: input.target.amount, tolerance: input.tolerance }),
      next: say(keeps ? 'bench.chart.keep' : 'bench.chart.try', { mark: reading.advice?.mark.label ?? '' }),
    };
  }, [reading, input.target.amount, input.tolerance]);
  const data = useMemo(() => dataOf({ picture, bands, said, ink }), [picture, bands, said, ink]);
  if (marks.length === 0 || (!picture.target && picture.runs.length === 0)) return null;
  return (
    <Box marginTop="12px">
      <ChartBox height={{ base: '280px', md: '320px' }}>
        <Scatter
          role="img"
          aria-label={say('bench.chart.label')}
          data={data}
          options={options}
          plugins={PLUGINS}
        />
      </ChartBox>
      <Box fontSize="14px" color="ink.soft">
        {say('bench.chart.legend', {
          paces: picture.slower.length > 0 ? 'shown' : 'none',
        })}
      </Box>
    </Box>
  );
}

export default memo(SettingChartOf);
