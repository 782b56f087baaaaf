import { DeleteButton } from './DeleteButton.tsx';
import { Box } from '@chakra-ui/react';

/** One line of a list for what cannot be shown: its name, and a way to be rid of it. */
export const UnfitLine = ({ name, onDelete }: { name: string; onDelete(): void }) => (
  <Box display="flex" justifyContent="space-between" alignItems="center" gap="12px" minHeight="44px">
    <Box color="warn" fontWeight="semibold">
      ▲ “{name}” cannot be shown: something in it is not readable.
    </Box>
    <DeleteButton name={name} onDelete={onDelete} />
  </Box>
); // prettier-ignore
