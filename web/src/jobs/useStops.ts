import { textWithUnit } from '@steady-scatter/core/quantities';
import { MISSING, termText, type Working } from '@steady-scatter/core/working';
import { useWatch } from 'react-hook-form';
import { say, speak } from '@steady-scatter/words/sheet';
import type { ToldChart } from '../machine/ChartTold.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import type { Stop } from '../shell/Tape.tsx';
import { termOf } from '../ui/termShown.ts';

const roleText = (line: Working, role: string): string => termText(termOf(line, role), speak);

interface Held {
  /** Rules that the sheet breaks. */
  readonly broken: number;
  readonly chart: ToldChart | null;
  /** What is recorded of the job, in a few words; null: nothing. */
  readonly recorded: string | null;
  /** null: a new one. */
  readonly jobId: string | null;
}

/** What the stops of the machine hold. */
function useMachineStops(chart: ToldChart | null, pathOf: (id: string) => string): Stop[] {
  const { control } = useSheetForm();
  const { width } = useWatch({ control, name: 'worksheet.spread' });
  const spacing = width.text || chart?.spacing;
  return [
    {
      id: 'machine',
      label: say('sheet.stop.machine'),
      holds: chart?.name ?? say('sheet.stop.machineLacks'),
      lacks: !chart,
      to: pathOf('machine'),
    },
    {
      id: 'test',
      label: say('sheet.stop.test'),
      holds: chart?.setting ? say('sheet.stop.signedAt', { setting: chart.setting }) : chart ? say('sheet.stop.notSigned') : say('sheet.stop.testLacks'), // prettier-ignore
      lacks: !chart?.setting,
      to: pathOf('test'),
    },
    {
      id: 'width',
      label: say('sheet.stop.width'),
      holds: chart?.isOtherSpacing ? say('sheet.stop.otherSpacing', { chart: chart.spacing }) : spacing ? say('sheet.stop.passes', { width: textWithUnit(spacing, width.unit) }) : say('sheet.stop.widthLacks'), // prettier-ignore
      lacks: !spacing || chart?.isOtherSpacing === true,
      to: pathOf('width'),
    },
  ];
}

/** What each stop holds, or what it still lacks. */
export function useStops({ broken, chart, recorded, jobId }: Held): Stop[] {
  const path = jobId === null ? '/' : `/jobs/${jobId}`;
  const pathOf = (stop: string) => (jobId === null ? `/new/${stop}` : `${path}/${stop}`);
  const { answer } = useSheet();
  const { lines, numbers } = answer;
  const machine = useMachineStops(chart, pathOf);
  const sized = numbers.areas.filter(({ areaM2 }) => areaM2 !== null).length;
  const rate = roleText(lines.need, 'rate');
  const ready = useWatch({ control: useSheetForm().control, name: 'load.ready' }) !== null;
  return [
    {
      id: 'need',
      label: say('sheet.stop.need'),
      holds: rate === MISSING ? say('sheet.stop.needLacks') : rate,
      lacks: rate === MISSING,
      to: `${path}#need`,
    },
    {
      id: 'ground',
      label: say('sheet.stop.ground'),
      holds:
        sized === 0
          ? say('sheet.stop.groundLacks')
          : say('sheet.jobs.areas', { count: sized, size: roleText(lines.total, 'total.area') }),
      lacks: sized === 0,
      to: `${path}#ground`,
    },
    ...machine,
    {
      id: 'load',
      label: say('sheet.stop.load'),
      holds: numbers.amountSi === null ? say('sheet.stop.loadLacks') : broken > 0 ? say('sheet.stop.ruleBroken') : say('sheet.stop.loads', { amount: roleText(lines.total, 'total.amount'), ready: ready ? 'yes' : 'no' }), // prettier-ignore
      lacks: numbers.amountSi === null || !ready,
      to: pathOf('load'),
    },
    {
      id: 'run',
      label: say('sheet.stop.run'),
      holds: recorded === null ? say('sheet.stop.runLacks') : say('sheet.stop.runIs'),
      lacks: recorded === null,
      to: pathOf('run'),
    },
    {
      id: 'after',
      label: say('sheet.stop.after'),
      holds: recorded ?? say('sheet.stop.afterLacks'),
      lacks: recorded === null,
      to: pathOf('after'),
    },
  ];
}
