import { Box, Button, chakra, HStack, Switch } from '@chakra-ui/react';
import type { ShownIn } from '@steady-scatter/core/worksheet';
import type { ReactNode } from 'react';
import { say } from '@steady-scatter/words/shell';
import { AREA_CHOICES } from '../units/areas.ts';
import { MASS_CHOICES, RATE_CHOICES, symbolOf } from '../units/units.ts';
import { Panel } from '../ui/Panel.tsx';
import { useStands } from '../ui/useStands.ts';
import { Backup } from './Backup.tsx';
import { CrewGroup } from './CrewGroup.tsx';
import { Devices } from './Devices.tsx';
import { THEMES, UNIT_SETS, type ThemeChoice } from './preferences.ts';
import { usePreferences } from './PreferencesProvider.tsx';

const KINDS = [
  { kind: 'rate', label: say('shell.unitsRates'), choices: RATE_CHOICES },
  { kind: 'amount', label: say('shell.unitsAmounts'), choices: MASS_CHOICES },
  { kind: 'area', label: say('shell.unitsAreas'), choices: AREA_CHOICES },
] as const satisfies readonly { kind: keyof ShownIn; label: string; choices: readonly string[] }[];

const Select = chakra('select', {
  base: {
    bg: 'paper',
    borderWidth: '1px',
    borderColor: 'line.strong',
    borderRadius: '8px',
    minHeight: '44px',
    paddingX: '10px',
    width: '190px',
  },
});

const Group = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box as="fieldset" marginBottom="24px">
    <chakra.legend fontWeight="bold" marginBottom="8px">
      {title}
    </chakra.legend>
    {children}
  </Box>
);

function Choices<T extends string>({
  options,
  chosen,
  autoFocus = false,
  onPick,
}: {
  options: readonly { readonly id: T; readonly label: string }[];
  chosen: T | null;
  /** The first of them has the focus as soon as it is drawn. */
  autoFocus?: boolean;
  onPick(option: T): void;
}) {
  return (
    <HStack gap="8px" flexWrap="wrap">
      {options.map(({ id, label }, index) => (
        <Button
          key={id}
          minHeight="44px"
          variant={id === chosen ? 'solid' : 'outline'}
          aria-pressed={id === chosen}
          autoFocus={autoFocus && index === 0}
          onClick={() => onPick(id)}
        >
          {label}
        </Button>
      ))}
    </HStack>
  );
}

const UNIT_SET_NAMES = {
  typed: say('shell.asTyped'),
  us: say('shell.unitsUs'),
  metric: say('shell.unitsMetric'),
} as const;

const sameUnits = (a: ShownIn, b: ShownIn): boolean => KINDS.every(({ kind }) => a[kind] === b[kind]);

function Units() {
  const { preferences, change } = usePreferences();
  const { units } = preferences;
  const sets = Object.keys(UNIT_SETS) as (keyof typeof UNIT_SETS)[];
  return (
    <Group title={say('shell.unitsTitle')}>
      <Choices
        options={sets.map((id) => ({ id, label: UNIT_SET_NAMES[id] }))}
        chosen={sets.find((id) => sameUnits(UNIT_SETS[id], units)) ?? null}
        onPick={(id) => change({ units: UNIT_SETS[id] })}
      />
      <Box marginTop="12px" display="grid" gap="8px">
        {KINDS.map(({ kind, label, choices }) => (
          <chakra.label
            key={kind}
            display="flex"
            alignItems="center"
            justifyContent="space-between"
            gap="12px"
          >
            {label}
            <Select
              value={units[kind] ?? ''}
              onChange={(event) => change({ units: { ...units, [kind]: event.target.value || null } })}
            >
              <option value="">{say('shell.asTyped')}</option>
              {choices.map((id) => (
                <option key={id} value={id}>
                  {symbolOf(id)}
                </option>
              ))}
            </Select>
          </chakra.label>
        ))}
      </Box>
      <Box fontSize="15px" color="ink.soft" marginTop="8px">
        {say('shell.unitsWhy')}
      </Box>
    </Group>
  );
}

interface Props {
  onClose(): void;
  /** Who works here. */
  people: ReactNode;
}

/** Theme, units and keys, as this person likes them, and what is settled for the crew. */
export default function SettingsDialog({ onClose, people }: Props) {
  const { preferences, change } = usePreferences();
  const themes = Object.keys(THEMES) as ThemeChoice[];
  const stands = useStands();
  return (
    <Panel title={say('shell.settings')} onClose={onClose}>
      <Group title={say('shell.light')}>
        <Choices
          options={themes.map((id) => ({ id, label: THEMES[id] }))}
          chosen={preferences.theme}
          autoFocus
          onPick={(theme) => change({ theme })}
        />
      </Group>
      <Units />
      {stands ? <Rest people={people} /> : <Box height="100dvh" />}
    </Panel>
  );
}

/** What is further down: longer than any screen, so that the dialog is as high before it is drawn as after. */
function Rest({ people }: Pick<Props, 'people'>) {
  const { preferences, change } = usePreferences();
  return (
    <>
      <Group title={say('shell.keys')}>
        <Switch.Root
          checked={preferences.singleKeys}
          onCheckedChange={({ checked }) => change({ singleKeys: checked })}
        >
          <Switch.HiddenInput />
          <Switch.Control>
            <Switch.Thumb />
          </Switch.Control>
          <Switch.Label fontSize="16px">{say('shell.singleKeys')}</Switch.Label>
        </Switch.Root>
      </Group>
      <Group title={say('shell.crew')}>
        <CrewGroup />
      </Group>
      <Group title={say('shell.people')}>{people}</Group>
      <Group title={say('shell.backup')}>
        <Backup />
      </Group>
      <Group title={say('shell.phones')}>
        <Devices />
      </Group>
    </>
  );
}
