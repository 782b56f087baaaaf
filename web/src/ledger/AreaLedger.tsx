import { Box, chakra } from '@chakra-ui/react';
import { inForm, ledgerForm, LEDGER_NUTRIENTS, NUTRIENTS } from '@steady-scatter/core/need';
import { evaluateProduct, PRODUCT_KINDS, type ProductInput } from '@steady-scatter/core/products';
import { UNITS, type MassPerAreaUnit } from '@steady-scatter/core/quantities';
import {
  allowedOn,
  doneOn,
  soFarOn,
  soilFactsFor,
  sumsOver,
  type LedgerArea,
  type RuleResult,
} from '@steady-scatter/core/regulations';
import { nameKey } from '@steady-scatter/core/fields';
import { Link } from 'react-router';
import { say, speak } from '@steady-scatter/words/ledger';
import { useDocs, type Doc } from '../documents/docs.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { useLedger } from '../kinds/useLedger.ts';
import { dayText } from '../ui/dayText.ts';
import { lazyPart } from '../ui/lazyPart.ts';
import { PlainTable } from '../ui/PlainTable.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';
import { shownIn } from '../units/shownIn.ts';
import { spreadUnits } from '../units/spreadUnits.ts';
import { logOf, monthsBetween } from './ledgerTexts.ts';

const MonthChart = lazyPart(() => import('./MonthChart.tsx'));

export interface LedgerYear {
  readonly from: string;
  readonly to: string;
}

interface Props {
  area: LedgerArea;
  year: LedgerYear;
  unit: MassPerAreaUnit;
  rules: readonly RuleResult[];
  shelf: readonly Doc<ProductInput>[];
}

/** Each cap of a year with what of it is used, as a bar and in figures. */
function Caps({ area, unit, rules, year }: Pick<Props, 'area' | 'unit' | 'rules' | 'year'>) {
  const sums = sumsOver(area.months);
  const caps = rules.filter(({ input }) => input.kind === 'most-in-a-year');
  const without = LEDGER_NUTRIENTS.filter((nutrient) => sums.perM2[nutrient] > 0 && !caps.some(({ input }) => ledgerForm(input.nutrient) === nutrient));
  return (
    <Box display="grid" gap="10px" maxWidth="640px">
      {caps.map(({ input, limit: stated }) => {
        const nutrient = ledgerForm(input.nutrient);
        const limit = inForm(stated, input.nutrient, nutrient);
        const used = sums.perM2[nutrient];
        const share = limit > 0 ? used / limit : 1;
        return (
          <Box key={input.id}>
            <Box fontSize="17px">
              <b>{NUTRIENTS[nutrient].symbol}</b>{' '}
              <Link to={logOf(area, year)}>{say('ledger.cap', { used: shownIn(used, unit), most: shownIn(limit, unit) })}</Link>{' '}
              <chakra.span color={share > 1 ? 'warn' : 'ink.soft'}>{share > 1 ? say('ledger.over', { over: shownIn(used - limit, unit) }) : say('ledger.left', { left: shownIn(limit - used, unit) })}</chakra.span>
            </Box>
            <Box height="14px" borderRadius="4px" bg="soft" borderWidth="1px" borderColor="line" overflow="hidden" aria-hidden>
              <Box height="100%" width={`${Math.min(100, share * 100)}%`} bg={share > 1 ? 'warn' : share > 0.9 ? 'tape' : 'act'} />
            </Box>
          </Box>
        );
      })}
      {without.map((nutrient) => (
        <Box key={nutrient} fontSize="17px"><b>{NUTRIENTS[nutrient].symbol}</b> <Link to={logOf(area, year)}>{shownIn(sums.perM2[nutrient], unit)}</Link> <chakra.span color="ink.soft">{say('ledger.noCap')}</chakra.span></Box>
      ))}
    </Box>
  );
} // prettier-ignore

/** What is still allowed of each feed and carrier on the shelf: how much at once, and from which day. */
function StillAllowed({ area, rules, shelf, unit, year }: Props) {
  const { data: tests = [] } = useDocs(SOIL_TESTS);
  const soil = soilFactsFor(tests, [area]);
  const isUs = UNITS[unit].symbol.startsWith('lb');
  const lines = shelf
    .filter(({ input }) => PRODUCT_KINDS[input.kind].puts !== 'de-icer')
    .map(({ id, input }) => {
      const product = evaluateProduct(input);
      const own = area.products.find(({ key }) => key === nameKey(input.name));
      const before = {
        soFar: soFarOn([area]),
        done: doneOn([area], nameKey(input.name), year.from),
        beforeSi: own?.siPerM2 ?? 0,
        soilTest: soil,
      };
      const rate = spreadUnits(PRODUCT_KINDS[input.kind].form === 'liquid', isUs).rate;
      return Object.assign({ id, name: input.name, rate, own }, allowedOn(rules, product, today(), before));
    });
  return (
    <Box overflowX="auto">
      <PlainTable>
        <thead><tr><th scope="col">{say('ledger.product')}</th><th scope="col" data-end="">{say('ledger.times')}</th><th scope="col">{say('ledger.last')}</th><th scope="col" data-end="">{say('ledger.allowed')}</th><th scope="col">{say('ledger.from')}</th></tr></thead>
        <tbody>
          {lines.map(({ id, name, rate, own, mostSi, onDay, broken }) => (
            <tr key={id}>
              <th scope="row"><Link to={`/shelf/${id}`}>{name}</Link></th>
              <td data-end="">{own ? <Link to={logOf(area, year, own.name)}>{own.count}</Link> : ''}</td>
              <td>{own ? dayText(own.lastDay) : ''}</td>
              <td data-end="">{mostSi === null ? say('ledger.unlimited') : mostSi === 0 ? say('ledger.none') : shownIn(mostSi, rate)}</td>
              <td>{onDay === null ? (broken[0] ? speak(broken[0].rule) : say('ledger.never')) : onDay === today() ? say('ledger.today') : dayText(onDay)}</td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
    </Box>
  );
} // prettier-ignore

/** The year of one area: caps, months, and what is still allowed. */
export function AreaLedger(props: Props) {
  const { area, year, unit } = props;
  const { data: byMonth } = useLedger({ from: year.from, to: year.to, areas: [area.areaKey], byMonth: true });
  const months = byMonth?.[0] ?? area;
  return (
    <Section heading={say('ledger.of', { area: area.areaName, site: area.siteName || 'none' })}>
      <Caps {...props} />
      <Box marginTop="14px" maxWidth="720px">
        <MonthChart area={months} months={monthsBetween(year.from, year.to)} unit={unit} />
      </Box>
      <Box marginTop="14px" fontSize="17px" fontWeight="semibold">{say('ledger.still', { day: dayText(today()) })}</Box>
      <StillAllowed {...props} area={months} />
    </Section>
  );
} // prettier-ignore
