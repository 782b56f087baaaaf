import { say } from '@steady-scatter/words/shell';
import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/shelf', label: say('shelf.products') },
  { to: '/shelf/compare', label: say('shelf.labels') },
  { to: '/shelf/soil', label: say('shelf.soilTests') },
  { to: '/shelf/mix', label: say('shelf.mix') },
  { to: '/shelf/rules', label: say('shelf.rules') },
] as const;

/** What stands in the room of the shelf: products, and what turns a need into them. */
export const ShelfTabs = () => <RoomTabs label={say('shelf.tabs')} tabs={TABS} />;
