import { memo } from 'react';
import { Box, Button } from '@chakra-ui/react';
import { inScoops } from '@steady-scatter/core/loads';
import type { MassUnit } from '@steady-scatter/core/quantities';
import { portionsOf, type Portion } from '@steady-scatter/core/regulations';
import { orderTable } from '@steady-scatter/core/worksheet';
import { useWatch } from 'react-hook-form';
import { say, speak } from '@steady-scatter/words/rules';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { dayText } from '../ui/dayText.ts';
import { SheetError } from '../sheet/SheetError.tsx';
import { Section } from '../ui/Section.tsx';
import { LabelRangeSection } from './LabelRangeSection.tsx';
import { saveOrder } from './saveOrder.ts';
import { Choice } from '../ui/Choice.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { RulesSection } from './RulesSection.tsx';

/** The whole amount in one's own scoops, where a scoop was weighed for this product. */
function ScoopsSection() {
  const { answer } = useSheet();
  const scoop = useWatch({ control: useSheetForm().control, name: 'worksheet.product.scoop' });
  const { reading, numbers, units } = answer;
  const weighed = reading.product.scoop;
  if (!weighed || numbers.amountSi === null || reading.product.form === 'liquid') return null;
  const pieces = numbers.areas.flatMap(({ amountSi }, index) =>
    amountSi === null
      ? []
      : [{ name: reading.areas[index]?.name || say('rules.area', { number: index + 1 }), amountSi }],
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
  const { answer } = useSheet();
  const form = useSheetForm();
  const onDay = useWatch({ control: form.control, name: 'onDay' });
  const { portions: input, directions } = useWatch({ control: form.control, name: 'worksheet.split' });
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
      <SheetError name="worksheet.split.portions" />
      <SheetError name="worksheet.split.everyDays" />
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
  const { answer, worksheet } = useSheet();
  const form = useSheetForm();
  const name = useWatch({ control: form.control, name: 'name' });
  const { order } = answer.numbers;
  if (!order) return null;
  const { stock } = worksheet.product;
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
      <SheetError name="worksheet.product.stock" />
      <SheetError name="worksheet.product.price" />
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

/** What a sheet is planned by besides its amount: the label's range, scoops, portions and rules. */
export default memo(function PlanSections() {
  return (
    <>
      <LabelRangeSection />
      <ScoopsSection />
      <PortionsSection />
      <OrderSection />
      <RulesSection />
    </>
  );
});
