import { Box, chakra } from '@chakra-ui/react';
import { moneyText } from '@steady-scatter/core/fields';
import { NUTRIENTS } from '@steady-scatter/core/need';
import { systemOf, type MassPerAreaUnit } from '@steady-scatter/core/quantities';
import { evaluateRuleSet, sumsOver, type LedgerArea } from '@steady-scatter/core/regulations';
import { Suspense } from 'react';
import { Link, useSearchParams } from 'react-router';
import { say } from '@steady-scatter/words/ledger';
import { useDocs } from '../documents/docs.ts';
import { useLedger, yearsFrom } from '../kinds/useLedger.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { useShelf } from '../kinds/useShelf.ts';
import { useCrew } from '../settings/CrewProvider.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { browser } from '../ui/browserStores.ts';
import { Choice } from '../ui/Choice.tsx';
import { useFigures } from '../ui/currency.ts';
import { dayText } from '../ui/dayText.ts';
import { PlainTable } from '../ui/PlainTable.tsx';
import { today } from '../ui/today.ts';
import { TopBar } from '../ui/TopBar.tsx';
import { shownIn } from '../units/shownIn.ts';
import { AreaLedger, type LedgerYear } from './AreaLedger.tsx';
import { logOf } from './ledgerTexts.ts';

const RULES = 'steady-scatter.ledger.rules';
const SHOWN = ['N', 'P2O5', 'K2O'] as const;

/** Unit of what lies on the ground, by what the person prefers. */
function useGroundUnit(): MassPerAreaUnit {
  const { rate, area } = usePreferences().preferences.units;
  const isUs = systemOf(rate ?? area ?? 'ft2') === 'us';
  return isUs ? 'lb/1000 ft2' : 'kg/ha';
}

interface RowProps {
  area: LedgerArea;
  year: LedgerYear;
  unit: MassPerAreaUnit;
  isOpen: boolean;
  to: string;
  money(cents: number | null): string;
}

/** One area in a line; each figure leads to its records. */
function AreaRow({ area, year, unit, isOpen, to, money }: RowProps) {
  const sums = sumsOver(area.months);
  const isUs = unit === 'lb/1000 ft2';
  return (
    <chakra.tr bg={isOpen ? 'soft' : undefined}>
      <th scope="row"><Link to={to}>{[area.areaName, area.siteName].filter(Boolean).join(', ')}</Link></th>
      <td data-end=""><Link to={logOf(area, year)}>{sums.count}</Link></td>
      {SHOWN.map((nutrient) => <td key={nutrient} data-end="">{sums.perM2[nutrient] > 0 ? shownIn(sums.perM2[nutrient], unit) : ''}</td>)}
      <td data-end="">{sums.saltKg > 0 ? shownIn(sums.saltKg, isUs ? 'lb' : 'kg') : ''}</td>
      <td data-end="">{sums.cents > 0 ? money(sums.cents) : ''}</td>
      <chakra.td whiteSpace="nowrap">{dayText(area.lastDay)}</chakra.td>
    </chakra.tr>
  );
} // prettier-ignore

const HEADINGS = [[say('ledger.area'), false], [say('ledger.times'), true], ...SHOWN.map((nutrient) => [NUTRIENTS[nutrient].symbol, true] as const), [say('ledger.salt'), true], [say('ledger.cost'), true], [say('ledger.last'), false]] as const; // prettier-ignore

/** What was spread in a year, area by area, against caps and label, and what is still allowed. */
export default function LedgerPage() {
  const [params, setParams] = useSearchParams();
  const { yearStart } = useCrew();
  const years = yearsFrom(today(), yearStart);
  const year = years.find(({ from }) => from === params.get('year')) ?? years[0]!;
  const { data: areas } = useLedger({ from: year.from, to: year.to, areas: null });
  const { data: sets = [] } = useDocs(RULE_SETS);
  const { data: shelf = [] } = useShelf();
  const setId = params.get('rules') ?? browser.getItem(RULES) ?? sets[0]?.id ?? '';
  const set = sets.find(({ id }) => id === setId);
  const rules = set ? evaluateRuleSet(set.input).rules : [];
  const unit = useGroundUnit();
  const figures = useFigures();
  const money = (cents: number | null) => (cents === null ? '' : figures({ number: moneyText(Math.round(cents)), isMoney: true })); // prettier-ignore
  const open = areas?.find(({ areaKey }) => areaKey === params.get('area'));
  const change = (more: Record<string, string>) => setParams({ ...Object.fromEntries(params), ...more }, { replace: true }); // prettier-ignore
  return (
    <>
      <title>{say('ledger.title')}</title>
      <TopBar><chakra.h1 fontSize="21px" fontWeight="bold">{say('ledger.heading')}</chakra.h1></TopBar>
      <JobsTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }}>
        <Box display="grid" gap="10px 14px" gridTemplateColumns={{ base: '1fr', md: 'repeat(2, minmax(0, 260px))' }} marginBottom="12px">
          <Choice label={say('ledger.year')} value={year.from} options={years.map(({ from, to }) => ({ id: from, label: say('ledger.years', { from: dayText(from), to: dayText(to) }) }))} onChange={(from) => change({ year: from })} />
          <Choice
            label={say('ledger.rules')}
            value={set?.id ?? ''}
            options={[{ id: '', label: say('ledger.noRules') }, ...sets.map(({ id, input: { name } }) => ({ id, label: name }))]}
            onChange={(id) => {
              browser.setItem(RULES, id);
              change({ rules: id });
            }}
          />
        </Box>
        {areas?.length === 0 && <Box fontSize="17px">{say('ledger.empty')}</Box>}
        {areas && areas.length > 0 && (
          <Box overflowX="auto">
            <PlainTable>
              <thead><tr>{HEADINGS.map(([label, isEnd]) => <th key={label} scope="col" {...(isEnd && { 'data-end': '' })}>{label}</th>)}</tr></thead>
              <tbody>{areas.map((area) => <AreaRow key={area.areaKey} area={area} year={year} unit={unit} isOpen={area === open} to={`?${new URLSearchParams({ ...Object.fromEntries(params), area: area.areaKey }).toString()}`} money={money} />)}</tbody>
            </PlainTable>
          </Box>
        )}
        {open && <Suspense fallback={null}><Box marginTop="20px"><AreaLedger area={open} year={year} unit={unit} rules={rules} shelf={shelf} /></Box></Suspense>}
      </Box>
    </>
  );
} // prettier-ignore
