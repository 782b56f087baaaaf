import { say } from '@steady-scatter/words/shell';
import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/shelf', label: say('shell.shelf.products') },
  { to: '/shelf/compare', label: say('shell.shelf.labels') },
  { to: '/shelf/soil', label: say('shell.shelf.soilTests') },
  { to: '/shelf/mix', label: say('shell.shelf.mix') },
  { to: '/shelf/rules', label: say('shell.shelf.rules') },
] as const;

/** What stands in the room of the shelf: products, and what turns a need into them. */
export const ShelfTabs = () => <RoomTabs label={say('shell.shelf.tabs')} tabs={TABS} />;
