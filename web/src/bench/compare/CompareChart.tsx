import { Box } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import { settingPicture, type BenchRateUnit } from '@steady-scatter/core/testing';
import { Chart, LinearScale, LineElement, PointElement, type ChartData } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { list, say } from '@steady-scatter/words/bench';
import { useInk, type Ink } from '../../charts/useInk.ts';
import { chartOptions } from '../chartOptions.ts';
import { styleOf, type Compared } from './compared.ts';
import { ChartBox } from '../../charts/ChartBox.tsx';

Chart.register(LinearScale, PointElement, LineElement);

type Points = { x: number; y: number }[];

function dataOf(compared: readonly Compared[], unit: BenchRateUnit, ink: Ink): ChartData<'scatter', Points> {
  const colours = [ink.ink, ink.water, ink.warn, ink.act];
  const datasets = compared.flatMap(({ on }, index): ChartData<'scatter', Points>['datasets'] => {
    const { point, dash } = styleOf(index);
    const colour = colours[index % colours.length] ?? ink.ink;
    const { curve, means } = settingPicture(on.reading, unit, on.bench.kind);
    const points = (from: typeof curve): Points => from.map(({ x, y }) => ({ x, y }));
    return [
      {
        data: points(curve),
        showLine: true,
        pointRadius: 0,
        borderColor: colour,
        borderWidth: 2.5,
        borderDash: [...dash],
      },
      {
        data: points(means),
        pointStyle: point,
        pointRadius: 6,
        backgroundColor: colour,
        borderColor: colour,
      },
    ];
  });
  return { datasets };
}

/** Curves of several calibrations on one chart; scales of different machines in steps from shut. */
export default function CompareChart({ compared }: { compared: readonly Compared[] }) {
  const ink = useInk();
  const unit = compared[0]?.input.target.unit ?? 'kg/ha';
  const isOneScale = new Set(compared.map(({ input }) => input.rig)).size <= 1;
  const widest =
    compared
      .map(({ on }) => on.bench.scale.marks)
      .toSorted((a, b) => (b.at(-1)?.opening ?? 0) - (a.at(-1)?.opening ?? 0))[0] ?? [];
  const options = chartOptions({
    marks: isOneScale ? widest : widest.map(({ opening }) => ({ opening, label: String(opening) })),
    unit: UNITS[unit].symbol,
    ink,
    control: isOneScale
      ? compared[0]?.on.rig?.control.name || say('bench.compare.control')
      : say('bench.compare.steps'),
    tops: [0],
  });
  return (
    <>
      <ChartBox height={{ base: '300px', md: '420px' }}>
        <Scatter
          key={JSON.stringify([compared.map(({ id }) => id), ink.ink])}
          role="img"
          aria-label={say('bench.compare.chart', { names: list(compared.map(({ input }) => input.name)) })}
          data={dataOf(compared, unit, ink)}
          options={options}
        />
      </ChartBox>
      {!isOneScale && (
        <Box fontSize="15px" color="ink.soft" marginTop="8px">
          {say('bench.compare.never')}
        </Box>
      )}
    </>
  );
}
