import { say } from '@steady-scatter/words/shell';
import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/jobs', label: say('shell.jobs.jobs') },
  { to: '/log', label: say('shell.jobs.log') },
  { to: '/jobs/order', label: say('shell.jobs.order') },
];

/** What stands among the jobs. */
export const JobsTabs = () => <RoomTabs label={say('shell.jobs.in')} tabs={TABS} />;
