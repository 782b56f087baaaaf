import { Box, Button } from '@chakra-ui/react';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { fromSi, systemOf, type MassUnit, type VolumeUnit } from '@steady-scatter/core/quantities';
import { blankWalk, type WalkInput } from '@steady-scatter/core/runSheet';
import type { WeatherInput } from '@steady-scatter/core/season';
import { useState, useSyncExternalStore } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/record';
import { connectionStore } from '../api/connection.ts';
import { appendApplication, type Subject } from '../kinds/useApplications.ts';
import { personNamed, usePeople } from '../kinds/usePeople.ts';
import { useLotCame } from '../kinds/useStock.ts';
import { heldWalk, letWalkGo } from '../kinds/useWalks.ts';
import type { RunOfSheet } from '../load/useRunSheet.ts';
import { useJobMachine } from '../machine/useJobMachine.ts';
import { useNotices } from '../notices/notices.tsx';
import { WhoField } from '../people/WhoField.tsx';
import { PhotoField } from '../photos/PhotoField.tsx';
import { paceNote } from '../run/paceNote.ts';
import { useBreaches, useCautions } from '../run/BeforeStart.tsx';
import { WeatherFields } from '../run/WeatherFields.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { CheckLine } from '../ui/CheckLine.tsx';
import { dayText } from '../ui/dayText.ts';
import { NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { dayOf, today } from '../ui/today.ts';
import { keepWho, whoWorks } from '../ui/who.ts';
import { shownIn } from '../units/shownIn.ts';
import { speak } from '@steady-scatter/words/walk';
import { recordAreas, recordFor } from './recordFor.ts';
import { amountsOf, lackOf, momentsOf, usedOf, type Typed } from './recordTyped.ts';
import { weatherText } from './rowText.ts';

/** The time of day, on the clock of this device. */
const clockOf = (moment: Date): string => moment.toTimeString().slice(0, 5);

/** How the areas were walked, where this device counted the passes. */
const paceNotes = (walk: WalkInput | undefined, { sheet, load }: RunOfSheet): string =>
  sheet.areas.flatMap((run) => {
    const log = walk?.logs.find(({ area }) => area === run.id);
    const note = log && paceNote({ run, log, paceMPerS: sheet.paceMPerS, turnS: load.turnS });
    return note ? [sheet.areas.length > 1 ? `${run.name}: ${note}` : note] : [];
  }).join(' '); // prettier-ignore

/** What the run told already is filled in. */
function begun(walk: WalkInput | undefined, of: RunOfSheet): Typed {
  const started = walk?.logs.map(({ startedAt }) => startedAt).filter(Boolean).toSorted()[0]; // prettier-ignore
  const from = started ? new Date(started) : new Date();
  return {
    by: walk?.by.trim() || whoWorks(),
    license: '',
    note: [walk?.note.trim(), paceNotes(walk, of)].filter(Boolean).join(' '),
    used: '',
    loaded: '',
    left: '',
    packages: '',
    day: started ? dayOf(from) : today(),
    time: clockOf(from),
    until: started && dayOf(from) === today() ? clockOf(new Date()) : '',
  };
}

/** A clock that is further off is asked about, ms. */
const OFF_MS = 120_000;

/** How far the clock of this device is from the server's, where that is worth asking about. */
function useClockOff(): number | null {
  const { clockDifferenceMs } = useSyncExternalStore(connectionStore.subscribe, connectionStore.get);
  return clockDifferenceMs !== null && Math.abs(clockDifferenceMs) > OFF_MS ? clockDifferenceMs : null;
}

interface PartProps {
  typed: Typed;
  unit: MassUnit | VolumeUnit;
  set(more: Partial<Typed>): void;
}

/** What went out by what was loaded and what was left. */
function WeighBack({ typed, unit, set }: PartProps) {
  const used = usedOf(typed, unit);
  const text = say('record.weighBackIs', { loaded: typed.loaded.trim() || 'none', left: typed.left.trim() || '…', used: used.si === null ? '…' : shownIn(used.si, unit) });
  const field = (name: 'loaded' | 'left' | 'packages', label: string) => (
    <LabelledField label={label} value={typed[name]} inputMode="decimal" minHeight="56px" unit={name === 'packages' ? undefined : <BareUnit text={typed[name]} unit={unit} />} onChange={(value) => set({ [name]: value })} />
  );
  return (
    <StatedDefault name={say('record.weighBack')} text={text}>
      {field('loaded', say('record.loaded'))}
      {field('left', say('record.left'))}
      {field('packages', say('record.packages'))}
    </StatedDefault>
  );
} // prettier-ignore

interface MoreProps extends Pick<PartProps, 'typed' | 'set'> {
  license: string;
  photos: readonly string[];
  onPhotos(ids: readonly string[]): void;
}

/** License, a note and photos: said where they are asked for. */
const MoreFields = ({ typed, set, license, photos, onPhotos }: MoreProps) => (
  <StatedDefault name={say('record.more')} text={say('record.moreIs', { license: (typed.license.trim() || license) || 'none', note: typed.note.trim() || 'none', photos: photos.length })}>
    <LabelledField label={say('record.license')} value={typed.license} placeholder={license} onChange={(text) => set({ license: text })} />
    <LabelledField label={say('record.until')} type="time" value={typed.until} onChange={(until) => set({ until })} />
    <Box gridColumn="1 / -1">
      <NotesField label={say('record.note')} value={typed.note} onChange={(note) => set({ note })} />
      <Box marginTop="10px"><PhotoField ids={photos} onChange={onPhotos} /></Box>
    </Box>
  </StatedDefault>
); // prettier-ignore

/** Work is recorded for a job: who, how much went out in all, when. Everything else is the sheet's, and what the run told. */
export function RecordForm({ subject, of }: { subject: Subject; of: RunOfSheet }) {
  const { answer, worksheet } = useSheet();
  const form = useSheetForm();
  const machine = useJobMachine();
  const notices = useNotices();
  const people = usePeople();
  const [walk, setWalk] = useState(() => heldWalk(subject.id));
  const [typed, setTyped] = useState(() => begun(walk?.input, of));
  const blank = blankWalk({ job: subject.id, holder: '' }, systemOf(worksheet.need.unit));
  const [weather, setWeather] = useState<WeatherInput>(() => walk?.input.weather ?? blank.weather);
  const [photos, setPhotos] = useState<readonly string[]>(() => walk?.input.photos ?? []);
  const [ticked, setTicked] = useState<readonly string[]>(() => walk?.input.ticked ?? []);
  const [lack, setLack] = useState<string | null>(null);
  const [byServer, setByServer] = useState(true);
  const clockOff = useClockOff();
  const breaches = useBreaches(weather).filter(({ isUnknown }) => !isUnknown);
  const after = useCautions(of, 'after');
  // What was walked is timed by where the passes lie: that may come after this.
  const paces = paceNotes(walk?.input, of);
  const [told, setTold] = useState(paces);
  if (paces !== told) {
    setTold(paces);
    setTyped({ ...typed, note: [typed.note.replace(told, '').trim(), paces].filter(Boolean).join(' ') });
  }
  const areas = recordAreas(answer, of);
  const unit = answer.units.amount;
  const planned = areas.reduce((sum, { plannedSi }) => sum + plannedSi, 0);
  const person = personNamed(people, typed.by);
  const lotCame = useLotCame(worksheet.product);
  const beforeLot = say('record.beforeLot', { day: dayText(lotCame) });
  const set = (more: Partial<Typed>) => {
    setTyped({ ...typed, ...more });
    setLack(null);
  };
  const save = () => {
    const used = usedOf(typed, unit);
    const found = lackOf(typed, areas, used, { isSure: lack === say('record.over') || lack === beforeLot, lotCame });
    setLack(found);
    if (found) return;
    keepWho(typed.by);
    const by = byServer && clockOff !== null ? clockOff : 0;
    const { from, until } = momentsOf(typed);
    const startedAt = new Date(from + by).toISOString();
    const checks = breaches.map(({ message }) => ({ said: speak(message), why: walk?.input.why ?? '' }));
    const said = { ...typed, license: typed.license.trim() || (person?.input.license ?? ''), licenseUntil: person?.input.licenseUntil ?? '', person: person?.id ?? '', weather, photos, cautions: ticked, checks, clockAhead: clockOff === null ? '' : String(Math.round(-clockOff / 1000)), until: until === null ? '' : new Date(until + by).toISOString() };
    const facts = { job: form.getValues(), answer, of, machine, fields: said, runId: walk?.id ?? newId() };
    amountsOf(areas, used, unit).forEach((amount, index) => {
      void appendApplication({ subject, startedAt, input: recordFor(areas[index]!, amount, facts, index === 0) });
    });
    letWalkGo(subject.id);
    setWalk(null);
    setPhotos([]);
    setTicked([]);
    setTyped(begun(undefined, of));
    notices.tell(say('record.saved', { count: areas.length }));
  };
  return (
    <Section heading={say('record.new')} noPrint>
      <Box fontSize="16px" color="ink.soft" marginBottom="8px">{say('record.new.how')}</Box>
      <Box display="grid" gap="14px" gridTemplateColumns={{ base: '1fr', md: 'repeat(2, minmax(0, 260px))' }} alignItems="start">
        <WhoField label={say('record.by')} value={typed.by} onChange={(by) => set({ by })} />
        <Box>
          <LabelledField label={say('record.used')} value={typed.used} inputMode="decimal" minHeight="56px" placeholder={planned > 0 ? String(Number(fromSi(planned, unit).toPrecision(3))) : ''} unit={<BareUnit text={typed.used} unit={unit} />} onChange={(used) => set({ used })} />
          <Box fontSize="15px" color="ink.soft">{say('record.used.hint')} {planned > 0 && shownIn(planned, unit)}</Box>
        </Box>
        <LabelledField label={say('record.day')} type="date" value={typed.day} minHeight="56px" onChange={(day) => set({ day })} />
        <LabelledField label={say('record.time')} type="time" value={typed.time} minHeight="56px" onChange={(time) => set({ time })} />
      </Box>
      <WeighBack typed={typed} unit={unit} set={set} />
      <StatedDefault name={say('record.weather')} text={weatherText(weather) === '' ? say('record.weather.none') : say('record.weather.is', { weather: weatherText(weather) })} isWrong={breaches.length > 0}>
        <Box gridColumn="1 / -1">
          <WeatherFields weather={weather} onPavement={PRODUCT_KINDS[worksheet.product.kind].puts === 'de-icer'} onChange={setWeather} />
          {breaches.map(({ of: whose, id, message }) => <Box key={`${whose} ${id}`} color="warn" fontWeight="semibold">▲ {speak(message)}</Box>)}
        </Box>
      </StatedDefault>
      <MoreFields typed={typed} set={set} license={person?.input.license ?? ''} photos={photos} onPhotos={setPhotos} />
      {after.length > 0 && <Box marginTop="10px" fontWeight="semibold">{say('record.mind')}</Box>}
      {after.map((caution) => {
        const id = `after ${caution.id}`;
        return <CheckLine key={id} label={speak(caution)} checked={ticked.includes(id)} onChange={() => setTicked(ticked.includes(id) ? ticked.filter((each) => each !== id) : [...ticked, id])} />;
      })}
      {clockOff !== null && <CheckLine label={say('record.clock', { minutes: Math.round(Math.abs(clockOff) / 60_000), side: clockOff < 0 ? 'ahead' : 'behind' })} checked={byServer} onChange={() => setByServer(!byServer)} />}
      {lack && <Box role="alert" color="warn" fontWeight="semibold" marginTop="10px">{lack}</Box>}
      <Button variant="solid" minHeight="56px" marginTop="14px" onClick={save}>{say('record.save')}</Button>
    </Section>
  );
} // prettier-ignore
