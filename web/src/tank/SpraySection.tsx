import { Box } from '@chakra-ui/react';
import { showQuantity, systemOf, UNITS } from '@steady-scatter/core/quantities';
import { goesInTank, type TankSheet } from '@steady-scatter/core/worksheet';
import { say } from '@steady-scatter/words/rules';
import { Questions } from '../sheet/Questions.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { SheetError } from '../sheet/SheetError.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Section } from '../ui/Section.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';

const CARRIER_MEANS = [
  { id: 'mix', label: say('rules.spray.ofMix') },
  { id: 'water', label: say('rules.spray.ofWater') },
] as const;

/** How much finished mix the ground takes, for what is put down with water. */
export function SpraySection({ tank }: { tank: Pick<TankSheet, 'mixFrom' | 'mixLPerM2' | 'mixLine'> }) {
  const { answer, worksheet } = useSheet();
  const form = useSheetForm();
  const { carrier, product } = worksheet;
  const { mixFrom, mixLPerM2, mixLine } = tank;
  const { symbol } = UNITS[carrier.unit];
  const usual = systemOf(carrier.unit) === 'us' ? '1' : '400';
  const ofChart =
    mixFrom === 'chart' && mixLPerM2 !== null ? showQuantity(mixLPerM2, carrier.unit).number : usual;
  if (!goesInTank(product.kind)) return null;
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
        working={mixLine}
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
              placeholder={`${ofChart} ${symbol}`}
              origin="typed"
            />
          ),
        }}
      />
      <SheetError name="worksheet.carrier.amount" />
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
