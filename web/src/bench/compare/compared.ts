import type { CalibrationInput } from '@steady-scatter/core/testing';
import type { CalibrationContext } from '../calibrationContext.ts';

/** A calibration that is held against others. */
export interface Compared {
  readonly id: string;
  readonly input: CalibrationInput;
  readonly on: CalibrationContext;
}

/** Told apart by dash and by sign before colour. */
export const STYLES = [
  { sign: '●', point: 'circle', dash: [] },
  { sign: '■', point: 'rect', dash: [9, 5] },
  { sign: '▲', point: 'triangle', dash: [3, 4] },
  { sign: '◆', point: 'rectRot', dash: [14, 4, 3, 4] },
] as const;

export const styleOf = (at: number) => STYLES[at % STYLES.length] ?? STYLES[0];
