import { Box, Button } from '@chakra-ui/react';
import { movePortions, portionGroups } from '@steady-scatter/core/plan';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { say } from '@steady-scatter/words/plans';
import { dayText } from '../ui/dayText.ts';
import { Section } from '../ui/Section.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { AddPortions } from './AddPortions.tsx';
import { PlanCalendar } from './PlanCalendar.tsx';
import { PlanList } from './PlanList.tsx';
import { PlanTakes } from './PlanTakes.tsx';
import { useChangePortions, type PlanProps } from './changePortions.ts';
import { PortionPanel } from './PortionPanel.tsx';

/** Calendar or list, one portion opened, more added, and what all of it takes. */
export function PlanBody(props: PlanProps) {
  const { input, view } = props;
  const { portions } = input;
  const groups = useMemo(() => portionGroups(portions, ({ id }) => (view.states.get(id)?.state === 'done' ? 'done' : '')), [portions, view.states]);
  const [params, setParams] = useSearchParams();
  const [opened, setOpened] = useState<ReadonlySet<string> | null>(null);
  const change = useChangePortions(props);
  const system = useSystem();
  const isList = params.get('show') === 'list';
  const setList = (list: boolean) => setParams(list ? { show: 'list' } : {}, { replace: true });
  const asked = params.get('portion');
  const chosen = opened ?? (asked === null ? null : new Set(groups.find(({ portions: own }) => own.some(({ id }) => id === asked))?.portions.map(({ id }) => id))); // prettier-ignore
  const open = portions.filter(({ id }) => chosen?.has(id));
  const close = () => {
    setOpened(null);
    if (asked !== null) setList(isList);
  };
  return (
    <>
      <Section heading={say('plans.year')}>
        <Box data-noprint role="group" aria-label={say('plans.show')} display="flex" gap="8px" marginBottom="10px">
          <Button minHeight="touch" variant={isList ? 'outline' : 'solid'} aria-pressed={!isList} onClick={() => setList(false)}>{say('plans.calendar')}</Button>
          <Button minHeight="touch" variant={isList ? 'solid' : 'outline'} aria-pressed={isList} onClick={() => setList(true)}>{say('plans.list')}</Button>
        </Box>
        {portions.length === 0 && <Box fontSize="18px" marginBottom="12px">{say('plans.empty')}</Box>}
        {isList ? (
          <PlanList groups={groups} view={view} system={system} onOpen={setOpened} />
        ) : (
          <PlanCalendar
            groups={groups}
            view={view}
            onOpen={setOpened}
            onMove={({ portions: own }, day) =>
              change(movePortions(portions, new Set(own.map(({ id }) => id)), day), say('plans.moved', { what: own[0]!.productName, day: dayText(day) }))}
          />
        )}
      </Section>
      <AddPortions {...props} />
      <PlanTakes view={view} system={system} />
      {open.length > 0 && <PortionPanel {...props} portions={open} system={system} onClose={close} onChosen={setOpened} />}
    </>
  );
} // prettier-ignore
