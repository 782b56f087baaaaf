import { Box, Button } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import { Plus } from 'lucide-react';
import { say } from '@steady-scatter/words/bench';
import { DeleteButton } from '../../ui/DeleteButton.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import type { AimProps } from './aimProps.ts';

/** The settings that the label lists for this machine, and the pace that it means. */
export function LabelLines({ input: { label, target }, field, add, removeAt }: AimProps) {
  return (
    <Box marginTop="14px" maxWidth="560px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('bench.label.heading')}
      </Box>
      <Box maxWidth="180px">
        <LabelledField
          label={say('bench.label.pace')}
          placeholder={say('bench.label.paceHint')}
          {...field('label.pace')}
        />
      </Box>
      {label.lines.map((_, index) => (
        <Box
          // oxlint-disable-next-line react/no-array-index-key -- a line of the label is known by its place
          key={index}
          display="grid"
          gridTemplateColumns="1fr 1fr 44px"
          gap="10px"
          alignItems="end"
          marginTop="6px"
        >
          <LabelledField label={say('bench.run.setting')} {...field(`label.lines.${index}.setting`)} />
          <LabelledField
            label={say('bench.label.rate', { unit: UNITS[target.unit].symbol })}
            {...field(`label.lines.${index}.amount`)}
          />
          <DeleteButton
            act={say('bench.label.remove')}
            name={say('bench.label.line', { number: index + 1 })}
            onDelete={() => removeAt('label.lines', index)}
          />
        </Box>
      ))}
      <Button
        variant="ghost"
        minHeight="44px"
        marginLeft="-12px"
        onClick={() => add('label.lines', { setting: '', amount: '' })}
      >
        <Plus size={18} /> {say('bench.label.add')}
      </Button>
    </Box>
  );
}
