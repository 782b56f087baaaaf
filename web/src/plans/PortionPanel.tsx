import { Box, Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { readDay } from '@steady-scatter/core/fields';
import { catchUp, halfAfterLook, HOLDS, movePortions, shareOut, type PlannedPortion, type PortionInput } from '@steady-scatter/core/plan'; // prettier-ignore
import { soilTestFor } from './planSheet.ts';
import { type System } from '@steady-scatter/core/quantities';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { list, say, speak } from '@steady-scatter/words/plans';
import { useDocs } from '../documents/docs.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { CheckLine } from '../ui/CheckLine.tsx';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { Fields } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Panel } from '../ui/Panel.tsx';
import { overText } from '../regulations/overText.ts';
import { shownIn } from '../units/shownIn.ts';
import { spreadUnits } from '../units/spreadUnits.ts';
import { UNITS } from '@steady-scatter/core/quantities';
import { makeSheet } from './planSheet.ts';
import { useChangePortions, type PlanProps } from './changePortions.ts';
import { brokenOn, nearestDay, type PlanView } from './usePlan.ts';

interface Props extends PlanProps {
  readonly portions: readonly PortionInput[];
  readonly system: System;
  onClose(): void;
  onChosen(ids: ReadonlySet<string>): void;
}

const HALF_DAYS = 28;
const HOLD = HOLDS.map((id) => ({ id, label: say('plans.portion.holdFor', { hold: id || 'none' }) }));

/** What the rules say of the day it stands on, with the way to the nearest allowed one. */
function RuleLines({ view, planned, onMove }: { view: PlanView; planned: readonly PlannedPortion[]; onMove(day: string): void }) {
  const day = planned[0]!.input.onDay;
  const broken = brokenOn(view, planned, day);
  if (broken.length === 0) return <Box color="fine" fontSize="16px">✓ {say('plans.portion.kept')}</Box>;
  const isOfDays = broken.some(({ mostShare }) => mostShare === null);
  const near = isOfDays ? nearestDay(view, planned, day) : null;
  return (
    <Box color="warn" fontSize="16px" role="status">
      {broken.map(({ id, rule, overBy }) => <Box key={id}>▲ {say('plans.portion.rule', { rule: speak(rule), by: overBy ? overText(overBy) : 'none' })}</Box>)}
      {near !== null && near !== day && <Button minHeight="44px" marginTop="6px" onClick={() => onMove(near)}>{say('plans.portion.near', { day: dayText(near) })}</Button>}
      {isOfDays && near === null && <Box>{say('plans.portion.noDay')}</Box>}
    </Box>
  );
} // prettier-ignore

/** What is no longer there, and what takes its place. */
function Gone({ view, planned, put }: { view: PlanView; planned: readonly PlannedPortion[]; put(change: (each: PortionInput) => PortionInput): void }) {
  const [first] = planned as [PlannedPortion];
  const lost = planned.filter(({ ground }) => ground === null);
  const onSite = view.areas.filter(({ site }) => site === first.input.site);
  return (
    <>
      {lost.map(({ input: { id, area, areaName, siteName } }) => (
        <Box key={id} color="warn" fontSize="16px">
          ▲ {say('plans.portion.gone', { area: areaName, site: siteName })}
          <Choice
            label={say('plans.portion.put')}
            value={area}
            options={[{ id: area, label: areaName }, ...onSite.map((each) => ({ id: each.area, label: each.areaName }))]}
            onChange={(to) => {
              const found = onSite.find((each) => each.area === to);
              if (found) put((each) => (each.id === id ? { ...each, area: to, areaName: found.areaName } : each));
            }}
          />
        </Box>
      ))}
      {first.product === null && <Box color="warn" fontSize="16px">▲ {say('plans.portion.productGone', { product: first.input.productName })}</Box>}
    </>
  );
} // prettier-ignore

/** Fields of what is planned: its day, its amount, its product, and what it waits for. */
function PortionFields({ portions, view, put, errorAt, input }: Pick<Props, 'portions' | 'view' | 'input' | 'errorAt'> & { put(change: (each: PortionInput) => PortionInput): void }) {
  const [first] = portions as [PortionInput];
  const index = input.portions.findIndex(({ id }) => id === first.id);
  const [day, setDay] = useState(first.onDay);
  const [from, setFrom] = useState(first.onDay);
  if (from !== first.onDay) {
    setFrom(first.onDay);
    setDay(first.onDay);
  }
  const onDay = (text: string) => {
    setDay(text);
    if (toResult(() => readDay(text, 'onDay')).value !== null) put((each) => ({ ...each, onDay: text }));
  };
  const { hold } = first;
  return (
    <Fields>
      <LabelledField label={say('plans.portion.day')} type="date" value={day} onChange={onDay} error={errorAt(`portions.${index}.onDay`)} />
      <LabelledField label={say('plans.portion.amount')} inputMode="decimal" unit={<Box whiteSpace="nowrap">{UNITS[first.unit].symbol}</Box>} value={first.amount} onChange={(amount) => put((each) => ({ ...each, amount }))} error={errorAt(`portions.${index}.amount`)} />
      <Choice label={say('plans.portion.product')} value={first.product} options={[...(view.shelf.some(({ id }) => id === first.product) ? [] : [{ id: first.product, label: say('plans.portion.gone.product', { product: first.productName }) }]), ...view.shelf.map(({ id, input: { name } }) => ({ id, label: name }))]} onChange={(product) => put((each) => ({ ...each, product, productName: view.shelf.find(({ id }) => id === product)?.input.name ?? each.productName }))} />
      <Choice label={say('plans.portion.hold')} value={hold} options={HOLD} onChange={(next) => put((each) => ({ ...each, hold: next }))} />
      {hold !== '' && <LabelledField label={say('plans.portion.why')} value={first.why} onChange={(why) => put((each) => ({ ...each, why }))} />}
    </Fields>
  );
} // prettier-ignore

/** What can be done with it. */
function Acts(props: Props & { planned: readonly PlannedPortion[]; ids: ReadonlySet<string>; isMissed: boolean }) {
  const { input, view, planned, ids, isMissed, keepThen, onClose } = props;
  const change = useChangePortions(props);
  const { data: soilTests = [] } = useDocs(SOIL_TESTS);
  const navigate = useNavigate();
  const open = new Set(view.open.map((each) => each.input.id));
  const [told, setTold] = useState('');
  const job = planned.find((each) => each.input.job !== '')?.input.job ?? '';
  const act = (next: readonly PortionInput[], words: string, nothing: string) => {
    if (next.every((each, index) => each === input.portions[index]) && next.length === input.portions.length) return setTold(nothing);
    change(next, words);
    onClose();
  };
  const sheet = async () => {
    const id = await makeSheet({ planned, view, soilTest: soilTestFor(soilTests, planned) });
    props.set('portions', input.portions.map((each) => (ids.has(each.id) ? { ...each, job: id } : each)));
    keepThen(() => void navigate(`/jobs/${id}`));
  };
  return (
    <>
      <Box role="status" fontSize="16px" fontWeight="semibold">{told}</Box>
      <Box display="flex" flexWrap="wrap" gap="8px">
        {job === '' ? (
          <Button variant="solid" minHeight="touch" disabled={planned.every(({ rateSi, ground }) => rateSi === null || ground === null)} onClick={() => void sheet()}>{say('plans.portion.sheet')}</Button>
        ) : (
          <Button asChild variant="solid" minHeight="touch"><Link to={`/jobs/${job}`}>{say('plans.portion.open')}</Link></Button>
        )}
        {isMissed && <Button minHeight="touch" onClick={() => act(catchUp(input, planned, open, view.today, view.book), say('plans.portion.catchUpTold'), say('plans.portion.noRoom'))}>{say('plans.portion.catchUp')}</Button>}
        {isMissed && <Button minHeight="touch" onClick={() => act(shareOut(input.portions, ids, open), say('plans.portion.shared'), say('plans.portion.shareNone'))}>{say('plans.portion.share')}</Button>}
        {!isMissed && <Button minHeight="touch" onClick={() => act(halfAfterLook(input.portions, ids, HALF_DAYS, newId), say('plans.portion.half'), '')}>{say('plans.portion.half')}</Button>}
        <Button minHeight="touch" onClick={() => act(input.portions.filter(({ id }) => !ids.has(id)), say('plans.portion.removed', { count: ids.size }), '')}>{say('plans.portion.remove')}</Button>
      </Box>
    </>
  );
} // prettier-ignore

/** One portion, opened: what it is for, how it stands, and what can be done with it. */
export function PortionPanel(props: Props) {
  const { portions, view, input, system, onClose, onChosen } = props;
  const [without, setWithout] = useState<readonly string[]>([]);
  const [first] = portions as [PortionInput];
  const chosen = portions.filter(({ id }) => !without.includes(id));
  const ids = new Set(chosen.map(({ id }) => id));
  const planned = chosen.flatMap(({ id }) => view.planned.get(id) ?? []);
  const states = portions.map(({ id }) => view.states.get(id)!);
  const done = states.find(({ state }) => state === 'done');
  const put = (change: (each: PortionInput) => PortionInput) => {
    if (without.length > 0) {
      onChosen(ids);
      setWithout([]);
    }
    props.set('portions', input.portions.map((each) => (ids.has(each.id) ? change(each) : each)));
  };
  const takes = planned.reduce((sum, { amountSi }) => sum + (amountSi ?? 0), 0);
  const unsized = planned.filter(({ ground, amountSi, rateSi }) => ground !== null && amountSi === null && rateSi !== null);
  return (
    <Panel title={say('plans.portion.title', { what: first.productName, site: first.siteName })} onClose={onClose} size="lg">
      <Box display="grid" gap="12px">
        {portions.length === 1 ? (
          <Box fontSize="17px">{first.areaName}</Box>
        ) : (
          <Box role="group" aria-label={say('plans.portion.areas')} display="flex" flexWrap="wrap" gap="0 26px">
            {portions.map(({ id, areaName }) => <CheckLine key={id} label={areaName} checked={!without.includes(id)} onChange={() => setWithout(without.includes(id) ? without.filter((each) => each !== id) : [...without, id])} />)}
          </Box>
        )}
        {done ? (
          <Box fontSize="17px">
            ✓ {say('plans.state.done', { day: dayText(done.doneOn) })}. <Link to={`/log?${new URLSearchParams({ area: first.area, from: done.doneOn, to: done.doneOn }).toString()}`}>{say('plans.portion.records')}</Link>
          </Box>
        ) : planned.length > 0 && (
          <>
            <PortionFields portions={chosen} view={view} put={put} input={input} errorAt={props.errorAt} />
            <Gone view={view} planned={planned} put={put} />
            {unsized.map((each) => <Box key={each.input.id} color="warn">▲ {say('plans.portion.noSize', { area: each.input.areaName })}</Box>)}
            <RuleLines view={view} planned={planned} onMove={(day) => put((each) => movePortions([each], ids, day)[0]!)} />
            {view.twice.filter(({ id }) => ids.has(id)).slice(0, 3).map(({ id, plan, onDay }) => <Box key={`${id} ${onDay}`} color="warn">▲ {say('plans.portion.twice', { plan, day: dayText(onDay) })}</Box>)}
            {takes > 0 && <Box fontSize="17px">{say('plans.portion.takes', { amount: shownIn(takes, spreadUnits(planned[0]!.product?.form === 'liquid', system === 'us').amount) })} ({list(planned.map(({ input: { areaName } }) => areaName))})</Box>}
            <Acts {...props} planned={planned} ids={ids} isMissed={states.some(({ state }) => state === 'missed')} />
          </>
        )}
      </Box>
    </Panel>
  );
} // prettier-ignore
