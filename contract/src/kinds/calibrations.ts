import { calibrationInput, calibrationUpgrades, evaluateCalibration, lostReadings, type CalibrationInput } from '@steady-scatter/core/testing'; // prettier-ignore
import { countColumn, dayColumn, idColumn, kindOf, said, shortText, siColumn } from './kind.ts';

/** Machines calibrated for products. The scale of a machine is its own: here only the readings are checked. */
export const calibrations = kindOf({
  name: 'calibrations',
  path: '/api/calibrations',
  words: { one: 'calibration', many: 'calibrations' },
  schema: calibrationInput,
  upgrades: calibrationUpgrades,
  evaluate: (input: CalibrationInput) => evaluateCalibration(input),
  columns: {
    rig: idColumn,
    product: shortText,
    productId: idColumn,
    lot: shortText,
    target: shortText,
    targetUnit: shortText,
    targetKgPerM2: siColumn,
    widthM: siColumn,
    runs: countColumn,
    /** The setting that was signed off, and since when; empty: none. */
    setting: shortText,
    signedOn: dayColumn,
  },
  sort: 'name',
  summarise: ({ rig, product, productId, lot, target, runs, signOff }, { targetKgPerM2, widthM }) => ({
    rig,
    product,
    productId,
    lot,
    target: target.amount,
    targetUnit: target.unit,
    targetKgPerM2,
    widthM,
    runs: runs.length,
    setting: signOff?.setting ?? '',
    signedOn: signOff?.onDay ?? '',
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ product, lot, notes }) => said([product, lot, notes]),
  linksOf: ({ rig, productId, shape }) => said([rig, productId, shape]),
  refuses: lostReadings,
  isLarge: true,
});
