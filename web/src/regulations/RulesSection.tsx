import { Box, chakra } from '@chakra-ui/react';
import { isTestOf, NUTRIENTS, type Nutrient, type SoilTestInput } from '@steady-scatter/core/need';
import { UNITS } from '@steady-scatter/core/quantities';
import type { RuleCheck } from '@steady-scatter/core/regulations';
import type { RuleFactsInput } from '@steady-scatter/core/worksheet';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { say, speak } from '@steady-scatter/words/rules';
import { overText } from './overText.ts';
import { useErrorAt, useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { useDocs } from '../documents/docs.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { useRuleChecks } from './useRuleChecks.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';

const STATES = {
  kept: { sign: '✓', words: say('rules.check.met'), color: 'fine' },
  broken: { sign: '▲', words: say('rules.check.broken'), color: 'warn' },
  unknown: { sign: '?', words: say('rules.check.unknown'), color: 'ink.soft' },
} as const;

const isKept = ({ state }: RuleCheck): boolean => state === 'kept';

function CheckLine({ check }: { check: RuleCheck }) {
  const { sign, words, color } = STATES[check.state];
  return (
    <Box as="li" paddingY="6px" borderBottomWidth="1px" borderColor="line" listStyleType="none">
      <Box display="flex" flexWrap="wrap" columnGap="12px" alignItems="baseline">
        <chakra.span color={color} fontWeight="bold">
          <chakra.span aria-hidden>{sign}</chakra.span> {words}
          {check.overBy &&
            check.state === 'broken' &&
            say('rules.check.by', { amount: overText(check.overBy) })}
        </chakra.span>
        <Box color="ink.soft" fontSize="15px">
          {speak(check.rule)}
        </Box>
      </Box>
      <WorkingLine working={check.working} size="plain" />
    </Box>
  );
}

/** The soil test that a sheet goes by; one of other ground, or one that is too old, is offered as such. */
function SoilTestChoice({ input, onChange }: { input: RuleFactsInput; onChange(more: Partial<RuleFactsInput>): void }) {
  const { control } = useSheetForm();
  const areas = useWatch({ control, name: 'worksheet.areas' });
  const { rules } = useRuleChecks();
  const { data: tests = [] } = useDocs(SOIL_TESTS);
  const ground = areas.flatMap(({ from }) => (from ? [from] : []));
  const years = Math.min(...rules.flatMap((rule) => (rule.input.kind === 'soil-test' ? [rule.limit] : [])), 50);
  const onDay = useWatch({ control, name: 'onDay' });
  const remark = (test: SoilTestInput): string => {
    const isOld = Number(onDay.slice(0, 4)) - Number(test.onDay.slice(0, 4)) - (onDay.slice(5) < test.onDay.slice(5) ? 1 : 0) >= years;
    const isOther = test.site !== '' && ground.length > 0 && !isTestOf(test, ground);
    return [isOther && say('rules.soil.other'), isOld && say('rules.soil.old')].filter(Boolean).join(', ');
  };
  // Of this ground and young first.
  const listed = tests.map(({ id, input: test }) => ({ id, test, remark: remark(test) })).toSorted((a, b) => a.remark.length - b.remark.length || b.test.onDay.localeCompare(a.test.onDay));
  const isByDay = input.soilTest === '' && input.soilTestDay !== '';
  return (
    <Choice
      label={say('rules.soil.label')}
      value={input.soilTest || (isByDay ? 'day' : '')}
      options={[
        { id: '', label: say('rules.soil.none') },
        ...(isByDay ? [{ id: 'day', label: say('rules.soil.byDay', { day: dayText(input.soilTestDay) }) }] : []),
        ...listed.map(({ id, test, remark: told }) => ({ id, label: `${dayText(test.onDay)}, ${test.name}${told ? ` (${told})` : ''}` })),
      ]}
      onChange={(id) => id !== 'day' && onChange({ soilTest: id, soilTestDay: tests.find((test) => test.id === id)?.input.onDay ?? '' })}
    />
  );
} // prettier-ignore

/** The crew's rules held against this sheet. What was put down earlier in the year is typed by hand. */
export function RulesSection() {
  const { answer } = useSheet();
  const errorAt = useErrorAt();
  const form = useSheetForm();
  const input = useWatch({ control: form.control, name: 'worksheet.rules' });
  const { rules, setName, checks } = useRuleChecks();
  const { data: sets = [] } = useDocs(RULE_SETS);
  const set = (more: Partial<typeof input>) =>
    form.setValue('worksheet.rules', { ...input, ...more }, { shouldDirty: true });

  const yearly = [
    ...new Set(rules.flatMap((rule) => (rule.input.kind === 'most-in-a-year' ? [rule.input.nutrient] : []))),
  ];
  const asksSoil = rules.some((rule) => rule.input.kind === 'soil-test');
  const [kept, open] = [checks.filter(isKept), checks.filter((check) => !isKept(check))];

  const amountOf = (nutrient: Nutrient) => input.soFar.find((one) => one.nutrient === nutrient)?.amount ?? '';
  const setSoFar = (nutrient: Nutrient, amount: string) => {
    const others = input.soFar.filter((one) => one.nutrient !== nutrient);
    set({ soFar: amount === '' ? others : [...others, { nutrient, amount }] });
  };

  return (
    <Section
      heading={
        setName === null ? say('rules.check.heading') : say('rules.check.headingOf', { name: setName })
      }
      noPrint={setName === null}
    >
      <Box
        display="grid"
        gap="12px"
        gridTemplateColumns={{ base: '1fr', md: 'repeat(3, minmax(0, 1fr))' }}
        alignItems="end"
        data-noprint
      >
        <Choice
          label={say('rules.check.set')}
          value={input.setId}
          options={[
            { id: '', label: sets.length === 0 ? say('rules.check.noSets') : say('common.nothing') },
            ...sets.map(({ id, input: { name } }) => ({ id, label: name })),
          ]}
          onChange={(setId) => set({ setId, ...(setName === null ? { unit: answer.units.delivered } : {}) })}
        />
        {asksSoil && <SoilTestChoice input={input} onChange={set} />}
        {yearly.map((nutrient) => (
          <LabelledField
            key={nutrient}
            label={say('rules.check.earlier', { nutrient: NUTRIENTS[nutrient].symbol })}
            placeholder="0"
            value={amountOf(nutrient)}
            error={errorAt(`rules.soFar.${input.soFar.findIndex((one) => one.nutrient === nutrient)}.amount`)}
            onChange={(amount) => setSoFar(nutrient, amount)}
            unit={<Box whiteSpace="nowrap">{UNITS[input.unit].symbol}</Box>}
          />
        ))}
      </Box>
      {sets.length === 0 && (
        <Box marginTop="6px" fontSize="16px" data-noprint>
          <chakra.span textDecoration="underline" textUnderlineOffset="4px">
            <Link to="/shelf/rules/new">{say('rules.check.typeIn')}</Link>
          </chakra.span>
          {say('rules.check.typeInThen')}
        </Box>
      )}
      {open.length > 0 && (
        <chakra.ul marginTop="10px" aria-label={say('rules.check.brokenList')} padding={0}>
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
              {kept.length === 1
                ? say('rules.check.oneKept')
                : say('rules.check.manyKept', { count: kept.length })}
            </chakra.span>
          </chakra.summary>
          <chakra.ul aria-label={say('rules.check.metList')} padding={0}>
            {kept.map((check) => (
              <CheckLine key={check.id} check={check} />
            ))}
          </chakra.ul>
        </chakra.details>
      )}
    </Section>
  );
}
