import { splitUnit } from '../need/needField.ts';
import { systemOf, type MassPerAreaUnit, type MassUnit, type VolumeUnit } from '../quantities/units.ts';
import type { PackageUnit } from '../loads/packages.ts';
import type { RateUnit } from './product.ts';

const VOLUME_FOR: Readonly<Partial<Record<string, readonly [us: VolumeUnit, metric: VolumeUnit]>>> = {
  acre: ['gal', 'L'],
  ha: ['gal', 'L'],
  '1000 ft2': ['fl oz', 'mL'],
};

/**
 * The unit that a liquid's rate is shown in, for a need that is given by weight: US for US, on the same area.
 *
 * @example liquidRateUnit('lb/1000 ft2') // 'fl oz/1000 ft2'
 */
export function liquidRateUnit(unit: MassPerAreaUnit): RateUnit {
  const [mass, area] = splitUnit(unit);
  const [us, metric] = VOLUME_FOR[area] ?? ['fl oz', 'mL'];
  return `${systemOf(mass) === 'us' ? us : metric}/${area}`;
}

/** The volume that stands for a weight: gal for US units, L for metric ones. */
export const volumeFor = (mass: MassUnit): PackageUnit => (systemOf(mass) === 'us' ? 'gal' : 'L');
