import { MAX_IN_BATCH, products } from '@steady-scatter/contract';
import {
  columnHeading,
  type ColumnId,
  columnsOf,
  type ProductInput,
  readShelfRow,
} from '@steady-scatter/core/products';
import Papa from 'papaparse';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/common';
import { speak } from '@steady-scatter/words/shelf';
import { callDocuments } from '../api/lazyCall.ts';

/** A row that cannot be taken, and why. */
interface BadRow {
  /** Line of the table: the headings are 1. */
  readonly row: number;
  readonly name: string;
  readonly reasons: readonly string[];
}

/** What a file holds, before anything of it is kept. */
export interface FilePreview {
  readonly separator: string;
  readonly decimalComma: boolean;
  /** Headings that stand for something, with what they stand for. */
  readonly known: readonly { readonly heading: string; readonly as: string }[];
  readonly unknown: readonly string[];
  readonly rows: number;
  readonly good: number;
  readonly bad: number;
  /** Good rows whose name is on the shelf already, or stands in the file twice. */
  readonly twice: number;
  /** The first good rows, bad rows and rows that are there twice. */
  readonly goodRows: readonly ProductInput[];
  readonly badRows: readonly BadRow[];
  readonly twiceRows: readonly { readonly row: number; readonly name: string }[];
}

/** What is wrong with a file as a whole; a sentence. */
class FileTrouble extends Error {}

export interface ReadOptions {
  /** Names on the shelf, lower case. */
  readonly onShelf: readonly string[];
  /** Take rows whose name is there already, too. */
  readonly takeTwice: boolean;
}

const MAX_BYTES = 50_000_000;
const SHOWN = { good: 25, bad: 200, twice: 50 };
const SEPARATORS: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};

/** Answers a promise where the next row has to wait. */
type RowVisit = (row: string[], at: number, broken: string | null) => Promise<void> | undefined;

/** The encoding of a file: UTF-8 when its beginning is that, else what spreadsheets of old write. */
async function encodingOf(file: Blob): Promise<string> {
  const head = new Uint8Array(await file.slice(0, 65_536).arrayBuffer());
  if (head.includes(0) && !(head[0] === 0xff && head[1] === 0xfe)) {
    throw new FileTrouble(say('common.file.notText'));
  }
  if (head[0] === 0xff && head[1] === 0xfe) return 'utf-16le';
  try {
    // The last few bytes may cut a letter in two.
    new TextDecoder('utf-8', { fatal: true }).decode(
      head.subarray(0, head.length === 65_536 ? -4 : undefined),
      {
        stream: true,
      },
    );
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/** Goes through a file row by row, a piece of it in memory at a time. */
async function eachRow(file: File, visit: RowVisit, onProgress: (share: number) => void): Promise<string> {
  if (file.size === 0) throw new FileTrouble(say('common.file.empty'));
  if (file.size > MAX_BYTES) throw new FileTrouble(say('common.file.tooLarge'));
  const encoding = await encodingOf(file);
  return new Promise((resolve, reject) => {
    let at = 0;
    let separator = ',';
    Papa.parse<string[]>(file, {
      encoding,
      skipEmptyLines: 'greedy',
      chunkSize: 512 * 1024,
      chunk({ data, errors, meta }, parser) {
        parser.pause();
        separator = meta.delimiter;
        const broken = new Map(
          errors.flatMap(({ type, row }) =>
            type === 'Quotes' && row !== undefined ? [[row, say('common.file.openQuote')]] : [],
          ),
        );
        const visitAll = async () => {
          for (const [index, row] of data.entries()) {
            const waiting = visit(row, at, broken.get(index) ?? null);
            at += 1;
            // In order: batches are sent one after the other.
            // oxlint-disable-next-line no-await-in-loop
            if (waiting) await waiting;
          }
          onProgress(Math.min(1, meta.cursor / file.size));
        };
        visitAll().then(
          () => parser.resume(),
          (error: unknown) => {
            // Refused first: ending the parser counts as the end of the file.
            reject(error);
            parser.abort();
          },
        );
      },
      complete: () => resolve(separator),
      error: reject,
    });
  });
}

/** Reads each row of a file as a product, told apart into good, bad and already there. */
async function eachProduct(
  file: File,
  { onShelf, takeTwice }: ReadOptions,
  visit: {
    headings(headings: readonly string[], columns: readonly (ColumnId | null)[]): void;
    good(input: ProductInput): Promise<void> | undefined;
    bad(row: BadRow): void;
    twice(row: number, name: string): void;
  },
  onProgress: (share: number) => void,
): Promise<{ separator: string; decimalComma: boolean }> {
  const names = new Set(onShelf);
  // Which separator a file has is known before its rows are: the first line decides here as it does in the parser.
  const decimalComma = /^[^,\n]*;/.test(await file.slice(0, 4096).text());
  let columns: readonly (ColumnId | null)[] = [];
  const separator = await eachRow(
    file,
    (row, at, broken) => {
      if (at === 0) {
        columns = columnsOf(row, speak);
        if (!columns.includes('name')) {
          const found = row.length === 1 ? say('common.file.oneCell') : say('common.file.found', { columns: row.slice(0, 8).join(', ') }); // prettier-ignore
          throw new FileTrouble(say('common.file.nameColumns', { found }));
        }
        visit.headings(row, columns);
        return undefined;
      }
      const { input, errors } = readShelfRow(columns, row, { decimalComma, speak });
      const line = at + 1;
      const reasons = [...(broken ? [broken] : []), ...errors.map(({ sentence }) => speak(sentence))];
      if (reasons.length > 0) {
        visit.bad({ row: line, name: input.name, reasons });
        return undefined;
      }
      const name = input.name.toLowerCase();
      if (names.has(name)) {
        visit.twice(line, input.name);
        if (!takeTwice) return undefined;
      }
      names.add(name);
      return visit.good(input);
    },
    onProgress,
  );
  return { separator, decimalComma };
}

/** Looks through a file and keeps nothing. */
async function preview(
  file: File,
  options: ReadOptions,
  onProgress: (share: number) => void,
): Promise<FilePreview> {
  let headings: readonly string[] = [];
  let columns: readonly (ColumnId | null)[] = [];
  const counts = { good: 0, bad: 0, twice: 0 };
  const goodRows: ProductInput[] = [];
  const badRows: BadRow[] = [];
  const twiceRows: { row: number; name: string }[] = [];
  const { separator, decimalComma } = await eachProduct(
    file,
    options,
    {
      headings(found, as) {
        headings = found;
        columns = as;
      },
      good(input) {
        counts.good += 1;
        if (goodRows.length < SHOWN.good) goodRows.push(input);
        return undefined;
      },
      bad(row) {
        counts.bad += 1;
        if (badRows.length < SHOWN.bad) badRows.push(row);
      },
      twice(row, name) {
        counts.twice += 1;
        if (twiceRows.length < SHOWN.twice) twiceRows.push({ row, name });
      },
    },
    onProgress,
  );
  return {
    separator: SEPARATORS[separator] ?? `“${separator}”`,
    decimalComma,
    known: columns.flatMap((id, index) =>
      id === null ? [] : [{ heading: headings[index] ?? '', as: speak(columnHeading(id)) }],
    ),
    unknown: headings.filter((heading, index) => columns[index] === null && heading.trim() !== ''),
    rows: counts.good + counts.bad + (options.takeTwice ? 0 : counts.twice),
    ...counts,
    goodRows,
    badRows,
    twiceRows,
  };
}

/** Puts the good rows of a file on the shelf, batch by batch, and gives back their ids. */
async function keepGood(
  file: File,
  options: ReadOptions,
  onProgress: (share: number) => void,
): Promise<string[]> {
  const ids: string[] = [];
  let batch: { readonly id: string; readonly input: ProductInput }[] = [];
  const send = async () => {
    if (batch.length === 0) return;
    const documents = batch;
    batch = [];
    await callDocuments(products, 'addMany', { body: { schemaVersion: products.schemaVersion, documents } });
    ids.push(...documents.map(({ id }) => id));
  };
  await eachProduct(
    file,
    options,
    {
      headings: () => undefined,
      // Waited for only when a batch is sent: a promise for each row would cost more than the row.
      good(input) {
        batch.push({ id: newId(), input });
        return batch.length >= MAX_IN_BATCH ? send() : undefined;
      },
      bad: () => undefined,
      twice: () => undefined,
    },
    onProgress,
  );
  await send();
  return ids;
}

/** Errors lose their kind on the way to the page; their sentence does not. */
const said =
  <Arguments extends unknown[], Answer>(work: (...given: Arguments) => Promise<Answer>) =>
  async (...given: Arguments): Promise<{ answer: Answer } | { trouble: string | null }> => {
    try {
      return { answer: await work(...given) };
    } catch (error) {
      return { trouble: error instanceof FileTrouble ? error.message : null };
    }
  };

/** What is done with a file of products, away from the page. */
export const shelfFile = { preview: said(preview), keepGood: said(keepGood) };
export type ShelfFile = typeof shelfFile;
