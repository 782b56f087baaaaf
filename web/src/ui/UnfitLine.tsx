import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { say } from '@steady-scatter/words/common';
import { DeleteButton } from './DeleteButton.tsx';

interface Props {
  name: string;
  /** What else can be done with it. */
  act?: ReactNode;
  onDelete(): void;
}

/** One line of a list for what cannot be shown: its name, and a way to be rid of it. */
export const UnfitLine = ({ name, act, onDelete }: Props) => (
  <Box display="flex" justifyContent="space-between" alignItems="center" gap="12px" minHeight="44px">
    <Box color="warn" fontWeight="semibold">
      {say('common.unfit', { name })}
    </Box>
    <Box display="flex" gap="6px" alignItems="center">
      {act}
      <DeleteButton name={name} onDelete={onDelete} />
    </Box>
  </Box>
);
