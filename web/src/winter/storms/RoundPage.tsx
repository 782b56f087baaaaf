import { Box, Button, chakra } from '@chakra-ui/react';
import {
  evaluateApplication,
  isVoid,
  machineLoads,
  roundsOf,
  roundToDo,
  type DoneRow,
  type StormInput,
} from '@steady-scatter/core/season';
import { amountFor } from '@steady-scatter/core/winter';
import { Check } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/winter';
import { useDoc, type Doc } from '../../documents/docs.ts';
import { OpeningMessage } from '../../documents/OpeningMessage.tsx';
import { appendApplication, useApplications } from '../../kinds/useApplications.ts';
import { STORMS } from '../../kinds/useStorms.ts';
import { BareUnit } from '../../ui/BareUnit.tsx';
import { browser } from '../../ui/browserStores.ts';
import { keepWho, whoWorks } from '../../ui/who.ts';
import { Choice } from '../../ui/Choice.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { StatedDefault } from '../../ui/StatedDefault.tsx';
import { TopBar } from '../../ui/TopBar.tsx';
import { shownIn } from '../../units/shownIn.ts';
import { settingText } from '../settingText.ts';
import { loadsOf } from '../tonight/loadsOf.ts';
import { amountUnitOf, rateUnitOf } from '../tonight/rateUnitOf.ts';
import { useHeldNight } from '../tonight/nightInput.ts';
import { useNight, type Night } from '../tonight/useNight.ts';
import { useWinterAreas } from '../useWinterAreas.ts';
import { applicationFor, plannedText, type AtArea, type AtRound } from './applicationFor.ts';
import { OtherArea } from './OtherArea.tsx';
import { timeText } from './roundTexts.ts';
import { rowText } from '../../records/rowText.ts';
import { WeighBack } from './WeighBack.tsx';

/** What stands over a round: rate, setting, machine and who is at it. */
function RoundHead({ night, machine, setMachine, by, setBy }: { night: Night; machine: string; setMachine(id: string): void; by: string; setBy(name: string): void }) {
  const { plan, product, machines } = night;
  const chosen = machines.find(({ calibration }) => calibration === machine) ?? machines[0];
  return (
    <Box as="section" aria-label={say('winter.round.what')} marginBottom="18px">
      <Box fontSize="22px" fontWeight="bold">
        {plan?.rateSi == null ? say('winter.round.noRate') : say('winter.round.rate', { product: product?.input.name ?? '', rate: shownIn(plan.rateSi, rateUnitOf(night), 2) })}
      </Box>
      {chosen?.setting && (
        <Box fontFamily="figure" fontSize="44px" fontWeight="bold" lineHeight="1.1">
          {chosen.setting.line.mark.label} <chakra.span fontFamily="body" fontSize="18px">{settingText(chosen.setting)}</chakra.span>
        </Box>
      )}
      <StatedDefault
        name={say('winter.round.who')}
        text={say('winter.round.whoIs', { machine: chosen?.name ?? 'none', by: by.trim() || 'none' })}
      >
        {machines.length > 0 && (
          <Choice label={say('winter.round.machine')} value={chosen?.calibration ?? ''} options={machines.map(({ calibration, name }) => ({ id: calibration, label: name }))} onChange={setMachine} />
        )}
        <LabelledField label={say('winter.round.by')} value={by} minHeight="touch" onChange={setBy} />
      </StatedDefault>
      <Button asChild minHeight="56px" marginTop="8px">
        <Link to="/winter">{say('winter.round.toTonight')}</Link>
      </Button>
    </Box>
  );
} // prettier-ignore

/** By hand, and how many scoops that is where the scoop was weighed. */
function handText(night: Night, area: AtArea): string {
  const rateSi = night.plan?.rateSi;
  const amount = rateSi != null && rateSi > 0 ? amountFor(area, rateSi, loadsOf(night)) : null;
  return amount?.scoops == null
    ? say('winter.row.byHand')
    : say('winter.round.byScoops', { scoops: amount.scoops.toFixed(1) });
}

interface AreaProps {
  area: AtArea;
  night: Night;
  done: DoneRow | undefined;
  onDone(area: AtArea, amount: string): boolean;
}

/** An area of the round: what it takes, and the one press when it is done. */
function AreaLine({ area, night, done, onDone }: AreaProps) {
  const planned = plannedText(night, area);
  const [text, setText] = useState('');
  const [isMissing, setMissing] = useState(false);
  const unit = amountUnitOf(night);
  return (
    <Box as="li" borderBottomWidth="1px" borderColor="line" paddingY="8px" display="grid" gridTemplateColumns={{ base: 'minmax(0, 1fr) 120px', md: 'minmax(0, 1fr) 150px 160px' }} gap="6px 12px" alignItems="center">
      <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
        <Box fontSize="19px" fontWeight="bold">{area.name}</Box>
        <Box color="ink.soft">{[area.siteName, area.isByHand && handText(night, area)].filter(Boolean).join(', ')}</Box>
      </Box>
      {done ? (
        <Box gridColumn={{ base: '1 / -1', md: 'span 2' }} display="flex" alignItems="center" gap="8px" minHeight="56px" fontSize="18px">
          <Check size={24} aria-hidden /> {say('winter.round.doneAt', { at: timeText(done.startedAt), what: rowText(done.input) })}
        </Box>
      ) : (
        <>
          <LabelledField label={say('winter.round.amount')} inputMode="decimal" placeholder={planned} value={text} minHeight="56px" unit={<BareUnit text={text} unit={unit} />} onChange={setText} />
          <Button variant="solid" minHeight="56px" fontSize="18px" alignSelf="end" aria-label={say('winter.round.doneWith', { area: area.name })} onClick={() => setMissing(!onDone(area, text.trim() || planned))}>
            {say('winter.round.done')}
          </Button>
        </>
      )}
      {isMissing && !done && <Box gridColumn="1 / -1" color="warn" fontWeight="semibold">{say('winter.round.needsAmount')}</Box>}
    </Box>
  );
} // prettier-ignore

/** What this device does in a round is one run, also when the page was closed meanwhile. */
function runOf(storm: string, round: string): string {
  const key = `steady-scatter.run.${storm}.${round}`;
  const known = browser.getItem(key);
  if (known) return known;
  const own = newId();
  browser.setItem(key, own);
  return own;
}

/** The round that the address names; without one it is sent to the one that is to be worked on. */
function useRound(storm: string, route: number) {
  const rows = useApplications(storm, true);
  const [parameters] = useSearchParams();
  const rounds = useMemo(() => roundsOf(rows ?? []), [rows]);
  const round = parameters.get('n');
  if (rows === undefined) return null;
  const own = rounds.find((each) => each.round === round)?.rows ?? [];
  return { round, toDo: roundToDo(rounds, route).round, rows: own };
}

function RoundOf({ doc }: { doc: Doc<StormInput> }) {
  const { input } = useHeldNight();
  const night = useNight(input);
  const areas = useWinterAreas();
  const now = useRound(doc.id, doc.input.route.length);
  const [machine, setMachine] = useState('');
  const [by, setBy] = useState(whoWorks);
  const [others, setOthers] = useState<readonly AtArea[]>([]);
  if (!now || areas === undefined) return null;
  const { round, rows, toDo } = now;
  if (round === null) return <Navigate replace to={`?n=${toDo}`} />;
  const own = runOf(doc.id, round);
  const stops = doc.input.route.flatMap(({ area }) => areas.find(({ id }) => id === area) ?? []);
  const at: AtRound = { round, runId: own, by };
  const doneOf = (area: AtArea) => rows.find((row) => !isVoid(row.input) && (area.id ? row.input.area === area.id : row.input.areaName === area.name && row.input.area === '')); // prettier-ignore
  const onDone = (area: AtArea, amount: string): boolean => {
    const chosen =
      night.machines.find(({ calibration }) => calibration === machine) ?? night.machines[0] ?? null;
    const application = applicationFor({ night, input, area, machine: chosen, at, amount: { text: amount, from: amount === plannedText(night, area) ? 'planned' : 'weighed' }, until: new Date().toISOString() }); // prettier-ignore
    if (amount === '' || evaluateApplication(application).errors.length > 0) return false;
    void appendApplication({ subject: { kind: 'storms', id: doc.id }, input: application });
    return true;
  };
  const all = [...stops, ...others];
  return (
    <>
      <Box as="h2" fontSize="24px" fontWeight="bold" marginBottom="8px">
        {say('winter.round.heading', {
          round,
          done: all.filter((area) => doneOf(area)).length,
          all: all.length,
        })}
      </Box>
      <RoundHead
        night={night}
        machine={machine}
        setMachine={setMachine}
        by={by}
        setBy={(name) => {
          setBy(name);
          keepWho(name);
        }}
      />
      <Box as="ul" listStyleType="none">
        {all.map((area) => (
          <AreaLine
            key={area.id ?? area.name}
            area={area}
            night={night}
            done={doneOf(area)}
            onDone={onDone}
          />
        ))}
      </Box>
      <OtherArea onAdd={(area) => setOthers([...others, area])} />
      {machineLoads(rows.filter((row) => row.input.runId === own)).map((load) => (
        <WeighBack key={load[0]!.root} load={load} storm={doc.id} />
      ))}
      <Button asChild variant="outline" minHeight="56px" marginTop="18px">
        <Link to={`/winter/storms/${doc.id}`}>{say('winter.round.finish')}</Link>
      </Button>
    </>
  );
}

/** A round of a storm, area by area: each is appended as it is done. */
export default function RoundPage() {
  const { id = null } = useParams();
  const { data, error, refetch } = useDoc(STORMS, id);
  if (!data) return <OpeningMessage one={say('winter.storm.one')} home={STORMS.home} error={error} onAgain={() => void refetch()} />; // prettier-ignore
  return (
    <>
      <title>{say('winter.round.title', { storm: data.input.name })}</title>
      <TopBar acts={null}>
        <chakra.h1 fontSize="19px" fontWeight="bold" overflowWrap="anywhere">
          {data.input.name}
        </chakra.h1>
      </TopBar>
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }} maxWidth="900px">
        <RoundOf doc={data} />
      </Box>
    </>
  );
}
