import { message } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import { FRACTION_SIGNS, isBareNumber } from '../quantities/numbers.ts';
import { shapeOf, type ShapeKind } from './shapes.ts';

/** A part as called out: "62 x 38", "-circle 6". */
export interface QuickPart {
  readonly kind: ShapeKind;
  readonly cut: boolean;
  readonly lengths: readonly string[];
}

/** What people call each shape, longest first; the order decides between names that begin alike. */
const NAMES: readonly (readonly [RegExp, ShapeKind])[] = [
  [/^(?:half[\s-]?circle|half|semi[\s-]?circle)\b/i, 'half-circle'],
  [/^(?:circle|round|radius|r)(?![a-z])/i, 'circle'],
  [/^(?:ellipse|oval)\b/i, 'ellipse'],
  [/^ring\b/i, 'ring'],
  [/^(?:triangle|tri)\b/i, 'triangle'],
  [/^(?:trapezoid|trap)\b/i, 'trapezoid'],
  [/^(?:four[\s-]sides|four|quad)\b/i, 'four-sides'],
  [/^(?:offsets?|baseline)\b/i, 'offsets'],
  [/^(?:rectangle|rect|square)\b/i, 'rectangle'],
];

/** A size already known: "210 ft2", "0.3 acres". */
const SIZE = new RegExp(`^[\\d\\s.,/${FRACTION_SIGNS}]+(?:(?:sq\\.?\\s*)(?:ft|feet|yd|m)|(?:ft|yd|m)(?:\\^?2|²)|square\\s+\\w+|ac(?:res?)?|ha|hectares?)$`, 'i'); // prettier-ignore

const EXAMPLE = '62 x 38, circle 6, triangle 20 x 14, or -12 x 8 to cut out';

/** "20 x 14", "20, 14" or "20 14" -> ["20", "14"]; a length may have a unit and parts of its own: 62' 6" x 38'. */
function lengthsIn(text: string): string[] {
  const bare = text
    .replace(/^[\s:]+/, '')
    .trim()
    .replace(/^(?:r|radius)\s*/i, '');
  // A colon sets the spacing of offsets apart from what follows it.
  const [spacing, offsets] = bare.split(':');
  if (offsets !== undefined) return [spacing!.trim(), ...lengthsIn(offsets)];
  const parts = /[x×*,;]|\bby\b/i.test(bare)
    ? bare.split(/\s*(?:[x×*,;]|\bby\b)\s*/i)
    : isBareNumber(bare) && !bare.includes('/')
      ? bare.split(/\s+/)
      : [bare];
  return parts.map((part) => part.trim()).filter((part) => part !== '');
}

/**
 * Reads a part the way it is called out to somebody with a pencil: a shape's name and its lengths. Two lengths without a
 * name are a rectangle, an area is ground already known; a minus or "cut" before it takes it off.
 *
 * @param typed what was typed
 * @param field path of the field, for the error
 * @throws InputError shape.unreadable, shape.count
 * @example readQuickPart('-circle 6', 'quick') // { kind: 'circle', cut: true, lengths: ['6'] }
 */
export function readQuickPart(input: string, field: string): QuickPart {
  const text = input.trim();
  const cut = /^(?:[-−–]|minus\b|cut(?:\s+out)?\b|less\b)\s*/i;
  const body = text.replace(cut, '');
  if (SIZE.test(body)) return { kind: 'known', cut: cut.test(text), lengths: [body] };
  const named = NAMES.find(([name]) => name.test(body));
  const lengths = lengthsIn(named ? body.replace(named[0], '') : body);
  const called = named?.[1] ?? 'rectangle';
  if (
    lengths.length === 0 ||
    (!named && lengths.length !== 2) ||
    !lengths.every((length) => /\d/.test(length))
  )
    throw new InputError('shape.unreadable', { field, input, hint: EXAMPLE });
  const kind = called === 'triangle' && lengths.length === 3 ? 'three-sides' : called;
  const { dimensions, repeats } = shapeOf(kind);
  const fits = repeats
    ? lengths.length >= repeats.from + repeats.least
    : lengths.length === dimensions.length;
  if (!fits && !(kind === 'rectangle' && lengths.length === 1))
    throw new InputError('shape.count', {
      field,
      shape: message(`kinds.shape.${kind}`),
      wanted: dimensions.map((each) => message(`kinds.dimension.${each}`)),
    });
  const square = kind === 'rectangle' && lengths.length === 1 ? [...lengths, ...lengths] : lengths;
  return { kind, cut: cut.test(text), lengths: square };
}
