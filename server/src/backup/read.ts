import { createHash } from 'node:crypto';
import { createInterface } from 'node:readline';
import { Transform, type Readable } from 'node:stream';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { say } from '@steady-scatter/words/server';
import { manifest, MANIFEST, MAX_BYTES, MAX_RATIO, UnfitArchive, type Manifest } from './format.ts';

const MAX_MANIFEST_BYTES = 1_000_000;

/** An archive that was looked through: every entry is named, sized and summed as its manifest says. */
export interface Archive {
  readonly manifest: Manifest;
  /** The rows of one of its tables, one at a time. */
  rowsOf(table: string): AsyncGenerator<Record<string, unknown>>;
  close(): void;
}

const damaged = (what: string): UnfitArchive => new UnfitArchive(say('server.backup.damaged', { what }));
const foreign = (): UnfitArchive => new UnfitArchive(say('server.backup.none'));

/** The entries by name; refuses what an archive of ours never holds. */
async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  let bytes = 0;
  for await (const entry of zip.eachEntry()) {
    const { fileName, uncompressedSize, compressedSize } = entry;
    if (entries.has(fileName)) throw damaged(say('server.backup.twice', { file: fileName }));
    bytes += uncompressedSize;
    if (bytes > MAX_BYTES || uncompressedSize > 10_000 + compressedSize * MAX_RATIO)
      throw damaged(say('server.backup.bomb'));
    entries.set(fileName, entry);
  }
  return entries;
}

const open = (zip: ZipFile, entry: Entry): Promise<Readable> => zip.openReadStreamPromise(entry);

async function readManifest(zip: ZipFile, entry: Entry): Promise<Manifest> {
  if (entry.uncompressedSize > MAX_MANIFEST_BYTES) throw foreign();
  const pieces: Buffer[] = [];
  for await (const piece of await open(zip, entry)) pieces.push(piece as Buffer);
  let said: unknown;
  try {
    said = JSON.parse(Buffer.concat(pieces).toString('utf8'));
  } catch {
    throw damaged(say('server.backup.manifest'));
  }
  const read = manifest.safeParse(said);
  if (!read.success) throw foreign();
  return read.data;
}

/** Refuses an archive whose entries are not those of its manifest, to the byte. */
async function check(zip: ZipFile, entries: ReadonlyMap<string, Entry>, { files }: Manifest): Promise<void> {
  if (entries.size !== files.length + 1) throw damaged(say('server.backup.others'));
  for (const { name, table, bytes, sha256 } of files) {
    const entry = entries.get(name);
    if (!entry || name !== `rows/${table}.jsonl`) throw damaged(say('server.backup.missing', { file: name }));
    const hash = createHash('sha256');
    let seen = 0;
    // oxlint-disable-next-line no-await-in-loop -- one entry after the other
    for await (const piece of await open(zip, entry)) {
      hash.update(piece as Buffer);
      seen += (piece as Buffer).length;
    }
    if (seen !== bytes || hash.digest('hex') !== sha256)
      throw damaged(say('server.backup.changed', { file: name }));
  }
}

/** Longest line, so that no row can fill the memory. */
const MAX_LINE = 20_000_000;

/** Passes text on, and stops at a line that is too long. */
function lineGuard(): Transform {
  let length = 0;
  return new Transform({
    transform(piece: Buffer, _encoding, done) {
      const last = piece.lastIndexOf(10);
      length = last < 0 ? length + piece.length : piece.length - last;
      done(length > MAX_LINE ? damaged(say('server.backup.longRow')) : null, piece);
    },
  });
}

/**
 * Opens an archive and checks all of it.
 *
 * @throws UnfitArchive with the sentence that says why
 */
export async function openArchive(file: string): Promise<Archive> {
  let zip: ZipFile;
  try {
    zip = await openPromise(file, { lazyEntries: true, autoClose: false, strictFileNames: true });
  } catch {
    throw foreign();
  }
  try {
    const entries = await entriesOf(zip);
    const told = entries.get(MANIFEST);
    if (!told) throw foreign();
    const read = await readManifest(zip, told);
    await check(zip, entries, read);
    return {
      manifest: read,
      async *rowsOf(table) {
        const entry = entries.get(`rows/${table}.jsonl`);
        if (!entry) return;
        const input = (await open(zip, entry)).pipe(lineGuard());
        for await (const line of createInterface({ input, crlfDelay: Infinity })) {
          let row: unknown;
          try {
            row = JSON.parse(line);
          } catch {
            throw damaged(say('server.backup.unreadableRow', { table }));
          }
          if (typeof row !== 'object' || row === null || Array.isArray(row)) throw damaged(say('server.backup.noRow', { table })); // prettier-ignore
          yield row as Record<string, unknown>;
        }
      },
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    if (error instanceof UnfitArchive) throw error;
    // What the zip reader says: names that climb, sizes that lie, a cut end.
    throw new UnfitArchive(damaged(say('server.backup.packed')).message, { cause: error });
  }
}
