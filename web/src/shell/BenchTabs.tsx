import { say } from '@steady-scatter/words/shell';
import { RoomTabs } from '../ui/RoomTabs.tsx';

const TABS = [
  { to: '/bench', label: say('shell.bench.calibrations') },
  { to: '/bench/rigs', label: say('shell.bench.machines') },
  { to: '/bench/nozzles', label: say('shell.bench.nozzles') },
  { to: '/bench/width', label: say('shell.bench.widths') },
  { to: '/bench/compare', label: say('shell.bench.compare') },
  { to: '/bench/cards', label: say('shell.bench.cards') },
  { to: '/bench/files', label: say('shell.bench.files') },
] as const;

/** What stands in the room of the bench: machines, and what was found out about them. */
export const BenchTabs = () => <RoomTabs label={say('shell.bench.tabs')} tabs={TABS} />;
