import {
  calibrationAim,
  calibrationUpgrades,
  evaluateCalibration,
  otherMachine,
  type CalibrationAim,
} from '@steady-scatter/core/testing';
import { dayColumn, idColumn, kindOf, whole, shortText, siColumn } from './kind.ts';

/** Machines calibrated for products: what is wanted and what was signed off. Test runs are appended beside them. */
export const calibrations = kindOf({
  name: 'calibrations',
  path: '/api/calibrations',
  schema: calibrationAim,
  upgrades: calibrationUpgrades,
  evaluate: (input: CalibrationAim) => evaluateCalibration({ ...input, runs: [] }),
  columns: {
    rig: idColumn,
    product: shortText,
    productId: idColumn,
    lot: shortText,
    target: shortText,
    targetUnit: shortText,
    targetSi: siColumn,
    widthM: siColumn,
    /** The setting that was signed off, and since when; empty: none. */
    setting: shortText,
    signedOn: dayColumn,
  },
  sort: 'name',
  summarise: ({ rig, product, productId, lot, target, signOff }, { targetSi, widthM }) => ({
    rig,
    product,
    productId,
    lot,
    target: target.amount,
    targetUnit: target.unit,
    targetSi,
    widthM,
    setting: signOff?.setting ?? '',
    signedOn: signOff?.onDay ?? '',
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ product, lot, notes }) => whole([product, lot, notes]),
  linksOf: ({ rig, productId, shape }) => whole([rig, productId, shape]),
  refusesOnceMeasured: (before, after) => otherMachine(before, after),
});
