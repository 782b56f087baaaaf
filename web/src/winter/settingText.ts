import type { BandSetting } from '@steady-scatter/core/winter';
import { say } from '@steady-scatter/words/winter';

/** A pace that differs by less is the same. */
const SAME_PACE = 0.02;

/** Whether a mark is passed over once, at the pace of its chart. */
export const isPlain = ({ passes, paceFactor }: BandSetting): boolean =>
  passes === 1 && Math.abs(paceFactor - 1) < SAME_PACE;

/** How a mark is used: "2 passes", "25 % faster"; empty: as its chart has it. */
export function settingText(setting: BandSetting): string {
  if (isPlain(setting)) return '';
  const { passes, paceFactor } = setting;
  return say('winter.setting.how', {
    how: passes > 1 ? 'passes' : paceFactor > 1 ? 'faster' : 'slower',
    passes,
    percent: Math.round(Math.abs(paceFactor - 1) * 100),
  });
}
