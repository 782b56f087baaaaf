import { IconButton } from '@chakra-ui/react';
import { Trash2, type LucideIcon } from 'lucide-react';

interface Props {
  name: string;
  /** What it is called where it is no deleting. */
  act?: string;
  icon?: LucideIcon;
  onDelete(): void;
}

/** Takes one line off a list; what it takes off is told to whoever cannot see the line. */
export const DeleteButton = ({ name, act = 'Delete', icon: Icon = Trash2, onDelete }: Props) => (
  <IconButton
    aria-label={`${act} ${name}`}
    variant="ghost"
    color="ink.soft"
    minWidth="44px"
    minHeight="44px"
    onClick={onDelete}
  >
    <Icon size={18} />
  </IconButton>
);
