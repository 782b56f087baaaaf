import { lazyPart } from '../ui/lazyPart.ts';
import { Box, chakra } from '@chakra-ui/react';
import { textWithUnit } from '@steady-scatter/core/quantities';
import { MISSING, termText, type Origin, type Working } from '@steady-scatter/core/working';
import { worksheetText } from '@steady-scatter/core/worksheet';
import { Copy, Printer } from 'lucide-react';
import { memo, Suspense, useMemo, useState, type ReactNode } from 'react';
import { useWatch } from 'react-hook-form';
import { nameOf, say, speak } from '@steady-scatter/words/sheet';
import { AnswerBar } from '../worksheet/AnswerBar.tsx';
import { AnswerPanel } from '../worksheet/AnswerPanel.tsx';
import { GroundSection } from '../ground/GroundSection.tsx';
import { LoadSection } from '../worksheet/LoadSection.tsx';
import { LabelSection } from '../need/LabelSection.tsx';
import { NeedSection } from '../need/NeedSection.tsx';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { goToStop, Tape, type Stop } from '../shell/Tape.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { copyText } from '../ui/copyText.ts';
import { goOnWithEnter } from '../ui/goOnWithEnter.ts';
import { useNotices } from '../notices/notices.tsx';
import { termOf } from '../ui/termShown.ts';
import { UNDERLINE } from '../ui/origin.ts';
import { TopBar } from '../ui/TopBar.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';

const MachineSection = lazyPart(() => import('../machine/MachineSection.tsx'));
const PlanSections = lazyPart(() => import('../regulations/PlanSections.tsx'));

const SHOWN_ORIGINS = ['typed', 'measured', 'label'] as const satisfies readonly Origin[];

const roleText = (line: Working, role: string): string => termText(termOf(line, role), speak);

/** What each stop holds, or what it still lacks. */
function useStops(broken: number): Stop[] {
  const { answer } = useSheet();
  const { lines, numbers } = answer;
  const spread = useWatch({ control: useSheetForm().control, name: 'worksheet.spread' });
  const sized = numbers.areas.filter(({ areaM2 }) => areaM2 !== null).length;
  const rate = roleText(lines.need, 'rate');
  return [
    {
      id: 'need',
      label: say('sheet.stop.need'),
      holds: rate === MISSING ? say('sheet.stop.needLacks') : rate,
      lacks: rate === MISSING,
    },
    {
      id: 'ground',
      label: say('sheet.stop.ground'),
      holds:
        sized === 0
          ? say('sheet.stop.groundLacks')
          : say('sheet.jobs.areas', { count: sized, size: roleText(lines.total, 'total.area') }),
      lacks: sized === 0,
    },
    {
      id: 'rig',
      label: say('sheet.stop.machine'),
      holds:
        spread.calibration === ''
          ? say('sheet.stop.machineLacks')
          : spread.width.text
            ? say('sheet.stop.passes', { width: textWithUnit(spread.width.text, spread.width.unit) })
            : say('sheet.stop.passesByChart'),
      lacks: spread.calibration === '',
    },
    {
      id: 'load',
      label: say('sheet.stop.load'),
      holds: numbers.amountSi === null ? say('sheet.stop.loadLacks') : broken > 0 ? say('sheet.stop.ruleBroken') : roleText(lines.total, 'total.amount'), // prettier-ignore
      lacks: numbers.amountSi === null || broken > 0,
    },
  ];
}

function useSheetActs() {
  const { answer } = useSheet();
  const form = useSheetForm();
  const notices = useNotices();
  return {
    async copy() {
      const name = form.getValues('name').trim();
      const copied = await copyText([name, worksheetText(answer, speak)].filter(Boolean).join('\n'));
      notices.tell(copied ? say('sheet.working.copied') : say('sheet.working.notCopied'));
    },
    print: () => window.print(),
  };
}

/** What the underlines of the terms say. */
const Legend = memo(() => (
  <Box display="flex" gap="18px" flexWrap="wrap" fontSize="14px" color="ink.soft" data-noprint>
    {SHOWN_ORIGINS.map((origin) => (
      <chakra.span key={origin} css={UNDERLINE[origin]} paddingX="3px">
        {nameOf('origin', origin)}
      </chakra.span>
    ))}
    <span>{say('sheet.working.legend')}</span>
  </Box>
));

/** A worksheet on screen: heading and acts, the tape, the working on the left and the answer on the right. */
export function SheetView({
  heading,
  acts,
  beside,
}: {
  heading: ReactNode;
  acts: ReactNode;
  beside: ReactNode;
}) {
  const [current, setCurrent] = useState('need');
  const [broken, setBroken] = useState(0);
  // The same from key to key: what has nothing new to show is not drawn anew.
  const enter = useMemo(() => ({ need: () => setCurrent('need'), ground: () => setCurrent('ground'), rig: () => setCurrent('rig'), load: () => setCurrent('load') }), []); // prettier-ignore
  const stops = useStops(broken);
  const { copy, print } = useSheetActs();
  useCommands([
    { id: 'copy', label: say('sheet.working.copy'), keys: 'c', run: () => void copy() },
    { id: 'print', label: say('sheet.working.print'), keys: 'p', run: print },
    ...stops.map(({ id, label }, at) => ({
      id: `stop.${id}`,
      label: say('sheet.stop.go', { label }),
      keys: `Alt+${at + 1}`,
      run: () => goToStop(id),
    })),
  ]);
  const { name, grade } = useWatch({ control: useSheetForm().control, name: 'worksheet.product' });
  return (
    <Box onKeyDown={goOnWithEnter}>
      <title>{name || grade ? say('common.pageTitle', { name: name || grade }) : 'Steady Scatter'}</title>
      <TopBar
        acts={
          <>
            <CommandButton icon={Copy} label={say('sheet.working.copyShort')} onClick={copy} />
            <CommandButton icon={Printer} label={say('sheet.working.printShort')} onClick={print} />
            {acts}
          </>
        }
      >
        {heading}
      </TopBar>
      <Tape stops={stops} current={current} />
      <Box
        as="main"
        id="main"
        display="grid"
        gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 352px' }}
        gap={{ base: '20px', lg: '32px' }}
        padding={{ base: '18px 16px', md: '22px 24px' }}
        alignItems="start"
        css={{ '@media print': { zoom: 0.85, padding: 0 } }}
      >
        <Box minWidth={0}>
          {beside}
          <NeedSection onEnter={enter.need} />
          <GroundSection onEnter={enter.ground} />
          <Suspense fallback={null}>
            <MachineSection onEnter={enter.rig} />
          </Suspense>
          <LoadSection onEnter={enter.load} />
          <LabelSection onEnter={enter.load} />
          <Suspense fallback={null}>
            <PlanSections />
          </Suspense>
          <Legend />
        </Box>
        <AnswerPanel onBroken={setBroken} />
        <AnswerBar />
      </Box>
    </Box>
  );
}
