// Child processes: run to the end, with what they said when they fail.
import { spawn } from 'node:child_process';

/**
 * @typedef {object} RunOptions
 * @property {string} [cwd]
 * @property {NodeJS.ProcessEnv} [env]
 * @property {string} [input] text for standard input
 * @property {boolean} [show] pass output through instead of keeping it
 * @property {number} [uid] the user to run it as
 * @property {number} [gid]
 */

/**
 * Runs a command and answers its exit code and output; never throws for a failing command.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {RunOptions} [options]
 * @returns {Promise<{ code: number, output: string }>}
 */
export function tryRun(command, args, { env, input, show = false, ...how } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      ...how,
      env: env ?? process.env,
      stdio: [input === undefined ? 'ignore' : 'pipe', show ? 'inherit' : 'pipe', show ? 'inherit' : 'pipe'],
    });
    let output = '';
    child.stdout?.on('data', (chunk) => (output += chunk));
    child.stderr?.on('data', (chunk) => (output += chunk));
    child.on('error', (error) => resolve({ code: 127, output: error.message }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
    if (input !== undefined) child.stdin?.end(input);
  });
}

/**
 * Runs a command and answers its output; a failing command throws with all it said.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {RunOptions} [options]
 */
export async function run(command, args, options) {
  const { code, output } = await tryRun(command, args, options);
  if (code !== 0) throw new Error(`${command} ${args.join(' ')} ended with ${code}:\n${output}`);
  return output;
}
