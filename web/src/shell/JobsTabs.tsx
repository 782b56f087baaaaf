import { say } from '@steady-scatter/words/shell';
import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/today', label: say('shell.jobs.today') },
  { to: '/plans', label: say('shell.jobs.plans') },
  { to: '/jobs', label: say('shell.jobs.jobs') },
  { to: '/log', label: say('shell.jobs.log') },
  { to: '/log/ledger', label: say('shell.jobs.ledger') },
  { to: '/log/season', label: say('shell.jobs.season') },
  { to: '/log/looks', label: say('shell.jobs.looks') },
  { to: '/jobs/order', label: say('shell.jobs.order') },
  { to: '/people', label: say('shell.jobs.people') },
];

/** What stands among the jobs. */
export const JobsTabs = () => <RoomTabs label={say('shell.jobs.in')} tabs={TABS} />;
