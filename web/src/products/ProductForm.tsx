import { Box, Button, chakra, IconButton } from '@chakra-ui/react';
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
import { Choice } from '../ui/Choice.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
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
  { id: 'weight', label: 'percent of the weight' },
  { id: 'volume', label: 'grams in 100 mL (w/v)' },
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

function Settings({ input, onChange }: Pick<Props, 'input' | 'onChange'>) {
  const { settings } = input;
  const set = (at: number, more: Partial<(typeof settings)[number]>) =>
    onChange({
      ...input,
      settings: settings.map((one, index) => (index === at ? Object.assign({}, one, more) : one)),
    });
  return (
    <Section heading="Settings printed on it, with the pace they assume">
      {settings.map((one, at) => (
        <Box
          // oxlint-disable-next-line react/no-array-index-key -- rows have no other identity
          key={at}
          display="grid"
          gridTemplateColumns="2fr 1fr 1fr 44px"
          gap="10px"
          alignItems="end"
          marginBottom="8px"
        >
          <LabelledField label="Machine" value={one.machine} onChange={(machine) => set(at, { machine })} />
          <LabelledField label="Setting" value={one.setting} onChange={(setting) => set(at, { setting })} />
          <LabelledField
            label="Pace"
            value={one.pace}
            placeholder="3 mph"
            onChange={(pace) => set(at, { pace })}
          />
          <IconButton
            aria-label={`Remove the setting for ${one.machine || 'this machine'}`}
            variant="ghost"
            minHeight="44px"
            onClick={() => onChange({ ...input, settings: settings.toSpliced(at, 1) })}
          >
            <X size={18} />
          </IconButton>
        </Box>
      ))}
      <Button
        variant="ghost"
        marginLeft="-10px"
        minHeight="44px"
        onClick={() =>
          onChange({ ...input, settings: [...settings, { machine: '', setting: '', pace: '' }] })
        }
      >
        <Plus size={18} /> Add a setting
      </Button>
    </Section>
  );
}

/** A product typed in from its label. */
export function ProductForm(props: Props) {
  const { input, errorAt, onChange, bind } = props;
  const { form } = evaluateLabelFacts(input);
  const { density, package: pack, coverage, labelRate, carrier } = input;
  const text = (
    field:
      | 'name'
      | 'grade'
      | 'slowShare'
      | 'activeIngredient'
      | 'load'
      | 'price'
      | 'stock'
      | 'leastIntervalDays'
      | 'grainSize'
      | 'lot',
    label: string,
    placeholder = '',
  ) => (
    <LabelledField
      label={label}
      placeholder={placeholder}
      value={input[field]}
      error={errorAt(field)}
      onChange={(value) => onChange({ ...input, [field]: value })}
    />
  );
  const rate = (field: 'low' | 'high' | 'mostAtOnce' | 'mostPerYear', label: string) => (
    <LabelledField
      label={label}
      value={labelRate[field]}
      error={errorAt(`labelRate.${field}`)}
      onChange={(value) => onChange({ ...input, labelRate: { ...labelRate, [field]: value } })}
    />
  );
  const spray = (field: 'low' | 'high', label: string) => (
    <LabelledField
      label={label}
      value={carrier[field]}
      error={errorAt(`carrier.${field}`)}
      onChange={(value) => onChange({ ...input, carrier: { ...carrier, [field]: value } })}
    />
  );
  const mixed = form === 'liquid' || input.kind === 'soluble-fertilizer';
  const isCarrier = input.kind === 'granular-carrier';
  const feeds = input.kind.endsWith('fertilizer');
  return (
    <>
      <Section heading="What it is">
        <Fields>
          {text('name', 'Name', 'Lake feed 24-0-8')}
          <Choice
            label="Kind"
            value={input.kind}
            options={PRODUCT_KIND_IDS.map((id) => ({ id, label: PRODUCT_KINDS[id].words }))}
            onChange={(kind) => onChange(withKind(input, kind))}
          />
          {feeds && text('grade', 'Grade', '24-0-8 + 2 S')}
          {feeds && form === 'liquid' && (
            <Choice label="The percentages are" options={GRADE_BASES} {...bind('gradeBasis')} />
          )}
          {feeds && text('slowShare', 'Slow-release share of the nitrogen', '50 %')}
          {isCarrier && text('activeIngredient', 'Active ingredient')}
          {isCarrier && text('load', 'Active ingredient in the product', '0.43 %')}
          {(form === 'liquid' || input.density.text !== '') && (
            <LabelledField
              label={form === 'liquid' ? 'Density' : 'Bulk density'}
              value={density.text}
              error={errorAt('density.text')}
              onChange={(value) => onChange({ ...input, density: { ...density, text: value } })}
              unit={
                <Unit
                  label="Unit of the density"
                  value={density.unit}
                  options={['kg/L', 'g/L', 'lb/gal']}
                  onChange={(unit) => onChange({ ...input, density: { ...density, unit } })}
                />
              }
            />
          )}
        </Fields>
      </Section>
      <Section heading="Package, price and stock">
        <Fields>
          <LabelledField
            label="In one package"
            value={pack.size}
            error={errorAt('package.size')}
            onChange={(size) => onChange({ ...input, package: { ...pack, size } })}
            unit={
              <Unit<UnitId>
                label="Unit of the package"
                value={pack.unit}
                options={PACK_UNITS[form]}
                onChange={(unit) =>
                  onChange({ ...input, package: { ...pack, unit: unit as typeof pack.unit } })
                }
              />
            }
          />
          {text('price', 'Price of one package', '24.50')}
          {text('stock', 'Packages in stock', '3.5')}
        </Fields>
      </Section>
      <Section heading="Rates on the label">
        <Fields>
          <LabelledField
            label="One package covers"
            value={coverage.size}
            error={errorAt('coverage.size')}
            onChange={(size) => onChange({ ...input, coverage: { ...coverage, size } })}
            unit={
              <Unit
                label="Unit of the coverage"
                value={coverage.unit}
                options={AREAS}
                onChange={(unit) => onChange({ ...input, coverage: { ...coverage, unit } })}
              />
            }
          />
          {rate('low', 'Lowest rate')}
          {rate('high', 'Highest rate')}
          {rate('mostAtOnce', 'Most at once')}
          {rate('mostPerYear', 'Most in a year')}
          <Choice
            label="Rates are in"
            value={labelRate.unit}
            options={unitChoices(rateUnits(form))}
            onChange={(unit) => onChange({ ...input, labelRate: { ...labelRate, unit } })}
          />
          {text('leastIntervalDays', 'Least days between two applications', '28')}
          {mixed && spray('low', 'Least spray volume')}
          {mixed && spray('high', 'Most spray volume')}
          {mixed && (
            <Choice
              label="Spray volumes are in"
              value={carrier.unit}
              options={sprayUnits}
              onChange={(unit) => onChange({ ...input, carrier: { ...carrier, unit } })}
            />
          )}
        </Fields>
      </Section>
      <ScoopCard {...props} />
      <Settings input={input} onChange={onChange} />
      <Section heading="Also">
        <Fields>
          {text('grainSize', 'Grain size number')}
          {text('lot', 'Lot')}
        </Fields>
        <NotesField label="Notes" {...bind('notes')} />
      </Section>
    </>
  );
}
