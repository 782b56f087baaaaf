import { message, type Message } from '../messages/message.ts';
import { readWhole } from '../fields/counts.ts';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readPositive } from '../quantities/quantity.ts';
import { noteDay, readName } from '../fields/heading.ts';
import { rigKind } from './kinds.ts';
import type { RigInput } from './rigInput.ts';
import { evaluateScale, type ScaleResult } from './scale.ts';
import { readPace } from './readPace.ts';
import { evaluateSpray, type SprayResult } from './spray.ts';
import { readWidth } from './width.ts';

const MAX_OUTLETS = 12;

export interface RigResult {
  readonly control: ScaleResult;
  /** Its second control; without marks there is none. */
  readonly second: ScaleResult;
  /** 1 where nothing else is said. */
  readonly outlets: number;
  readonly hopperKg: number | null;
  readonly spray: SprayResult;
  readonly widthM: number | null;
  readonly paceMPerS: number | null;
  /** Whether the usual pace lies where one walks or drives comfortably. */
  readonly paceIsUsual: boolean;
  /** All that is looked at: what the kind asks for, then own additions. */
  readonly before: readonly (Message | string)[];
  readonly after: readonly (Message | string)[];
  readonly errors: readonly InputError[];
}

const checkOf = (check: string): Message => message(`kinds.check.${check}`);

/**
 * Reads a machine.
 *
 * @example evaluateRig({ ...blankRig('us'), name: 'Red spreader' }).errors // []
 */
export function evaluateRig(rig: RigInput): RigResult {
  const { errors, tryRead, readIfPresent } = collect();
  tryRead(() => readName(rig.name, 'name', message('errors.example.rig')));
  const control = evaluateScale(rig.control, 'control');
  const second = evaluateScale(rig.second, 'second');
  const outlets = readIfPresent(rig.outlets.count, () =>
    readWhole(rig.outlets.count, { field: 'outlets.count', most: MAX_OUTLETS }),
  );
  const hopperKg = readIfPresent(
    rig.hopper.size,
    () => readPositive(rig.hopper.size, { kind: 'mass', bareUnit: rig.hopper.unit, field: 'hopper.size' }, message('errors.what.hopper')).si, // prettier-ignore
  );
  const widthM = readIfPresent(
    rig.width.text,
    () => readWidth({ ...rig.width, by: 'measured' }, 'width.text').si,
  );
  const spray = evaluateSpray(rig.spray, rig.kind);
  const paceMPerS = readPace(rig.pace, 'pace', { readIfPresent });
  rig.services.forEach(({ onDay, dueDay }, index) => {
    noteDay(tryRead, onDay, `services.${index}.onDay`);
    noteDay(tryRead, dueDay, `services.${index}.dueDay`);
  });
  const { pace, before, after } = rigKind(rig.kind);
  const whole = (lines: readonly string[]) => lines.map((line) => line.trim()).filter((line) => line !== '');
  return {
    control,
    second,
    outlets: outlets ?? 1,
    hopperKg,
    spray,
    widthM,
    paceMPerS,
    paceIsUsual: paceMPerS === null || (paceMPerS >= pace[0] && paceMPerS <= pace[1]),
    before: [...before.map(checkOf), ...whole(rig.before)],
    after: [...after.map(checkOf), ...whole(rig.after)],
    errors: [...errors, ...control.errors, ...second.errors, ...spray.errors],
  };
}
