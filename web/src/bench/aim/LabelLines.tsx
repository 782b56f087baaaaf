import { Box, Button } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import { Plus } from 'lucide-react';
import { DeleteButton } from '../../ui/DeleteButton.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import type { AimProps } from './aimProps.ts';

/** The settings that the label lists for this machine, and the pace that it means. */
export function LabelLines({ input: { label, target }, field, add, removeAt }: AimProps) {
  return (
    <Box marginTop="14px" maxWidth="560px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        What the label lists for this machine
      </Box>
      <Box maxWidth="180px">
        <LabelledField label="at a pace of" placeholder="3 mph" {...field('label.pace')} />
      </Box>
      {label.lines.map((_, at) => (
        <Box
          // oxlint-disable-next-line react/no-array-index-key -- a line of the label is known by its place
          key={at}
          display="grid"
          gridTemplateColumns="1fr 1fr 44px"
          gap="10px"
          alignItems="end"
          marginTop="6px"
        >
          <LabelledField label="Setting" {...field(`label.lines.${at}.setting`)} />
          <LabelledField
            label={`puts down, ${UNITS[target.unit].symbol}`}
            {...field(`label.lines.${at}.amount`)}
          />
          <DeleteButton
            act="Remove"
            name={`line ${at + 1} of the label`}
            onDelete={() => removeAt('label.lines', at)}
          />
        </Box>
      ))}
      <Button
        variant="ghost"
        minHeight="44px"
        marginLeft="-12px"
        onClick={() => add('label.lines', { setting: '', amount: '' })}
      >
        <Plus size={18} /> Add a line of the label
      </Button>
    </Box>
  );
}
