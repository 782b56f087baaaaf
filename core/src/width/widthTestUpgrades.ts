import { filledIn, partOf, renamed, type Json, type UpgradeStep } from '../fields/upgrade.ts';

/**
 * What the first versions did not know of a width test is blank, and its choices are called what they are.
 *
 * @example upgraded(widthTestUpgrades, 1, { name: 'Red, lake feed' })['passPattern'] // 'back-and-forth'
 */
function widthTestWhole(earlier: Json): Json {
  const metric = partOf(earlier, 'layout')['unit'] === 'm';
  const unit = metric ? 'm' : 'ft';
  const blank = {
    name: '',
    rig: '',
    product: '',
    setting: '',
    second: '',
    onDay: '',
    pace: { course: '', unit, time: '' },
    spacingMethod: 'trays',
    throw: { text: '', unit },
    deflector: false,
    layout: { count: metric ? '17' : '13', spacing: metric ? '0.5' : '2', gap: '', positions: '', unit },
    tray: { length: metric ? '0.5' : '20', width: metric ? '0.3' : '12', unit: metric ? 'm' : 'in' },
    passes: '3',
    kind: 'mass',
    unit: 'g',
    scaleStep: '',
    rows: [[]],
    limit: '15',
    passPattern: 'back-and-forth',
    looked: { text: '', unit },
    calibration: '',
    before: '',
    confirmed: [],
    accepted: null,
    notes: '',
  };
  const names = { way: 'spacingMethod', mode: 'passPattern', answers: 'confirmed' };
  return filledIn(blank, renamed(earlier, names));
}

/** How a stored width test became what it is now. */
export const widthTestUpgrades: readonly UpgradeStep[] = [{ adds: [], upgrade: widthTestWhole }];
