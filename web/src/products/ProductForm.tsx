import { Box, Button, chakra } from '@chakra-ui/react';
import { RATE_AREAS, UNITS, type UnitId } from '@steady-scatter/core/quantities';
import {
  PRODUCT_KIND_IDS,
  PRODUCT_KINDS,
  evaluateLabelFacts,
  type GradeBasis,
  type ProductKind,
  type ProductInput,
} from '@steady-scatter/core/products';
import { Plus, X } from 'lucide-react';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { CardChoice } from '../ui/CardChoice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { ScoopCard } from './ScoopCard.tsx';
import { HAND_WEIGHTS, unitChoices } from '../ui/unitChoices.ts';

const Select = chakra('select', { base: fieldBox });
const PACK_UNITS = { dry: HAND_WEIGHTS, liquid: ['gal', 'qt', 'fl oz', 'L', 'mL'] } as const;
const RATE_TOPS = { dry: HAND_WEIGHTS, liquid: ['fl oz', 'gal', 'L', 'mL'] } as const;
const AREAS = ['ft2', 'm2', 'acre', 'ha'] as const;
const rateUnits = <Form extends 'dry' | 'liquid'>(form: Form) =>
  RATE_TOPS[form].flatMap((top) =>
    (Object.keys(RATE_AREAS) as (keyof typeof RATE_AREAS)[]).map(
      (area) => `${top}/${area}` as `${(typeof RATE_TOPS)[Form][number]}/${typeof area}`,
    ),
  );

type UnitProps<Id extends UnitId> = {
  label: string;
  value: Id;
  options: readonly Id[];
  onChange(unit: Id): void;
};

const Unit = <Id extends UnitId>({ label, value, options, onChange }: UnitProps<Id>) => (
  <Select aria-label={label} value={value} onChange={(event) => onChange(event.target.value as Id)}>
    {options.map((id) => (
      <option key={id} value={id}>
        {UNITS[id].symbol}
      </option>
    ))}
  </Select>
);

const GRADE_BASES: readonly { id: GradeBasis; label: string }[] = [
  { id: 'weight', label: 'weight' },
  { id: 'volume', label: 'volume (g in 100 mL)' },
];
const sprayUnits = unitChoices(rateUnits('liquid'));

/** Units that fit another kind of product: a liquid is measured by volume, all else by weight. */
export function withKind(input: ProductInput, kind: ProductKind): ProductInput {
  const { form } = PRODUCT_KINDS[kind];
  if (PRODUCT_KINDS[input.kind].form === form) return { ...input, kind };
  const [pack] = PACK_UNITS[form];
  const [rate] = rateUnits(form);
  return {
    ...input,
    kind,
    package: { ...input.package, unit: pack },
    labelRate: { ...input.labelRate, unit: rate ?? input.labelRate.unit },
  };
}

type Props = DocFormProps<ProductInput>;

const joined = (parts: readonly (string | false)[], none: string) => parts.filter(Boolean).join(', ') || none;

/** What makes it this product: kind, name, analysis, and what one package holds and covers. */
function Questions({ input, onChange, bind, field }: Props) {
  const { form } = evaluateLabelFacts(input);
  const isCarrier = input.kind === 'granular-carrier';
  const feeds = input.kind.endsWith('fertilizer');
  return (
    <>
      <CardChoice<ProductKind>
        label="Kind"
        value={input.kind}
        options={PRODUCT_KIND_IDS.map((id) => ({ id, label: PRODUCT_KINDS[id].words }))}
        onChange={(kind) => onChange(withKind(input, kind))}
      />
      <Fields>
        <LabelledField label="Name" placeholder="Lake feed 24-0-8" {...field('name')} />
        {feeds && <LabelledField label="Grade" placeholder="24-0-8 + 2 S" {...field('grade')} />}
        {feeds && form === 'liquid' && (
          <Choice label="Percent by" options={GRADE_BASES} {...bind('gradeBasis')} />
        )}
        {isCarrier && <LabelledField label="Active ingredient" {...field('activeIngredient')} />}
        {isCarrier && (
          <LabelledField label="Active ingredient content" placeholder="0.43 %" {...field('load')} />
        )}
        {form === 'liquid' && <Density label="Density" bind={bind} field={field} />}
        <LabelledField
          label="Package size"
          {...field('package.size')}
          unit={
            <Unit<ProductInput['package']['unit']>
              label="Unit of the package"
              options={PACK_UNITS[form]}
              {...bind('package.unit')}
            />
          }
        />
        <LabelledField
          label="One package covers"
          {...field('coverage.size')}
          unit={<Unit label="Unit of the coverage" options={AREAS} {...bind('coverage.unit')} />}
        />
      </Fields>
    </>
  );
}

const Density = ({ label, bind, field }: Pick<Props, 'bind' | 'field'> & { label: string }) => (
  <LabelledField
    label={label}
    {...field('density.text')}
    unit={<Unit label="Unit of the density" options={['kg/L', 'g/L', 'lb/gal']} {...bind('density.unit')} />}
  />
);

function Stock(props: Props) {
  const { input, field } = props;
  const text = joined(
    [
      input.price.trim() !== '' && `${input.price.trim()} a package`,
      input.stock.trim() !== '' && `${input.stock.trim()} in stock`,
    ],
    'No price and no stock noted',
  );
  return (
    <StatedDefault name="price and stock" text={text} isWrong={isWrongAt(props, 'price', 'stock')}>
      <LabelledField label="Package price" placeholder="24.50" inputMode="decimal" {...field('price')} />
      <LabelledField label="Packages in stock" placeholder="3.5" inputMode="decimal" {...field('stock')} />
    </StatedDefault>
  );
}

function SlowRelease(props: Props) {
  const { input, field } = props;
  if (!input.kind.endsWith('fertilizer')) return null;
  const share = input.slowShare.trim();
  return (
    <StatedDefault
      name="slow release"
      text={
        share === ''
          ? 'No slow-release nitrogen'
          : `Slow-release share of the nitrogen: ${share.endsWith('%') ? share : `${share} %`}`
      }
      isWrong={isWrongAt(props, 'slowShare')}
    >
      <LabelledField label="Slow-release share" placeholder="50 %" {...field('slowShare')} />
    </StatedDefault>
  );
}

function LabelRates(props: Props) {
  const { input, bind, field } = props;
  const { form } = evaluateLabelFacts(input);
  const { low, high, mostAtOnce, mostPerYear, unit } = input.labelRate;
  const days = input.leastIntervalDays.trim();
  const text = joined(
    [
      low.trim() !== '' && `from ${low.trim()}`,
      high.trim() !== '' && `up to ${high.trim()}`,
      mostAtOnce.trim() !== '' && `${mostAtOnce.trim()} at once`,
      mostPerYear.trim() !== '' && `${mostPerYear.trim()} in a year`,
      days !== '' && `${days} days apart`,
    ],
    '',
  );
  return (
    <StatedDefault
      name="label rates"
      text={text === '' ? 'The label sets no rates' : `Label rates, ${UNITS[unit].symbol}: ${text}`}
      isWrong={isWrongAt(
        props,
        'labelRate.low',
        'labelRate.high',
        'labelRate.mostAtOnce',
        'labelRate.mostPerYear',
        'leastIntervalDays',
      )}
    >
      <LabelledField label="Lowest rate" inputMode="decimal" {...field('labelRate.low')} />
      <LabelledField label="Highest rate" inputMode="decimal" {...field('labelRate.high')} />
      <LabelledField label="Most at once" inputMode="decimal" {...field('labelRate.mostAtOnce')} />
      <LabelledField label="Most in a year" inputMode="decimal" {...field('labelRate.mostPerYear')} />
      <Choice label="Rate unit" options={unitChoices(rateUnits(form))} {...bind('labelRate.unit')} />
      <LabelledField
        label="Least interval, days"
        placeholder="28"
        inputMode="numeric"
        {...field('leastIntervalDays')}
      />
    </StatedDefault>
  );
}

function SprayVolume(props: Props) {
  const { input, bind, field } = props;
  const { form } = evaluateLabelFacts(input);
  if (form !== 'liquid' && input.kind !== 'soluble-fertilizer') return null;
  const { low, high, unit } = input.carrier;
  const text = joined(
    [low.trim() !== '' && `from ${low.trim()}`, high.trim() !== '' && `up to ${high.trim()}`],
    '',
  );
  return (
    <StatedDefault
      name="spray volume"
      text={text === '' ? 'The label sets no spray volume' : `Spray volume, ${UNITS[unit].symbol}: ${text}`}
      isWrong={isWrongAt(props, 'carrier.low', 'carrier.high')}
    >
      <LabelledField label="Least spray volume" inputMode="decimal" {...field('carrier.low')} />
      <LabelledField label="Most spray volume" inputMode="decimal" {...field('carrier.high')} />
      <Choice label="Spray volume unit" options={sprayUnits} {...bind('carrier.unit')} />
    </StatedDefault>
  );
}

/** Settings that are printed on the label, each with its machine and pace. */
function PrintedSettings({ input: { settings }, bind, add, removeAt }: Props) {
  return (
    <StatedDefault
      name="printed settings"
      text={
        settings.length === 0
          ? 'No settings noted from the label'
          : `${settings.length === 1 ? 'One setting' : `${settings.length} settings`} noted from the label`
      }
    >
      {settings.map((one, at) => (
        <Box
          // oxlint-disable-next-line react/no-array-index-key -- rows have no other identity
          key={at}
          gridColumn="1 / -1"
          display="grid"
          gridTemplateColumns="2fr 1fr 1fr 44px"
          gap="10px"
          alignItems="end"
        >
          <LabelledField label="Machine" {...bind(`settings.${at}.machine`)} />
          <LabelledField label="Setting" {...bind(`settings.${at}.setting`)} />
          <LabelledField label="Pace" placeholder="3 mph" {...bind(`settings.${at}.pace`)} />
          <DeleteButton
            act="Remove"
            name={`the setting for ${one.machine || 'this machine'}`}
            icon={X}
            onDelete={() => removeAt('settings', at)}
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
        <Plus size={18} /> Add setting
      </Button>
    </StatedDefault>
  );
}

function Grain(props: Props) {
  const { input, bind, field } = props;
  const { form } = evaluateLabelFacts(input);
  const text = joined(
    [
      input.lot.trim() !== '' && `Lot ${input.lot.trim()}`,
      input.grainSize.trim() !== '' && `grain size ${input.grainSize.trim()}`,
      form === 'dry' &&
        input.density.text.trim() !== '' &&
        `${input.density.text.trim()} ${UNITS[input.density.unit].symbol} in bulk`,
    ],
    'Lot and grain size are not noted',
  );
  return (
    <StatedDefault
      name="lot and grain size"
      text={text}
      isWrong={isWrongAt(props, 'lot', 'grainSize', 'density.text')}
    >
      <LabelledField label="Lot" {...field('lot')} />
      <LabelledField label="Grain size number" {...field('grainSize')} />
      {form === 'dry' && <Density label="Bulk density" bind={bind} field={field} />}
    </StatedDefault>
  );
}

/** A product typed in from its label. */
export function ProductForm(props: Props) {
  return (
    <>
      <Questions {...props} />
      <Box as="section" aria-label="Also on the label" marginTop="20px" maxWidth="900px">
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          Also on the label
        </Box>
        <SlowRelease {...props} />
        <LabelRates {...props} />
        <SprayVolume {...props} />
        <PrintedSettings {...props} />
        <Stock {...props} />
        <Grain {...props} />
        <ScoopCard {...props} />
      </Box>
      <NotesField label="Notes" {...props.bind('notes')} />
    </>
  );
}
