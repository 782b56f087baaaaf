import type { Kind, SummaryHead } from '@steady-scatter/contract';
import { explain } from '../../api/explain.ts';
import { useNotices } from '../../notices/notices.tsx';
import { docActs } from '../docs.ts';
import { removingOf } from '../removing.ts';
import { manyOf } from '@steady-scatter/words/things';

/** Takes lines off a list, one or several, with one way back for all of them. */
export function useRemoval(kind: Kind) {
  const notices = useNotices();
  const { remove, restore } = docActs({ kind });
  const { done } = removingOf(kind);
  return async (lines: readonly SummaryHead[]) => {
    const gone: SummaryHead[] = [];
    let problem = '';
    try {
      for (const line of lines) {
        // oxlint-disable-next-line no-await-in-loop -- where one is refused the rest stays
        await remove(line.id);
        gone.push(line);
      }
    } catch (failure) {
      problem = explain(failure);
    }
    if (gone.length === 0) {
      notices.tell(problem);
      return;
    }
    document.getElementById('list-heading')?.focus();
    const what = gone.length === 1 ? `“${gone[0]!.name}”` : `${gone.length} ${manyOf(kind.name)}`;
    notices.undoable([`${done} ${what}.`, problem].filter(Boolean).join(' '), async () => {
      await Promise.all(gone.map(({ id }) => restore(id)));
    });
  };
}
