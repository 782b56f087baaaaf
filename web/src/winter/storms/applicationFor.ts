import { PRODUCT_KINDS, type ProductInput } from '@steady-scatter/core/products';
import { fromSi, textWithUnit, UNITS, type UnitId } from '@steady-scatter/core/quantities';
import { blankApplication, type ApplicationInput, type AmountSource } from '@steady-scatter/core/season';
import { amountFor, guideRateUnit, type Trend } from '@steady-scatter/core/winter';
import { loadsOf } from '../tonight/loadsOf.ts';
import { amountUnitOf, isUsNight, rateUnitOf } from '../tonight/rateUnitOf.ts';
import type { NightInput } from '../tonight/nightInput.ts';
import type { Night, NightMachine } from '../tonight/useNight.ts';
import { settingText } from '../settingText.ts';
import type { TreatedArea } from '../useWinterAreas.ts';

/** Digits for a field, without the spaces that thousands are shown with. */
export const typedAs = (si: number, unit: UnitId, figures = 4): string => String(Number(fromSi(si, unit).toPrecision(figures))); // prettier-ignore

/** Who is at it, and in which round. */
export interface AtRound {
  readonly round: string;
  readonly runId: string;
  readonly by: string;
}

/** Where something is put down: an area of a site, or one that nobody measured before. */
export type AtArea = Pick<TreatedArea, 'name' | 'siteName' | 'areaM2' | 'isByHand'> & Partial<Pick<TreatedArea, 'id' | 'site' | 'surface'>> & { readonly size?: string }; // prettier-ignore

/** What an area takes by the plan, as it would be typed; empty: not known. */
export function plannedText(night: Night, area: AtArea): string {
  const rateSi = night.plan?.rateSi;
  if (rateSi == null || rateSi <= 0) return '';
  const amount = amountFor(area, rateSi, loadsOf(night));
  return amount ? typedAs(amount.amountSi, amountUnitOf(night), 3) : '';
}

interface Facts {
  readonly night: Night;
  readonly input: NightInput;
  readonly area: AtArea;
  readonly machine: NightMachine | null;
  readonly at: AtRound;
  readonly amount: { readonly text: string; readonly from: AmountSource };
  readonly until: string;
}

const settingOf = (machine: NightMachine | null): string =>
  machine?.setting ? [machine.setting.line.mark.label, settingText(machine.setting)].filter(Boolean).join(', ') : ''; // prettier-ignore

/** The line of the guide that was followed, as it stands tonight. */
function guideOf({ guide, version, line, asks }: Night, { situation, treatment }: NightInput): ApplicationInput['guide'] {
  const typed = guide?.input.versions.flatMap(({ lines }) => lines).find(({ id }) => id === line?.id);
  return {
    id: guide?.id ?? '',
    name: guide?.input.name ?? '',
    fromDay: version?.fromDay ?? '',
    situation,
    treatment,
    low: typed?.low ?? '',
    high: typed?.high ?? '',
    unit: guide ? UNITS[guideRateUnit(guide.input, asks)].symbol : '',
  };
} // prettier-ignore

/** The density that is typed of a liquid, with its unit; empty: by its strength. */
const densityOf = ({ kind, density }: ProductInput): string =>
  PRODUCT_KINDS[kind].form === 'liquid' ? textWithUnit(density.text, density.unit) : '';

/** What was put down on an area tonight, with all that makes it readable alone. */
export function applicationFor({ night, input, area, machine, at, amount, until }: Facts): ApplicationInput {
  const rateUnit = rateUnitOf(night);
  const blank = blankApplication(isUsNight(night) ? 'us' : 'metric');
  const { product, plan, pavement } = night;
  const unit = amountUnitOf(night);
  const trend: Trend | '' = pavement.trend ?? '';
  const { width } = machine?.on.rig ?? {};
  return {
    ...blank,
    ...at,
    until,
    site: area.site ?? '',
    area: area.id ?? '',
    siteName: area.siteName,
    areaName: area.name,
    size: area.size === undefined ? { text: area.areaM2 === null ? '' : typedAs(area.areaM2, blank.size.unit), unit: blank.size.unit } : { text: area.size, unit: blank.size.unit },
    surface: area.surface ?? 'pavement',
    product: product
      ? { id: product.id, name: product.input.name, kind: product.input.kind, grade: product.input.grade, lot: product.input.lot, density: densityOf(product.input), deicer: product.input.deicer }
      : blank.product,
    machine: area.isByHand || !machine ? blank.machine : { id: machine.id, name: machine.name, calibration: machine.calibration },
    rate: plan?.rateSi == null ? blank.rate : { text: typedAs(plan.rateSi, rateUnit), unit: rateUnit },
    amount: { text: amount.text, unit, from: amount.from },
    leftover: { text: '', unit },
    swept: { text: '', unit, to: '' },
    setting: area.isByHand ? '' : settingOf(machine),
    spacing: area.isByHand || !width || width.text.trim() === '' ? '' : textWithUnit(width.text, width.unit),
    weather: {
      ...blank.weather,
      unit: input.unit,
      pavement: pavement.degC === null ? '' : typedAs(pavement.degC, input.unit, 3),
      trend,
    },
    guide: guideOf(night, input),
  };
} // prettier-ignore
