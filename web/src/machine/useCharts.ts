import { useQuery } from '@tanstack/react-query';
import { queries } from '../api/queries.ts';
import { allLines, keysOf } from '../documents/docs.ts';
import { AIMS } from '../kinds/useCalibrations.ts';

/** Every chart that can be chosen, by its name and its setting. */
export const useCharts = () =>
  useQuery({ queryKey: [...keysOf(AIMS.kind).lists, 'whole'], queryFn: () => allLines(AIMS) }, queries);
