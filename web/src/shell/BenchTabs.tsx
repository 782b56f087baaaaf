import { say } from '@steady-scatter/words/shell';
import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/bench', label: say('bench.calibrations') },
  { to: '/bench/rigs', label: say('bench.machines') },
  { to: '/bench/width', label: say('bench.widths') },
  { to: '/bench/compare', label: say('bench.compare') },
  { to: '/bench/cards', label: say('bench.cards') },
  { to: '/bench/files', label: say('bench.files') },
] as const;

/** What stands in the room of the bench: machines, and what was found out about them. */
export const BenchTabs = () => <RoomTabs label={say('bench.tabs')} tabs={TABS} />;
