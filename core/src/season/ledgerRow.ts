import { finite } from '../errors/preconditions.ts';
import { nameKey } from '../fields/nameKey.ts';
import { ledgerForm, type LedgerNutrient } from '../need/ledgerNutrients.ts';
import { inForm } from '../need/nutrients.ts';
import { evaluateLabelFacts } from '../products/evaluateProduct.ts';
import { PRODUCT_KINDS } from '../products/product.ts';
import { evaluateApplication, isVoid } from './application.ts';
import { dayOfRow } from './look.ts';
import type { DoneRow } from './rounds.ts';

/** What the ledger adds up: one application as it stands, SI. */
export interface LedgerRow {
  readonly root: string;
  readonly subject: string;
  readonly runId: string;
  readonly onDay: string;
  readonly startedAt: string;
  readonly site: string;
  readonly area: string;
  /** The area, wherever it is: by its id, else by its name. */
  readonly areaKey: string;
  readonly areaName: string;
  readonly siteName: string;
  readonly by: string;
  /** The product by its name, however it was typed. */
  readonly productKey: string;
  readonly productName: string;
  readonly lot: string;
  readonly machine: string;
  readonly areaM2: number;
  /** Went out: kg, or L of a liquid; and what was meant of it. */
  readonly amountSi: number;
  readonly meantSi: number | null;
  /** The amount was weighed, or shared out of what was. */
  readonly isWeighed: boolean;
  /** A round in a storm. */
  readonly isRound: boolean;
  readonly isVoid: boolean;
  /** On the ground, kg. */
  readonly nutrients: Readonly<Record<LedgerNutrient, number>>;
  readonly quickNKg: number;
  readonly aiKg: number;
  readonly saltKg: number;
  readonly chlorideKg: number;
  /** What the product cost, hundredths; null: no price. */
  readonly cents: number | null;
}

/**
 * The area of a row: by its id where it is one of a site, else by its name.
 *
 * @example areaKeyOf('', ' North  Lawn ') // 'name north lawn'
 */
export const areaKeyOf = (area: string, name: string): string =>
  area === '' ? `name ${nameKey(name)}`.slice(0, 80) : area;

const NONE: Readonly<Record<LedgerNutrient, number>> = { N: 0, P2O5: 0, K2O: 0, S: 0, Ca: 0, Mg: 0, Fe: 0 };

/** kg of each nutrient on an area, in the form of the ledger. */
function nutrientsOn(delivered: ReturnType<typeof evaluateApplication>['delivered'], areaM2: number) {
  const sums: Record<LedgerNutrient, number> = { ...NONE };
  for (const { nutrient, kgPerM2 } of delivered) {
    const form = ledgerForm(nutrient);
    sums[form] = finite(sums[form] + inForm(kgPerM2, nutrient, form) * areaM2);
  }
  return sums;
}

/** Of the label as it stood: the quick share of nitrogen, the share of active ingredient, kg in each kg or L, and hundredths for each. */
function labelOf({ input }: Pick<DoneRow, 'input'>) {
  if (!input.label) return { quick: 1, load: 0, kgPerSi: null, centsPerSi: null };
  const facts = evaluateLabelFacts(input.label);
  const { priceCents, package: pack } = facts;
  return {
    quick: 1 - (facts.slowShare ?? 0),
    load: facts.load ?? 0,
    kgPerSi: facts.kgPerSi,
    centsPerSi: priceCents === null || pack === null ? null : priceCents / pack.si,
  };
}

/**
 * What the ledger adds up of an application as it stands. What it does not say counts as nothing, but a price: that is not known then.
 *
 * @example ledgerRow({ root: 'a', startedAt: '2026-04-18T08:00:00.000Z', saidAt: '2026-04-18T08:00:00.000Z', subject: 'j', input: blankApplication('us') }).nutrients.N // 0
 */
export function ledgerRow(row: DoneRow): LedgerRow {
  const { input, root, subject, startedAt } = row;
  const read = evaluateApplication(input);
  const label = labelOf(row);
  const areaM2 = read.areaM2 ?? 0;
  const nutrients = nutrientsOn(read.delivered, areaM2);
  const onGround = read.onGroundSi ?? 0;
  const kg = PRODUCT_KINDS[input.product.kind].form === 'dry' ? onGround : onGround * (label.kgPerSi ?? 0);
  return {
    root,
    subject,
    runId: input.runId,
    onDay: dayOfRow(row),
    startedAt,
    site: input.site,
    area: input.area,
    areaKey: areaKeyOf(input.area, input.areaName),
    areaName: input.areaName,
    siteName: input.siteName,
    by: input.by,
    productKey: nameKey(input.product.name),
    productName: input.product.name,
    lot: input.product.lot.trim(),
    machine: input.machine.id,
    areaM2,
    amountSi: read.amountSi ?? 0,
    meantSi: read.meantSi === null || read.ratio === null ? null : finite(read.meantSi * areaM2),
    isWeighed: input.amount.from !== 'planned',
    isRound: input.round !== '',
    isVoid: isVoid(input),
    nutrients,
    quickNKg: finite(nutrients.N * label.quick),
    aiKg: finite(kg * label.load),
    saltKg: read.saltKg ?? 0,
    chlorideKg: read.chlorideKg ?? 0,
    cents: label.centsPerSi === null || read.amountSi === null ? null : finite(read.amountSi * label.centsPerSi),
  };
} // prettier-ignore
