// One plain progress line, with the seconds since the script began.
const began = performance.now();

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
