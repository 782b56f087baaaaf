import { Box, Button } from '@chakra-ui/react';
import { rigKind } from '@steady-scatter/core/machines';
import { PRODUCT_KINDS, type ProductInput } from '@steady-scatter/core/products';
import { UNITS } from '@steady-scatter/core/quantities';
import { isEmptyRun } from '@steady-scatter/core/testing';
import { useState } from 'react';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/bench';
import { useGuides } from '../../kinds/useGuides.ts';
import { CardChoice } from '../../ui/CardChoice.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import type { AimProps } from './aimProps.ts';
import { machineText } from './aimTexts.ts';
import { useOfferedRates } from './useOfferedRates.ts';
import { useTaking } from './useTaking.ts';

/** Cards that stand side by side before the rest goes into a list. */
const MAX_CARDS = 5;

/** Where a machine is made, to come back with it and with what is answered already. */
function newMachinePath({ product, target }: AimProps['input']): string {
  const then = new URLSearchParams({
    ...(product && { product }),
    ...(target.amount && { rate: target.amount }),
  });
  return `/bench/rigs/new?then=${encodeURIComponent(`/bench/new?${then}`)}`;
}

function MachineQuestion(props: AimProps) {
  const { input, shelf, id } = props;
  const take = useTaking(props);
  const isFixed = input.rig !== '' && input.runs.some((run) => !isEmptyRun(run));
  return (
    <CardChoice
      label={say('bench.aim.machine')}
      value={input.rig === '' ? null : input.rig}
      options={shelf.rigs
        .filter((rig) => !isFixed || rig.id === input.rig)
        .map((rig) => ({ id: rig.id, label: rig.input.name, detail: machineText(rig.input) }))}
      onChange={take.rig}
    >
      {isFixed ? (
        <Box fontSize="15px" color="ink.soft" flexBasis="100%">
          {say('bench.aim.machineFixed')} <Link to="/bench/new">{say('bench.aim.otherMachine')}</Link>
        </Box>
      ) : (
        <Button asChild variant="outline" minHeight="56px" borderStyle="dashed">
          <Link to={id === null ? newMachinePath(input) : '/bench/rigs/new'}>
            {say('bench.aim.newMachine')}
          </Link>
        </Button>
      )}
    </CardChoice>
  );
}

const OTHER = 'other';

/** A liquid is sprayed; what dissolves may be, and is spread too. */
const mayGoInto = (puts: 'dry' | 'wet' | 'both', { kind }: ProductInput): boolean =>
  puts === 'both' ||
  kind === 'soluble-fertilizer' ||
  (puts === 'wet') === (PRODUCT_KINDS[kind].form === 'liquid');

function ProductQuestion(props: AimProps) {
  const { input, shelf, on } = props;
  const take = useTaking(props);
  const puts = on.rig ? rigKind(on.rig.kind).puts : 'both';
  // What this machine was calibrated for before comes first.
  const isKnown = (id: string) => Number(shelf.calibrations.some((each) => each.input.productId === id));
  const offered = shelf.products
    .filter(({ input: product }) => mayGoInto(puts, product))
    .toSorted((a, b) => isKnown(b.id) - isKnown(a.id));
  const chosen = offered.find(({ id }) => id === input.productId);
  const first = offered.slice(0, MAX_CARDS);
  // What was chosen from the list stands among the cards.
  const cards = chosen && !first.includes(chosen) ? [...first.slice(0, -1), chosen] : first;
  const [isOther, setOther] = useState(!chosen && input.product !== '');
  const lotText = (lot: string, grain: string) =>
    [lot && say('bench.aim.lotOf', { lot }), grain && say('bench.aim.grainOf', { grain })]
      .filter(Boolean)
      .join(', ');
  return (
    <CardChoice
      label={say('bench.aim.product')}
      value={isOther ? OTHER : (chosen?.id ?? null)}
      options={[
        ...cards.map(({ id, input: { name, lot, grainSize } }) => ({
          id,
          label: name,
          detail: lotText(lot, grainSize),
        })),
        { id: OTHER, label: say('bench.aim.otherProduct') },
      ]}
      onChange={(id) => {
        setOther(id === OTHER);
        take.product(id === OTHER ? '' : id);
      }}
    >
      {isOther && (
        <Box flexBasis="100%" display="grid" gap="10px" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}>
          {offered.length > cards.length && (
            <Choice
              label={say('bench.aim.onShelf')}
              value=""
              options={[
                { id: '', label: say('bench.aim.chooseOne') },
                ...offered
                  .filter((each) => !cards.includes(each))
                  .map(({ id, input: { name } }) => ({ id, label: name })),
              ]}
              onChange={(id) => {
                setOther(false);
                take.product(id);
              }}
            />
          )}
          <LabelledField
            label={say('bench.aim.productName')}
            placeholder={say('bench.aim.productHint')}
            value={input.product}
            onChange={take.productName}
          />
        </Box>
      )}
    </CardChoice>
  );
}

const TYPED = 'typed';
const GUIDE = 'guide';

/** A rate guide in place of one rate: which, and the settings that are tested one after the other. */
function GuideFields({ input, bind, field }: Pick<AimProps, 'input' | 'bind' | 'field'>) {
  const { data: guides = [] } = useGuides();
  return (
    <Box flexBasis="100%" display="grid" gap="10px" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}>
      <Choice
        label={say('bench.aim.guide')}
        options={guides.map(({ id, input: { name } }) => ({ id, label: name }))}
        {...bind('guide')}
      />
      <LabelledField
        label={say('bench.aim.settings')}
        placeholder={input.settings === '' ? 'C, D, E' : ''}
        {...field('settings')}
      />
    </Box>
  );
}

function RateQuestion({ input, on, bind, field, set }: AimProps) {
  const { data: guides = [] } = useGuides();
  const mayFollowGuide = guides.length > 0 && on.product !== null && PRODUCT_KINDS[on.product.kind].puts === 'de-icer'; // prettier-ignore
  const isGuided = input.guide !== '';
  const { amount, unit } = input.target;
  const offers = useOfferedRates(input.product, on.product, unit);
  const [isTyping, setTyping] = useState(false);
  const offered = offers.find((offer) => offer.amount === amount);
  const isTyped = !isGuided && (isTyping || (amount !== '' && !offered) || (offers.length === 0 && !mayFollowGuide)); // prettier-ignore
  return (
    <CardChoice
      label={say('bench.aim.rate')}
      value={isGuided ? GUIDE : isTyped ? TYPED : (offered?.amount ?? null)}
      options={[
        ...(mayFollowGuide ? [{ id: GUIDE, label: say('bench.aim.byGuide'), detail: say('bench.aim.byGuideHow') }] : []), // prettier-ignore
        ...offers.map(({ amount: id, label, detail }) => ({ id, label, detail })),
        ...(offers.length === 0 && !mayFollowGuide ? [] : [{ id: TYPED, label: say('bench.aim.typeRate') }]),
      ]}
      onChange={(id) => {
        setTyping(id === TYPED);
        set('guide', id === GUIDE ? (guides[0]?.id ?? '') : '');
        if (id !== TYPED) set('target.amount', id === GUIDE ? '' : id);
      }}
    >
      {isGuided && <GuideFields input={input} bind={bind} field={field} />}
      {isTyped && (
        <Box flex="0 1 220px">
          <LabelledField
            label={say('bench.aim.rateTyped')}
            placeholder="3.33"
            inputMode="decimal"
            unit={<Box whiteSpace="nowrap">{UNITS[unit].symbol}</Box>}
            {...field('target.amount')}
          />
        </Box>
      )}
    </CardChoice>
  );
}

/** What changes the answer: which machine, which product, which rate. */
export const AimQuestions = (props: AimProps) => (
  <Box as="section" aria-label={say('bench.aim.heading')}>
    <MachineQuestion {...props} />
    <ProductQuestion {...props} />
    <RateQuestion {...props} />
  </Box>
);
