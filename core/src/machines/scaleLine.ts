import { InputError } from '../errors/InputError.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { evaluateScale, type ScaleInput } from './scale.ts';

type Line = Pick<ScaleInput, 'style' | 'from' | 'to' | 'step' | 'own' | 'closed' | 'firstFlow'>;

const RANGE = /^(\S+(?: \d+\/\d+)?)\s*(?:to|-|–|…)\s*(\S+(?: \d+\/\d+)?)(?:\s+(?:by|every|in)\s+(.+))?$/i;
const CLOSED = /^(?:closed|shut) (?:at )?(.+)$/i;
const FLOWS = /^(?:flows?|runs?) (?:from|at) (.+)$/i;
const isLetter = (text: string): boolean => /^[a-z]$/i.test(text);

/**
 * A scale as people say it: "0 to 30 by 1/2, closed at 0", "A to M", or one's own marks from shut on: "shut, thin line, thick line".
 * The closed mark is the first one where none is said; "flows from 4" says where product first came.
 *
 * @param text as typed; empty: no scale yet
 * @param field path for the error
 * @throws InputError scale.line when it is none of these; what is wrong with its marks otherwise
 * @example readScaleLine('0 to 30 by 1/2, closed at 0', 'control').step // '1/2'
 * @example readScaleLine('A to M', 'control').style // 'letters'
 */
export function readScaleLine(text: string, field: string): Line {
  const parts = text
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const said = (pattern: RegExp) => parts.flatMap((part) => pattern.exec(part)?.[1]?.trim() ?? [])[0] ?? '';
  const marks = parts.filter((part) => !FLOWS.test(part) && !CLOSED.test(part));
  const range = marks.length === 1 ? RANGE.exec(marks[0]!) : null;
  const [, from = '', to = '', step = ''] = range ?? [];
  const isNumbers = range !== null && isBareNumber(from) && isBareNumber(to);
  const isLetters = range !== null && isLetter(from) && isLetter(to) && step === '';
  if (parts.length > 0 && !isNumbers && !isLetters && marks.length < 2)
    throw new InputError('scale.line', { field, input: text });
  const line: Line = {
    style: isLetters ? 'letters' : isNumbers || parts.length === 0 ? 'numbers' : 'own',
    from: isLetters ? from.toUpperCase() : isNumbers ? from : '',
    to: isLetters ? to.toUpperCase() : isNumbers ? to : '',
    step: step.trim() || '1',
    own: isNumbers || isLetters ? '' : marks.join(', '),
    closed: said(CLOSED) || (isNumbers || isLetters ? from.toUpperCase() : (marks[0] ?? '')),
    firstFlow: said(FLOWS),
  };
  const [wrong] = evaluateScale({ ...line, name: '', readAt: '' }, field).errors;
  if (wrong) throw wrong.at(field);
  return line;
}

/**
 * The same the other way round: what is typed of a scale as one line; empty while there is none.
 *
 * @example scaleLine({ ...blankScale(), from: '0', to: '20', step: '0.5', closed: '2' }) // '0 to 20 by 0.5, closed at 2'
 */
export function scaleLine({ style, from, to, step, own, closed, firstFlow }: Line): string {
  const marks =
    style === 'own'
      ? own
          .split(',')
          .map((mark) => mark.trim())
          .filter((mark) => mark !== '')
          .join(', ')
      : from.trim() === '' || to.trim() === ''
        ? ''
        : `${from.trim()} to ${to.trim()}${style === 'numbers' && step.trim() !== '' && step.trim() !== '1' ? ` by ${step.trim()}` : ''}`;
  if (marks === '') return '';
  return [
    marks,
    closed.trim() && `closed at ${closed.trim()}`,
    firstFlow.trim() && `flows from ${firstFlow.trim()}`,
  ]
    .filter(Boolean)
    .join(', ');
}
