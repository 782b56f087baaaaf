import { pooled, settingCurve, type CurvePoint } from './curve.ts';
import type { SettingMean } from './scatter.ts';

/**
 * Rates by the curve at marks over what was tested: a machine's chart for a product.
 *
 * @example chartOf([1, 2, 3], []) // []
 */
export function chartOf(
  marks: readonly number[],
  means: readonly SettingMean[],
): { setting: number; rate: number; tested: boolean }[] {
  const points = means.map(({ setting, mean, runs }): CurvePoint => ({ x: setting, y: mean, weight: runs }));
  if (points.length < 2) return pooled(points).map(({ x, y }) => ({ setting: x, rate: y, tested: true }));
  const curve = settingCurve(points);
  return marks
    .filter((mark) => mark >= curve.from && mark <= curve.to)
    .map((setting) => ({
      setting,
      rate: curve.at(setting),
      tested: means.some((mean) => mean.setting === setting),
    }));
}
