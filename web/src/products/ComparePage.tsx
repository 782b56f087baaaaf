import { Box, Button, chakra } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { NUTRIENT_IDS, NUTRIENTS, readNeed } from '@steady-scatter/core/need';
import { UNITS, type MassPerAreaUnit, type DisplayValue } from '@steady-scatter/core/quantities';
import {
  cheapest,
  labelLines,
  isNutrient,
  NEED_OF,
  type LabelLines,
  type NeedOf,
  type ProductInput,
} from '@steady-scatter/core/products';
import { MISSING } from '@steady-scatter/core/working';
import { worksheetFor, newJob } from '@steady-scatter/core/worksheet';
import type { ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { nameOf, say, speak } from '@steady-scatter/words/shelf';
import { explain } from '../api/explain.ts';
import type { Doc } from '../documents/docs.ts';
import { saveNew } from '../documents/saving.ts';
import { JOBS } from '../kinds/useJobs.ts';
import { RATE_CHOICES } from '../units/units.ts';
import { fieldBox } from '../ui/fieldBox.ts';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { Message } from '../ui/Message.tsx';
import { useNotices } from '../notices/notices.tsx';
import { today } from '../ui/today.ts';
import { TopBar } from '../ui/TopBar.tsx';
import { useFigures } from '../ui/currency.ts';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { useShelf } from '../kinds/useShelf.ts';

const Field = chakra('input', { base: { ...fieldBox, width: '110px' } });
const Select = chakra('select', { base: fieldBox });

/** What labels can be held against. */
const COMPARED = [...NUTRIENT_IDS, 'ai'] as const satisfies readonly NeedOf[];

/** The need that labels are held against. It lives in the address, so that it can be kept, sent and reloaded. */
function useComparedNeed() {
  const [params, setParams] = useSearchParams();
  const amount = params.get('amount') ?? '0.8';
  const unit = RATE_CHOICES.find((id) => id === params.get('unit')) ?? 'lb/1000 ft2';
  const nutrient = COMPARED.find((id) => id === params.get('of')) ?? 'N';
  const set = (name: string, value: string) =>
    setParams((now) => new URLSearchParams([...[...now].filter(([key]) => key !== name), [name, value]]), {
      replace: true,
    });
  const { value: reading, error } = toResult(() => readNeed(amount, unit, 'amount'));
  return {
    amount,
    unit,
    nutrient,
    set,
    reading,
    error,
    wanted: params.get('products')?.split(',').filter(Boolean) ?? [],
  };
}

const text = (shown: DisplayValue | null): string => (shown ? `${shown.number} ${shown.unit}` : MISSING);
function Price({ shown }: { shown: DisplayValue | null }) {
  const figures = useFigures();
  return shown ? `${figures(shown)} ${shown.unit}` : MISSING;
}

const AGAINST = {
  below: say('shelf.range.below'),
  within: say('shelf.range.within'),
  above: say('shelf.range.above'),
} as const;

/** "0.267 lb K₂O": the area that it stands on is that of the need. */
function otherNutrients({ delivered, rate }: LabelLines, nutrient: NeedOf): string {
  const along = delivered.filter((line) => line.nutrient !== nutrient && line.shown.number !== '0');
  const texts = along.map(
    ({ nutrient: other, shown }) =>
      `${shown.number} ${shown.unit.replace(/ \/.*/, '')} ${NUTRIENTS[other].symbol}`,
  );
  return texts.join(', ') || (rate ? say('shelf.compare.nothing') : MISSING);
}

/** The rows of the comparison: what each is called, and what it shows of one product. */
const ROWS: readonly { label: string; show(lines: LabelLines, show: NeedOf): ReactNode }[] = [
  {
    label: say('shelf.compare.working'),
    show: (lines) =>
      lines.error ? speak(lines.error.sentence) : <WorkingLine working={lines.working} size="plain" />,
  },
  { label: say('shelf.compare.incidental'), show: otherNutrients },
  { label: say('shelf.compare.quick'), show: (lines) => text(lines.quick) },
  { label: say('shelf.compare.slow'), show: (lines) => text(lines.slow) },
  { label: say('shelf.compare.covers'), show: (lines) => text(lines.packageCovers) },
  { label: say('shelf.compare.stockCovers'), show: (lines) => text(lines.stockCovers) },
  { label: say('shelf.compare.price'), show: (lines) => <Price shown={lines.pricePerArea} /> },
  { label: say('shelf.compare.priceNeeded'), show: (lines) => <Price shown={lines.pricePerWanted} /> },
  {
    label: say('shelf.compare.byLabel'),
    show: (lines) => (lines.againstLabel ? AGAINST[lines.againstLabel] : say('shelf.compare.noRange')),
  },
];

interface TableProps {
  products: readonly Doc<ProductInput>[];
  lines: readonly LabelLines[];
  nutrient: NeedOf;
  onPutOnJob(product: Doc<ProductInput>): void;
}

function ComparisonTable({ products, lines, nutrient, onPutOnJob }: TableProps) {
  const best = cheapest(lines);
  const cell = {
    padding: '9px 14px 9px 0',
    verticalAlign: 'top',
    minWidth: '210px',
    textAlign: 'left',
  } as const;
  return (
    <Box overflowX="auto" tabIndex={0} role="region" aria-label={say('shelf.compare.heading')}>
      <chakra.table fontSize="16px" width="100%">
        <thead>
          <tr>
            <chakra.td minWidth="130px" />
            {products.map(({ id, input }, index) => (
              <chakra.th key={id} scope="col" {...cell}>
                <Link to={`/shelf/${id}`}>
                  <chakra.span textDecoration="underline" textUnderlineOffset="4px">
                    {input.name}
                  </chakra.span>
                </Link>
                <Box fontWeight="medium" color="ink.soft" fontSize="15px">
                  {input.grade || MISSING}
                  {index === best && say('shelf.compare.cheapest')}
                </Box>
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          <chakra.tr borderTopWidth="1px" borderColor="line.strong">
            <chakra.th scope="row" {...cell} minWidth="130px">
              {say('shelf.compare.rate')}
            </chakra.th>
            {lines.map(({ rate }, index) => (
              <chakra.td
                key={products[index]?.id}
                {...cell}
                fontFamily="figure"
                fontWeight="bold"
                fontSize="30px"
                css={{ fontStretch: '82%' }}
              >
                {rate?.number ?? MISSING} <chakra.span fontSize="17px">{rate?.unit}</chakra.span>
              </chakra.td>
            ))}
          </chakra.tr>
          {ROWS.map(({ label, show }) => (
            <chakra.tr key={label} borderTopWidth="1px" borderColor="line">
              <chakra.th scope="row" {...cell} minWidth="130px" fontWeight="medium" color="ink.soft">
                {label}
              </chakra.th>
              {lines.map((one, index) => (
                <chakra.td key={products[index]?.id} {...cell} fontVariantNumeric="tabular-nums">
                  {show(one, nutrient)}
                </chakra.td>
              ))}
            </chakra.tr>
          ))}
          <tr>
            <td />
            {products.map((product, index) => (
              <chakra.td key={product.id} {...cell}>
                <Button minHeight="44px" disabled={!lines[index]?.rate} onClick={() => onPutOnJob(product)}>
                  {say('shelf.compare.toJob')}
                </Button>
              </chakra.td>
            ))}
          </tr>
        </tbody>
      </chakra.table>
    </Box>
  );
}

/** Labels side by side for one need: what each takes, what it brings along, how far it goes, what it costs. */
export default function ComparePage() {
  const { data: shelf, error: failed, refetch } = useShelf();
  const { amount, unit, nutrient, set, reading, error, wanted } = useComparedNeed();
  const notices = useNotices();
  const navigate = useNavigate();
  if (failed && !shelf)
    return (
      <Message
        heading={say('shelf.notRead')}
        text={explain(failed)}
        act={say('common.tryAgain')}
        onAct={() => void refetch()}
      />
    );

  const feeding = (shelf ?? []).filter(({ input }) => (nutrient === 'ai' ? input.load : input.grade) !== '');
  const products =
    wanted.length > 0 ? wanted.flatMap((id) => shelf?.find((one) => one.id === id) ?? []) : feeding;
  const need = reading && { nutrient, perM2: reading.si, unit: reading.unit as MassPerAreaUnit };
  const lines = need ? products.map(({ input }) => labelLines(input, need)) : [];

  async function putOnJob({ input }: Doc<ProductInput>) {
    const worksheet = worksheetFor(input, { nutrient, amount, unit }, newId());
    try {
      const id = newId();
      await saveNew(JOBS, id, newJob({ name: input.name, onDay: today(), worksheet }));
      notices.tell(say('shelf.compare.isJob', { name: input.name }));
      await navigate(`/jobs/${id}`);
    } catch (failure) {
      notices.tell(explain(failure));
    }
  }

  return (
    <>
      <title>{say('shelf.compare.title')}</title>
      <TopBar>
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('shelf.compare.heading')}
        </chakra.h1>
      </TopBar>
      <ShelfTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 24px', md: '4px 24px 32px' }}>
        <Box
          display="flex"
          flexWrap="wrap"
          alignItems="center"
          gap="10px"
          marginBottom="14px"
          fontSize="17px"
        >
          {say('shelf.compare.for')}
          <Field
            aria-label={say('shelf.compare.amount')}
            value={amount}
            aria-invalid={error !== null}
            aria-describedby={error ? 'error-amount' : undefined}
            onChange={(event) => set('amount', event.target.value)}
          />
          <Select
            aria-label={say('shelf.compare.unit')}
            value={unit}
            onChange={(event) => set('unit', event.target.value)}
          >
            {RATE_CHOICES.map((id) => (
              <option key={id} value={id}>
                {UNITS[id].symbol}
              </option>
            ))}
          </Select>
          {say('shelf.compare.of')}
          <Select
            aria-label={say('shelf.compare.what')}
            value={nutrient}
            onChange={(event) => set('of', event.target.value)}
          >
            {COMPARED.map((id) => (
              <option key={id} value={id}>
                {isNutrient(id) ? `${NEED_OF[id].symbol}, ${nameOf('nutrient', id)}` : nameOf('nutrient', id)}
              </option>
            ))}
          </Select>
        </Box>
        <FieldErrors error={error ?? undefined} input={amount} onUse={(input) => set('amount', input)} />
        {lines.length > 0 && (
          <ComparisonTable
            products={products}
            lines={lines}
            nutrient={nutrient}
            onPutOnJob={(product) => void putOnJob(product)}
          />
        )}
        {shelf && products.length === 0 && <Box fontSize="18px">{say('shelf.compare.none')}</Box>}
      </Box>
    </>
  );
}
