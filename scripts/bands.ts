// npm run bands [trials]: how often the band of a mean holds the true rate. Every method, one to three runs, three true scatters,
// for a machine of which nothing is known and for one with six repeated settings on record. Every run is typed and read as on
// screen: rounded to what scale, tape and watch show. Seeded; prints the table of docs/method.md.
import { blankRig, blankScale } from '@steady-scatter/core/machines';
import {
  benchRig,
  blankCalibration,
  blankRun,
  METHOD_IDS,
  methodOf,
  NO_RECORD,
  evaluateCalibration,
  recordOf,
  type CalibrationInput,
  type MethodId,
} from '@steady-scatter/core/testing';
import { seeded } from '@steady-scatter/core/width';

const TRIALS = Number(process.argv[2] ?? 1500);
/** True: rate g/m2, pace m/s, spacing m, and how much timings of one course differ. */
const TRUE = { rate: 15, pace: 1.3, spacing: 3, timing: 0.025 };
const REPEATS = { settings: 6, runs: 3 };

type Draw = ReturnType<typeof drawsOf>;

function drawsOf(seed: number) {
  const random = seeded(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return { random, normal, about: (mean: number, share: number) => mean * (1 + share * normal()) };
}

/** What a person reads: the true value to the step of the instrument, which stands anywhere in it. */
const show = (value: number, step: number) => (Math.round(value / step) * step).toFixed(Math.max(0, Math.round(-Math.log10(step)))); // prettier-ignore

/** The readings of one run whose true output is `output`, kg/m; the times over the course are those of the day. */
function readingsOf(method: MethodId, output: number, times: Record<string, string>, { random }: Draw): Record<string, string> {
  const lengthM = 40 + random() / 2;
  const length = { length: show(lengthM, 0.1) };
  const net = output * lengthM;
  const tare = 0.7 + random() / 10;
  const [catchS, load] = [20 + random(), 4 + random()];
  const flow = output * TRUE.pace;
  switch (method) {
    case 'weigh-back':
      return { ...length, in: show(30 + tare, 0.02), left: show(30 + tare - net, 0.02) };
    case 'catch':
    case 'tray':
      return { ...length, tare: show(tare, 0.01), gross: show(tare + net, 0.01) };
    case 'taped':
      return { tare: show(tare, 0.01), gross: show(tare + net, 0.01), area: `${show(lengthM, 0.1)} x ${TRUE.spacing.toFixed(2)} m` };
    case 'timed-catch':
      return { ...times, tare: show(tare, 0.01), gross: show(tare + flow * catchS, 0.01), catchTime: show(catchS, 0.1) };
    case 'run-out':
      return { load: show(load, 0.02), left: show(0.5 + random() / 10, 0.02), area: '' };
    case 'fill-time':
      return { ...times, content: show(1.2 + random() / 50, 0.01), fillTime: '' };
    case 'spray-catch':
      return { ...times, catchTime: show(catchS, 0.1), ...Object.fromEntries([0.98, 1.01, 1.02, 0.99].map((share, index) => [`volume.${index + 1}`, `${show((share * 1000 * flow * catchS) / 4, 5)} mL`])) };
    case 'spray-used':
      return { load: `${show(load, 0.05)} L`, left: `${show(0.5 + random() / 10, 0.05)} L`, area: '' };
    case 'outlets':
      return { ...length, tare: show(tare, 0.01), gross: show(tare + net, 0.01) };
    default:
      return method satisfies never;
  }
} // prettier-ignore

/** What is left open above: where it ran out, and when it was full. */
function completed(method: MethodId, readings: Record<string, string>, output: number): Record<string, string> {
  const [load, left, content] = [readings['load'], readings['left'], readings['content']].map((text) => Number.parseFloat(text ?? '')) as [number, number, number];
  if (method === 'run-out' || method === 'spray-used') return { ...readings, area: show((load - left) / (output / TRUE.spacing), 1) };
  if (method === 'fill-time') return { ...readings, fillTime: show(content / (output * TRUE.pace), 0.1) };
  return readings;
} // prettier-ignore

const RIG = benchRig({ ...blankRig('metric'), name: 'Simulated', kind: 'vehicle', control: { ...blankScale(), from: '0', to: '10', closed: '0' } }); // prettier-ignore

const BOOM = benchRig({ ...blankRig('metric'), name: 'Simulated', kind: 'boom', spray: { ...blankRig('metric').spray, count: '4' } }); // prettier-ignore

/** One calibration of `runs` runs at one mark: whether its band holds the true rate. */
function holds(method: MethodId, runs: number, scatter: number, isOnRecord: boolean, seed: number): boolean {
  const draw = drawsOf(seed);
  const count = 1 + (seed % 3);
  const times = Object.fromEntries(
    Array.from({ length: count }, (_, index) => [
      index === 0 ? 'courseTime' : `courseTime.${index + 1}`,
      show(draw.about(40 / TRUE.pace, TRUE.timing), 0.1),
    ]),
  );
  const output = (TRUE.rate / 1000) * TRUE.spacing;
  const input: CalibrationInput = {
    ...blankCalibration('metric'),
    name: 'Simulated',
    // A kilogram of what spreads is a liter of what sprays here.
    target: methodOf(method).isWet
      ? { amount: String(TRUE.rate), unit: 'mL/m2' }
      : { amount: String(TRUE.rate), unit: 'g/m2' },
    width: { text: String(TRUE.spacing), unit: 'm', by: 'chosen' },
    runs: Array.from({ length: runs }, (_, index) => {
      const own = draw.about(output, scatter);
      const readings = completed(method, { course: '40.0', ...readingsOf(method, own, times, draw) }, own);
      return { ...blankRun(String(index), '2026-04-10', method), setting: '5', readings };
    }),
  };
  const groups = Array.from({ length: REPEATS.settings }, () => Array.from({ length: REPEATS.runs }, () => draw.about(1, scatter))); // prettier-ignore
  const { advice, spray } = evaluateCalibration(input, methodOf(method).isWet ? BOOM : RIG, null, isOnRecord ? recordOf(groups) : NO_RECORD); // prettier-ignore
  const mean = spray ? spray.now?.mean : advice?.means[0];
  if (!mean) throw new Error(`${method}: nothing was worked out.`);
  return Math.abs((1000 * mean.mean) / TRUE.rate - 1) <= mean.uRelative * (mean.mean / (TRUE.rate / 1000));
}

const say = (cells: readonly (string | number)[]) => process.stdout.write(`| ${cells.join(' | ')} |\n`);
const shares = (method: MethodId, scatter: number, isOnRecord: boolean) =>
  [1, 2, 3].map((runs) => {
    const held = Array.from({ length: TRIALS }, (_, index) => holds(method, runs, scatter, isOnRecord, index + 1)).filter(Boolean); // prettier-ignore
    return ((100 * held.length) / TRIALS).toFixed(1);
  });
say(['method', 'true scatter', 'nothing on record: 1, 2, 3 runs', 'six repeated settings on record: 1, 2, 3 runs']); // prettier-ignore
say(['---', '---', '---', '---']);
for (const method of METHOD_IDS)
  for (const scatter of [0.02, 0.03, 0.06])
    say([method, `${100 * scatter} %`, shares(method, scatter, false).join(', '), shares(method, scatter, true).join(', ')]); // prettier-ignore
