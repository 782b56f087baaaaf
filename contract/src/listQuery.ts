import * as z from 'zod';

/** Most lines on one page of a list. */
export const MAX_PAGE = 200;
const USUAL_PAGE = 50;
const MAX_SOUGHT = 200;
/** A hundred ids fit in. */
const MAX_FILTER = 4000;

/** What a list is asked for with. */
export const listQuery = z.strictObject({
  /** Words that a document is found by: each has to stand somewhere in its name or its texts. */
  q: z.string().max(MAX_SOUGHT).default(''),
  /** A column, or `-` and a column for the last first. */
  sort: z.string().max(60).optional(),
  /** `column:value`, `column>=value`, `column<=value`, or `uses:id,id` for what leans on one of these; all of them have to hold. */
  filter: z
    .union([z.string().max(MAX_FILTER), z.array(z.string().max(MAX_FILTER)).max(12)])
    .default([])
    .transform((given) => (typeof given === 'string' ? [given] : given)),
  /** What the page before answered as `next`. */
  cursor: z.string().max(2000).optional(),
  limit: z.coerce
    .number({ error: 'This has to be a number of lines.' })
    .int()
    .min(1, { error: 'A page has at least 1 line.' })
    .max(MAX_PAGE, { error: `A page has at most ${MAX_PAGE} lines.` })
    .default(USUAL_PAGE),
});

export type ListQuery = z.output<typeof listQuery>;
/** The same as it is asked: what is left out is as usual. */
export type ListAsk = Partial<Omit<ListQuery, 'filter'>> & { readonly filter?: readonly string[] };

/** A filter of a list in its parts; what is none asks for a column without a name. */
export interface ListFilter {
  readonly column: string;
  readonly operator: ':' | '>=' | '<=';
  readonly text: string;
}

export function splitFilter(filter: string): ListFilter {
  const [, column = '', operator = ':', text = ''] = /^(\w+)(:|>=|<=)(.*)$/s.exec(filter) ?? [];
  return { column, operator: operator as ListFilter['operator'], text };
}
