import { isArchived, type Kind } from '@steady-scatter/contract';
import { Archive, Trash2 } from 'lucide-react';
import { say } from '@steady-scatter/words/common';

/** What taking one off the list is called: what was measured for it stays, so that such a thing is archived. */
export const removingOf = ({ name }: Pick<Kind, 'name'>) =>
  isArchived(name)
    ? ({ act: say('common.archive'), done: say('common.archived'), icon: Archive } as const)
    : ({ act: say('common.delete'), done: say('common.deleted'), icon: Trash2 } as const);
