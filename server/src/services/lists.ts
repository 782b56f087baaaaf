import {
  splitFilter,
  type Hit,
  type Kind,
  type ListQuery,
  type Page,
  type SummaryOf,
} from '@steady-scatter/contract';
import { Op, type Sequelize, type WhereOptions } from 'sequelize';
import * as z from 'zod';
import { say } from '@steady-scatter/words/server';
import type { Actor } from '../actor.ts';
import { sortableOf, summaryModel, type SummaryRow } from '../models/summaries.ts';
import { invalidQuery } from '../problems/invalid.ts';

export type AnyLine = SummaryOf<unknown>;

/** Where a page ended: the sort, and the last line's value and id. */
const cursorShape = z.tuple([z.string(), z.union([z.string(), z.number(), z.boolean(), z.null()]), z.uuid()]);
type Cursor = z.infer<typeof cursorShape>;

const encode = (cursor: Cursor): string => Buffer.from(JSON.stringify(cursor)).toString('base64url');

function decode(text: string, sort: string): Cursor {
  try {
    const cursor = cursorShape.parse(JSON.parse(Buffer.from(text, 'base64url').toString()));
    if (cursor[0] === sort) return cursor;
  } catch {
    // Told below.
  }
  throw invalidQuery('cursor', say('server.list.page'));
}

/** The column and the direction that a list is sorted by. */
function sortOf(kind: Kind, asked: string | undefined): { sort: string; column: string; isDown: boolean } {
  const sort = asked ?? kind.sort;
  const column = sort.replace(/^-/, '');
  const known = ['name', 'changedAt', ...sortableOf(kind)];
  if (!known.includes(column))
    throw invalidQuery('sort', say('server.list.sort', { columns: known.join(', ') }));
  return { sort, column, isDown: sort.startsWith('-') };
}

/** What comes after the last line of a page. Nothing is less than anything; ids tell equal ones apart. */
function after([, value, id]: Cursor, column: string, isDown: boolean): WhereOptions {
  const further = isDown ? Op.lt : Op.gt;
  const same = { [column]: value, id: { [further]: id } };
  if (value === null) return isDown ? same : { [Op.or]: [same, { [column]: { [Op.not]: null } }] };
  const beyond = { [column]: { [further]: value } };
  return { [Op.or]: [same, beyond, ...(isDown ? [{ [column]: null }] : [])] };
}

const escaped = (word: string): string => word.replace(/[\\%_]/g, (sign) => `\\${sign}`);

/** Each word has to stand in the name or in one of the texts. */
const sought = (q: string): WhereOptions[] =>
  q
    .split(/\s+/)
    .filter((word) => word !== '')
    .map((word) => ({
      [Op.or]: ['name', 'texts'].map((column) => ({ [column]: { [Op.like]: `%${escaped(word)}%` } })),
    }));

const OPERATORS = { ':': Op.eq, '>=': Op.gte, '<=': Op.lte } as const;

/** The value of a filter as its column keeps it. */
function valueOf(kind: Kind, column: string, text: string): string | number | boolean {
  const type = kind.columns[column]?.type;
  if (type === 'flag') {
    if (text !== 'true' && text !== 'false')
      throw invalidQuery('filter', say('server.list.flag', { column }));
    return text === 'true';
  }
  if (type !== 'si' && type !== 'count') return text;
  const value = Number(text);
  if (text.trim() === '' || !Number.isFinite(value))
    throw invalidQuery('filter', say('server.list.number', { column }));
  return value;
}

function filterOf(sequelize: Sequelize, kind: Kind, filter: string): WhereOptions {
  const { column, operator, text } = splitFilter(filter);
  if (column === 'uses') {
    const { data: ids, error } = z.array(z.uuid()).max(100).safeParse(text.split(','));
    if (error) throw invalidQuery('filter', say('server.list.links'));
    const list = ids.map((id) => sequelize.escape(id)).join(', ');
    return {
      id: { [Op.in]: sequelize.literal(`(SELECT fromId FROM documentLinks WHERE toId IN (${list}))`) },
    };
  }
  const known = ['name', 'isSample', ...sortableOf(kind)];
  if (!known.includes(column))
    throw invalidQuery('filter', say('server.list.filter', { columns: known.join(', ') }));
  if (column === 'isSample') return { isSample: text === 'true' };
  return { [column]: { [OPERATORS[operator]]: valueOf(kind, column, text) } };
}

/** A line as it goes over the wire. Made field by field: a page has up to 200 of them. */
function wireOf(kind: Kind, row: SummaryRow): AnyLine {
  const line: Record<string, unknown> = {
    id: row.id,
    version: row.version,
    isSample: row.isSample !== 0,
    isReadable: row.isReadable !== 0,
    name: row.name,
    changedAt: row.changedAt,
  };
  if (row.isReadable === 0) return line as unknown as AnyLine;
  for (const name in kind.columns) {
    const value = row[name];
    const { type } = kind.columns[name]!;
    if (type === 'list') line[name] = value === '[]' ? [] : JSON.parse(value as string);
    else line[name] = type === 'flag' ? value !== 0 : value;
  }
  return line as unknown as AnyLine;
}

/** Lists and finds documents by the columns of their lists; no document is read for it. */
export const listService = (sequelize: Sequelize) => ({
  async list(
    { crewId }: Actor,
    kind: Kind,
    { q, sort: asked, filter, cursor, limit }: ListQuery,
  ): Promise<Page<AnyLine>> {
    const model = summaryModel(sequelize, kind);
    const { sort, column, isDown } = sortOf(kind, asked);
    const direction = isDown ? 'DESC' : 'ASC';
    const asks: WhereOptions[] = [
      { crewId },
      ...sought(q),
      ...filter.map((each) => filterOf(sequelize, kind, each)),
    ];
    const page = cursor === undefined ? [] : [after(decode(cursor, sort), column, isDown)];
    const rows = (await model.findAll({
      where: { [Op.and]: [...asks, ...page] },
      attributes: { exclude: ['texts', 'crewId'] },
      order: [[column, direction], ['id', direction]], // prettier-ignore
      limit: limit + 1,
      raw: true,
    })) as unknown as SummaryRow[];
    // A first page that has all of them tells how many there are.
    const isAll = cursor === undefined && rows.length <= limit;
    const total = isAll ? rows.length : await model.count({ where: { [Op.and]: asks } });
    const items = rows.slice(0, limit);
    const last = items.at(-1);
    const value = last?.[column];
    const at = value instanceof Date ? value.toISOString() : (value as Cursor[1]);
    return {
      items: items.map((row) => wireOf(kind, row)),
      next: last && rows.length > limit ? encode([sort, at ?? null, last.id]) : null,
      total,
    };
  },

  /** What has the words of every kind, names that begin with the first of them before the others. */
  async search(
    { crewId }: Actor,
    kinds: readonly Kind[],
    { q, limit }: { q: string; limit: number },
  ): Promise<Hit[]> {
    const found = await Promise.all(
      kinds.map(async (kind) => {
        const rows = (await summaryModel(sequelize, kind).findAll({
          where: { [Op.and]: [{ crewId }, ...sought(q)] },
          attributes: ['id', 'name', 'texts', 'isSample', ...('onDay' in kind.columns ? ['onDay'] : [])],
          order: [['name', 'ASC'], ['id', 'ASC']], // prettier-ignore
          limit,
          raw: true,
        })) as unknown as SummaryRow[];
        return rows.map((row): Hit => ({ kind: kind.name as Hit['kind'], id: row.id, name: row.name, found: textWith(row, q), onDay: (row['onDay'] as string | undefined) ?? null, isSample: Boolean(row.isSample) })); // prettier-ignore
      }),
    );
    const [first = ''] = q.toLowerCase().split(/\s+/);
    const rank = ({ name, found: text }: Hit): number => {
      if (name.toLowerCase().startsWith(first)) return 0;
      return text === null ? 1 : 2;
    };
    return found
      .flat()
      .toSorted((a, b) => rank(a) - rank(b))
      .slice(0, limit);
  },
});

/** The text that has the words, where the name has not. */
function textWith({ name, texts }: Pick<SummaryRow, 'name' | 'texts'>, q: string): string | null {
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.every((word) => name.toLowerCase().includes(word))) return null;
  return texts.split('\n').find((text) => words.some((word) => text.toLowerCase().includes(word))) ?? null;
}
