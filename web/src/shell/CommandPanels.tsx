import { Suspense } from 'react';
import type { PanelProps } from '../commands/CommandsProvider.tsx';
import { lazyPart } from '../ui/lazyPart.ts';

const GoTo = lazyPart(() => import('./GoTo.tsx'));
const ShortcutList = lazyPart(() => import('./ShortcutList.tsx'));
const PeopleLinks = lazyPart(() => import('./PeopleLinks.tsx'));
const SettingsDialog = lazyPart(() => import('../settings/SettingsDialog.tsx'));

/** The panels that commands open over every screen. */
export const CommandPanels = ({ name, ...panel }: PanelProps) => (
  <Suspense fallback={null}>
    {name === 'go-to' && <GoTo {...panel} />}
    {name === 'shortcuts' && <ShortcutList {...panel} />}
    {name === 'settings' && (
      <SettingsDialog onClose={panel.onClose} people={<PeopleLinks onGo={panel.onClose} />} />
    )}
  </Suspense>
);
