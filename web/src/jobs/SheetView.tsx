import { lazyPart } from '../ui/lazyPart.ts';
import { Box, chakra } from '@chakra-ui/react';
import type { Origin } from '@steady-scatter/core/working';
import { goesInTank, worksheetText } from '@steady-scatter/core/worksheet';
import { Copy, Printer } from 'lucide-react';
import { memo, Suspense, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useWatch } from 'react-hook-form';
import { useLocation, useNavigate, useParams } from 'react-router';
import { nameOf, say, speak } from '@steady-scatter/words/sheet';
import { AnswerBar } from '../worksheet/AnswerBar.tsx';
import { AnswerPanel } from '../worksheet/AnswerPanel.tsx';
import { GroundSection } from '../ground/GroundSection.tsx';
import { LoadSection } from '../worksheet/LoadSection.tsx';
import { LabelSection } from '../need/LabelSection.tsx';
import { NeedSection } from '../need/NeedSection.tsx';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { goToPart, Tape } from '../shell/Tape.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { copyText } from '../ui/copyText.ts';
import { goOnWithEnter } from '../ui/goOnWithEnter.ts';
import { useFirstThenRest } from '../ui/useFirstThenRest.ts';
import { useShared } from '../ui/useShared.ts';
import { useStable } from '../ui/useStable.ts';
import type { ToldChart } from '../machine/ChartTold.tsx';
import { useNotices } from '../notices/notices.tsx';
import { UNDERLINE } from '../ui/origin.ts';
import { TopBar } from '../ui/TopBar.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { useStops } from './useStops.ts';

const MachineStop = lazyPart(() => import('../machine/MachineStop.tsx'));
const TestStop = lazyPart(() => import('../machine/TestStop.tsx'));
const WidthStop = lazyPart(() => import('../machine/WidthStop.tsx'));
const ChartTold = lazyPart(() => import('../machine/ChartTold.tsx'));
const MachinePrinted = lazyPart(() => import('../machine/MachinePrinted.tsx'));
const Refills = lazyPart(() => import('../machine/Refills.tsx'));
const TankSection = lazyPart(() => import('../tank/TankSection.tsx'));
const LoadStop = lazyPart(() => import('../load/LoadStop.tsx'));
const AfterStop = lazyPart(() => import('../records/AfterStop.tsx'));
const AfterTold = lazyPart(() => import('../records/AfterTold.tsx'));
const RunStop = lazyPart(() => import('../run/RunStop.tsx'));
const PlanSections = lazyPart(() => import('../regulations/PlanSections.tsx'));

const SHOWN_ORIGINS = ['typed', 'measured', 'label'] as const satisfies readonly Origin[];

/** Stops with a page of their own; the others are parts of the sheet. */
const STOP_PAGES = {
  machine: MachineStop,
  test: TestStop,
  width: WidthStop,
  load: LoadStop,
  run: RunStop,
  after: AfterStop,
} as const;
type PageId = keyof typeof STOP_PAGES;

/** Whether an address names a stop with a page of its own. */
export const isStopPage = (id: string | undefined): id is PageId => id !== undefined && Object.hasOwn(STOP_PAGES, id); // prettier-ignore

function useSheetActs() {
  const { answer } = useSheet();
  const form = useSheetForm();
  const notices = useNotices();
  const copy = async () => {
    const name = form.getValues('name').trim();
    const copied = await copyText([name, worksheetText(answer, speak)].filter(Boolean).join('\n'));
    notices.tell(copied ? say('sheet.working.copied') : say('sheet.working.notCopied'));
  };
  return {
    copy: useStable(() => void copy()),
    print: useStable(() => window.print()),
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

interface Props {
  heading: ReactNode;
  acts: ReactNode;
  /** What is offered beside a new sheet. */
  beside: ReactNode;
  /** null: a new one. */
  jobId: string | null;
  /** What the addresses of its stops are given. */
  state?: unknown;
}

interface PartsProps extends Pick<Props, 'beside'> {
  onEnter: Readonly<Record<'need' | 'ground', () => void>>;
  isWhole: boolean;
}

/** The parts of the sheet: need, ground, amounts, one below the other. */
const Parts = memo(function PartsOf({ beside, onEnter, isWhole }: PartsProps) {
  return (
    <>
      {beside}
      <NeedSection onEnter={onEnter.need} />
      {isWhole && <PartsBelow onEnter={onEnter} />}
    </>
  );
});

/** The tanks of what goes into one: its code is asked for by such sheets alone. */
function Tank() {
  const { product, mates } = useSheet().worksheet;
  return goesInTank(product.kind) || mates.length > 0 ? <TankSection /> : null;
}

/** What stands below the first part. */
const PartsBelow = memo(function PartsBelowOf({ onEnter }: Pick<PartsProps, 'onEnter'>) {
  const spread = useWatch({ control: useSheetForm().control, name: 'worksheet.spread' });
  return (
    <>
      <GroundSection onEnter={onEnter.ground} />
      <Suspense fallback={null}>
        <MachinePrinted />
      </Suspense>
      <LoadSection onEnter={onEnter.ground} />
      <LabelSection onEnter={onEnter.ground} />
      <Suspense fallback={null}>
        <Tank />
        {spread.calibration !== '' && <Refills />}
      </Suspense>
      <Suspense fallback={null}>
        <PlanSections />
      </Suspense>
      <Legend />
    </>
  );
}); // prettier-ignore

/**
 * Comes to the part of the sheet that the address names: from the page of another stop, or from a link.
 *
 * @returns how to come to a part at once: the address that follows then does not take the focus a second time from whoever types on
 */
function usePartOfAddress(
  page: PageId | null,
  isWhole: boolean,
  onPart: (id: string) => void,
): (id: string) => void {
  const { hash } = useLocation();
  const cameTo = useRef('');
  const go = useStable((id: string) => {
    onPart(id);
    if (goToPart(id)) cameTo.current = id;
  });
  useEffect(() => {
    const id = hash.slice(1);
    if (page !== null) cameTo.current = '';
    else if (!isWhole) return;
    else if (id !== '' && id !== cameTo.current) go(id);
  }, [page, hash, go, isWhole]);
  return go;
}

/** A worksheet on screen: heading and acts, the tape, the working (or the page of a stop) on the left and the answer on the right. */
export const SheetView = memo(function SheetViewOf({ heading, acts, beside, jobId, state }: Props) {
  const [part, setPart] = useState('need');
  const [broken, setBroken] = useState(0);
  const { id, stop } = useParams();
  const page = isStopPage(stop) ? stop : null;
  const navigate = useNavigate();
  // The same from key to key: what has nothing new to show is not drawn anew.
  const enter = useMemo(() => ({ need: () => setPart('need'), ground: () => setPart('ground') }), []); // prettier-ignore
  const [chart, setChart] = useState<ToldChart | null>(null);
  const spread = useWatch({ control: useSheetForm().control, name: 'worksheet.spread' });
  const [recorded, setRecorded] = useState<string | null>(null);
  const stops = useShared(useStops({ broken, chart, recorded, jobId }));
  const { copy, print } = useSheetActs();
  const { isWhole, onKey } = useFirstThenRest();
  const goTo = usePartOfAddress(page, isWhole, setPart);
  const onPart = useStable((id: string) => {
    if (!isStopPage(id)) goTo(id);
  });
  useCommands([
    { id: 'copy', label: say('sheet.working.copy'), keys: 'c', run: copy },
    { id: 'print', label: say('sheet.working.print'), keys: 'p', run: print },
    ...stops.map(({ id, label, to }, index) => ({
      id: `stop.${id}`,
      label: say('sheet.stop.go', { label }),
      keys: `Alt+${index + 1}`,
      run: () => {
        onPart(id);
        void navigate(to, { state });
      },
    })),
  ]);
  const { name, grade } = useWatch({ control: useSheetForm().control, name: 'worksheet.product' });
  const allActs = useMemo(
    () => (
      <>
        <CommandButton icon={Copy} label={say('sheet.working.copyShort')} onClick={copy} />
        <CommandButton icon={Printer} label={say('sheet.working.printShort')} onClick={print} />
        {acts}
      </>
    ),
    [acts, copy, print],
  );
  // What is weighed out stands on these pages themselves.
  const isWide = page === 'load' || page === 'run';
  const Page = page && STOP_PAGES[page];
  return (
    <Box onKeyDownCapture={onKey} onKeyDown={goOnWithEnter}>
      <title>{name || grade ? say('common.pageTitle', { name: name || grade }) : 'Steady Scatter'}</title>
      <TopBar acts={allActs}>{heading}</TopBar>
      {isWhole && (
        <Suspense fallback={null}>
          <ChartTold spread={spread} onTold={setChart} />
          <AfterTold id={id} onTold={setRecorded} />
        </Suspense>
      )}
      <Tape stops={stops} current={page ?? part} state={state} onPart={onPart} />
      <Box
        as="main"
        id="main"
        display="grid"
        gridTemplateColumns={{ base: '1fr', lg: isWide ? '1fr' : 'minmax(0, 1fr) 352px' }}
        gap={{ base: '20px', lg: '32px' }}
        padding={{ base: '18px 16px', md: '22px 24px' }}
        alignItems="start"
        css={{ '@media print': { zoom: 0.85, padding: 0 } }}
      >
        <Box minWidth={0}>
          {Page ? (
            <Suspense fallback={null}>
              <Page />
            </Suspense>
          ) : (
            <Parts beside={beside} onEnter={enter} isWhole={isWhole} />
          )}
        </Box>
        {isWhole && !isWide && (
          <>
            <AnswerPanel onBroken={setBroken} />
            <AnswerBar />
          </>
        )}
      </Box>
    </Box>
  );
});
