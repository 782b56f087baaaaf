import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import * as core from './index.ts';

// Every example in a doc comment is true: it is run, and what stands behind it is what comes out. A remark may follow the value.

interface Example {
  readonly file: string;
  /** What is called. */
  readonly call: string;
  /** What stands behind it: a value, or `throws`. */
  readonly comes: string;
}

const root = fileURLToPath(new URL('.', import.meta.url));
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts')); // prettier-ignore

/** The examples of a file: after `@example`, up to the next tag or the end of the comment. */
function examplesIn(file: string): Example[] {
  const text = readFileSync(join(root, file), 'utf8');
  return [...text.matchAll(/\/\*\*(.*?)\*\//gs)].flatMap(([, comment = '']) => {
    const plain = comment.replace(/^\s*\* ?/gm, '');
    return [...plain.matchAll(/@example\s+(.*?)(?=\n\s*@|$)/gs)].map(([, example = '']) => {
      const index = example.indexOf('//');
      return { file, call: (index < 0 ? example : example.slice(0, index)).trim(), comes: index < 0 ? '' : example.slice(index + 2).trim() }; // prettier-ignore
    });
  });
}

const { blankCalibration, blankPart, blankProduct, blankRig, blankRun, blankSite, blankSiteArea, blankWidthTest, blankWorksheet } = core; // prettier-ignore
const lakeFeed = { ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed 24-0-8', grade: '24-0-8', package: { size: '40', unit: 'lb' as const }, price: '31.80' }; // prettier-ignore
const sheet = {
  ...blankWorksheet('us', 'a'),
  need: { nutrient: 'N' as const, amount: '0.8', unit: 'lb/1000 ft2' as const },
  product: lakeFeed,
  areas: [{ id: 'a', name: 'Lawn', size: '7400', unit: 'ft2' as const }],
};
const redSpreader = {
  ...blankRig('us'),
  name: 'Red push spreader',
  control: { ...blankRig('us').control, from: '0', to: '20', step: '0.5', closed: '2' },
  hopper: { size: '50', unit: 'lb' as const },
  pace: { course: '120', unit: 'ft' as const, time: '27.2' },
};
const strip = (setting: string, left: string) => ({ ...blankRun(`${setting}.${left}`, '2026-04-10', 'weigh-back'), setting, readings: { in: '48.00', left, length: '100' } }); // prettier-ignore
const calibration = {
  ...blankCalibration('us'),
  name: 'Red spreader, lake feed',
  product: 'Lake feed',
  target: { amount: '3.33', unit: 'lb/1000 ft2' as const },
  width: { text: '9', unit: 'ft' as const, by: 'chosen' as const },
  pace: redSpreader.pace,
  scaleStep: '0.05',
  runs: [strip('8', '46.95'), strip('14', '43.10'), strip('11', '45.05'), strip('11', '44.95')],
};
const bench = core.benchRig(redSpreader);
const rectangle = (id: string, ...lengths: string[]) => ({ ...blankPart('rectangle', 'ft', id), lengths });
const trays = { ...blankWidthTest('metric'), name: 'Red, trays in April', rows: ['0 .3 .9 1.8 2.7 3.3 3.6 3.8 3.9 3.7 3.4 3.0 2.3 1.5 .7 .2 0'.split(' ')] }; // prettier-ignore
const widthReading = core.evaluateWidthTest(trays);
const forMix = (id: string, grade: string, price: string) => ({ id, name: id, product: core.evaluateProduct({ ...blankProduct('dry-fertilizer', 'metric'), name: id, grade, price, package: { size: '100', unit: 'kg' } }) }); // prettier-ignore
const mixRequest = {
  products: [forMix('urea', '46-0-0', '50'), forMix('potash', '0-0-60', '40')],
  needs: [{ nutrient: 'N' as const, kgPerM2: 0.0046, waived: false }, { nutrient: 'K2O' as const, kgPerM2: 0.006, waived: false }], // prettier-ignore
  tolerance: 0,
  caps: [],
  quickCap: null,
  slowFloor: null,
  mixesForms: false,
  fromStockForM2: null,
};

const blankGuide = core.blankGuide('us', ['v', 'a'], '2026-11-01');
const [firstVersion] = blankGuide.versions;
const guide = { ...blankGuide, name: 'Town', versions: [{ ...firstVersion!, lines: [{ ...firstVersion!.lines[0]!, situation: 'Frost', low: '2', high: '4' }] }] }; // prettier-ignore

const LOT = [[{ x: 0, y: 0 }, { x: 20, y: 0 }, { x: 20, y: 40 }, { x: 0, y: 40 }]]; // prettier-ignore
const PASS_REQUEST: core.PassRequest = { ground: LOT, spacingM: 4, trim: { rounds: 0, stripM: 2, pathM: 0.25, edgeOn: 'right' }, heading: 0, last: 'even', directions: 1, refillAt: null }; // prettier-ignore
const passPlan = core.planPasses(PASS_REQUEST);
const JOB = core.newJob({ name: 'Spring feed', onDay: '2026-04-18', worksheet: { ...sheet, spread: { ...sheet.spread, width: { text: '9', unit: 'ft' } } } }); // prettier-ignore
const RUN_FACTS: core.RunFacts = {
  grounds: new Map(),
  machine: null,
  mixLPerM2: null,
  drift: null,
  broken: [],
};

const GROUND = { site: '', area: 'a', siteName: '', areaName: 'Lawn', areaM2: 687.483 };
const PLANNED_NEED: core.PlannedNeed = { ground: [GROUND], product: { id: 'p', name: 'Lake feed' }, nutrient: 'N', totalSi: 0.0039, unit: 'lb/1000 ft2', times: 1, firstDay: '2026-04-18', everyDays: 28 }; // prettier-ignore
const PORTIONS = core.portionsFor(PLANNED_NEED, () => 'x');
const PLANNED = core.plannedPortions(PORTIONS, [{ id: 'p', input: lakeFeed }], [GROUND]);

/** What examples speak of, besides what core exports. */
const EXAMPLES = {
  speak,
  lakeFeed,
  label: core.evaluateProduct(lakeFeed),
  sheet,
  answer: core.answerWorksheet(sheet, core.AS_TYPED),
  redSpreader,
  bench,
  calibration,
  reading: core.evaluateCalibration(calibration, bench),
  quickTest: {
    ...core.blankQuickTest('us', { id: 'q', onDay: '2026-04-10' }),
    width: { text: '9', unit: 'ft' as const, by: 'measured' as const },
    runs: [{ ...strip('', '14.35'), readings: { in: '18.00', left: '14.35', length: '60' } }],
  },
  townRules: {
    name: 'Town',
    source: '',
    unit: 'lb/1000 ft2',
    rules: [{ ...core.blankRule('r'), amount: '1' }],
    limits: core.blankLimits('us'),
  },
  lawn: { ...blankSiteArea('a', 'us'), name: 'Lawn', parts: [rectangle('p', '62', '38')] },
  rectangle,
  paces: core.evaluatePaces(core.blankPace('ft'), 'pace'),
  trays,
  widthReading,
  pattern: widthReading.pattern,
  mixRequest,
  /** A reading of so much, to the hundredth. */
  read: (si: number) => ({ si, resolutionSi: 0.01 }),
  wide: (si: number) => ({ si, by: 'measured', resolutionSi: 0.01, u: 0 }),
  site: { ...blankSite('a', 'us'), name: 'Lake front' },
  guide,
  lot: LOT,
  passRequest: PASS_REQUEST,
  passPlan,
  coverageRequest: {
    ground: LOT,
    area: LOT,
    edges: [],
    tracks: passPlan.legs.map(({ line }) => ({
      line,
      perM: 0.06,
      pattern: core.assumedPattern('triangle', 4),
    })),
    targetPerM2: 0.015,
    cellM: 0.5,
    seed: 1,
    wanderM: 0,
    paceSd: 0,
    flows: true,
    opensLateM: 0,
    shutsEarlyM: 0,
  },
  job: JOB,
  runFacts: RUN_FACTS,
  coverageLook: {
    run: core.runSheet(JOB, core.evaluateJob(JOB), RUN_FACTS).areas[0]!,
    pattern: null,
    machine: null,
    spacingM: 2.7432,
    input: JOB.load,
    load: core.evaluateLoad(JOB.load),
    seed: 1,
    cellM: 0.5,
  },
  saltFacts: { salt: 'sodium-chloride', share: 1, limitC: -9 },
  round: { ...core.blankApplication('us'), areaName: 'Church lot' },
  storm: { ...core.blankStorm(), name: 'First snow', fromDay: '2026-12-04' },
  plan: { ...core.blankPlan('2026', { from: '2026-01-01', to: '2026-12-31' }), portions: PORTIONS },
  need: PLANNED_NEED,
  idOf: () => 'x',
  portion: PLANNED[0],
  book: core.planBook({
    rules: [],
    rulesOn: new Map(),
    rows: [],
    planned: PLANNED,
    soilTests: [],
    yearStart: '01-01',
  }),
  winter: { ...core.blankWinter('us'), name: '2026-27', fromDay: '2026-11-01', toDay: '2027-04-15' },
};

type Scope = Readonly<Record<string, unknown>>;
// The code stands in this repository, in the doc comments beside what it calls. It is handed what it names, and no more.
function run(code: string, ...scopes: readonly Scope[]): unknown {
  const named = [...new Set(code.match(/[A-Za-z_$][\w$]*/g))];
  const found = new Map(named.flatMap((name) => scopes.flatMap((scope): [string, unknown][] => (Object.hasOwn(scope, name) ? [[name, scope[name]]] : [])).slice(0, 1))); // prettier-ignore
  const names = [...found.keys()];
  // oxlint-disable-next-line typescript/no-implied-eval
  return (new Function(...names, `return (${code}\n);`) as (...given: unknown[]) => unknown)(...found.values()); // prettier-ignore
}

/** The value that a text begins with: `0.24 for 24-0-8` is 0.24. Digits that go on stand as `218.8795...`. */
function valueIn(text: string): unknown {
  const literal = /^(-?[\d_.]+?)(?:\.\.\.)?(?=[\s,;:]|$)|^'[^']*'|^(?:true|false|null|undefined)\b/.exec(
    text,
  );
  if (literal) return run(literal[1] ?? literal[0]);
  for (let end = text.length; end > 0; end -= 1)
    if ('])}'.includes(text[end - 1]!)) {
      try {
        return run(text.slice(0, end));
      } catch {
        // A shorter one may be whole.
      }
    }
  throw new Error(`There is no value in ${JSON.stringify(text)}.`);
}

/** Spaces that do not break are written as spaces in an example. */
const plainly = (value: unknown): unknown =>
  typeof value === 'string' ? value.replace(/[\u00a0\u202f]/g, ' ') : value;

/** A value as it stands in an example: numbers to the digits that stand there, a text that goes on as `3 walks …`. */
function like(printed: unknown): unknown {
  if (typeof printed === 'number') return expect.closeTo(printed, String(printed).split('.')[1]?.length ?? 6);
  if (typeof printed === 'string' && printed.endsWith('…')) return expect.stringContaining(printed.slice(0, -1).trim()); // prettier-ignore
  if (Array.isArray(printed)) return printed.map(like);
  if (typeof printed !== 'object' || printed === null) return printed;
  return expect.objectContaining(Object.fromEntries(Object.entries(printed).map(([key, value]) => [key, like(value)]))); // prettier-ignore
}

const deeply = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(deeply);
  if (typeof value !== 'object' || value === null || value instanceof Error) return plainly(value);
  return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, deeply(part)]));
};

/** Functions that rooms export, as file and name. */
const exportedFunctions = readdirSync(root)
  .filter((room) => existsSync(join(root, room, 'index.ts')))
  .flatMap((room) => {
    const index = readFileSync(join(root, room, 'index.ts'), 'utf8');
    return [...index.matchAll(/export \{([^}]*)\} from '\.\/([^']*)'/g)].flatMap(
      ([, names = '', file = '']) =>
        names
          .split(',')
          .map((name) => name.trim())
          .filter(
            (name) =>
              name !== '' &&
              !name.startsWith('type ') &&
              typeof (core as Scope)[name] === 'function' &&
              name !== 'InputError',
          )
          .map((name) => [`${room}/${file}`, name] as const),
    );
  });

it('there are many of them', () => expect(exportedFunctions.length).toBeGreaterThan(200));

it.each(exportedFunctions)('%s: %s says what it is for, with an example', (file, name) => {
  const text = readFileSync(join(root, file), 'utf8');
  const before = text.slice(0, Math.max(0, text.search(new RegExp(`\\nexport (?:async )?(?:function|const) ${name}\\b`)))); // prettier-ignore
  const comment = before.endsWith('*/') ? before.slice(before.lastIndexOf('/**')) : '';
  expect(comment).toMatch(/\* [A-Z"“`]/);
  expect(comment).toContain('@example');
});

describe.each(files.flatMap(examplesIn))('$file: $call', ({ file, call, comes }) => {
  it(comes, async () => {
    const own = (await import(/* @vite-ignore */ join(root, file))) as Scope;
    if (comes.startsWith('throws')) expect(() => run(call, own, core, EXAMPLES)).toThrow();
    else expect(deeply(run(call, own, core, EXAMPLES))).toEqual(like(deeply(valueIn(comes))));
  });
});
