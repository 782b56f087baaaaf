import { Box, Button, chakra } from '@chakra-ui/react';
import { textWithUnit } from '@steady-scatter/core/quantities';
import { coarseRemark, type CalibrationInput } from '@steady-scatter/core/testing';
import { sameSituation, type GuideInput } from '@steady-scatter/core/winter';
import { FileText } from 'lucide-react';
import { Suspense, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { say, speak } from '@steady-scatter/words/winter';
import { loadPart } from '../../api/lazyCall.ts';
import { useHere } from '../../api/useHere.ts';
import {
  calibrationContext,
  useMachineShelf,
  type CalibrationContext,
} from '../../bench/calibrationContext.ts';
import { CARD_SIZES, type CardSize } from '../../bench/cards/cardSizes.ts';
import { ageOf, FRESH_WORDS } from '../../bench/SignOff.tsx';
import { useDoc, type Doc } from '../../documents/docs.ts';
import { OpeningMessage } from '../../documents/OpeningMessage.tsx';
import { CALIBRATIONS } from '../../kinds/useCalibrations.ts';
import { useGuides } from '../../kinds/useGuides.ts';
import { useNotices } from '../../notices/notices.tsx';
import { WinterTabs } from '../../shell/WinterTabs.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { dayText } from '../../ui/dayText.ts';
import { lazyPart } from '../../ui/lazyPart.ts';
import { saveFile } from '../../ui/saveFile.ts';
import { Section } from '../../ui/Section.tsx';
import { today } from '../../ui/today.ts';
import { TopBar } from '../../ui/TopBar.tsx';
import { WarningBox } from '../../ui/WarningBox.tsx';
import { ConditionCard, type ConditionSheet } from './ConditionCard.tsx';
import { bandsOf, servedBy, type Served } from './conditions.ts';

const SettingChart = lazyPart(() => import('../../bench/SettingChart.tsx'));
const SIZES = (Object.keys(CARD_SIZES) as CardSize[]).map((id) => ({ id, label: CARD_SIZES[id].words }));

function sheetOf(doc: Doc<CalibrationInput>, on: CalibrationContext, guide: GuideInput, served: Served, base: string): ConditionSheet {
  const { product, lot, signOff, width } = doc.input;
  const { pace, conditions, version } = served;
  return {
    machine: on.rig?.name ?? '',
    product: [product, lot && say('winter.card.lot', { lot })].filter(Boolean).join(', '),
    held: say('winter.card.held', { pace: pace || 'none', spacing: width.text.trim() === '' ? 'none' : textWithUnit(width.text, width.unit) }),
    guide: say('winter.night.guideIs', { guide: guide.name, day: dayText(version.fromDay) }),
    signed: [dayText(signOff?.onDay ?? ''), signOff?.by].filter(Boolean).join(', '),
    conditions,
    link: `${base}/winter/charts/${doc.id}`,
  };
} // prettier-ignore

/** The chart with the rates that the guide asks for in one situation laid over it. */
function Chart({ doc, on, served }: { doc: Doc<CalibrationInput>; on: CalibrationContext; served: Served }) {
  const situations = [...new Set(served.lines.map(({ line }) => line.situation.trim()))];
  const [wanted, setWanted] = useState('');
  const situation = situations.includes(wanted) ? wanted : (situations[0] ?? '');
  const bands = useMemo(
    () =>
      bandsOf(
        served.lines.filter(({ line }) => sameSituation(line.situation, situation)),
        on,
        doc.input,
      ),
    [served, situation, on, doc],
  );
  return (
    <>
      <Box maxWidth="320px" data-noprint>
        <Choice
          label={say('winter.served.bandsOf')}
          value={situation}
          options={situations.map((id) => ({ id, label: id }))}
          onChange={setWanted}
        />
      </Box>
      <Suspense fallback={null}>
        <SettingChart input={doc.input} on={on} marks={on.bench.scale.marks} bands={bands} />
      </Suspense>
    </>
  );
}

/** What each line of the guide is set to, and which nothing serves. */
function Lines({ served }: { served: Served }) {
  const none = served.conditions.filter(({ mark }) => mark === null);
  return (
    <>
      <Box as="ul" listStyleType="none">
        {served.conditions.map(({ id, when, pavement, asked, mark, how, rate }) => (
          <Box
            as="li"
            key={id}
            display="grid"
            gridTemplateColumns={{ base: 'minmax(0, 1fr) auto', md: 'minmax(0, 1.6fr) minmax(0, 1fr) minmax(0, 1.2fr) auto' }}
            gap="0 14px"
            alignItems="center"
            borderBottomWidth="1px"
            borderColor="line"
            minHeight="touch"
          >
            <Box>{when}</Box>
            <Box gridRow={{ base: 2, md: 'auto' }} fontVariantNumeric="tabular-nums">{pavement}<br />{asked}</Box>
            <Box gridRow={{ base: 3, md: 'auto' }} color="ink.soft">{rate}</Box>
            <Box fontFamily="figure" fontSize="26px" fontWeight="bold" textAlign="right">
              {mark ?? '—'}
              {how && <Box fontFamily="body" fontSize="14px" fontWeight="normal">{how}</Box>}
            </Box>
          </Box>
        ))}
      </Box>
      {none.length > 0 && (
        <WarningBox marginTop="12px">
          {none.map(({ id, when, pavement, asked }) => <Box key={id}>{say('winter.served.gap', { when, pavement, asked })}</Box>)}
          <b>{say('winter.served.gapHow')}</b>
        </WarningBox>
      )}
    </>
  );
} // prettier-ignore

/** Test runs whose weighing was too coarse, with what would be enough. */
function Coarse({ doc, on }: { doc: Doc<CalibrationInput>; on: CalibrationContext }) {
  const told = on.reading.runs.flatMap((run) => {
    const remark = run.counts ? coarseRemark(run, on.reading.tolerance, doc.input) : null;
    return remark ? [{ id: run.id, text: say('winter.served.coarse', { mark: run.mark?.label ?? '', what: speak(remark) }) }] : []; // prettier-ignore
  });
  if (told.length === 0) return null;
  return (
    <Section heading={say('winter.served.coarseRuns')}>
      {told.map(({ id, text }) => (
        <Box key={id} marginBottom="6px">
          {text}
        </Box>
      ))}
    </Section>
  );
}

/** The card on the screen and as a file. */
function Card({ sheet }: { sheet: ConditionSheet }) {
  const [size, setSize] = useState<CardSize>('a6');
  const notices = useNotices();
  async function save() {
    try {
      const { conditionPdf } = await loadPart(() => import('./conditionPdf.ts'));
      saveFile(say('winter.card.file', { machine: sheet.machine, size }), 'application/pdf', await conditionPdf(sheet, size)); // prettier-ignore
    } catch {
      notices.tell(say('winter.card.failed'));
    }
  }
  return (
    <Section heading={say('winter.card.heading')}>
      <Box display="flex" flexWrap="wrap" gap="12px" alignItems="end" marginBottom="14px" data-noprint>
        <Choice<CardSize> label={say('winter.card.paper')} value={size} options={SIZES} onChange={setSize} />
        <Button variant="solid" minHeight="touch" onClick={() => void save()}>
          <FileText size={18} /> {say('winter.card.save')}
        </Button>
      </Box>
      <ConditionCard sheet={sheet} />
    </Section>
  );
}

function Page({ doc }: { doc: Doc<CalibrationInput> }) {
  const shelf = useMachineShelf(doc.input.rig);
  const { data: guides = [] } = useGuides();
  const { data: here } = useHere();
  const [wanted, setWanted] = useState(doc.input.guide);
  const guide = guides.find(({ id }) => id === wanted) ?? guides[0];
  const on = useMemo(() => calibrationContext(doc.input, shelf, doc.id), [doc, shelf]);
  const served = useMemo(() => (guide ? servedBy(guide.input, doc.input, on, today()) : null), [guide, doc, on]); // prettier-ignore
  const base = here?.publicUrl ?? here?.addresses[0] ?? location.origin;
  const age = ageOf(doc.input, on);
  return (
    <>
      {!guide && <Box>{say('winter.served.noGuide')}</Box>}
      {guide && guides.length > 1 && (
        <Box maxWidth="320px" marginBottom="14px" data-noprint>
          <Choice label={say('winter.night.guide')} value={guide.id} options={guides.map(({ id, input: { name } }) => ({ id, label: name }))} onChange={setWanted} />
        </Box>
      )}
      {age.state !== 'fresh' && (
        <WarningBox marginBottom="14px">
          {say('winter.served.age', { state: FRESH_WORDS[age.state], why: age.reasons.map(speak).join('; ') || 'none' })}
        </WarningBox>
      )}
      {served && guide && (
        <Box display="grid" gap={{ base: '14px', xl: '32px' }} gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 1fr) 480px' }} alignItems="start">
          <Box minWidth={0}>
            {!on.reading.spray && served.lines.length > 0 && <Chart doc={doc} on={on} served={served} />}
            <Section heading={say('winter.served.lines')}>
              {served.lines.length === 0 ? say('winter.served.none') : <Lines served={served} />}
            </Section>
            <Coarse doc={doc} on={on} />
          </Box>
          {served.lines.length > 0 && <Card sheet={sheetOf(doc, on, guide.input, served, base)} />}
        </Box>
      )}
      {guide && !served && <Box>{say('winter.night.lacks', { what: 'version' })}</Box>}
    </>
  );
} // prettier-ignore

/** A machine's chart held against a rate guide: which setting serves which line, and the card by condition. */
export default function ServedPage() {
  const { id = null } = useParams();
  const { data, error, refetch } = useDoc(CALIBRATIONS, id);
  if (!data) return <OpeningMessage one={say('winter.served.one')} home={CALIBRATIONS.home} error={error} onAgain={() => void refetch()} />; // prettier-ignore
  return (
    <>
      <title>{say('winter.served.title', { name: data.input.name })}</title>
      <TopBar
        acts={
          <Button asChild minHeight="touch">
            <Link to={`/bench/${data.id}`}>{say('winter.served.toBench')}</Link>
          </Button>
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold" overflowWrap="anywhere">
          {say('winter.served.heading', { name: data.input.name })}
        </chakra.h1>
      </TopBar>
      <WinterTabs />
      <Box as="main" id="main" padding={{ base: '0 16px 24px', md: '4px 24px 32px' }}>
        <Page doc={data} />
      </Box>
    </>
  );
}
