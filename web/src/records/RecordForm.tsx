import { Box, Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { message } from '@steady-scatter/core/messages';
import { fromSi, readPositive, UNITS } from '@steady-scatter/core/quantities';
import { splitByPlan } from '@steady-scatter/core/season';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/record';
import { appendApplication, type Subject } from '../kinds/useApplications.ts';
import { useNotices } from '../notices/notices.tsx';
import { paceNote } from '../run/paceNote.ts';
import { heldRun } from '../run/useRunLog.ts';
import { useJobMachine } from '../machine/useJobMachine.ts';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { browser } from '../ui/browserStores.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { today } from '../ui/today.ts';
import { keepWho, whoWorks } from '../ui/who.ts';
import { shownIn } from '../units/shownIn.ts';
import type { RunOfSheet } from '../load/useRunSheet.ts';
import { recordAreas, recordFor, typedAs, type RecordArea } from './recordFor.ts';

const LICENSE = 'steady-scatter.license';

/** The time of day, on the clock of this device. */
const clockNow = (): string => new Date().toTimeString().slice(0, 5);

interface Typed {
  by: string;
  license: string;
  wind: string;
  sky: string;
  note: string;
  used: string;
  day: string;
  time: string;
}

const blankTyped = (note = ''): Typed => ({ by: whoWorks(), license: browser.getItem(LICENSE) ?? '', wind: '', sky: '', note, used: '', day: today(), time: clockNow() }); // prettier-ignore

/** How the areas were walked, where this device counted the passes. */
const notesOf = (job: string, { sheet, load }: RunOfSheet): string =>
  sheet.areas.flatMap((run) => {
    const log = heldRun(job, run.id);
    const note = log && paceNote({ run, log, paceMPerS: sheet.paceMPerS, turnS: load.turnS });
    return note ? [sheet.areas.length > 1 ? `${run.name}: ${note}` : note] : [];
  }).join(' '); // prettier-ignore

/** What each area got: the whole that was typed, shared out as planned; else what was planned. */
function amountsOf(areas: readonly RecordArea[], used: string, usedSi: number | null, unit: Parameters<typeof typedAs>[1]) {
  if (usedSi === null) return areas.map(({ plannedSi }) => ({ text: typedAs(plannedSi, unit), from: 'planned' as const }));
  // One area alone got what was weighed, with its own digits.
  if (areas.length === 1) return [{ text: used, from: 'weighed' as const }];
  return splitByPlan(usedSi, areas.map(({ plannedSi }) => plannedSi)).map((si) => ({ text: typedAs(si, unit), from: 'split' as const }));
} // prettier-ignore

/** Twice what was planned, or half as much again, is a slip more often than a run. */
const TOO_MUCH = 1.5;

/** What keeps it from being recorded; null: nothing does. */
function lackOf(typed: Typed, areas: readonly RecordArea[], used: ReturnType<typeof toResult<number | null>>, isSure: boolean): string | null {
  if (areas.length === 0) return say('record.needsPlan');
  if (typed.by.trim() === '') return say('record.needsBy');
  if (used.error) return say('record.needsUsed');
  const planned = areas.reduce((sum, { plannedSi }) => sum + plannedSi, 0);
  if (used.value !== null && used.value > planned * TOO_MUCH && !isSure) return say('record.over');
  const at = Date.parse(`${typed.day}T${typed.time || '12:00'}`);
  return Number.isNaN(at) || at > Date.now() + 60_000 ? say('record.future') : null;
} // prettier-ignore

/** License, weather and a note: said where they are asked for. */
function MoreFields({ typed, set }: { typed: Typed; set(more: Partial<Typed>): void }) {
  const weather = [typed.wind, typed.sky].filter((text) => text.trim() !== '').join(', ');
  return (
    <StatedDefault
      name={say('record.more')}
      text={say('record.moreIs', { license: typed.license.trim() || 'none', weather: weather || 'none', note: typed.note.trim() || 'none' })} // prettier-ignore
    >
      <LabelledField label={say('record.license')} value={typed.license} onChange={(license) => set({ license })} />
      <LabelledField label={say('record.wind')} value={typed.wind} placeholder={say('record.wind.hint')} onChange={(wind) => set({ wind })} />
      <LabelledField label={say('record.sky')} value={typed.sky} placeholder={say('record.sky.hint')} onChange={(sky) => set({ sky })} />
      <LabelledField label={say('record.note')} value={typed.note} onChange={(note) => set({ note })} />
    </StatedDefault>
  );
} // prettier-ignore

/** Work is recorded for a job: who, how much went out in all, when. Everything else is the sheet's. */
export function RecordForm({ subject, of }: { subject: Subject; of: RunOfSheet }) {
  const { answer } = useSheet();
  const form = useSheetForm();
  const machine = useJobMachine();
  const notices = useNotices();
  // What the run told of the pace goes with the record.
  const [typed, setTyped] = useState(() => blankTyped(notesOf(subject.id, of)));
  const [lack, setLack] = useState<string | null>(null);
  const areas = recordAreas(answer, of);
  const unit = answer.units.amount;
  const planned = areas.reduce((sum, { plannedSi }) => sum + plannedSi, 0);
  const set = (more: Partial<Typed>) => {
    setTyped({ ...typed, ...more });
    setLack(null);
  };
  const save = () => {
    const { kind } = UNITS[unit];
    const used = toResult(() => (typed.used.trim() === '' ? null : readPositive(typed.used, { kind, bareUnit: unit, field: 'used' }, message('errors.what.amount')).si)); // prettier-ignore
    const found = lackOf(typed, areas, used, lack === say('record.over'));
    setLack(found);
    if (found) return;
    keepWho(typed.by);
    browser.setItem(LICENSE, typed.license.trim());
    const facts = { job: form.getValues(), answer, of, machine, fields: typed, runId: newId() };
    const startedAt = new Date(`${typed.day}T${typed.time || '12:00'}`).toISOString();
    amountsOf(areas, typed.used, used.value, unit).forEach((amount, at) => {
      void appendApplication({ subject, startedAt, input: recordFor(areas[at]!, amount, facts) });
    });
    setTyped(blankTyped());
    notices.tell(say('record.saved', { count: areas.length }));
  };
  return (
    <Section heading={say('record.new')} noPrint>
      <Box fontSize="16px" color="ink.soft" marginBottom="8px">{say('record.new.how')}</Box>
      <Box display="grid" gap="14px" gridTemplateColumns={{ base: '1fr', md: 'repeat(2, minmax(0, 260px))' }} alignItems="start">
        <LabelledField label={say('record.by')} value={typed.by} minHeight="56px" onChange={(by) => set({ by })} />
        <Box>
          <LabelledField label={say('record.used')} value={typed.used} inputMode="decimal" minHeight="56px" placeholder={planned > 0 ? String(Number(fromSi(planned, unit).toPrecision(3))) : ''} unit={<BareUnit text={typed.used} unit={unit} />} onChange={(used) => set({ used })} />
          <Box fontSize="15px" color="ink.soft">{say('record.used.hint')} {planned > 0 && shownIn(planned, unit)}</Box>
        </Box>
        <LabelledField label={say('record.day')} type="date" value={typed.day} minHeight="56px" onChange={(day) => set({ day })} />
        <LabelledField label={say('record.time')} type="time" value={typed.time} minHeight="56px" onChange={(time) => set({ time })} />
      </Box>
      <MoreFields typed={typed} set={set} />
      {lack && <Box role="alert" color="warn" fontWeight="semibold" marginTop="10px">{lack}</Box>}
      <Button variant="solid" minHeight="56px" marginTop="14px" onClick={save}>{say('record.save')}</Button>
    </Section>
  );
} // prettier-ignore
