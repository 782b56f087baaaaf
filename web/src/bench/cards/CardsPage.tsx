import { Box, Button, chakra } from '@chakra-ui/react';
import { cardOf, type CardJob } from '@steady-scatter/core/testing';
import { termText } from '@steady-scatter/core/working';
import { answerWorksheet, AS_TYPED } from '@steady-scatter/core/worksheet';
import { FileText } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { say, speak } from '@steady-scatter/words/bench';
import { loadPart } from '../../api/lazyCall.ts';
import { useHere } from '../../api/useHere.ts';
import { useDoc } from '../../documents/docs.ts';
import { JOBS } from '../../kinds/useJobs.ts';
import { Choice } from '../../ui/Choice.tsx';
import { dayText } from '../../ui/dayText.ts';
import { useNotices } from '../../notices/notices.tsx';
import { saveFile } from '../../ui/saveFile.ts';
import { termOf } from '../../ui/termShown.ts';
import { TopBar } from '../../ui/TopBar.tsx';
import { BenchTabs } from '../../shell/BenchTabs.tsx';
import { calibrationContext, useBenchShelf } from '../calibrationContext.ts';
import { CheckLine } from '../../ui/CheckLine.tsx';
import { ageOf, FRESH_WORDS } from '../SignOff.tsx';
import { CardFace } from './CardFace.tsx';
import { CARD_SIZES, type CardSize } from './cardSizes.ts';

const SIZES = (Object.keys(CARD_SIZES) as CardSize[]).map((id) => ({ id, label: CARD_SIZES[id].words }));

/** The job that the address names: its rate one time over the ground, for the card of its machine. */
function useCardJob(): (CardJob & { calibration: string }) | null {
  const [parameters] = useSearchParams();
  const id = parameters.get('job');
  const { data: job } = useDoc(JOBS, id);
  if (!job) return null;
  const { name, worksheet } = job.input;
  const { numbers, lines } = answerWorksheet(worksheet, AS_TYPED);
  if (numbers.once.rateSi === null) return null;
  const rate = termText(termOf(lines.once, 'once.rate'), speak);
  const way = numbers.once.times > 1 ? `, ${speak(lines.once.label).toLowerCase()}` : '';
  return { calibration: worksheet.spread.calibration, kgPerM2: numbers.once.rateSi, purpose: `${name}${way}: ${rate}` }; // prettier-ignore
}

/** Everything that was signed off, with its card. */
function useCards() {
  const shelf = useBenchShelf();
  const { data: here } = useHere();
  const base = here?.publicUrl ?? here?.addresses[0] ?? location.origin;
  const job = useCardJob();
  return shelf.calibrations.flatMap(({ id, input }) => {
    const on = calibrationContext(input, shelf, id);
    const own = job?.calibration === id ? job : null;
    const card = on.rig && cardOf(input, on.rig, on.reading, dayText(input.signOff?.onDay ?? ''), own);
    return card ? [{ id, name: input.name, card, link: `${base}/bench/${id}`, age: ageOf(input, on) }] : [];
  });
}

/** Cards to hang on the machines: chosen, looked at, and printed, several on one sheet. */
export default function CardsPage() {
  const cards = useCards();
  const [parameters] = useSearchParams();
  // Nothing picked yet: what the address says, else what is shown first.
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const wanted = picked ?? parameters.getAll('of');
  const chosen =
    picked === null && wanted.length === 0
      ? cards.slice(0, 1)
      : cards.filter(({ id }) => wanted.includes(id));
  const [size, setSize] = useState<CardSize>('a6');
  const [isPending, setPending] = useState(false);
  const notices = useNotices();
  const toggle = (id: string) => {
    const now = chosen.map((card) => card.id);
    const next = now.includes(id) ? now.filter((each) => each !== id) : [...now, id];
    setPicked(next);
  };
  async function save() {
    setPending(true);
    try {
      const { cardsPdf } = await loadPart(() => import('./cardPdf.ts'));
      saveFile(say('bench.card.file', { size }), 'application/pdf', await cardsPdf(chosen, size));
    } catch {
      notices.tell(say('bench.card.failed'));
    } finally {
      setPending(false);
    }
  }
  return (
    <>
      <title>{say('bench.card.title')}</title>
      <TopBar
        acts={
          <Button
            variant="solid"
            loading={isPending}
            disabled={chosen.length === 0}
            onClick={() => void save()}
          >
            <FileText size={18} /> {say('bench.card.save', { count: chosen.length })}
          </Button>
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('bench.card.heading')}
        </chakra.h1>
      </TopBar>
      <BenchTabs />
      <Box
        as="main"
        id="main"
        padding={{ base: '0 16px 24px', md: '4px 24px 24px' }}
        display="grid"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: '380px minmax(0, 1fr)' }}
        gap="28px"
      >
        <Box data-noprint>
          {cards.length === 0 ? (
            <Box fontSize="18px">{say('bench.card.none')}</Box>
          ) : (
            <>
              <Choice<CardSize>
                label={say('bench.card.paper')}
                value={size}
                options={SIZES}
                onChange={setSize}
              />
              <Box marginTop="14px">
                {cards.map(({ id, name, age }) => (
                  <CheckLine
                    key={id}
                    label={`${name} (${FRESH_WORDS[age.state]})`}
                    checked={chosen.some((card) => card.id === id)}
                    onChange={() => toggle(id)}
                  />
                ))}
              </Box>
              {chosen.some(({ age }) => age.state === 'stale') && (
                <Box color="warn" fontWeight="semibold" marginTop="10px">
                  {say('bench.card.stale')}
                </Box>
              )}
            </>
          )}
        </Box>
        <Box display="flex" flexWrap="wrap" gap="20px" alignItems="start">
          {chosen.map(({ id, card, link }) => (
            <CardFace key={id} card={card} link={link} />
          ))}
        </Box>
      </Box>
    </>
  );
}
