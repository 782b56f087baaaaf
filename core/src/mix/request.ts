import type { Message } from '../messages/message.ts';
import type { Nutrient } from '../need/nutrients.ts';
import type { ProductResult } from '../products/evaluateProduct.ts';

/** A product that a mix may use. */
export interface MixProduct {
  readonly id: string;
  readonly name: string;
  readonly product: ProductResult;
}

/** One need of the ground. A need of 0 is a cap of 0, unless it is waived: then what comes along is taken. */
export interface MixNeed {
  readonly nutrient: Nutrient;
  /** kg/m2, 0 or more. */
  readonly kgPerM2: number;
  readonly waived: boolean;
}

/** The most of a nutrient that may be put down, and the rule that says so. */
export interface MixCap {
  readonly nutrient: Nutrient;
  readonly kgPerM2: number;
  readonly because: Message;
}

/** What a mix is asked for, SI. */
export interface MixRequest {
  readonly products: readonly MixProduct[];
  readonly needs: readonly MixNeed[];
  /** A need counts as met from itself up to this share more, 0 to 1. */
  readonly tolerance: number;
  readonly caps: readonly MixCap[];
  /** Most quick nitrogen, kg/m2; null: no such rule. */
  readonly quickCap: number | null;
  /** Least slow share of the nitrogen, 0 to 1; null: no such rule. */
  readonly slowFloor: number | null;
  /** Dry and liquid products may be in one mix: they go out of different machines. */
  readonly mixesForms: boolean;
  /** Ground that the stock has to last for, m2; null: what is short is bought. */
  readonly fromStockForM2: number | null;
}

/** Why a product cannot be in a mix. */
export type LeftOut = 'no-analysis' | 'no-density' | 'no-price' | 'brings-unwanted';
