import { Box, IconButton } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';

/** One line of a list for what cannot be shown: its name, and a way to be rid of it. */
export const UnfitLine = ({ name, onDelete }: { name: string; onDelete(): void }) => (
  <Box display="flex" justifyContent="space-between" alignItems="center" gap="12px" minHeight="44px">
    <Box color="warn" fontWeight="semibold">
      ▲ “{name}” cannot be shown: something in it is not readable.
    </Box>
    <IconButton aria-label={`Delete ${name}`} variant="ghost" color="ink.soft" minWidth="44px" minHeight="44px" onClick={onDelete}>
      <Trash2 size={18} />
    </IconButton>
  </Box>
); // prettier-ignore
