import { Box, Button } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import { evaluateLabelFacts, type ProductInput } from '@steady-scatter/core/products';
import { Plus, X } from 'lucide-react';
import { SALT_IDS } from '@steady-scatter/core/wet';
import { nameOf, say } from '@steady-scatter/words/shelf';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { unitChoices } from '../ui/unitChoices.ts';
import { joined, rateUnits } from './labelTexts.ts';

type Props = DocFormProps<ProductInput>;

const sprayUnits = unitChoices(rateUnits('liquid'));
const SALT_CHOICES = [
  { id: '' as const, label: say('shelf.dissolves.other') },
  ...SALT_IDS.map((id) => ({ id, label: nameOf('salt', id) })),
];
const CARRIER_MEANS = [
  { id: '', label: say('shelf.carrier.unsaid') },
  { id: 'mix', label: say('shelf.carrier.mix') },
  { id: 'water', label: say('shelf.carrier.water') },
] as const;

/** The rates that the label allows, at once and in a year. */
export function LabelRates(props: Props) {
  const { input, bind, field } = props;
  const { form } = evaluateLabelFacts(input);
  const { low, high, mostAtOnce, mostPerYear, unit } = input.labelRate;
  const days = input.leastIntervalDays.trim();
  const text = joined(
    [
      low.trim() !== '' && say('shelf.rates.from', { low: low.trim() }),
      high.trim() !== '' && say('shelf.rates.to', { high: high.trim() }),
      mostAtOnce.trim() !== '' && say('shelf.rates.once', { most: mostAtOnce.trim() }),
      mostPerYear.trim() !== '' && say('shelf.rates.year', { most: mostPerYear.trim() }),
      days !== '' && say('shelf.rates.days', { days }),
    ],
    '',
  );
  return (
    <StatedDefault
      name={say('shelf.part.rates')}
      text={
        text === ''
          ? say('shelf.rates.none')
          : say('shelf.rates.of', { unit: UNITS[unit].symbol, rates: text })
      }
      isWrong={isWrongAt(
        props,
        'labelRate.low',
        'labelRate.high',
        'labelRate.mostAtOnce',
        'labelRate.mostPerYear',
        'leastIntervalDays',
      )}
    >
      <LabelledField label={say('shelf.rates.low')} inputMode="decimal" {...field('labelRate.low')} />
      <LabelledField label={say('shelf.rates.high')} inputMode="decimal" {...field('labelRate.high')} />
      <LabelledField
        label={say('shelf.rates.mostOnce')}
        inputMode="decimal"
        {...field('labelRate.mostAtOnce')}
      />
      <LabelledField
        label={say('shelf.rates.mostYear')}
        inputMode="decimal"
        {...field('labelRate.mostPerYear')}
      />
      <Choice
        label={say('shelf.rates.unit')}
        options={unitChoices(rateUnits(form))}
        {...bind('labelRate.unit')}
      />
      <LabelledField
        label={say('shelf.rates.interval')}
        placeholder="28"
        inputMode="numeric"
        {...field('leastIntervalDays')}
      />
    </StatedDefault>
  );
}

/** How much water the label wants it put out with. */
export function SprayVolume(props: Props) {
  const { input, bind, field } = props;
  const { form } = evaluateLabelFacts(input);
  if (form !== 'liquid' && input.kind !== 'soluble-fertilizer') return null;
  const { low, high, unit } = input.carrier;
  const text = joined(
    [
      low.trim() !== '' && say('shelf.rates.from', { low: low.trim() }),
      high.trim() !== '' && say('shelf.rates.to', { high: high.trim() }),
    ],
    '',
  );
  return (
    <StatedDefault
      name={say('shelf.part.carrier')}
      text={
        text === ''
          ? say('shelf.carrier.none')
          : say('shelf.carrier.of', { unit: UNITS[unit].symbol, volumes: text })
      }
      isWrong={isWrongAt(props, 'carrier.low', 'carrier.high')}
    >
      <LabelledField label={say('shelf.carrier.low')} inputMode="decimal" {...field('carrier.low')} />
      <LabelledField label={say('shelf.carrier.high')} inputMode="decimal" {...field('carrier.high')} />
      <Choice label={say('shelf.carrier.unit')} options={sprayUnits} {...bind('carrier.unit')} />
      <Choice label={say('shelf.carrier.means')} options={CARRIER_MEANS} {...bind('carrier.means')} />
    </StatedDefault>
  );
}

/** How it dissolves: as the salt that it is, or by a figure of its label. */
export function Solubility(props: Props) {
  const { input, bind, field } = props;
  if (input.kind !== 'soluble-fertilizer') return null;
  const { salt, solubility } = input;
  const text = solubility.trim() !== '' ? say('shelf.dissolves.figure', { grams: solubility.trim() }) : salt === '' ? say('shelf.dissolves.unknown') : say('shelf.dissolves.salt', { salt: nameOf('salt', salt) });
  return (
    <StatedDefault name={say('shelf.part.dissolves')} text={text} isWrong={isWrongAt(props, 'solubility')}>
      <Choice label={say('shelf.dissolves.is')} options={SALT_CHOICES} {...bind('salt')} />
      <LabelledField label={say('shelf.dissolves.grams')} placeholder="31.6" inputMode="decimal" {...field('solubility')} />
    </StatedDefault>
  );
} // prettier-ignore

/** Settings that are printed on the label, each with its machine and pace. */
export function PrintedSettings({ input: { settings }, bind, add, removeAt }: Props) {
  return (
    <StatedDefault
      name={say('shelf.part.settings')}
      text={
        settings.length === 0
          ? say('shelf.settings.none')
          : say('shelf.settings.of', {
              count: settings.length,
            })
      }
    >
      {settings.map((one, index) => (
        <Box
          // oxlint-disable-next-line react/no-array-index-key -- rows have no other identity
          key={index}
          gridColumn="1 / -1"
          display="grid"
          gridTemplateColumns="2fr 1fr 1fr 44px"
          gap="10px"
          alignItems="end"
        >
          <LabelledField label={say('shelf.settings.machine')} {...bind(`settings.${index}.machine`)} />
          <LabelledField label={say('shelf.settings.setting')} {...bind(`settings.${index}.setting`)} />
          <LabelledField
            label={say('shelf.settings.pace')}
            placeholder={say('shelf.settings.paceHint')}
            {...bind(`settings.${index}.pace`)}
          />
          <DeleteButton
            act={say('shelf.settings.remove')}
            name={say('shelf.settings.named', { machine: one.machine || say('shelf.settings.thisMachine') })}
            icon={X}
            onDelete={() => removeAt('settings', index)}
          />
        </Box>
      ))}
      <Button
        variant="ghost"
        marginLeft="-10px"
        minHeight="44px"
        justifySelf="start"
        onClick={() => add('settings', { machine: '', setting: '', pace: '' })}
      >
        <Plus size={18} /> {say('shelf.settings.add')}
      </Button>
    </StatedDefault>
  );
}
