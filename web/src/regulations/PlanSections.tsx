import { memo } from 'react';
import { Box, Button } from '@chakra-ui/react';
import { inScoops } from '@steady-scatter/core/loads';
import { showQuantity, UNITS, type MassUnit } from '@steady-scatter/core/quantities';
import { portionsOf, type Portion } from '@steady-scatter/core/regulations';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { orderTable } from '@steady-scatter/core/worksheet';
import { useWatch } from 'react-hook-form';
import { say, speak } from '@steady-scatter/words/rules';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { dayText } from '../ui/dayText.ts';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { Section } from '../ui/Section.tsx';
import { LabelRangeSection } from './LabelRangeSection.tsx';
import { saveOrder } from './saveOrder.ts';
import { Choice } from '../ui/Choice.tsx';
import { Questions } from '../sheet/Questions.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { RulesSection } from './RulesSection.tsx';

const CARRIER_MEANS = [
  { id: 'mix', label: say('rules.spray.ofMix') },
  { id: 'water', label: say('rules.spray.ofWater') },
] as const;

/** How much finished mix the ground takes, for what is put down with water. */
function SpraySection() {
  const { answer, errorAt } = useSheet();
  const form = useSheetForm();
  const { carrier, product } = useSheet().worksheet;
  const { form: state } = PRODUCT_KINDS[product.kind];
  if (state === 'dry' && product.kind !== 'soluble-fertilizer') return null;
  const { carrierLow, carrierHigh } = answer.reading.product;
  const range = [carrierLow, carrierHigh].map((si) => si !== null && showQuantity(si, carrier.unit).number);
  return (
    <Section heading={say('rules.spray.heading')}>
      <Box maxWidth="360px" marginBottom="8px" data-noprint>
        <Choice
          label={say('rules.spray.means')}
          value={carrier.means}
          options={CARRIER_MEANS}
          onChange={(means) => form.setValue('worksheet.carrier.means', means, { shouldDirty: true })}
        />
      </Box>
      <WorkingLine
        working={answer.lines.mix}
        names={{
          mix: say('rules.spray.mix'),
          'mix.water': say('rules.spray.water'),
          'mix.product': say('rules.spray.product'),
        }}
        editors={{
          'carrier.amount': (
            <TypedTerm
              name="worksheet.carrier.amount"
              label={say('rules.spray.volume')}
              placeholder={`500 ${UNITS[carrier.unit].symbol}`}
              origin="typed"
            />
          ),
        }}
      />
      <FieldErrors error={errorAt('carrier.amount')} input={carrier.amount} />
      <Questions about={['carrier.']} />
      {(range[0] || range[1]) && (
        <Box fontSize="15px" color="ink.soft">
          {say('rules.spray.allows', {
            ends: range[0] ? (range[1] ? 'both' : 'low') : 'high',
            low: range[0] || '',
            high: range[1] || '',
            unit: UNITS[carrier.unit].symbol,
          })}
        </Box>
      )}
    </Section>
  );
}

/** The whole amount in one's own scoops, where a scoop was weighed for this product. */
function ScoopsSection() {
  const { answer } = useSheet();
  const scoop = useWatch({ control: useSheetForm().control, name: 'worksheet.product.scoop' });
  const { reading, numbers, units } = answer;
  const weighed = reading.product.scoop;
  if (!weighed || numbers.amountSi === null || reading.product.form === 'liquid') return null;
  const pieces = numbers.areas.flatMap(({ amountSi }, at) =>
    amountSi === null
      ? []
      : [{ name: reading.areas[at]?.name || say('rules.area', { number: at + 1 }), amountSi }],
  );
  return (
    <Section heading={say('rules.scoop.heading')}>
      {[
        ...(pieces.length > 1 ? pieces : []),
        { name: say('rules.scoop.all'), amountSi: numbers.amountSi, isAll: true },
      ].map((one) => (
        <Box
          key={one.name}
          data-noprint={'isAll' in one ? undefined : ''}
          display="flex"
          flexWrap="wrap"
          columnGap="10px"
          alignItems="baseline"
        >
          <Box color="ink.soft" minWidth="104px">
            {one.name}
          </Box>
          <WorkingLine
            working={inScoops(one.amountSi, units.amount as MassUnit, weighed, scoop)}
            size="plain"
          />
        </Box>
      ))}
    </Section>
  );
}

const PortionLine = ({ portion }: { portion: Portion }) => (
  <Box paddingY="6px" borderBottomWidth="1px" borderColor="line">
    <Box display="flex" flexWrap="wrap" columnGap="14px" alignItems="baseline">
      <Box minWidth="104px" color="ink.soft">
        {portion.onDay ? dayText(portion.onDay) : say('rules.portion.later')}
      </Box>
      <WorkingLine working={portion.working} size="plain" />
    </Box>
    <Box fontSize="15px" color="ink.soft">
      {say('rules.portion.delivers', {
        nutrients:
          portion.delivers
            .map(({ shown, symbol }) => `${shown.number} ${shown.unit.replace(' /', ` ${symbol} /`)}`)
            .join(', ') || say('rules.portion.noNutrients'),
      })}
    </Box>
  </Box>
);

const DIRECTIONS = [
  { id: 'one', label: say('rules.portion.one') },
  { id: 'two', label: say('rules.portion.two') },
] as const;

/** The whole put down in portions: half now and half after a look, or little and often. */
function PortionsSection() {
  const { answer, errorAt } = useSheet();
  const form = useSheetForm();
  const onDay = useWatch({ control: form.control, name: 'onDay' });
  const {
    portions: input,
    everyDays,
    directions,
  } = useWatch({ control: form.control, name: 'worksheet.split' });
  const { split } = answer.reading;
  const set = (portions: string, days: string) =>
    form.setValue('worksheet.split', { portions, everyDays: days, directions }, { shouldDirty: true });
  return (
    <Section heading={say('rules.portion.heading')} noPrint={answer.numbers.once.times === 1}>
      <Box display="flex" flexWrap="wrap" alignItems="baseline" gap="6px 10px" fontSize="17px">
        <TypedTerm
          name="worksheet.split.portions"
          label={say('rules.portion.count')}
          placeholder="1"
          origin="typed"
          unit={
            <Box as="span">
              {' '}
              {say('rules.portion.unit', { count: ['', '1'].includes(input.trim()) ? 1 : 2 })}
            </Box>
          }
        />
        <TypedTerm
          name="worksheet.split.everyDays"
          label={say('rules.portion.days')}
          placeholder="28"
          origin="typed"
          unit={<Box as="span"> {say('rules.portion.apart')}</Box>}
        />
        {input === '' && (
          <Button size="sm" data-noprint onClick={() => set('2', '28')}>
            {say('rules.portion.halves')}
          </Button>
        )}
        {input !== '' && (
          <Button size="sm" variant="ghost" data-noprint onClick={() => set('', '')}>
            {say('rules.portion.once')}
          </Button>
        )}
      </Box>
      <FieldErrors error={errorAt('split.portions')} input={input} />
      <FieldErrors error={errorAt('split.everyDays')} input={everyDays} />
      <Box maxWidth="360px" marginTop="8px" data-noprint>
        <Choice
          label={say('rules.portion.pattern')}
          value={directions}
          options={DIRECTIONS}
          onChange={(way) => form.setValue('worksheet.split.directions', way, { shouldDirty: true })}
        />
      </Box>
      {split.portions > 1 &&
        portionsOf(split, onDay, answer).map((portion) => (
          <PortionLine key={portion.working.id} portion={portion} />
        ))}
      {split.portions > 1 && (
        <Box fontSize="16px" marginTop="6px">
          {say('rules.portion.look')}
        </Box>
      )}
    </Section>
  );
}

/** What to buy for all of it: packages less the stock, and what it costs; to take along as a file. */
function OrderSection() {
  const { answer, errorAt } = useSheet();
  const form = useSheetForm();
  const { worksheet } = useSheet();
  const name = useWatch({ control: form.control, name: 'name' });
  const { order } = answer.numbers;
  if (!order) return null;
  const { stock, price } = worksheet.product;
  return (
    <Section heading={speak(answer.lines.order.label)} noPrint={stock === ''}>
      <WorkingLine
        working={answer.lines.order}
        names={{ 'order.exact': say('rules.order.packages'), 'order.cost': say('rules.order.cost') }}
        editors={{
          'product.stock': (
            <TypedTerm
              name="worksheet.product.stock"
              label={say('rules.order.stock')}
              placeholder="0"
              origin="typed"
            />
          ),
          'product.price': (
            <TypedTerm
              name="worksheet.product.price"
              label={say('rules.order.price')}
              placeholder={say('rules.order.priceHint')}
              origin="label"
            />
          ),
        }}
      />
      <FieldErrors error={errorAt('product.stock')} input={stock} />
      <FieldErrors error={errorAt('product.price')} input={price} />
      {order.buyAtMost > order.buy && (
        <Box fontSize="16px" marginTop="4px">
          {say('rules.order.more', { count: order.buyAtMost - order.buy })}
        </Box>
      )}
      <Button
        size="sm"
        marginTop="8px"
        data-noprint
        onClick={() => void saveOrder(orderTable(answer, worksheet, speak), name || 'order')}
      >
        {say('rules.order.save')}
      </Button>
    </Section>
  );
}

/** What a sheet is planned by besides its amount: the label's range, water, scoops, portions and rules. */
export default memo(function PlanSections() {
  return (
    <>
      <LabelRangeSection />
      <SpraySection />
      <ScoopsSection />
      <PortionsSection />
      <OrderSection />
      <RulesSection />
    </>
  );
});
