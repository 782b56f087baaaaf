import { Box, Button, chakra, IconButton } from '@chakra-ui/react';
import { NUTRIENT_IDS, NUTRIENTS } from '@steady-scatter/core/need';
import { UNITS } from '@steady-scatter/core/quantities';
import {
  blankRule,
  blankRuleSet,
  RULE_KIND_IDS,
  RULE_KINDS,
  type RuleSetInput,
  type RuleInput,
} from '@steady-scatter/core/regulations';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import type { ClosedSpan } from './closedDates.ts';
import { FileDrop } from '../ui/FileDrop.tsx';
import { nameOf, say } from '@steady-scatter/words/rules';
import { DocPage, type DocFormProps } from '../documents/DocPage.tsx';
import { RATE_CHOICES } from '../units/units.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { LimitFields } from './LimitFields.tsx';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { unitChoices } from '../ui/unitChoices.ts';

const MAX_BYTES = 1_000_000;
const KINDS = RULE_KIND_IDS.map((id) => ({ id, label: nameOf('rule', id) }));
const OF = NUTRIENT_IDS.map((id) => ({ id, label: `${NUTRIENTS[id].symbol}, ${nameOf('nutrient', id)}` }));

interface RowProps extends DocFormProps<RuleSetInput> {
  rule: RuleInput;
  at: number;
  rateUnit: string;
}

function RuleRow({ rule, at, rateUnit, bind, field, removeAt }: RowProps) {
  const { number, ofNutrient } = RULE_KINDS[rule.kind];
  const unit = {
    rate: rateUnit,
    percent: '%',
    years: say('rules.rule.years'),
    days: say('rules.rule.days'),
    count: '',
    none: '',
  }[number];
  const text = (name: 'amount' | 'from' | 'to', label: string, placeholder: string) => (
    <LabelledField
      label={label}
      placeholder={placeholder}
      unit={name === 'amount' && <Box whiteSpace="nowrap">{unit}</Box>}
      {...field(`rules.${at}.${name}`)}
    />
  );
  return (
    <Box
      as="fieldset"
      display="grid"
      gap="10px 14px"
      gridTemplateColumns={{ base: '1fr 1fr', lg: '2.4fr 1.3fr 1.6fr 92px 92px 44px' }}
      alignItems="start"
      paddingY="10px"
      borderBottomWidth="1px"
      borderColor="line"
    >
      <Box gridColumn={{ base: '1 / -1', lg: 'auto' }}>
        <Choice
          label={say('rules.rule.number', { number: at + 1 })}
          options={KINDS}
          {...bind(`rules.${at}.kind`)}
        />
      </Box>
      {ofNutrient ? (
        <Choice label={say('rules.rule.of')} options={OF} {...bind(`rules.${at}.nutrient`)} />
      ) : (
        <Box hideBelow="lg" />
      )}
      {number === 'none' ? (
        <Box hideBelow="lg" />
      ) : (
        text(
          'amount',
          say('rules.rule.limit'),
          number === 'rate' ? '1' : number === 'percent' ? '25' : number === 'days' ? '28' : '3',
        )
      )}
      {text('from', say('rules.rule.from'), '03-01')}
      {text('to', say('rules.rule.to'), '05-31')}
      <IconButton
        aria-label={say('rules.rule.remove', { number: at + 1 })}
        variant="ghost"
        minHeight="44px"
        marginTop="22px"
        onClick={() => removeAt('rules', at)}
      >
        <X size={18} />
      </IconButton>
    </Box>
  );
}

/** Closed dates come from a calendar file, never from an address. */
function ClosedDates({ onSpans }: { onSpans(spans: readonly ClosedSpan[]): void }) {
  const [told, setTold] = useState('');
  const read = async (file: File) => {
    const { closedDatesIn } = await import('./closedDates.ts');
    const spans = file.size > MAX_BYTES ? null : closedDatesIn(await file.text());
    setTold(
      spans === null
        ? say('rules.closed.none')
        : say('rules.closed.taken', {
            count: spans.length,
            once: spans.filter(({ isYearly }) => !isYearly).length,
          }),
    );
    if (spans && spans.length > 0) onSpans(spans);
  };
  return (
    <Box marginTop="10px" maxWidth="640px">
      <FileDrop accept=".ics,text/calendar" act={say('rules.closed.choose')} onFile={(file) => void read(file)}>{say('rules.closed.drop')}</FileDrop>
      <Box role="status" fontSize="16px">{told}</Box>
    </Box>
  ); // prettier-ignore
}

function RuleSetForm(props: DocFormProps<RuleSetInput>) {
  const { input, bind, field, add } = props;
  const { rules } = input;
  return (
    <>
      <Section heading={say('rules.set.heading')}>
        <Fields>
          <LabelledField
            label={say('rules.set.name')}
            placeholder={say('rules.set.nameHint')}
            {...field('name')}
          />
          <Choice label={say('rules.set.unit')} options={unitChoices(RATE_CHOICES)} {...bind('unit')} />
        </Fields>
        <NotesField label={say('rules.set.source')} {...bind('source')} />
      </Section>
      <Section heading={say('rules.set.rules')}>
        {rules.map((rule, index) => (
          <RuleRow {...props} key={rule.id} rule={rule} at={index} rateUnit={UNITS[input.unit].symbol} />
        ))}
        <Button
          variant="ghost"
          marginLeft="-10px"
          minHeight="44px"
          onClick={() => add('rules', blankRule(newId()))}
        >
          <Plus size={18} /> {say('rules.set.add')}
        </Button>
        <ClosedDates
          onSpans={(spans) =>
            props.set('rules', [
              ...rules,
              ...spans.map(({ from, to }) => Object.assign(blankRule(newId()), { kind: 'closed', from, to })),
            ])
          }
        />
      </Section>
      <LimitFields {...props} />
      <chakra.p fontSize="15px" color="ink.soft">
        {say('rules.set.yours')}
      </chakra.p>
    </>
  );
}

/** One set of rules. */
export default function RuleSetPage() {
  const { rate } = usePreferences().preferences.units;
  const unit = RATE_CHOICES.find((id) => id === rate) ?? 'lb/1000 ft2';
  return (
    <DocPage
      kind={RULE_SETS}
      blank={() => blankRuleSet(unit, newId())}
      renderForm={(props) => <RuleSetForm {...props} />}
    />
  );
}
