import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/shelf', label: 'Products' },
  { to: '/shelf/compare', label: 'Labels side by side' },
  { to: '/shelf/soil', label: 'Soil tests' },
  { to: '/shelf/mix', label: 'Find a mix' },
  { to: '/shelf/rules', label: 'Rules' },
] as const;

/** What stands in the room of the shelf: products, and what turns a need into them. */
export const ShelfTabs = () => <RoomTabs label="On the shelf" tabs={TABS} />;
