// The one table that all soaks print into.
/** @typedef {{ what: string, tried: string, found: string, well: boolean }} Line */

/** @type {Line[]} */
const lines = [];

/**
 * @param {string} what
 * @param {string} tried
 * @param {string} found
 * @param {boolean} well
 */
export function note(what, tried, found, well) {
  lines.push({ what, tried, found, well });
  process.stdout.write(`${well ? 'well ' : 'WRONG'}  ${what}: ${tried}; ${found}\n`);
}

/** Prints the table as it stands in docs/method.md, and answers whether all was well. */
export function printTable() {
  const rows = [['', 'tried', 'found', ''], ...lines.map(({ what, tried, found, well }) => [what, tried, found, well ? 'well' : '**wrong**'])]; // prettier-ignore
  const [head = [], ...rest] = rows.map((row) => `| ${row.join(' | ')} |`);
  process.stdout.write(`\n${[head, '| --- | --- | --- | --- |', ...rest].join('\n')}\n`);
  return lines.every(({ well }) => well);
}

/** Numbers from 0 to 1 that are the same for the same seed. @param {number} seed */
export function numbersFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** @param {number[]} times @param {number} share */
export const quantile = (times, share) => times.toSorted((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? 0; // prettier-ignore

export const ms = (/** @type {number} */ time) => `${time.toFixed(time < 10 ? 1 : 0)} ms`;
