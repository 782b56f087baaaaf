import type { PanelProps } from '../commands/CommandsProvider.tsx';
import { lazyPart } from '../ui/lazyPart.ts';

const GoTo = lazyPart(() => import('./GoTo.tsx'));
const ShortcutList = lazyPart(() => import('./ShortcutList.tsx'));
const SettingsPanel = lazyPart(() => import('./SettingsPanel.tsx'));

/** The panels that commands open over every screen. */
export const CommandPanels = ({ name, ...panel }: PanelProps) => (
  <>
    {name === 'go-to' && <GoTo {...panel} />}
    {name === 'shortcuts' && <ShortcutList {...panel} />}
    {name === 'settings' && <SettingsPanel {...panel} />}
  </>
);
