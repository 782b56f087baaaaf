import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankScale, evaluateScale } from './scale.ts';
import { readScaleLine, scaleLine } from './scaleLine.ts';

const marksOf = (text: string) =>
  evaluateScale({ ...blankScale(), ...readScaleLine(text, 'control') }, 'control').marks;

describe('a scale said in a line', () => {
  it.each([
    ['0 to 30 by 1/2, closed at 0', 61, '0', '30'],
    ['0 to 30 by ½', 61, '0', '30'],
    ['0-20, closed at 2', 19, '2', '20'],
    ['1 to 10 every 1', 10, '1', '10'],
    ['a to m', 13, 'A', 'M'],
    ['A to M; shut at A', 13, 'A', 'M'],
    ['shut, thin line, thick line', 3, 'shut', 'thick line'],
    ['wide, half, shut, closed at shut', 3, 'shut', 'wide'],
  ])('%s', (text, count, shut, open) => {
    const marks = marksOf(text);
    expect(marks).toHaveLength(count);
    expect([marks[0]!.label, marks.at(-1)!.label]).toEqual([shut, open]);
  });
  it('where it first flows is part of it', () => {
    expect(readScaleLine('0 to 20 by 0.5, closed at 2, flows from 4', 'control').firstFlow).toBe('4');
  });
  it('nothing typed is no scale, and no mistake', () => {
    expect(marksOf('')).toEqual([]);
  });
  it.each([
    ['gate', 'scale.line'],
    ['closed at 0', 'scale.line'],
    ['30 to 0', 'scale.numbers'],
    ['0 to 1000000', 'scale.numbers'],
    ['M to A', 'scale.letters'],
    ['0 to 10, closed at 11', 'scale.mark'],
    ['thin, thin, thick', 'scale.twice'],
  ])('%s is refused at its field', (text, code) => {
    expect(() => readScaleLine(text, 'control')).toThrow(expect.objectContaining({ code, field: 'control' }));
  });
});

describe('and written as one', () => {
  it.each([
    '0 to 20 by 0.5, closed at 2',
    'A to M, closed at A',
    'shut, thin, thick, closed at shut',
    '0 to 30, closed at 0, flows from 6',
    '',
  ])('%s', (text) => {
    expect(scaleLine(readScaleLine(text, 'control'))).toBe(text);
  });
  it('reads back to the same marks, whatever numbers they run through', () => {
    const steps = fc.constantFrom('1', '2', '0.5', '1/2', '0.25');
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 1, max: 40 }),
        steps,
        (from, length, step) => {
          const scale = {
            ...blankScale(),
            from: String(from),
            to: String(from + length),
            step,
            closed: String(from),
          };
          const read = readScaleLine(scaleLine(scale), 'control');
          expect(evaluateScale({ ...blankScale(), ...read }, 'c').marks).toEqual(
            evaluateScale(scale, 'c').marks,
          );
        },
      ),
      { seed: 11, numRuns: 80 },
    );
  });
});
