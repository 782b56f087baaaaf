import { KINDS, type DocumentWrite, type KindName } from '@steady-scatter/contract';
import { blankProduct, type ProductInput } from '@steady-scatter/core/products';
import { blankLoad, blankWorksheet, type WorksheetInput } from '@steady-scatter/core/worksheet';
import { v7 } from 'uuid';

/** The label of 24-0-8 in 40-lb bags. */
export const sampleLabel = (more: Partial<ProductInput> = {}): ProductInput => ({
  ...blankProduct('dry-fertilizer', 'us'),
  grade: '24-0-8',
  package: { size: '40 lb', unit: 'lb' },
  ...more,
});

/** What a client of this version writes of a document. */
export const writeOf = (kind: KindName, input: object, version = 0): DocumentWrite => ({
  version,
  schemaVersion: KINDS[kind].schemaVersion,
  input: input as DocumentWrite['input'],
});

/** A job as typed: 24-0-8 on two areas, in mixed units. */
export const sampleJob = (more: Record<string, unknown> = {}, sheet: Partial<WorksheetInput> = {}) => ({
  name: 'Spring feed',
  onDay: '2026-04-18',
  worksheet: {
    ...blankWorksheet('us', v7()),
    need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
    product: sampleLabel(),
    areas: [
      { id: v7(), name: 'Bandstand lawn', size: "62' x 38'", unit: 'ft2' },
      { id: v7(), name: 'Slipway bank', size: '330 m2', unit: 'ft2' },
    ],
    ...sheet,
  },
  load: blankLoad('us'),
  ...more,
});

/** The same as a client would write it. */
export const sampleWrite = (
  { version = 0, ...more }: Record<string, unknown> = {},
  sheet: Partial<WorksheetInput> = {},
): DocumentWrite => writeOf('jobs', sampleJob(more, sheet), version as number);
