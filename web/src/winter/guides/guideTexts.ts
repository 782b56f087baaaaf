import { textWithUnit, UNITS } from '@steady-scatter/core/quantities';
import {
  guideRateUnit,
  type GuideInput,
  type GuideLine,
  type GuideLineInput,
  type GuideRuler,
  type Stretch,
} from '@steady-scatter/core/winter';
import { nameOf, say } from '@steady-scatter/words/winter';
import { sentence } from '../../ui/sentence.ts';
import { degreesRead } from '../degrees.ts';

/** A typed temperature with a sign as it is printed, and the unit of a bare number. */
function typedDegrees(text: string, unit: GuideInput['temperatureUnit']): string {
  const bare = text.trim().replace(/^[-−]/, '');
  const sign = bare === text.trim() ? '' : '−';
  return `${sign}${textWithUnit(bare, unit)}`;
}

/** "23 to 28 °F", "below 15 °F" */
export function bandText({ cold, warm }: Pick<GuideLineInput, 'cold' | 'warm'>, unit: GuideInput['temperatureUnit']): string {
  const open = cold.trim() === '' ? (warm.trim() === '' ? 'all' : 'below') : warm.trim() === '' ? 'above' : 'between';
  const from = open === 'between' ? cold.trim().replace(/^-/, '−') : typedDegrees(cold, unit);
  return say('winter.guide.band', { open, cold: from, warm: typedDegrees(warm, unit) });
} // prettier-ignore

/** "2 to 3 lb / 1000 ft²"; what is done instead where nothing goes down. */
export function ratesText({ low, high, product, advice }: GuideLineInput, guide: GuideInput): string {
  const unit = guideRateUnit(guide, product);
  const [from, to] = [low.trim(), high.trim()];
  if (from === '' && to === '') return advice || '—';
  return from === '' || to === '' || from === to ? textWithUnit(from || to, unit) : say('winter.guide.range', { low: from, high: textWithUnit(to, unit) });
} // prettier-ignore

/** "Frost, before, falling, dry": what a line or a ruler is for. */
export const caseText = ({
  situation,
  treatment,
  trend,
  product,
}: Pick<GuideRuler, 'situation' | 'treatment' | 'trend' | 'product'>): string =>
  sentence(
    [
      situation.trim() || say('winter.guide.noSituation'),
      ...(treatment === 'any' ? [] : [nameOf('treatment', treatment)]),
      ...(trend === 'any' ? [] : [nameOf('trend', trend)]),
      nameOf('guideProduct', product),
    ].join(', '),
  );

/** "2–3" on a band of the ruler. */
export const bandLabel = ({ id }: Pick<GuideLine, 'id'>, lines: readonly GuideLineInput[]): string => {
  const line = lines.find((each) => each.id === id);
  if (!line) return '';
  const [low, high] = [line.low.trim(), line.high.trim()];
  return low === '' && high === '' ? '—' : [...new Set([low, high])].filter(Boolean).join('–');
};

/** "25 to 26 °F" of a stretch in SI. */
export const stretchText = ({ coldC, warmC }: Stretch, unit: GuideInput['temperatureUnit']): string => {
  const bare = (degC: number | null) => (degC === null ? '' : degreesRead(degC, unit).replace(`\u00a0${UNITS[unit].symbol}`, '')); // prettier-ignore
  return bandText({ cold: bare(coldC), warm: bare(warmC) }, unit);
};
