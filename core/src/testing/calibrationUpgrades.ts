import {
  eachIn,
  filledIn,
  isJson,
  partOf,
  renamed,
  textIn,
  type Json,
  type UpgradeStep,
} from '../fields/upgrade.ts';

const BLANK_RUN = { setting: '', readings: {}, earlier: [], width: null, container: '', step: '', checked: [], noFlow: false, excluded: '', note: '' }; // prettier-ignore

/**
 * What the first versions did not know of a calibration is blank, and what was struck out is excluded.
 *
 * @example upgraded(calibrationUpgrades, 1, { name: 'Red spreader, lake feed' })['confirmed'] // []
 */
function calibrationWhole(earlier: Json): Json {
  const metric = ['kg', 'g'].includes(textIn(partOf(earlier, 'units'), 'mass'));
  const length = metric ? 'm' : 'ft';
  const blank = {
    name: '',
    rig: '',
    product: '',
    productId: '',
    lot: '',
    grain: '',
    target: { amount: '', unit: metric ? 'kg/ha' : 'lb/1000 ft2' },
    tolerance: '5',
    isCeiling: false,
    start: 'auto',
    label: { pace: '', lines: [] },
    shape: '',
    width: { text: '', unit: length, by: 'chosen' },
    pace: { course: '', unit: length, time: '' },
    second: '',
    firstFlow: '',
    tools: { scale: 'machine', tarp: false, floor: false, tray: false, ground: true, helper: false, wind: false }, // prettier-ignore
    scaleStep: '',
    units: { mass: metric ? 'kg' : 'lb', length },
    confirmed: [],
    signOff: null,
    notes: '',
  };
  const whole = filledIn(blank, renamed(earlier, { answers: 'confirmed' }));
  const { pace, width, second, lot, grain, signOff } = whole;
  return {
    ...whole,
    runs: eachIn({ runs: [], ...earlier }, 'runs', (run) =>
      filledIn(BLANK_RUN, renamed(run, { struck: 'excluded' })),
    ),
    signOff: isJson(signOff) ? { state: '', pace, width, second, lot, grain, ...signOff } : null,
  };
}

/** Runs say what their bare numbers are in, and a sign-off names those that it rests on: the ones that counted. */
function runsOnTheirOwn(earlier: Json): Json {
  const { runs, units, signOff } = earlier;
  const made = Array.isArray(runs) ? runs.filter(isJson) : [];
  const counted = made.filter(({ excluded, step }) => excluded === '' && step === '');
  const { runs: _, ...aim } = earlier;
  return {
    ...aim,
    ...(made.length > 0 && { runs: eachIn(earlier, 'runs', (run) => ({ row: '', units, ...run })) }),
    signOff: isJson(signOff) ? { runs: counted.map(({ id }) => id), ...signOff } : signOff,
  };
}

/** Before machines sprayed, nothing was said of what is caught. */
function caughtWithWater(earlier: Json): Json {
  const metric = ['kg', 'g'].includes(textIn(partOf(earlier, 'units'), 'mass'));
  return filledIn(
    { caughtWith: 'water', mixDensity: { text: '', unit: metric ? 'kg/L' : 'lb/gal' } },
    earlier,
  );
}

/** How a stored calibration became what it is now; runs that stand in an earlier one stay there, and whoever reads it takes them out. */
export const calibrationUpgrades: readonly UpgradeStep[] = [
  { adds: [], upgrade: calibrationWhole },
  { adds: ['signOff.runs'], upgrade: runsOnTheirOwn },
  { adds: ['caughtWith', 'mixDensity'], upgrade: caughtWithWater },
  { adds: ['guide', 'settings'], upgrade: (earlier) => filledIn({ guide: '', settings: '' }, earlier) },
];
