import { Box, chakra } from '@chakra-ui/react';
import { Panel } from '../ui/Panel.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { isSingleKey, type Command } from '../commands/commands.ts';

const ALWAYS: readonly { keys: string; label: string }[] = [
  { keys: 'Enter', label: 'Go on to the next thing to type' },
  { keys: 'Tab', label: 'Go on to the next field, unit or act' },
  { keys: 'Esc', label: 'Close what is open' },
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
    <Panel title="Shortcuts" onClose={onClose}>
      <chakra.dl
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
