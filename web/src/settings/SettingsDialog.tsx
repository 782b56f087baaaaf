import { Box, Button, chakra, HStack, Switch } from '@chakra-ui/react';
import type { ShownIn } from '@steady-scatter/core/worksheet';
import type { ReactNode } from 'react';
import { AREA_CHOICES } from '../units/areas.ts';
import { MASS_CHOICES, RATE_CHOICES, symbolOf } from '../units/units.ts';
import { Panel } from '../ui/Panel.tsx';
import { Backup } from './Backup.tsx';
import { Devices } from './Devices.tsx';
import { THEMES, UNIT_SETS, type ThemeChoice } from './preferences.ts';
import { usePreferences } from './PreferencesProvider.tsx';

const KINDS = [
  { kind: 'rate', label: 'Rates', choices: RATE_CHOICES },
  { kind: 'amount', label: 'Amounts', choices: MASS_CHOICES },
  { kind: 'area', label: 'Areas', choices: AREA_CHOICES },
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
  onPick,
}: {
  options: readonly T[];
  chosen: T | null;
  onPick(option: T): void;
}) {
  return (
    <HStack gap="8px" flexWrap="wrap">
      {options.map((option) => (
        <Button
          key={option}
          minHeight="44px"
          variant={option === chosen ? 'solid' : 'outline'}
          aria-pressed={option === chosen}
          onClick={() => onPick(option)}
        >
          {option}
        </Button>
      ))}
    </HStack>
  );
}

const sameUnits = (a: ShownIn, b: ShownIn): boolean => KINDS.every(({ kind }) => a[kind] === b[kind]);

function Units() {
  const { preferences, change } = usePreferences();
  const { units } = preferences;
  const sets = Object.keys(UNIT_SETS) as (keyof typeof UNIT_SETS)[];
  return (
    <Group title="Show worked-out values in">
      <Choices
        options={sets}
        chosen={sets.find((name) => sameUnits(UNIT_SETS[name], units)) ?? null}
        onPick={(name) => change({ units: UNIT_SETS[name] })}
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
              <option value="">as typed</option>
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
        What you typed stays as you typed it. Units set on a sheet go before these.
      </Box>
    </Group>
  );
}

/** Theme, units and keys, as this person likes them. */
export default function SettingsDialog({ onClose }: { onClose(): void }) {
  const { preferences, change } = usePreferences();
  const themes = Object.keys(THEMES) as ThemeChoice[];
  return (
    <Panel title="Settings" onClose={onClose}>
      <Group title="Light">
        <Choices
          options={themes.map((theme) => THEMES[theme])}
          chosen={THEMES[preferences.theme]}
          onPick={(words) => change({ theme: themes.find((theme) => THEMES[theme] === words) ?? 'system' })}
        />
      </Group>
      <Units />
      <Group title="Keys">
        <Switch.Root
          checked={preferences.singleKeys}
          onCheckedChange={({ checked }) => change({ singleKeys: checked })}
        >
          <Switch.HiddenInput />
          <Switch.Control>
            <Switch.Thumb />
          </Switch.Control>
          <Switch.Label fontSize="16px">Single keys are shortcuts</Switch.Label>
        </Switch.Root>
      </Group>
      <Group title="Backup">
        <Backup />
      </Group>
      <Group title="Paired phones">
        <Devices />
      </Group>
    </Panel>
  );
}
