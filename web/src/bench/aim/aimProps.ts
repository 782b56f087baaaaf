import type { CalibrationInput } from '@steady-scatter/core/testing';
import type { DocFormProps } from '../../documents/DocPage.tsx';
import type { BenchShelf, CalibrationContext } from '../calibrationContext.ts';

/** What the questions about a calibration are given. */
export interface AimProps extends DocFormProps<CalibrationInput> {
  shelf: BenchShelf;
  on: CalibrationContext;
  /** Id of this calibration; null for a new one. */
  id: string | null;
}
