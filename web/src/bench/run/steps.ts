import type { InputError } from '@steady-scatter/core/errors';
import type { CalibrationInput, RunInput, Step } from '@steady-scatter/core/testing';
import type { CalibrationContext } from '../calibrationContext.ts';

/** What each step of a guided run is given. */
export interface StepProps {
  readonly input: CalibrationInput;
  readonly run: RunInput;
  /** Place of the run in the calibration. */
  readonly at: number;
  readonly step: Step;
  readonly on: CalibrationContext;
  /** Its watch is pressed by space: one of those in view is. */
  readonly listens: boolean;
  errorAt(field: string): InputError | undefined;
  /** Changes the run; it is held in the browser. */
  onType(more: Partial<RunInput>): void;
  /** The mark at which product was seen to begin to run. */
  onFirstFlow(mark: string): void;
}
