import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/bench', label: 'Calibrations' },
  { to: '/bench/rigs', label: 'Machines' },
  { to: '/bench/width', label: 'Widths' },
  { to: '/bench/compare', label: 'Compare' },
  { to: '/bench/cards', label: 'Cards' },
  { to: '/bench/files', label: 'Import and export' },
] as const;

/** What stands in the room of the bench: machines, and what was found out about them. */
export const BenchTabs = () => <RoomTabs label="On the bench" tabs={TABS} />;
