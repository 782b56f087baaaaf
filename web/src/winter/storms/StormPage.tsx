import { Box } from '@chakra-ui/react';
import { blankStorm, type StormInput } from '@steady-scatter/core/season';
import { useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/winter';
import { DocPage, type DocFormProps } from '../../documents/DocPage.tsx';
import { useGuides } from '../../kinds/useGuides.ts';
import { STORMS, useStorms } from '../../kinds/useStorms.ts';
import { Choice } from '../../ui/Choice.tsx';
import { dayText } from '../../ui/dayText.ts';
import { Fields, NotesField } from '../../ui/formParts.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { Section } from '../../ui/Section.tsx';
import { StatedDefault } from '../../ui/StatedDefault.tsx';
import { today } from '../../ui/today.ts';
import { useWinterAreas } from '../useWinterAreas.ts';
import { RouteList } from './RouteList.tsx';
import { Rounds } from './Rounds.tsx';

/** What a storm is called, when it was, and by which guide. */
function StormFacts({ bind, field, isNew }: DocFormProps<StormInput> & { isNew: boolean }) {
  const { data: guides = [] } = useGuides();
  return (
    <>
      <Fields>
        <LabelledField label={say('winter.storm.name')} placeholder={say('winter.storm.nameHint')} {...field('name')} />
        <LabelledField label={say('winter.storm.from')} type="date" {...field('fromDay')} />
        {!isNew && <LabelledField label={say('winter.storm.to')} type="date" {...field('toDay')} />}
        <Choice
          label={say('winter.night.guide')}
          options={[{ id: '', label: say('winter.storm.noGuide') }, ...guides.map(({ id, input: { name } }) => ({ id, label: name }))]}
          {...bind('guide')}
        />
      </Fields>
      {!isNew && <NotesField label={say('winter.storm.notes')} {...bind('notes')} />}
    </>
  );
} // prettier-ignore

function StormForm({ id, ...props }: DocFormProps<StormInput> & { id: string | null }) {
  const { input, set } = props;
  const { name, fromDay, toDay } = input;
  return (
    <>
      {id !== null && <Rounds storm={id} areas={input.route.length} isOver={toDay !== ''} />}
      {id === null ? (
        <Box marginBottom="20px">
          <StormFacts {...props} isNew />
        </Box>
      ) : (
        <Box marginBottom="20px">
          <StatedDefault
            name={say('winter.storm.part')}
            text={say('winter.storm.is', { name, from: dayText(fromDay), to: toDay === '' ? 'none' : dayText(toDay) })} // prettier-ignore
            isWrong={props.errorAt('fromDay') !== undefined || props.errorAt('toDay') !== undefined || props.errorAt('name') !== undefined} // prettier-ignore
          >
            <Box gridColumn="1 / -1">
              <StormFacts {...props} isNew={false} />
            </Box>
          </StatedDefault>
        </Box>
      )}
      <Section heading={say('winter.storm.route')}>
        <RouteList input={input} set={set} />
      </Section>
    </>
  );
}

/** A storm that begins: named for its day, over the route of the one before. */
function useNewStorm(): () => StormInput {
  const { data: storms = [] } = useStorms();
  const { data: guides = [] } = useGuides();
  const areas = useWinterAreas() ?? [];
  const [last] = storms.toSorted((a, b) => b.input.fromDay.localeCompare(a.input.fromDay));
  const route = last?.input.route ?? areas.map(({ id: area, site }) => ({ id: newId(), site, area }));
  return () => ({
    ...blankStorm(),
    name: say('winter.storm.called', { day: dayText(today()) }),
    fromDay: today(),
    guide: last?.input.guide ?? guides[0]?.id ?? '',
    route,
  });
}

/** A storm: its rounds, its route, when it was. */
export default function StormPage() {
  const { id = null } = useParams();
  const blank = useNewStorm();
  const { data } = useStorms();
  // A new one goes over the route of the last: that has to have come.
  if (id === null && data === undefined) return null;
  return <DocPage kind={STORMS} blank={blank} renderForm={(props) => <StormForm {...props} id={id} />} />;
}
