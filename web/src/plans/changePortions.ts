import type { PlanInput, PortionInput } from '@steady-scatter/core/plan';
import type { DocFormWithWayOn } from '../documents/DocPage.tsx';
import { useNotices } from '../notices/notices.tsx';
import type { PlanView } from './usePlan.ts';

/** What the parts of a plan's page are given. */
export interface PlanProps extends DocFormWithWayOn<PlanInput> {
  readonly view: PlanView;
  readonly id: string | null;
}

/** Changes portions with a way back: says what was done; undone, they are as they were before. */
export function useChangePortions({ input, set }: Pick<PlanProps, 'input' | 'set'>) {
  const notices = useNotices();
  return (portions: readonly PortionInput[], told: string) => {
    const before = input.portions;
    set('portions', portions as never);
    notices.undoable(told, () => set('portions', before as never));
  };
}
