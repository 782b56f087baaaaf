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
import { v7 as newId } from 'uuid';
import { DocPage, type DocFormProps } from '../documents/DocPage.tsx';
import { RATE_CHOICES } from '../units/units.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { unitChoices } from '../ui/unitChoices.ts';

const KINDS = RULE_KIND_IDS.map((id) => ({ id, label: RULE_KINDS[id].words }));
const OF = NUTRIENT_IDS.map((id) => ({ id, label: `${NUTRIENTS[id].symbol}, ${NUTRIENTS[id].name}` }));

interface RowProps extends DocFormProps<RuleSetInput> {
  rule: RuleInput;
  at: number;
  rateUnit: string;
}

function RuleRow({ rule, at, rateUnit, bind, field, removeAt }: RowProps) {
  const { number, ofNutrient } = RULE_KINDS[rule.kind];
  const unit = { rate: rateUnit, percent: '%', years: 'years old' }[number];
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
        <Choice label={`Rule ${at + 1}`} options={KINDS} {...bind(`rules.${at}.kind`)} />
      </Box>
      {ofNutrient ? (
        <Choice label="Of" options={OF} {...bind(`rules.${at}.nutrient`)} />
      ) : (
        <Box hideBelow="lg" />
      )}
      {text('amount', 'Limit', number === 'rate' ? '1' : number === 'percent' ? '25' : '3')}
      {text('from', 'From', '03-01')}
      {text('to', 'To', '05-31')}
      <IconButton
        aria-label={`Remove rule ${at + 1}`}
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

function RuleSetForm(props: DocFormProps<RuleSetInput>) {
  const { input, bind, field, add } = props;
  const { rules } = input;
  return (
    <>
      <Section heading="Which rules">
        <Fields>
          <LabelledField label="Name" placeholder="Town rules" {...field('name')} />
          <Choice label="Limits are in" options={unitChoices(RATE_CHOICES)} {...bind('unit')} />
        </Fields>
        <NotesField label="Where they come from" {...bind('source')} />
      </Section>
      <Section heading="Each rule, and the season in which it holds (month-day; empty for the whole year)">
        {rules.map((rule, at) => (
          <RuleRow {...props} key={rule.id} rule={rule} at={at} rateUnit={UNITS[input.unit].symbol} />
        ))}
        <Button
          variant="ghost"
          marginLeft="-10px"
          minHeight="44px"
          onClick={() => add('rules', blankRule(newId()))}
        >
          <Plus size={18} /> Add a rule
        </Button>
      </Section>
      <chakra.p fontSize="15px" color="ink.soft">
        These are your own notes of the rules. Labels, codes and licensed practice go before them.
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
