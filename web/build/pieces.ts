/** What a build tells of a chunk. */
export interface BuiltChunk {
  readonly fileName: string;
  readonly isEntry: boolean;
  readonly isDynamicEntry: boolean;
  /** Files that it imports at once. */
  readonly imports: readonly string[];
  readonly moduleIds: readonly string[];
}

/** Shared by as many parts as this, it is worth a request of its own no more. */
const SHARED_BY = { many: 12, some: 4 };

/** Too heavy to come with anything that does not ask for it. */
const HEAVY = /node_modules\/(clipper2-ts|konva|react-konva|pdfmake|chart\.js|ical\.js)\//;

/** The files that come with one, itself among them. */
function closureOf(start: string, byFile: ReadonlyMap<string, BuiltChunk>): ReadonlySet<string> {
  const found = new Set<string>();
  const open = [start];
  for (let file = open.pop(); file !== undefined; file = open.pop()) {
    if (found.has(file)) continue;
    found.add(file);
    open.push(...(byFile.get(file)?.imports ?? []).filter((each) => byFile.has(each)));
  }
  return found;
}

/**
 * Which piece each module goes into, from a build that was cut by itself: that makes a file of whatever two parts share, a hundred of
 * them for a screen, and each is a request. What the page starts from is one piece; what it asks for right after (`next`) another; what
 * many parts share, and what some share, one each. Whoever imports a module is in its piece or in a later one, so no two pieces need
 * each other. Modules that are not named stay as they were cut.
 *
 * @param chunks of the first build
 * @param next modules that are loaded as soon as the first piece runs, by the end of their names
 */
export function piecesOf(
  chunks: readonly BuiltChunk[],
  next: readonly string[],
): ReadonlyMap<string, string> {
  const byFile = new Map(chunks.map((chunk) => [chunk.fileName, chunk]));
  const isNext = ({ moduleIds }: BuiltChunk) =>
    moduleIds.some((id) => next.some((name) => id.endsWith(name)));
  // What is asked for by itself and needed by a part, too, is no part by itself for the bundler.
  const parts = chunks.filter((chunk) => chunk.isEntry || chunk.isDynamicEntry || isNext(chunk));
  const reached = new Map<string, BuiltChunk[]>();
  for (const part of parts)
    for (const file of closureOf(part.fileName, byFile))
      reached.set(file, [...(reached.get(file) ?? []), part]);
  const pieceOf = (by: readonly BuiltChunk[]): string | null =>
    by.some(({ isEntry }) => isEntry) ? 'first'
    : by.some(isNext) ? 'next'
    : by.length >= SHARED_BY.many ? 'many'
    : by.length >= SHARED_BY.some ? 'some'
    : null; // prettier-ignore
  const pieceOfFile = new Map(chunks.map(({ fileName }) => [fileName, pieceOf(reached.get(fileName) ?? [])]));
  /** Every page has it, whatever it asks for. */
  const isOnEveryPage = (file: string) => ['first', 'next'].includes(pieceOfFile.get(file) ?? '');
  const bringsHeavy = (fileName: string) =>
    [...closureOf(fileName, byFile)].some(
      (file) => !isOnEveryPage(file) && byFile.get(file)?.moduleIds.some((id) => HEAVY.test(id)),
    );
  const pieces = new Map<string, string>();
  for (const { fileName, moduleIds } of chunks) {
    const piece = pieceOfFile.get(fileName);
    if (piece && !bringsHeavy(fileName)) for (const id of moduleIds) pieces.set(id, piece);
  }
  return pieces;
}
