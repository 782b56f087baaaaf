import { message } from '../messages/message.ts';
import { systemOf } from '../quantities/units.ts';
import { readPercent } from '../fields/counts.ts';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readSize } from '../fields/size.ts';
import type { Nutrient } from '../need/nutrients.ts';
import { SOIL_NUTRIENTS, statedForm, type SoilNutrient, type SoilTestInput } from '../need/soilTest.ts';
import { readQuantity } from '../quantities/quantity.ts';
import type { AreaUnit, MassPerAreaUnit } from '../quantities/units.ts';
import type { SoFar } from '../need/soFar.ts';
import type { MixCap, MixNeed } from './request.ts';

/** One need as typed: how much, whether a 0 is waived, and the most that the person allows. */
export interface MixNeedInput {
  readonly amount: string;
  readonly waived: boolean;
  readonly most: string;
  /** Put down earlier this year: what a yearly rule has left is less by it. */
  readonly before: string;
}

/** What a mix is looked for with, as typed. */
export interface MixInput {
  readonly name: string;
  readonly needs: Readonly<Record<SoilNutrient, MixNeedInput>>;
  readonly form: SoilTestInput['form'];
  readonly unit: MassPerAreaUnit;
  /** Percent. */
  readonly tolerance: string;
  /** Ids of products that are not to be used. */
  readonly unticked: readonly string[];
  readonly ruleSetId: string;
  readonly soilTestDay: string;
  readonly ground: { readonly size: string; readonly unit: AreaUnit };
  /** Use no more than what stands on the shelf. */
  readonly fromStock: boolean;
  /** Dry and liquid products together. */
  readonly mixesForms: boolean;
}

export interface MixResult {
  readonly needs: readonly MixNeed[];
  readonly caps: readonly MixCap[];
  readonly soFar: readonly SoFar[];
  readonly tolerance: number;
  readonly areaM2: number | null;
  readonly errors: readonly InputError[];
}

const noNeed: MixNeedInput = { amount: '', waived: false, most: '', before: '' };

/**
 * Nothing needed yet, within 10 %.
 *
 * @example blankMix('kg/ha', 'm2').unit // 'kg/ha'
 */
export const blankMix = (unit: MassPerAreaUnit, areaUnit: AreaUnit): MixInput => ({
  name: '',
  needs: { N: noNeed, P2O5: noNeed, K2O: noNeed, S: noNeed },
  form: 'oxide',
  unit,
  tolerance: '10',
  unticked: [],
  ruleSetId: '',
  soilTestDay: '',
  ground: { size: '', unit: areaUnit },
  fromStock: false,
  mixesForms: false,
});

/**
 * The same search for the needs of a soil test: as stated, in its own form and unit.
 *
 * @example mixForSoilTest(blankMix('kg/ha', 'm2'), blankSoilTest('lb/1000 ft2', '2026-03-02')).unit // 'lb/1000 ft2'
 */
export const mixForSoilTest = (input: MixInput, soil: SoilTestInput): MixInput => ({
  ...input,
  name: soil.name,
  form: soil.form,
  unit: soil.unit,
  soilTestDay: soil.onDay,
  ground:
    input.ground.size === '' ? { size: '', unit: systemOf(soil.unit) === 'us' ? 'ft2' : 'm2' } : input.ground,
  needs: Object.fromEntries(
    SOIL_NUTRIENTS.map((id) => [id, { ...input.needs[id], amount: soil.needs[id], waived: false }]),
  ) as MixInput['needs'],
});

/**
 * Reads what a mix is looked for with. A nutrient without a need is let be, 0 is none wanted.
 *
 * @returns needs and caps in the form stated, kg/m2; every error at its field
 * @example evaluateMix({ ...blankMix('kg/ha', 'm2'), tolerance: '5' }).tolerance // 0.05
 */
export function evaluateMix(input: MixInput): MixResult {
  const { errors, readIfPresent } = collect();
  const rate = (text: string, field: string) =>
    readIfPresent(text, () => {
      const { si } = readQuantity(text, { kind: 'massPerArea', bareUnit: input.unit, field });
      if (si < 0) throw new InputError('count.unreadable', { field, hint: '0.9' });
      if (si > 1) throw new InputError('need.too-large', { field, input: text });
      return si;
    });
  const needs: MixNeed[] = [];
  const caps: MixCap[] = [];
  const soFar: SoFar[] = [];
  for (const id of SOIL_NUTRIENTS) {
    const nutrient: Nutrient = statedForm(id, input.form);
    const { amount, waived, most, before } = input.needs[id];
    const kgPerM2 = rate(amount, `needs.${id}.amount`);
    const cap = rate(most, `needs.${id}.most`);
    const earlier = rate(before, `needs.${id}.before`);
    if (earlier !== null) soFar.push({ nutrient, kgPerM2: earlier });
    if (kgPerM2 !== null) needs.push({ nutrient, kgPerM2, waived: waived && kgPerM2 === 0 });
    // What is not asked for is shown as it comes along, P and K above all.
    else needs.push({ nutrient, kgPerM2: 0, waived: true });
    if (cap !== null) caps.push({ nutrient, kgPerM2: cap, because: message('mix.limit.own', { nutrient: message(`kinds.nutrient.${nutrient}`) }) }); // prettier-ignore
  }
  const share = readIfPresent(input.tolerance, () =>
    readPercent(input.tolerance, { field: 'tolerance', hint: '10 %' }),
  );
  const { size, unit } = input.ground;
  const areaM2 = readIfPresent(size, () => readSize(size, unit, 'ground.size').areaM2);
  return { needs, caps, soFar, tolerance: share ?? 0, areaM2, errors };
}
