import { IconButton } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';

/** Deletes one line of a list; what it deletes is told to whoever cannot see the line. */
export const DeleteButton = ({ name, onDelete }: { name: string; onDelete(): void }) => (
  <IconButton
    aria-label={`Delete ${name}`}
    variant="ghost"
    color="ink.soft"
    minWidth="44px"
    minHeight="44px"
    onClick={onDelete}
  >
    <Trash2 size={18} />
  </IconButton>
);
