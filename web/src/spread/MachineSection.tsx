import { Box, Button, chakra } from '@chakra-ui/react';
import {
  markText,
  mismatchText,
  PRODUCT_KINDS,
  rigKind,
  showQuantity,
  spreadPlan,
  UNITS,
  type CalibrationTyped,
  type SpreadTyped,
} from '@steady-scatter/core';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { benchOf, useBenchShelf, type OnBench } from '../bench/benchOf.ts';
import { ageOf, FRESH_WORDS } from '../bench/SignOff.tsx';
import { useSheet, useSheetForm } from '../jobs/sheet.tsx';
import { TypedTerm } from '../jobs/TypedTerm.tsx';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { Section } from '../ui/Section.tsx';

const Select = chakra('select', { base: { ...fieldBox, maxWidth: '100%' } });

const lengthOf = (m: number, unit: SpreadTyped['width']['unit']): string => {
  const { number, unit: symbol } = showQuantity(m, unit, 3);
  return `${number.replace(/(\.\d*?)0+$/, '$1').replace(/\.$/, '')} ${symbol}`;
};

/** The mark for this sheet's rate, and what comes of a spacing that is not the chart's. */
function Setting({ typed, on, spread }: { typed: CalibrationTyped; on: OnBench; spread: SpreadTyped }) {
  const form = useSheetForm();
  const { answer } = useSheet();
  const { rateSi } = answer.numbers;
  const set = (more: Partial<SpreadTyped>) => form.setValue('worksheet.spread', { ...spread, ...more }, { shouldDirty: true }); // prettier-ignore
  if (rateSi === null)
    return <Box fontSize="16px">Type the need and the product, and its mark stands here.</Box>;
  const plan = spreadPlan(on.reading, rateSi, answer.reading.passedM, spread.recomputed, typed.isCeiling);
  if (!plan)
    return <Box fontSize="16px">This chart has no rates yet: test at least two settings on the bench.</Box>;
  const { found, workedM, passedM, times } = plan;
  const { unit } = spread.width;
  const [worked, passed] = [lengthOf(workedM, unit), lengthOf(passedM, unit)];
  const age = ageOf(typed, on);
  return (
    <Box fontSize="17px">
      <Box>
        Set {on.rig?.control.name ?? 'it'} to <b>{found.line.mark.label}</b>: {markText(found, typed.target.unit)}
        {typed.second && `, ${on.rig?.second.name} at ${typed.second}`}.
      </Box>
      {found.beyond && (
        <Box color="warn" fontWeight="semibold">
          ▲ This rate lies {found.beyond} what was tested. Run it there before trusting the mark.
        </Box>
      )}
      {(age.state === 'stale' || age.state === 'ageing') && (
        <Box color={age.state === 'stale' ? 'warn' : 'ink'} fontWeight={age.state === 'stale' ? 'semibold' : 'normal'}>
          {FRESH_WORDS[age.state]}: {age.reasons.join('; ')}.
        </Box>
      )}
      {times !== null && rigKind(on.bench.kind).width === 'pass spacing' && (
        <Box role="alert" borderWidth="2px" borderColor="warn" borderRadius="8px" padding="12px" marginTop="10px" data-noprint>
          <b>▲ Two spacings.</b> {mismatchText({ times }, worked, passed)}
          <Box display="flex" flexWrap="wrap" gap="8px" marginTop="8px">
            <Button minHeight="44px" onClick={() => set({ width: { text: worked, unit }, recomputed: false })}>
              Pass {worked} apart
            </Button>
            <Button minHeight="44px" onClick={() => set({ recomputed: true })}>
              Work the chart out for {passed}
            </Button>
          </Box>
        </Box>
      )}
      {spread.recomputed && (
        <Box fontSize="16px">
          The chart was tested for passes {worked} apart and is worked out for {passed}.{' '}
          <Button variant="ghost" minHeight="36px" paddingX="8px" onClick={() => set({ recomputed: false })}>
            Not any more
          </Button>
        </Box>
      )}
    </Box>
  ); // prettier-ignore
}

/** The machine that this sheet is spread with: its chart, the mark for the rate, and the spacing that is passed. */
export default function MachineSection({ onEnter }: { onEnter(): void }) {
  const form = useSheetForm();
  const { errorAt } = useSheet();
  const spread = useWatch({ control: form.control, name: 'worksheet.spread' });
  const kind = useWatch({ control: form.control, name: 'worksheet.product.kind' });
  const shelf = useBenchShelf();
  const chosen = shelf.calibrations.find(({ id }) => id === spread.calibration);
  const on = chosen && benchOf(chosen.typed, shelf, chosen.id);
  // What is sprayed has no mark on a gate.
  if (PRODUCT_KINDS[kind].form === 'liquid') return null;
  const choose = (id: string) => {
    const typed = shelf.calibrations.find((each) => each.id === id)?.typed;
    const width = typed && spread.width.text === '' ? { text: typed.width.text, unit: typed.width.unit } : spread.width; // prettier-ignore
    form.setValue('worksheet.spread', { calibration: id, width, recomputed: false }, { shouldDirty: true });
  };
  return (
    <Section id="rig" heading="The machine" onEnter={onEnter} noPrint={!chosen}>
      <Box display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center" fontSize="17px">
        <Select
          aria-label="Chart of a machine"
          value={chosen ? spread.calibration : ''}
          minHeight="44px"
          onChange={(event) => choose(event.target.value)}
          data-noprint
        >
          <option value="">no machine chosen</option>
          {shelf.calibrations.map(({ id, typed }) => (
            <option key={id} value={id}>
              {typed.name}
              {typed.signOff ? `, at ${typed.signOff.setting}` : ', not signed off'}
            </option>
          ))}
        </Select>
        {chosen && (
          <TypedTerm
            name="worksheet.spread.width.text"
            label="Pass spacing of this job"
            placeholder={chosen.typed.width.text}
            origin="typed"
            unit={<chakra.span>&nbsp;{/[a-z'"]/i.test(spread.width.text) ? '' : UNITS[spread.width.unit].symbol} between passes</chakra.span>}
          />
        )}
        {chosen && (
          <Box asChild fontSize="15px" textDecoration="underline" data-noprint>
            <Link to={`/bench/${chosen.id}`}>its chart</Link>
          </Box>
        )}
      </Box>
      <FieldErrors error={errorAt('spread.width.text')} typed={spread.width.text} />
      {chosen && on && <Setting typed={chosen.typed} on={on} spread={spread} />}
    </Section>
  ); // prettier-ignore
}
