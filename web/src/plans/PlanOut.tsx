import { Box, Button } from '@chakra-ui/react';
import { nextYearsPlan, planCalendar } from '@steady-scatter/core/plan';
import { CalendarDays, CalendarPlus } from 'lucide-react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { say, speak } from '@steady-scatter/words/plans';
import { explain } from '../api/explain.ts';
import { saveNew } from '../documents/saving.ts';
import { PLANS } from '../kinds/usePlans.ts';
import { useNotices } from '../notices/notices.tsx';
import { saveFile } from '../ui/saveFile.ts';
import { Section } from '../ui/Section.tsx';
import { Feeds } from './Feeds.tsx';
import type { PlanView } from './usePlan.ts';

/** "2027 season" of "2026 season", else the same with the year behind it. */
export function nextName(name: string, year: string): string {
  const next = String(Number(year) + 1);
  return name.includes(year) ? name.replaceAll(year, next) : `${name} ${next}`;
}

/** The plan as a calendar file, as a calendar that a phone follows, and as the next year's. */
export default function PlanOut({ view: { input } }: { view: PlanView }) {
  const navigate = useNavigate();
  const notices = useNotices();
  const file = () => saveFile(say('plans.out.fileName', { plan: input.name.trim() }), 'text/calendar', planCalendar([input], new Date().toISOString(), speak)); // prettier-ignore
  const next = async () => {
    const id = newId();
    const name = nextName(input.name.trim(), input.fromDay.slice(0, 4));
    try {
      await saveNew(PLANS, id, nextYearsPlan(input, name, newId));
      notices.tell(say('plans.out.nextTold', { name }));
      await navigate(`/plans/${id}`);
    } catch (failure) {
      notices.tell(explain(failure));
    }
  };
  return (
    <Section heading={say('plans.out.heading')} noPrint>
      <Box display="flex" flexWrap="wrap" gap="8px" marginBottom="10px">
        <Button minHeight="touch" onClick={file}>
          <CalendarDays size={18} aria-hidden /> {say('plans.out.file')}
        </Button>
        <Button minHeight="touch" onClick={() => void next()}>
          <CalendarPlus size={18} aria-hidden /> {say('plans.out.next')}
        </Button>
      </Box>
      <Feeds />
    </Section>
  );
}
