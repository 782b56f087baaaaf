import type { PanelProps } from '../commands/CommandsProvider.tsx';
import { lazyPart } from '../ui/lazyPart.ts';

const loads = {
  goTo: () => import('./GoTo.tsx'),
  shortcuts: () => import('./ShortcutList.tsx'),
  settings: () => import('./SettingsPanel.tsx'),
};
const GoTo = lazyPart(loads.goTo);
const ShortcutList = lazyPart(loads.shortcuts);
const SettingsPanel = lazyPart(loads.settings);

/** Brings the panels before one is asked for; one that does not come is asked for again when it opens. */
export async function bringPanels(): Promise<void> {
  await Promise.allSettled(Object.values(loads).map((load) => load()));
}

/** The panels that commands open over every screen. */
export const CommandPanels = ({ name, ...panel }: PanelProps) => (
  <>
    {name === 'go-to' && <GoTo {...panel} />}
    {name === 'shortcuts' && <ShortcutList {...panel} />}
    {name === 'settings' && <SettingsPanel {...panel} />}
  </>
);
