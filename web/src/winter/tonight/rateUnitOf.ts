import { systemOf } from '@steady-scatter/core/quantities';
import { guideRateUnit } from '@steady-scatter/core/winter';
import { spreadUnits } from '../../units/spreadUnits.ts';
import type { Night } from './useNight.ts';

type Asked = Pick<Night, 'guide' | 'asks'>;

/** Whether amounts of tonight are told in US units: as the guide counts. */
export const isUsNight = ({ guide, asks }: Asked): boolean =>
  guide === null || systemOf(guideRateUnit(guide.input, asks)) === 'us';

/** The unit that rates of tonight are shown in: on the ground, as the guide counts. */
export const rateUnitOf = (night: Asked) => spreadUnits(night.asks === 'liquid', isUsNight(night)).rate;

/** The unit that amounts of tonight are told in. */
export const amountUnitOf = (night: Asked) => spreadUnits(night.asks === 'liquid', isUsNight(night)).amount;
