// One plain progress line, with the seconds since the script began.
const began = performance.now();

// Whoever listened may be gone; that is no reason to end without ending well.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => {});

/** @param {string} text */
export function say(text) {
  const seconds = ((performance.now() - began) / 1000).toFixed(1).padStart(5);
  process.stdout.write(`${seconds} s  ${text}\n`);
}

/**
 * Ends the script with a sentence that says what to do.
 * @param {string} text
 * @returns {never}
 */
export function giveUp(text) {
  process.stderr.write(`\n${text}\n`);
  process.exit(1);
}

/** What a person can do about what the system says. */
const SENTENCES = {
  ENOSPC: (/** @type {string} */ folder) =>
    `The disk that ${folder} is on is full. Make room, and start again.`,
  EDQUOT: (/** @type {string} */ folder) => `There is no more room for you on the disk that ${folder} is on. Make room, and start again.`, // prettier-ignore
  EROFS: (/** @type {string} */ folder) => `${folder} can only be read. Choose a folder that can be written to, with STEADY_DATA.`, // prettier-ignore
  EACCES: (/** @type {string} */ folder) => `${folder} cannot be written to by you. Choose a folder of your own with STEADY_DATA.`, // prettier-ignore
  ENOENT: (/** @type {string} */ folder) => `${folder} cannot be made there. Choose another folder with STEADY_DATA.`, // prettier-ignore
  ENOTDIR: (/** @type {string} */ folder) => `${folder} is no folder. Choose another one with STEADY_DATA.`,
  EEXIST: (/** @type {string} */ folder) => `${folder} is no folder. Choose another one with STEADY_DATA.`,
};

/**
 * A failure as a sentence that says what to do, where that is known; else what was said.
 * @param {unknown} error
 * @param {string} folder the data folder
 */
export function sentenceOf(error, folder) {
  if (!(error instanceof Error)) return String(error);
  const code = 'syscall' in error && 'code' in error ? String(error.code) : '';
  return code in SENTENCES && !/listen/.test(String('syscall' in error ? error.syscall : ''))
    ? SENTENCES[/** @type {keyof typeof SENTENCES} */ (code)](folder)
    : error.message;
}
