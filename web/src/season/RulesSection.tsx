import { Box, Button, chakra } from '@chakra-ui/react';
import {
  checkSheet,
  fewestPortions,
  lessNeed,
  mostAllowedShare,
  NUTRIENTS,
  readRuleSet,
  UNITS,
  type Nutrient,
  type RuleCheck,
} from '@steady-scatter/core';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { useSheet, useSheetForm } from '../jobs/sheet.tsx';
import { useDocs } from '../kept/docs.ts';
import { SOIL_TESTS } from '../soil/useSoilTests.ts';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { useNotices } from '../ui/notices.tsx';
import { Section } from '../ui/Section.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { RULE_SETS } from './useRuleSets.ts';

const STATES = {
  kept: { sign: '✓', words: 'kept', color: 'fine' },
  broken: { sign: '▲', words: 'broken', color: 'warn' },
  unknown: { sign: '?', words: 'cannot tell: the label does not say', color: 'ink.soft' },
} as const;

const isKept = ({ state }: RuleCheck): boolean => state === 'kept';

function CheckLine({ check }: { check: RuleCheck }) {
  const { sign, words, color } = STATES[check.state];
  return (
    <Box as="li" paddingY="6px" borderBottomWidth="1px" borderColor="line" listStyleType="none">
      <Box display="flex" flexWrap="wrap" columnGap="12px" alignItems="baseline">
        <chakra.span color={color} fontWeight="bold">
          <chakra.span aria-hidden>{sign}</chakra.span> {words}
          {check.overBy && check.state === 'broken' && `, by ${check.overBy.number} ${check.overBy.unit}`}
        </chakra.span>
        <Box color="ink.soft" fontSize="15px">
          {check.rule}
        </Box>
      </Box>
      <WorkingLine working={check.working} size="plain" />
    </Box>
  );
}

/** What can be done about broken rules: ask for less, or split. */
function Repairs({ checks }: { checks: readonly RuleCheck[] }) {
  const { answer } = useSheet();
  const form = useSheetForm();
  const notices = useNotices();
  const typed = useWatch({ control: form.control, name: 'worksheet' });
  if (checks.every(({ state }) => state !== 'broken')) return null;
  const share = mostAllowedShare(checks);
  const less = share > 0 && share < 1 ? lessNeed(answer, typed, share) : null;
  const portions = fewestPortions(checks);

  const change = (next: typeof typed, told: string) => {
    form.setValue('worksheet', next, { shouldDirty: true });
    notices.undoable(told, () => form.setValue('worksheet', typed, { shouldDirty: true }));
  };
  return (
    <Box display="flex" flexWrap="wrap" gap="10px" marginTop="10px" alignItems="center" data-noprint>
      {less && (
        <Button
          onClick={() =>
            change(
              { ...typed, need: { ...typed.need, amount: less } },
              'The need is now the most that is allowed.',
            )
          }
        >
          Use the most allowed: {less}
        </Button>
      )}
      {portions !== null && (
        <Button
          onClick={() =>
            change(
              { ...typed, split: { portions: String(portions), everyDays: typed.split.everyDays || '28' } },
              `The whole is now put down in ${portions} portions.`,
            )
          }
        >
          Split in {portions}
        </Button>
      )}
      {share === 0 && <Box>Nothing of this product is allowed here now. Choose another product.</Box>}
      {share === 1 && portions === null && (
        <Box>No lower rate would keep this rule. Choose another product, or get a soil test.</Box>
      )}
    </Box>
  );
}

/** The crew's rules held against this sheet. What was put down earlier in the year is typed by hand. */
export function RulesSection() {
  const { answer, errorAt } = useSheet();
  const form = useSheetForm();
  const typed = useWatch({ control: form.control, name: 'worksheet.rules' });
  const onDay = useWatch({ control: form.control, name: 'onDay' });
  const { data: sets = [] } = useDocs(RULE_SETS);
  const { data: soilTests = [] } = useDocs(SOIL_TESTS);
  const set = (more: Partial<typeof typed>) =>
    form.setValue('worksheet.rules', { ...typed, ...more }, { shouldDirty: true });

  const chosen = sets.find(({ id }) => id === typed.setId);
  const { rules } = chosen ? readRuleSet(chosen.typed) : { rules: [] };
  const yearly = [
    ...new Set(rules.flatMap((rule) => (rule.typed.kind === 'most-in-a-year' ? [rule.typed.nutrient] : []))),
  ];
  const asksSoil = rules.some((rule) => rule.typed.kind === 'soil-test');
  const checks = checkSheet(rules, answer, typed, onDay);
  const [kept, open] = [checks.filter(isKept), checks.filter((check) => !isKept(check))];

  const amountOf = (nutrient: Nutrient) => typed.soFar.find((one) => one.nutrient === nutrient)?.amount ?? '';
  const setSoFar = (nutrient: Nutrient, amount: string) => {
    const others = typed.soFar.filter((one) => one.nutrient !== nutrient);
    set({ soFar: amount === '' ? others : [...others, { nutrient, amount }] });
  };

  return (
    <Section heading={chosen ? `By the rules of ${chosen.typed.name}` : 'By the rules'} noPrint={!chosen}>
      <Box
        display="grid"
        gap="12px"
        gridTemplateColumns={{ base: '1fr', md: 'repeat(3, minmax(0, 1fr))' }}
        alignItems="end"
        data-noprint
      >
        <Choice
          label="Rules of"
          value={typed.setId}
          options={[
            { id: '', label: sets.length === 0 ? 'no rules typed in yet' : 'none' },
            ...sets.map(({ id, typed: { name } }) => ({ id, label: name })),
          ]}
          onChange={(setId) => set({ setId, ...(chosen ? {} : { unit: answer.units.delivered }) })}
        />
        {asksSoil && (
          <Choice
            label="Latest soil test of this ground"
            value={typed.soilTestDay}
            options={[
              { id: '', label: 'none' },
              ...[...new Set([typed.soilTestDay, ...soilTests.map(({ typed: { onDay: day } }) => day)])]
                .filter(Boolean)
                .map((day) => ({
                  id: day,
                  label: [
                    dayText(day),
                    ...soilTests.flatMap((one) => (one.typed.onDay === day ? [one.typed.name] : [])),
                  ].join(', '),
                })),
            ]}
            onChange={(soilTestDay) => set({ soilTestDay })}
          />
        )}
        {yearly.map((nutrient) => (
          <LabelledField
            key={nutrient}
            label={`${NUTRIENTS[nutrient].symbol} put down earlier this year`}
            placeholder="0"
            value={amountOf(nutrient)}
            error={errorAt(`rules.soFar.${typed.soFar.findIndex((one) => one.nutrient === nutrient)}.amount`)}
            onChange={(amount) => setSoFar(nutrient, amount)}
            unit={<Box whiteSpace="nowrap">{UNITS[typed.unit].symbol}</Box>}
          />
        ))}
      </Box>
      {sets.length === 0 && (
        <Box marginTop="6px" fontSize="16px" data-noprint>
          <chakra.span textDecoration="underline" textUnderlineOffset="4px">
            <Link to="/shelf/rules/new">Type in your town’s or your contract’s rules</Link>
          </chakra.span>
          , and each sheet is held against them.
        </Box>
      )}
      {open.length > 0 && (
        <chakra.ul marginTop="10px" aria-label="Rules that are not kept" padding={0}>
          {open.map((check) => (
            <CheckLine key={check.id} check={check} />
          ))}
        </chakra.ul>
      )}
      {kept.length > 0 && (
        <chakra.details marginTop="6px">
          <chakra.summary cursor="pointer" minHeight="44px" paddingTop="10px" display="list-item">
            <chakra.span color="fine" fontWeight="bold">
              <span aria-hidden>✓</span>{' '}
              {kept.length === 1 ? 'One rule is kept' : `${kept.length} rules are kept`}
            </chakra.span>
          </chakra.summary>
          <chakra.ul aria-label="Rules that are kept" padding={0}>
            {kept.map((check) => (
              <CheckLine key={check.id} check={check} />
            ))}
          </chakra.ul>
        </chakra.details>
      )}
      <Repairs checks={checks} />
    </Section>
  );
}
