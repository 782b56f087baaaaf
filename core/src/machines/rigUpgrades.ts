import { filledIn, partOf, type Json, type UpgradeStep } from '../fields/upgrade.ts';

/** Once the second control was a name and the one mark it stood at. */
function secondControl(second: Json): Json {
  const { setting, ...rest } = second;
  return typeof setting === 'string' && setting !== '' ? { ...rest, style: 'own', own: setting } : rest;
}

/**
 * What the first versions did not know of a machine is blank.
 *
 * @example upgraded(rigUpgrades, 1, { name: 'Red spreader' })['outlets'] // { count: '', feeds: 'own-rows' }
 */
function machineWhole(earlier: Json): Json {
  const metric = partOf(earlier, 'hopper')['unit'] === 'kg';
  const length = metric ? 'm' : 'ft';
  const scale = { name: 'gate', style: 'numbers', from: '', to: '', step: '1', own: '', closed: '', firstFlow: '', readAt: '' }; // prettier-ignore
  const blank = {
    name: '',
    kind: 'push-rotary',
    control: scale,
    second: { ...scale, name: '' },
    outlets: { count: '', feeds: 'own-rows' },
    hopper: { size: '', unit: metric ? 'kg' : 'lb' },
    width: { text: '', unit: length },
    pace: { course: '', unit: length, time: '' },
    before: [],
    after: [],
    services: [],
    notes: '',
  };
  return filledIn(blank, { ...earlier, second: secondControl(partOf(earlier, 'second')) });
}

/** Before machines sprayed, nothing was known of tank and nozzles. */
function withSpray(earlier: Json): Json {
  const metric = partOf(earlier, 'hopper')['unit'] === 'kg' || partOf(earlier, 'hopper')['unit'] === 'g';
  const length = { text: '', unit: metric ? 'm' : 'ft' };
  const pressure = { text: '', unit: metric ? 'bar' : 'psi' };
  const spray = {
    tank: { size: '', unit: metric ? 'L' : 'gal' },
    nozzle: { name: '', flow: { text: '', unit: metric ? 'L/min' : 'gal/min' }, at: pressure, low: '', high: '' },
    count: '',
    spacing: { text: '', unit: metric ? 'cm' : 'in' },
    fittedOn: '',
    pressure,
    width: { grass: length, concrete: length },
  };
  return filledIn({ spray }, earlier);
} // prettier-ignore

/** How a stored machine became what it is now. */
export const rigUpgrades: readonly UpgradeStep[] = [
  { adds: [], upgrade: machineWhole },
  { adds: ['spray'], upgrade: withSpray },
];
