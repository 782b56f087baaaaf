import { systemOf } from '@steady-scatter/core/quantities';
import type { MixLines, MixInput } from '@steady-scatter/core/mix';
import { SOIL_NUTRIENTS, statedForm } from '@steady-scatter/core/need';
import type { ProductInput } from '@steady-scatter/core/products';
import { blankWorksheet, newJob } from '@steady-scatter/core/worksheet';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/shelf';
import { explain } from '../api/explain.ts';
import type { Doc } from '../documents/docs.ts';
import { saveNew } from '../documents/saving.ts';
import { jobActs, JOBS } from '../kinds/useJobs.ts';
import { useNotices } from '../notices/notices.tsx';
import { today } from '../ui/today.ts';

/** One job for each product of a mix: each is spread by itself, with a setting of its own. */
export function usePutOnJobs(input: MixInput, shelf: readonly Doc<ProductInput>[]) {
  const notices = useNotices();
  const navigate = useNavigate();
  return async ({ parts }: MixLines) => {
    const name = input.name.trim() || say('shelf.mix.jobName');
    const soFar = SOIL_NUTRIENTS.flatMap((id) => {
      const { before } = input.needs[id];
      return before.trim() === '' ? [] : [{ nutrient: statedForm(id, input.form), amount: before }];
    });
    const ids: string[] = [];
    try {
      for (const { id, need } of parts) {
        const product = shelf.find((one) => one.id === id)?.input;
        if (!product) continue;
        const blank = blankWorksheet(systemOf(input.unit), newId());
        const [area] = blank.areas;
        const worksheet = {
          ...blank,
          need: { nutrient: 'product' as const, ...need },
          product: { ...product, stock: '' },
          areas: area ? [{ ...area, ...input.ground }] : [],
          rules: {
            setId: input.ruleSetId,
            soilTest: '',
            soilTestDay: input.soilTestDay,
            soFar,
            unit: input.unit,
          },
        };
        const jobId = newId();
        // In the order of the mix, so that the list has them in it too.
        // oxlint-disable-next-line no-await-in-loop
        await saveNew(JOBS, jobId, newJob({ name: `${name}: ${product.name}`.slice(0, 120), onDay: today(), worksheet })); // prettier-ignore
        ids.push(jobId);
      }
      notices.undoable(
        ids.length === 1 ? say('shelf.mix.oneJob') : say('shelf.mix.manyJobs', { count: ids.length }),
        () => Promise.all(ids.map((id) => jobActs.remove(id))),
      );
      await navigate(ids.length === 1 ? `/jobs/${ids[0]}` : '/jobs');
    } catch (failure) {
      notices.tell(explain(failure));
    }
  };
}
