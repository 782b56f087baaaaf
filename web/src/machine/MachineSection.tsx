import { memo } from 'react';
import { Box, Button, chakra } from '@chakra-ui/react';
import { showQuantity, UNITS } from '@steady-scatter/core/quantities';
import { rigKind } from '@steady-scatter/core/machines';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import {
  chartMatch,
  markRemark,
  mayGiveSetting,
  sameProductKey,
  spreadPlan,
  type CalibrationAim,
  type CalibrationInput,
  type ChartMatch,
} from '@steady-scatter/core/testing';
import { mismatchRemark } from '@steady-scatter/core/width';
import { termText } from '@steady-scatter/core/working';
import type { SpreadInput } from '@steady-scatter/core/worksheet';
import { useWatch } from 'react-hook-form';
import { Link, useParams } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { rich, say, speak } from '@steady-scatter/words/sheet';
import { explain } from '../api/explain.ts';
import { queries } from '../api/queries.ts';
import { calibrationContext, useMachineShelf, type CalibrationContext } from '../bench/calibrationContext.ts';
import { AIMS, CALIBRATIONS } from '../kinds/useCalibrations.ts';
import { allLines, fetchDoc, keysOf, useDoc } from '../documents/docs.ts';
import { useNotices } from '../notices/notices.tsx';
import { ageOf, FRESH_WORDS } from '../bench/SignOff.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { Section } from '../ui/Section.tsx';
import { termOf } from '../ui/termShown.ts';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';
import { richly, TAGS } from '../ui/richly.tsx';

const Select = chakra('select', { base: { ...fieldBox, maxWidth: '100%' } });

const lengthOf = (m: number, unit: SpreadInput['width']['unit']): string => {
  const { number, unit: symbol } = showQuantity(m, unit, 3);
  return `${number.replace(/(\.\d*?)0+$/, '$1').replace(/\.$/, '')} ${symbol}`;
};

/** The mark for this sheet's rate, and what comes of a spacing that is not the chart's. */
function Setting({
  input,
  on,
  spread,
}: {
  input: CalibrationInput;
  on: CalibrationContext;
  spread: SpreadInput;
}) {
  const form = useSheetForm();
  const { answer } = useSheet();
  const { rateSi, times: over } = answer.numbers.once;
  const set = (more: Partial<SpreadInput>) => form.setValue('worksheet.spread', { ...spread, ...more }, { shouldDirty: true }); // prettier-ignore
  if (rateSi === null) return <Box fontSize="16px">{say('sheet.machine.lacksRate')}</Box>;
  const plan = spreadPlan(on.reading, rateSi, answer.reading.passedM, spread.recomputed, input.isCeiling);
  if (!plan) return <Box fontSize="16px">{say('sheet.machine.lacksRates')}</Box>;
  const { found, workedM, passedM, times } = plan;
  const { unit } = spread.width;
  const [worked, passed] = [lengthOf(workedM, unit), lengthOf(passedM, unit)];
  const age = ageOf(input, on);
  return (
    <Box fontSize="17px">
      {over > 1 && (
        <Box fontSize="16px" color="ink.soft">
          {speak(answer.lines.once.label)}: {termText(termOf(answer.lines.once, 'once.rate'), speak)}
        </Box>
      )}
      <Box>{richly(rich('sheet.machine.set', { ...TAGS, control: on.rig?.control.name || say('sheet.machine.control'), mark: found.line.mark.label, rate: speak(markRemark(found, input.target.unit)) }))}{input.second && say('sheet.machine.second', { name: on.rig?.second.name ?? '', second: input.second })}.
      </Box>
      {found.beyond && (
        <Box color="warn" fontWeight="semibold">{say('sheet.machine.beyond', { side: found.beyond })}</Box>
      )}
      {(age.state === 'stale' || age.state === 'ageing') && (
        <Box color={age.state === 'stale' ? 'warn' : 'ink'} fontWeight={age.state === 'stale' ? 'semibold' : 'normal'}>
          {FRESH_WORDS[age.state]}: {age.reasons.map(speak).join('; ')}.
        </Box>
      )}
      {times !== null && rigKind(on.bench.kind).width === 'passes' && (
        <WarningBox marginTop="10px" data-noprint>
          {richly(rich('sheet.machine.twoSpacings', { ...TAGS, text: speak(mismatchRemark({ times }, worked, passed)) }))}<WarningActs>
            <Button minHeight="44px" onClick={() => set({ width: { text: worked, unit }, recomputed: false })}>{say('sheet.machine.passAt', { worked })}</Button>
            <Button minHeight="44px" onClick={() => set({ recomputed: true })}>{say('sheet.machine.workOutAt', { passed })}</Button>
          </WarningActs>
        </WarningBox>
      )}
      {spread.recomputed && (
        <Box fontSize="16px">{say('sheet.machine.workedOutFor', { worked, passed })}{' '}<Button variant="ghost" minHeight="36px" paddingX="8px" onClick={() => set({ recomputed: false })}>{say('sheet.machine.notAnyMore')}</Button>
        </Box>
      )}
    </Box>
  ); // prettier-ignore
}

/** A chart of another product gives no setting: what can be done instead. */
function OtherProduct({ match, id, input, spread }: { match: ChartMatch; id: string; input: CalibrationInput; spread: SpreadInput }) {
  const form = useSheetForm();
  const { answer } = useSheet();
  const rate = termOf(answer.lines.once, 'once.rate').shown;
  const asked = new URLSearchParams({ machine: input.rig, product: match.sheet, rate: rate ? `${rate.number} ${rate.unit}` : '' });
  const withShape = new URLSearchParams([...asked, ['shape', id]]);
  return (
    <WarningBox marginTop="10px" fontSize="17px">
      {richly(rich('sheet.machine.otherProduct', { ...TAGS, chart: match.chart, sheet: match.sheet }))}<WarningActs data-noprint>
        <Button asChild minHeight="44px">
          <Link to={`/bench/new?${asked}`}>{say('sheet.machine.test', { sheet: match.sheet })}</Link>
        </Button>
        <Button asChild minHeight="44px" variant="outline">
          <Link to={`/bench/new?${withShape}`}>{say('sheet.machine.testByShape')}</Link>
        </Button>
        <Button
          minHeight="44px"
          variant="outline"
          onClick={() => form.setValue('worksheet.spread', { ...spread, sameProduct: sameProductKey(match) }, { shouldDirty: true })}
        >{say('sheet.machine.sameProduct')}</Button>
      </WarningActs>
    </WarningBox>
  );
} // prettier-ignore

/** What is to be known of a chart that may be used: said to be the same, matched by its grade alone, other grain or lot. */
function MatchNote({ match, spread }: { match: ChartMatch; spread: SpreadInput }) {
  const form = useSheetForm();
  const isOtherGrain = match.differs.includes('grain');
  return (
    <>
      {match.is === 'said-same' && (
        <Box fontSize="16px">
          {say('sheet.machine.twoNames', { sheet: match.sheet, chart: match.chart })}{' '}<Button
            variant="ghost"
            minHeight="36px"
            paddingX="8px"
            data-noprint
            onClick={() => form.setValue('worksheet.spread', { ...spread, sameProduct: '' }, { shouldDirty: true })}
          >{say('sheet.machine.notSame')}</Button>
        </Box>
      )}
      {match.is === 'same-grade' && <Box fontSize="16px">{say('sheet.machine.byGrade', { chart: match.chart })}</Box>}
      {match.differs.length > 0 && (
        <Box color={isOtherGrain ? 'warn' : 'ink'} fontWeight={isOtherGrain ? 'semibold' : 'normal'}>
          {isOtherGrain ? say('sheet.machine.otherGrain') : say('sheet.machine.otherLot')}
        </Box>
      )}
    </>
  ); // prettier-ignore
}

/** Every chart that can be chosen, by its name and its setting. */
const useCharts = () =>
  useQuery({ queryKey: [...keysOf(AIMS.kind).lists, 'whole'], queryFn: () => allLines(AIMS) }, queries);

/** The machine that this sheet is spread with: its chart, the mark for the rate, and the spacing that is passed. */
export default memo(function MachineSection({ onEnter }: { onEnter(): void }) {
  const form = useSheetForm();
  const { errorAt } = useSheet();
  const spread = useWatch({ control: form.control, name: 'worksheet.spread' });
  const kind = useWatch({ control: form.control, name: 'worksheet.product.kind' });
  const { data: lines = [] } = useCharts();
  const { data: chosen } = useDoc(CALIBRATIONS, spread.calibration === '' ? null : spread.calibration);
  const shelf = useMachineShelf(chosen?.input.rig ?? '');
  const notices = useNotices();
  const on = chosen && calibrationContext(chosen.input, shelf, chosen.id);
  const product = useWatch({ control: form.control, name: 'worksheet.product' });
  const match = chosen && on ? chartMatch(product, chosen.input, on.product, spread.sameProduct) : null;
  const { id: job } = useParams();
  // What is sprayed has no mark on a gate.
  if (PRODUCT_KINDS[kind].form === 'liquid') return null;
  const put = (id: string, input: CalibrationAim | null) => {
    const width = input && spread.width.text === '' ? { text: input.width.text, unit: input.width.unit } : spread.width; // prettier-ignore
    form.setValue('worksheet.spread', { calibration: id, width, recomputed: false, sameProduct: '' }, { shouldDirty: true }); // prettier-ignore
  };
  const choose = (id: string) => {
    if (id === '') put('', null);
    else void fetchDoc(AIMS, id).then(({ input }) => put(id, input), (failed: unknown) => notices.tell(explain(failed))); // prettier-ignore
  };
  return (
    <Section id="rig" heading={say('sheet.machine.heading')} onEnter={onEnter} noPrint={!chosen}>
      <Box display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center" fontSize="17px">
        <Select
          aria-label={say('sheet.machine.chart')}
          value={chosen ? spread.calibration : ''}
          minHeight="44px"
          onChange={(event) => choose(event.target.value)}
          data-noprint
        >
          <option value="">{say('sheet.machine.none')}</option>
          {lines.map(({ id, name, setting }) => (
            <option key={id} value={id}>
              {name}
              {setting ? say('sheet.machine.at', { setting }) : say('sheet.machine.notSigned')}
            </option>
          ))}
        </Select>
        {chosen && (
          <TypedTerm
            name="worksheet.spread.width.text"
            label={say('sheet.machine.spacing')}
            placeholder={chosen.input.width.text}
            origin="typed"
            unit={<chakra.span>&nbsp;{say('sheet.machine.spacingUnit', { symbol: /[a-z'"]/i.test(spread.width.text) ? '' : UNITS[spread.width.unit].symbol })}</chakra.span>}
          />
        )}
        {chosen && (
          <Box asChild fontSize="15px" textDecoration="underline" data-noprint>
            <Link to={`/bench/${chosen.id}`}>{say('sheet.machine.itsChart')}</Link>
          </Box>
        )}
      </Box>
      <FieldErrors error={errorAt('spread.width.text')} input={spread.width.text} />
      {chosen && match && match.is === 'other' && <OtherProduct match={match} id={chosen.id} input={chosen.input} spread={spread} />}
      {chosen && match && on && mayGiveSetting(match) && (
        <>
          <MatchNote match={match} spread={spread} />
          <Setting input={chosen.input} on={on} spread={spread} />
          {job && (
            <Box asChild fontSize="15px" textDecoration="underline" data-noprint>
              <Link to={`/bench/cards?of=${chosen.id}&job=${job}`}>{say('sheet.machine.card')}</Link>
            </Box>
          )}
        </>
      )}
    </Section>
  ); // prettier-ignore
});
