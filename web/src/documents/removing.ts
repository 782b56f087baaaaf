import { isArchived, type Kind } from '@steady-scatter/contract';
import { Archive, Trash2 } from 'lucide-react';

/** What taking one off the list is called: what was measured for it stays, so that such a thing is archived. */
export const removingOf = ({ name }: Pick<Kind, 'name'>) =>
  isArchived(name)
    ? ({ act: 'Archive', done: 'Archived', icon: Archive } as const)
    : ({ act: 'Delete', done: 'Deleted', icon: Trash2 } as const);
