import { attempt, InputError } from '../errors/InputError.ts';
import { readSize, type SizeReading } from '../ground/size.ts';
import { readPackage, type PackageReading } from '../loads/packages.ts';
import { readGrade, type Grade } from '../need/grade.ts';
import { readNeed, type NeedReading } from '../need/needField.ts';
import type { AreaTyped, WorksheetTyped } from './typed.ts';

/** One row of ground as read. `size` is null while nothing, or nothing readable, was typed. */
export interface AreaReading {
  readonly id: string;
  readonly name: string;
  readonly size: SizeReading | null;
  readonly state: 'blank' | 'unsized' | 'wrong' | 'read';
}

/** A worksheet as read: each part or null, and every error with its field's path. */
export interface WorksheetReading {
  readonly need: NeedReading | null;
  readonly grade: Grade | null;
  readonly areas: readonly AreaReading[];
  readonly package: PackageReading | null;
  readonly coverage: SizeReading | null;
  readonly errors: readonly InputError[];
}

function areaState({ name, size }: AreaTyped, read: SizeReading | null): AreaReading['state'] {
  if (read) return 'read';
  if (size.trim() !== '') return 'wrong';
  return name.trim() === '' ? 'blank' : 'unsized';
}

/**
 * Reads all that was typed on a worksheet. An empty field is missing, not wrong.
 *
 * @param typed the worksheet as typed
 * @returns the readings; errors carry paths such as `areas.2.size`
 * @example readWorksheet(blankWorksheet('us', 'a')).errors // []
 */
export function readWorksheet(typed: WorksheetTyped): WorksheetReading {
  const errors: InputError[] = [];
  const unlessEmpty = <T>(text: string, read: () => T): T | null => {
    if (text.trim() === '') return null;
    const { value, error } = attempt(read);
    if (error) errors.push(error);
    return value;
  };
  const need = unlessEmpty(typed.need.amount, () =>
    readNeed(typed.need.amount, typed.need.unit, 'need.amount'),
  );
  const grade = unlessEmpty(typed.grade, () => readGrade(typed.grade, 'grade'));
  const areas = typed.areas.map((area, index): AreaReading => {
    const size = unlessEmpty(area.size, () => readSize(area.size, area.unit, `areas.${index}.size`));
    return { id: area.id, name: area.name.trim(), size, state: areaState(area, size) };
  });
  const { package: pack, coverage } = typed;
  return {
    need,
    grade,
    areas,
    package: unlessEmpty(pack.size, () => readPackage(pack.size, pack.unit, 'package.size')),
    coverage: unlessEmpty(coverage.size, () => readSize(coverage.size, coverage.unit, 'coverage.size')),
    errors,
  };
}
