import { Box } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import {
  DEICER_SALT_IDS,
  PRODUCT_KIND_IDS,
  PRODUCT_KINDS,
  evaluateLabelFacts,
  type GradeBasis,
  type ProductKind,
  type ProductInput,
} from '@steady-scatter/core/products';
import { nameOf, say } from '@steady-scatter/words/shelf';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { CardChoice } from '../ui/CardChoice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LimitFields } from '../regulations/LimitFields.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { Unit } from '../ui/UnitSelect.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { ScoopCard } from './ScoopCard.tsx';
import { HAND_WEIGHTS } from '../ui/unitChoices.ts';
import { joined, rateUnits } from './labelTexts.ts';
import { LabelRates, PrintedSettings, Solubility, SprayVolume } from './LabelLimits.tsx';

const PACK_UNITS = { dry: HAND_WEIGHTS, liquid: ['gal', 'qt', 'fl oz', 'L', 'mL'] } as const;
const AREAS = ['ft2', 'm2', 'acre', 'ha'] as const;

const GRADE_BASES: readonly { id: GradeBasis; label: string }[] = [
  { id: 'weight', label: say('shelf.product.byWeight') },
  { id: 'volume', label: say('shelf.product.byVolume') },
];
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

/** What makes it this product: kind, name, analysis, and what one package holds and covers. */
function Questions({ input, onChange, bind, field }: Props) {
  const { form } = evaluateLabelFacts(input);
  const isCarrier = input.kind === 'granular-carrier';
  const feeds = input.kind.endsWith('fertilizer');
  const isDeicer = PRODUCT_KINDS[input.kind].puts === 'de-icer';
  return (
    <>
      <CardChoice<ProductKind>
        label={say('shelf.product.kind')}
        value={input.kind}
        options={PRODUCT_KIND_IDS.map((id) => ({ id, label: nameOf('product', id) }))}
        onChange={(kind) => onChange(withKind(input, kind))}
      />
      <Fields>
        <LabelledField
          label={say('shelf.product.name')}
          placeholder={say('shelf.product.nameHint')}
          {...field('name')}
        />
        {feeds && (
          <LabelledField label={say('shelf.product.grade')} placeholder="24-0-8 + 2 S" {...field('grade')} />
        )}
        {feeds && form === 'liquid' && (
          <Choice label={say('shelf.product.percentBy')} options={GRADE_BASES} {...bind('gradeBasis')} />
        )}
        {isCarrier && <LabelledField label={say('shelf.product.active')} {...field('activeIngredient')} />}
        {isCarrier && (
          <LabelledField label={say('shelf.product.activeContent')} placeholder="0.43 %" {...field('load')} />
        )}
        {isDeicer && <Deicer input={input} bind={bind} field={field} />}
        {form === 'liquid' && <Density label={say('shelf.product.density')} bind={bind} field={field} />}
        <LabelledField
          label={say('shelf.product.package')}
          {...field('package.size')}
          unit={
            <Unit<ProductInput['package']['unit']>
              label={say('shelf.product.packageUnit')}
              options={PACK_UNITS[form]}
              {...bind('package.unit')}
            />
          }
        />
        <LabelledField
          label={say('shelf.product.coverage')}
          {...field('coverage.size')}
          unit={<Unit label={say('shelf.product.coverageUnit')} options={AREAS} {...bind('coverage.unit')} />}
        />
      </Fields>
    </>
  );
}

const SALTS = [
  { id: '', label: say('shelf.deicer.unknown') },
  ...DEICER_SALT_IDS.map((id) => ({ id, label: nameOf('deicerSalt', id) })),
] as const;
const DEGREES = ['degF', 'degC'] as const;

/** What a de-icer is: its salt, how much of it, and the coldest pavement that it works on. */
const Deicer = ({ input, bind, field }: Pick<Props, 'input' | 'bind' | 'field'>) => (
  <>
    <Choice label={say('shelf.deicer.salt')} options={SALTS} {...bind('deicer.salt')} />
    <LabelledField
      label={say('shelf.deicer.limit')}
      placeholder={input.deicer.limit.unit === 'degF' ? '15' : '-9'}
      {...field('deicer.limit.text')}
      unit={<Unit label={say('shelf.deicer.limitUnit')} options={DEGREES} {...bind('deicer.limit.unit')} />}
    />
    {PRODUCT_KINDS[input.kind].form === 'liquid' ? (
      <LabelledField
        label={say('shelf.deicer.strength')}
        placeholder="23.3 %"
        {...field('deicer.strength')}
      />
    ) : (
      <LabelledField label={say('shelf.deicer.purity')} placeholder="95 %" {...field('deicer.purity')} />
    )}
  </>
);

const Density = ({ label, bind, field }: Pick<Props, 'bind' | 'field'> & { label: string }) => (
  <LabelledField
    label={label}
    {...field('density.text')}
    unit={
      <Unit
        label={say('shelf.product.densityUnit')}
        options={['kg/L', 'g/L', 'lb/gal']}
        {...bind('density.unit')}
      />
    }
  />
);

function Price(props: Props) {
  const { input, field } = props;
  const price = input.price.trim();
  const text = price === '' ? say('shelf.product.noPrice') : say('shelf.product.priceOf', { price });
  return (
    <StatedDefault name={say('shelf.part.price')} text={text} isWrong={isWrongAt(props, 'price')}>
      <LabelledField
        label={say('shelf.product.price')}
        placeholder="24.50"
        inputMode="decimal"
        {...field('price')}
      />
    </StatedDefault>
  );
}

function SlowRelease(props: Props) {
  const { input, field } = props;
  if (!input.kind.endsWith('fertilizer')) return null;
  const share = input.slowShare.trim();
  return (
    <StatedDefault
      name={say('shelf.part.slow')}
      text={
        share === ''
          ? say('shelf.product.noSlow')
          : say('shelf.product.slowOf', { share: share.endsWith('%') ? share : `${share} %` })
      }
      isWrong={isWrongAt(props, 'slowShare')}
    >
      <LabelledField label={say('shelf.product.slow')} placeholder="50 %" {...field('slowShare')} />
    </StatedDefault>
  );
}

function Grain(props: Props) {
  const { input, bind, field } = props;
  const { form } = evaluateLabelFacts(input);
  const text = joined(
    [
      input.lot.trim() !== '' && say('shelf.lot.of', { lot: input.lot.trim() }),
      input.grainSize.trim() !== '' && say('shelf.lot.grain', { grain: input.grainSize.trim() }),
      form === 'dry' &&
        input.density.text.trim() !== '' &&
        say('shelf.lot.bulk', { density: input.density.text.trim(), unit: UNITS[input.density.unit].symbol }),
    ],
    say('shelf.lot.none'),
  );
  return (
    <StatedDefault
      name={say('shelf.part.lot')}
      text={text}
      isWrong={isWrongAt(props, 'lot', 'grainSize', 'density.text')}
    >
      <LabelledField label={say('shelf.lot.lot')} {...field('lot')} />
      <LabelledField label={say('shelf.lot.grainNumber')} {...field('grainSize')} />
      {form === 'dry' && <Density label={say('shelf.lot.bulkDensity')} bind={bind} field={field} />}
    </StatedDefault>
  );
}

/** A product typed in from its label. */
export function ProductForm(props: Props) {
  return (
    <>
      <Questions {...props} />
      <Box as="section" aria-label={say('shelf.product.also')} marginTop="20px" maxWidth="900px">
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          {say('shelf.product.also')}
        </Box>
        <SlowRelease {...props} />
        <LabelRates {...props} />
        <SprayVolume {...props} />
        <Solubility {...props} />
        <PrintedSettings {...props} />
        <LimitFields {...props} />
        <Price {...props} />
        <Grain {...props} />
        <ScoopCard {...props} />
      </Box>
      <NotesField label={say('shelf.product.notes')} {...props.bind('notes')} />
    </>
  );
}
