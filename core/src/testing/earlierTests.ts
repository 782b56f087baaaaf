import type { TestColumn } from './testsTable.ts';

// What tables of tests were written with before. They are read, and never said.

/** Labels of readings as earlier versions wrote them. */
export const EARLIER_LABELS: Readonly<Record<string, string>> = {
  'Content of the container': 'content',
  'Full container (or its content alone)': 'content',
  'Before the strip': 'in',
  'After the strip': 'left',
  'Length of the strip': 'length',
  'Times over it': 'passes',
  'Time over the strip': 'time',
  'Course at working pace': 'course',
  'Time over the course': 'courseTime',
  'Time, run 2': 'courseTime.2',
  'Time, run 3': 'courseTime.3',
  'Time of the catch': 'catchTime',
  'Time to fill it': 'fillTime',
  'Container and product': 'gross',
  'Tray and product': 'gross',
  'Bucket and product': 'gross',
  'Empty container, if it was weighed in one': 'tare',
  Load: 'load',
  'Ground it went on': 'area',
  'What is left, weighed the same way': 'left',
};

/** What a column was called before. */
export const EARLIER_COLUMNS: Readonly<Partial<Record<TestColumn, string>>> = {
  wanted: 'Wanted',
  massUnit: 'Bare weights in',
  lengthUnit: 'Bare lengths in',
  excluded: 'Struck out, because',
};
