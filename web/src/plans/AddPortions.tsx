import { Box, Button } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { toResult } from '@steady-scatter/core/errors';
import { readCount, readDay } from '@steady-scatter/core/fields';
import { evaluateSoilTest, NUTRIENTS, readNeed, youngestTestOf } from '@steady-scatter/core/need';
import { portionsFor, type PortionInput } from '@steady-scatter/core/plan';
import { NEED_OF_IDS, type NeedOf } from '@steady-scatter/core/products';
import { fromSi, showExact } from '@steady-scatter/core/quantities';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/plans';
import { useDocs } from '../documents/docs.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { CheckLine } from '../ui/CheckLine.tsx';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { Fields } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { Unit } from '../ui/UnitSelect.tsx';
import { RATE_CHOICES } from '../units/units.ts';
import { needText } from './planTexts.ts';
import { useChangePortions, type PlanProps } from './changePortions.ts';
import type { PlanArea, PlanView } from './usePlan.ts';

interface Wish {
  readonly site: string;
  /** Areas that it is not for. */
  readonly without: readonly string[];
  readonly product: string;
  readonly nutrient: NeedOf;
  readonly total: string;
  readonly unit: PortionInput['unit'];
  readonly times: string;
  readonly first: string;
  readonly every: string;
}

const OF = NEED_OF_IDS.map((id) => ({ id, label: id === 'product' ? say('plans.of.product') : id === 'ai' ? say('plans.of.ai') : NUTRIENTS[id].symbol })); // prettier-ignore

/** What is wrong with a wish, each at its field; none, and the portions that it makes. */
function readWish(wish: Wish, areas: readonly PlanArea[], view: PlanView) {
  const total = toResult(() => readNeed(wish.total, wish.unit, 'total').si);
  const times = toResult(() => readCount(wish.times, { field: 'times', hint: '2', most: 366, isPositive: true }));
  const every = times.value === 1 ? { value: 0, error: null } : toResult(() => readCount(wish.every, { field: 'every', hint: '28', most: 366, isPositive: true }));
  const first = toResult(() => readDay(wish.first, 'first'));
  const name = view.shelf.find(({ id }) => id === wish.product)?.input.name ?? '';
  const isRead = total.value !== null && times.value !== null && every.value !== null && first.value !== null;
  const made = isRead
    ? toResult(() => portionsFor({ ground: areas, product: { id: wish.product, name }, nutrient: wish.nutrient, totalSi: total.value, unit: wish.unit, times: times.value, firstDay: first.value, everyDays: every.value }, newId))
    : { value: null, error: null };
  const errors = [total, times, every, first, made].flatMap(({ error }): InputError[] => (error ? [error] : []));
  return { made: made.value, errors };
} // prettier-ignore

/** What the youngest soil test of the ground asks for, to be taken as the need. */
function FromSoil({ areas, onTake }: { areas: readonly PlanArea[]; onTake(nutrient: NeedOf, total: string, unit: PortionInput['unit']): void }) {
  const { data: tests = [] } = useDocs(SOIL_TESTS);
  const last = youngestTestOf(tests, areas);
  if (!last) return null;
  const { unit, onDay } = last.input;
  const needs = evaluateSoilTest(last.input).needs.filter(({ kgPerM2 }) => kgPerM2 > 0);
  return (
    <Box display="flex" flexWrap="wrap" gap="8px" marginTop="10px">
      {needs.map(({ nutrient, kgPerM2 }) => {
        const amount = showExact(fromSi(kgPerM2, unit), 4).replace(/\s/g, '');
        return (
          <Button key={nutrient} minHeight="44px" onClick={() => onTake(nutrient, amount, unit)}>
            {say('plans.add.bySoil', { need: needText({ amount, unit, nutrient }), day: dayText(onDay) })}
          </Button>
        );
      })}
    </Box>
  );
} // prettier-ignore

/** What is asked before portions are made: the ground, the product, the need of the year, in how many portions. */
export function AddPortions(props: PlanProps) {
  const { view, input } = props;
  const { rate } = usePreferences().preferences.units;
  const sites = [...new Map(view.areas.map(({ site, siteName }) => [site, siteName]))];
  const [wish, setWish] = useState<Wish>({ site: '', without: [], product: '', nutrient: 'N', total: '', unit: RATE_CHOICES.find((id) => id === rate) ?? 'lb/1000 ft2', times: '1', first: view.today > input.fromDay ? view.today : input.fromDay, every: '28' }); // prettier-ignore
  const [tried, setTried] = useState(false);
  const change = useChangePortions(props);
  const put = (more: Partial<Wish>) => setWish((now) => ({ ...now, ...more }));
  const now = { ...wish, site: wish.site || (input.portions.at(-1)?.site ?? sites[0]?.[0] ?? ''), product: wish.product || (view.shelf[0]?.id ?? '') };
  const onSite = view.areas.filter(({ site }) => site === now.site);
  const areas = onSite.filter(({ area }) => !now.without.includes(area));
  const { made, errors } = readWish(now, areas, view);
  const errorAt = (field: string) => errors.find((each) => each.field === field && (tried || !each.code.endsWith('.empty'))); // prettier-ignore
  if (sites.length === 0) return <Section heading={say('plans.add.heading')}>{say('plans.add.noSite')}</Section>;
  if (view.shelf.length === 0) return <Section heading={say('plans.add.heading')}>{say('plans.add.noProduct')}</Section>; // prettier-ignore
  const add = () => {
    setTried(true);
    if (!made || made.length === 0) return;
    change([...input.portions, ...made], say('plans.add.told', { count: made.length }));
    setTried(false);
    put({ total: '' });
  };
  const bind = (name: 'total' | 'times' | 'first' | 'every') => ({ value: now[name], onChange: (value: string) => put({ [name]: value }), error: errorAt(name) }); // prettier-ignore
  return (
    <Section heading={say('plans.add.heading')} noPrint>
      <Fields>
        <Choice label={say('plans.add.site')} value={now.site} options={sites.map(([id, label]) => ({ id, label }))} onChange={(site) => put({ site, without: [] })} />
        <Choice label={say('plans.add.product')} value={now.product} options={view.shelf.map(({ id, input: { name } }) => ({ id, label: name }))} onChange={(product) => put({ product })} />
        <Choice label={say('plans.add.of')} value={now.nutrient} options={OF} onChange={(nutrient) => put({ nutrient })} />
        <LabelledField label={say('plans.add.total')} inputMode="decimal" unit={<Unit label={say('plans.add.total')} value={now.unit} options={RATE_CHOICES} onChange={(unit) => put({ unit })} />} {...bind('total')} />
        <LabelledField label={say('plans.add.times')} inputMode="numeric" {...bind('times')} />
        <LabelledField label={say('plans.add.first')} type="date" {...bind('first')} />
        {now.times.trim() !== '1' && <LabelledField label={say('plans.add.every')} inputMode="numeric" {...bind('every')} />}
      </Fields>
      {onSite.length > 1 && (
        <Box role="group" aria-label={say('plans.add.areas')} display="flex" flexWrap="wrap" gap="0 26px" marginTop="6px">
          {onSite.map(({ area, areaName }) => (
            <CheckLine key={area} label={areaName} checked={!now.without.includes(area)} onChange={() => put({ without: now.without.includes(area) ? now.without.filter((each) => each !== area) : [...now.without, area] })} />
          ))}
        </Box>
      )}
      <FromSoil areas={areas} onTake={(nutrient, total, unit) => put({ nutrient, total, unit })} />
      <Box display="flex" flexWrap="wrap" alignItems="center" gap="14px" marginTop="12px">
        <Button variant="solid" minHeight="touch" onClick={add} disabled={areas.length === 0}>{say('plans.add.act')}</Button>
        {made?.[0] && <Box fontSize="17px">{say('plans.add.each', { amount: needText(made[0]) })}</Box>}
      </Box>
    </Section>
  );
} // prettier-ignore
