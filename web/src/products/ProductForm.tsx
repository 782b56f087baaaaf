import { Box, Button, chakra, IconButton } from '@chakra-ui/react';
import {
  PRODUCT_KIND_IDS,
  PRODUCT_KINDS,
  RATE_AREAS,
  readProduct,
  UNITS,
  type InputError,
  type ProductKind,
  type ProductTyped,
  type UnitId,
} from '@steady-scatter/core';
import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { fieldBox } from '../ui/fieldBox.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';

const Select = chakra('select', { base: fieldBox });
const Notes = chakra('textarea', {
  base: { ...fieldBox, width: '100%', minHeight: '88px', paddingY: '8px' },
});

const PACK_UNITS = { dry: ['lb', 'oz', 'kg', 'g'], liquid: ['gal', 'qt', 'fl oz', 'L', 'mL'] } as const;
const RATE_TOPS = { dry: ['lb', 'oz', 'kg', 'g'], liquid: ['fl oz', 'gal', 'L', 'mL'] } as const;
const AREAS = ['ft2', 'm2', 'acre', 'ha'] as const;
const rateUnits = (form: 'dry' | 'liquid') =>
  RATE_TOPS[form].flatMap((top) =>
    (Object.keys(RATE_AREAS) as (keyof typeof RATE_AREAS)[]).map((area) => `${top}/${area}` as const),
  );

const Fields = ({ children }: { children: ReactNode }) => (
  <Box
    display="grid"
    gap="14px"
    gridTemplateColumns={{ base: '1fr', md: 'repeat(auto-fill, minmax(250px, 1fr))' }}
  >
    {children}
  </Box>
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

/** Units that fit another kind of product: a liquid is measured by volume, all else by weight. */
export function withKind(typed: ProductTyped, kind: ProductKind): ProductTyped {
  const { form } = PRODUCT_KINDS[kind];
  if (PRODUCT_KINDS[typed.kind].form === form) return { ...typed, kind };
  const [pack] = PACK_UNITS[form];
  const [rate] = rateUnits(form);
  return {
    ...typed,
    kind,
    package: { ...typed.package, unit: pack },
    labelRate: { ...typed.labelRate, unit: rate ?? typed.labelRate.unit },
  };
}

interface Props {
  typed: ProductTyped;
  errorAt(field: string): InputError | undefined;
  onChange(typed: ProductTyped): void;
}

function Settings({ typed, onChange }: Pick<Props, 'typed' | 'onChange'>) {
  const { settings } = typed;
  const set = (at: number, more: Partial<(typeof settings)[number]>) =>
    onChange({
      ...typed,
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
            onClick={() => onChange({ ...typed, settings: settings.toSpliced(at, 1) })}
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
          onChange({ ...typed, settings: [...settings, { machine: '', setting: '', pace: '' }] })
        }
      >
        <Plus size={18} /> Add a setting
      </Button>
    </Section>
  );
}

/** A product typed in from its label. */
export function ProductForm({ typed, errorAt, onChange }: Props) {
  const { form } = readProduct(typed);
  const { density, package: pack, coverage, labelRate } = typed;
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
      value={typed[field]}
      error={errorAt(field)}
      onChange={(value) => onChange({ ...typed, [field]: value })}
    />
  );
  const rate = (field: 'low' | 'high' | 'mostPerYear', label: string) => (
    <LabelledField
      label={label}
      value={labelRate[field]}
      error={errorAt(`labelRate.${field}`)}
      onChange={(value) => onChange({ ...typed, labelRate: { ...labelRate, [field]: value } })}
    />
  );
  const isCarrier = typed.kind === 'granular-carrier';
  const feeds = typed.kind.endsWith('fertilizer');
  return (
    <>
      <Section heading="What it is">
        <Fields>
          {text('name', 'Name', 'Lake feed 24-0-8')}
          <Box>
            <chakra.label
              htmlFor="product-kind"
              fontSize="15px"
              fontWeight="semibold"
              color="ink.soft"
              display="block"
            >
              Kind
            </chakra.label>
            <Select
              id="product-kind"
              width="100%"
              value={typed.kind}
              onChange={(event) => onChange(withKind(typed, event.target.value as ProductKind))}
            >
              {PRODUCT_KIND_IDS.map((id) => (
                <option key={id} value={id}>
                  {PRODUCT_KINDS[id].words}
                </option>
              ))}
            </Select>
          </Box>
          {feeds && text('grade', 'Grade', '24-0-8 + 2 S')}
          {feeds && text('slowShare', 'Slow-release share of the nitrogen', '50 %')}
          {isCarrier && text('activeIngredient', 'Active ingredient')}
          {isCarrier && text('load', 'Active ingredient in the product', '0.43 %')}
          {form === 'liquid' && (
            <LabelledField
              label="Density"
              value={density.text}
              error={errorAt('density.text')}
              onChange={(value) => onChange({ ...typed, density: { ...density, text: value } })}
              unit={
                <Unit
                  label="Unit of the density"
                  value={density.unit}
                  options={['kg/L', 'g/L', 'lb/gal']}
                  onChange={(unit) => onChange({ ...typed, density: { ...density, unit } })}
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
            onChange={(size) => onChange({ ...typed, package: { ...pack, size } })}
            unit={
              <Unit<UnitId>
                label="Unit of the package"
                value={pack.unit}
                options={PACK_UNITS[form]}
                onChange={(unit) =>
                  onChange({ ...typed, package: { ...pack, unit: unit as typeof pack.unit } })
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
            onChange={(size) => onChange({ ...typed, coverage: { ...coverage, size } })}
            unit={
              <Unit
                label="Unit of the coverage"
                value={coverage.unit}
                options={AREAS}
                onChange={(unit) => onChange({ ...typed, coverage: { ...coverage, unit } })}
              />
            }
          />
          {rate('low', 'Lowest rate')}
          {rate('high', 'Highest rate')}
          {rate('mostPerYear', 'Most in a year')}
          <Box>
            <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
              Rates are in
            </Box>
            <Unit<UnitId>
              label="Unit of the label’s rates"
              value={labelRate.unit}
              options={rateUnits(form)}
              onChange={(unit) =>
                onChange({ ...typed, labelRate: { ...labelRate, unit: unit as typeof labelRate.unit } })
              }
            />
          </Box>
          {text('leastIntervalDays', 'Least days between two applications', '28')}
        </Fields>
      </Section>
      <Settings typed={typed} onChange={onChange} />
      <Section heading="Also">
        <Fields>
          {text('grainSize', 'Grain size number')}
          {text('lot', 'Lot')}
        </Fields>
        <chakra.label display="block" marginTop="14px" fontSize="15px" fontWeight="semibold" color="ink.soft">
          Notes
          <Notes
            value={typed.notes}
            maxLength={4000}
            onChange={(event) => onChange({ ...typed, notes: event.target.value })}
          />
        </chakra.label>
      </Section>
    </>
  );
}
