import { Box, Button, IconButton } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import { Plus, Trash2 } from 'lucide-react';
import { LabelledField } from '../ui/LabelledField.tsx';
import type { AimProps } from './AimFields.tsx';

/** The settings that the label lists for this machine, and the pace that it means. */
export function LabelLines({ input, errorAt, onChange }: AimProps) {
  const { label } = input;
  const set = (more: Partial<typeof label>) => onChange({ ...input, label: { ...label, ...more } });
  return (
    <Box marginTop="14px" maxWidth="560px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        What the label lists for this machine
      </Box>
      <Box maxWidth="180px">
        <LabelledField
          label="at a pace of"
          placeholder="3 mph"
          value={label.pace}
          error={errorAt('label.pace')}
          onChange={(pace) => set({ pace })}
        />
      </Box>
      {label.lines.map((line, at) => (
        <Box
          // oxlint-disable-next-line react/no-array-index-key -- a line of the label is known by its place
          key={at}
          display="grid"
          gridTemplateColumns="1fr 1fr 44px"
          gap="10px"
          alignItems="end"
          marginTop="6px"
        >
          <LabelledField
            label="Setting"
            value={line.setting}
            error={errorAt(`label.lines.${at}.setting`)}
            onChange={(setting) => set({ lines: label.lines.with(at, { ...line, setting }) })}
          />
          <LabelledField
            label={`puts down, ${UNITS[input.target.unit].symbol}`}
            value={line.amount}
            error={errorAt(`label.lines.${at}.amount`)}
            onChange={(amount) => set({ lines: label.lines.with(at, { ...line, amount }) })}
          />
          <IconButton
            aria-label={`Remove line ${at + 1} of the label`}
            variant="ghost"
            minHeight="44px"
            onClick={() => set({ lines: label.lines.toSpliced(at, 1) })}
          >
            <Trash2 size={18} />
          </IconButton>
        </Box>
      ))}
      <Button
        variant="ghost"
        minHeight="44px"
        marginLeft="-12px"
        onClick={() => set({ lines: [...label.lines, { setting: '', amount: '' }] })}
      >
        <Plus size={18} /> Add a line of the label
      </Button>
    </Box>
  );
}
