import { say } from '@steady-scatter/words/shell';
import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/winter', label: say('shell.winter.tonight') },
  { to: '/winter/storms', label: say('shell.winter.storms') },
  { to: '/winter/guides', label: say('shell.winter.guides') },
  { to: '/winter/seasons', label: say('shell.winter.seasons') },
  { to: '/winter/brine', label: say('shell.winter.brine') },
] as const;

/** What stands in the room of winter: tonight, storms, what is put down by, and what came of it. */
export const WinterTabs = () => <RoomTabs label={say('shell.winter.tabs')} tabs={TABS} />;
