import { Box } from '@chakra-ui/react';
import { daysLater } from '@steady-scatter/core/fields';
import { blankPlan, type PlanInput } from '@steady-scatter/core/plan';
import { yearOf } from '@steady-scatter/core/regulations';
import { Suspense, useState } from 'react';
import { useParams } from 'react-router';
import { say } from '@steady-scatter/words/plans';
import { DocPage, type DocFormWithWayOn } from '../documents/DocPage.tsx';
import { useDocs } from '../documents/docs.ts';
import { PLANS } from '../kinds/usePlans.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { useCrew } from '../settings/CrewProvider.tsx';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { lazyPart } from '../ui/lazyPart.ts';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { today } from '../ui/today.ts';
import { PlanBody } from './PlanBody.tsx';
import { usePlan } from './usePlan.ts';

const PlanOut = lazyPart(() => import('./PlanOut.tsx'));

const AS_PLAN = 'as-plan';

/** What a plan is called, which days it covers, and which rules it is held against. */
function PlanFactsFields({ bind, field, rulesName, input, set }: DocFormWithWayOn<PlanInput> & { rulesName: string | null }) {
  const { data: sets = [] } = useDocs(RULE_SETS);
  const gone = rulesName === null ? [{ id: bind('ruleSet').value, label: say('plans.rulesGone') }] : [];
  const choices = [{ id: '', label: say('plans.label') }, ...sets.map(({ id, input: { name } }) => ({ id, label: name }))];
  const { rulesOn, portions } = input;
  const sites = [...new Map(portions.map(({ site, siteName }) => [site, siteName]))].filter(([site]) => site !== '');
  return (
    <Box gridColumn="1 / -1">
      <Fields>
        <LabelledField label={say('plans.name')} {...field('name')} />
        <LabelledField label={say('plans.from')} type="date" {...field('fromDay')} />
        <LabelledField label={say('plans.to')} type="date" {...field('toDay')} />
        <Choice
          label={say('plans.rules')}
          options={[...gone, ...choices]}
          {...bind('ruleSet')}
        />
        {sites.map(([site, siteName]) => (
          <Choice
            key={site}
            label={say('plans.rulesOn', { site: siteName })}
            value={rulesOn.find((each) => each.site === site)?.ruleSet ?? AS_PLAN}
            options={[{ id: AS_PLAN, label: say('plans.asPlan') }, ...choices]}
            onChange={(ruleSet) => set('rulesOn', [...rulesOn.filter((each) => each.site !== site), ...(ruleSet === AS_PLAN ? [] : [{ site, ruleSet }])] as never)}
          />
        ))}
      </Fields>
      <NotesField label={say('plans.notes')} {...bind('notes')} />
    </Box>
  );
} // prettier-ignore

function PlanForm({ id, ...props }: DocFormWithWayOn<PlanInput> & { id: string | null }) {
  const { input, errorAt } = props;
  const view = usePlan(input, id);
  const { name, fromDay, toDay, notes } = input;
  if (!view) return null;
  return (
    <>
      <Box marginBottom="18px">
        <StatedDefault
          name={say('plans.part')}
          text={say('plans.is', { name, from: dayText(fromDay), to: dayText(toDay), rules: view.rulesName === '' ? say('plans.label') : (view.rulesName ?? say('plans.rulesGone')) })} // prettier-ignore
          isWrong={view.rulesName === null || ['name', 'fromDay', 'toDay'].some((at) => errorAt(at) !== undefined)}
        >
          <PlanFactsFields {...props} rulesName={view.rulesName} />
        </StatedDefault>
        {notes.trim() !== '' && <Box fontSize="16px" color="ink.soft" marginTop="6px">{notes}</Box>}
      </Box>
      <PlanBody {...props} view={view} id={id} />
      {/* The page stands while this comes. */}
      <Suspense fallback={null}>{id !== null && <PlanOut view={view} />}</Suspense>
    </>
  );
} // prettier-ignore

/** So long before a year ends people plan the next one. */
const AHEAD_DAYS = 120;

/** A new plan: of this year of the crew, in its last months of the next one, under the first of its rules. */
function useNewPlan(): () => PlanInput {
  const { yearStart } = useCrew();
  const { data: sets = [] } = useDocs(RULE_SETS);
  const [{ from, to }] = useState(() => yearOf(daysLater(today(), AHEAD_DAYS), yearStart));
  return () => ({ ...blankPlan(say('plans.called', { year: from.slice(0, 4) }), { from, to }), ruleSet: sets[0]?.id ?? '' }); // prettier-ignore
}

/** The plan of a year: its calendar, its list, and what it takes. */
export default function PlanPage() {
  const { id = null } = useParams();
  const blank = useNewPlan();
  const { data } = useDocs(RULE_SETS);
  // A new one is held against rules: those have to have come.
  if (id === null && data === undefined) return null;
  return <DocPage kind={PLANS} wide blank={blank} renderForm={(props) => <PlanForm {...props} id={id} />} />;
}
