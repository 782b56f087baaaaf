import { InputError } from '../errors/InputError.ts';
import { finite, requirePositive } from '../errors/preconditions.ts';

/** What goes into the tank besides water. */
export interface TankProduct {
  readonly id: string;
  /** A liquid takes room in the mix; what is dissolved is taken to take none. */
  readonly form: 'dry' | 'liquid';
  /** On the ground, kg/m2, or L/m2 of a liquid. */
  readonly perM2: number;
}

/** A job as the tank has it. */
export interface TankWork {
  /** Finished mix on the ground, L/m2. */
  readonly mixLPerM2: number;
  readonly totalM2: number;
  /** What the tank is filled to, L. */
  readonly tankL: number;
  readonly products: readonly TankProduct[];
}

/** What one filling of the tank holds. */
export interface TankFill {
  readonly mixL: number;
  readonly waterL: number;
  readonly areaM2: number;
  /** Of each product in its order: kg, or L of a liquid. */
  readonly products: readonly { readonly id: string; readonly si: number }[];
}

/** A job in tanks: full ones, and the last one exactly. */
export interface TankPlan {
  /** Ground that a full tank treats, m2. */
  readonly areaPerTankM2: number;
  readonly fullTanks: number;
  /** What each full tank holds; null: there is none. */
  readonly full: TankFill | null;
  /** The last tank, which is not full; null: the full ones come out even. */
  readonly last: TankFill | null;
  readonly totalMixL: number;
}

/** Less than this share of a tank is no tank more. */
const HAIR = 1e-9;

/**
 * A job in tanks: `area per tank = tank / rate`, full tanks, and what is left over as the last one, exactly.
 *
 * @param work all above 0; rates of products 0 or more
 * @throws InputError mix.product-larger when the liquids take more room than there is mix; number.unusable
 * @example tankPlan({ mixLPerM2: 0.01945, totalM2: 21_500, tankL: 120, products: [] }).fullTanks // 3
 */
export function tankPlan({ mixLPerM2, totalM2, tankL, products }: TankWork): TankPlan {
  requirePositive({ mix: mixLPerM2, area: totalM2, tank: tankL });
  const liquidPerM2 = products.reduce((sum, { form, perM2 }) => sum + (form === 'liquid' ? perM2 : 0), 0);
  if (liquidPerM2 > mixLPerM2) throw new InputError('mix.product-larger', { field: 'carrier.amount' });
  const areaPerTankM2 = finite(tankL / mixLPerM2);
  const fillOf = (areaM2: number): TankFill => ({
    mixL: finite(areaM2 * mixLPerM2),
    waterL: finite(areaM2 * (mixLPerM2 - liquidPerM2)),
    areaM2,
    products: products.map(({ id, perM2 }) => ({ id, si: finite(areaM2 * perM2) })),
  });
  const tanks = finite(totalM2 / areaPerTankM2);
  const fullTanks = Math.floor(tanks + HAIR);
  const restM2 = totalM2 - fullTanks * areaPerTankM2;
  return {
    areaPerTankM2,
    fullTanks,
    full: fullTanks > 0 ? fillOf(areaPerTankM2) : null,
    last: fullTanks === 0 || restM2 > HAIR * areaPerTankM2 ? fillOf(restM2) : null,
    totalMixL: finite(totalM2 * mixLPerM2),
  };
}
