import { Box, chakra } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/shell';
import { Panel } from '../ui/Panel.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { isSingleKey, type Command } from '../commands/commands.ts';

const ALWAYS: readonly { keys: string; label: string }[] = [
  { keys: 'Enter', label: say('shell.key.enter') },
  { keys: 'Tab', label: say('shell.key.tab') },
  { keys: 'Esc', label: say('shell.key.escape') },
];

const Key = chakra('kbd', {
  base: {
    bg: 'soft',
    borderWidth: '1px',
    borderColor: 'line.strong',
    borderRadius: '6px',
    padding: '2px 8px',
    fontFamily: 'body',
    fontWeight: 'bold',
    whiteSpace: 'nowrap',
  },
});

/** Every shortcut that works on this screen. */
export default function ShortcutList({ acts, onClose }: { acts: readonly Command[]; onClose(): void }) {
  const { singleKeys } = usePreferences().preferences;
  const listed = acts.flatMap(({ keys, label }) =>
    keys && (singleKeys || !isSingleKey(keys)) ? [{ keys, label }] : [],
  );
  return (
    <Panel title={say('shell.shortcuts')} onClose={onClose}>
      <chakra.dl
        // It may be longer than its dialog: the arrow keys scroll it then.
        tabIndex={0}
        display="grid"
        gridTemplateColumns="auto 1fr"
        columnGap="18px"
        rowGap="10px"
        alignItems="baseline"
      >
        {[...listed, ...ALWAYS].map(({ keys, label }) => (
          <Box key={`${keys} ${label}`} display="contents">
            <dt>
              <Key>{keys}</Key>
            </dt>
            <dd>{label}</dd>
          </Box>
        ))}
      </chakra.dl>
    </Panel>
  );
}
