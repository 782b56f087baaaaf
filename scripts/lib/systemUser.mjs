// Who serves: started by root, nothing that answers anybody stays root. The database and the web server run as a system user of
// their own, who owns the data folder and reads the program.
import { spawnSync } from 'node:child_process';
import { chmodSync, cpSync, existsSync, lchownSync, lstatSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs'; // prettier-ignore
import { createHash } from 'node:crypto';
import { dirname, join, resolve } from 'node:path';
import { say } from './say.mjs';

const NAME = 'steady-scatter';
/** Where data and program lie when the user cannot reach the place they were asked for. */
const HOMES = join('/var/lib', NAME);

/**
 * @typedef {object} SystemUser
 * @property {string} name
 * @property {number} uid
 * @property {number} gid
 */

/** @returns {SystemUser | null} */
function known() {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((each) => each.startsWith(`${NAME}:`));
  const [, , uid, gid] = line?.split(':') ?? [];
  return uid && gid ? { name: NAME, uid: Number(uid), gid: Number(gid) } : null;
}

/**
 * The system user that serves, made where it is missing; null where this is not root, and whoever started it serves.
 * @returns {SystemUser | null}
 */
export function systemUser() {
  if (process.getuid?.() !== 0) return null;
  const before = known();
  if (before) return before;
  const asked = ['--system', '--user-group', '--no-create-home', '--home-dir', HOMES, '--shell', '/usr/sbin/nologin', NAME]; // prettier-ignore
  const { stderr } = spawnSync('/usr/sbin/useradd', asked, { encoding: 'utf8' });
  const made = known();
  if (!made) throw new Error(`The system user ${NAME} cannot be made: ${stderr}`);
  return made;
}

/** @param {SystemUser} user @param {string} place true where the user may go into it and read it */
const reaches = ({ uid, gid }, place) =>
  spawnSync('/usr/bin/test', ['-r', place, '-a', '-x', place], { uid, gid }).status === 0;

/**
 * True where the user can reach a folder that will be his own.
 * @param {SystemUser} user
 * @param {string} folder one that is there, or will be made
 */
export function canReach(user, folder) {
  let nearest = dirname(resolve(folder));
  while (!existsSync(nearest)) nearest = dirname(nearest);
  return spawnSync('/usr/bin/test', ['-x', nearest], { uid: user.uid, gid: user.gid }).status === 0;
}

/** @param {SystemUser | null} user @param {string} place the place and all within, links never followed */
export function giveTo(user, place) {
  if (!user) return;
  const { uid, gid } = user;
  const found = lstatSync(place);
  if (found.uid !== uid || found.gid !== gid) lchownSync(place, uid, gid);
  if (found.isDirectory()) for (const name of readdirSync(place)) giveTo(user, join(place, name));
}

/** A place of its own for what lies elsewhere. @param {string} folder */
function homeFor(folder) {
  mkdirSync(HOMES, { recursive: true });
  // Whatever mask this was started with: the user has to go through it.
  chmodSync(HOMES, 0o755);
  return join(HOMES, createHash('sha256').update(resolve(folder)).digest('hex').slice(0, 12)); // prettier-ignore
}

/** @param {string} from @param {string} to whole or not at all */
function copyWhole(from, to) {
  const unfinished = `${to}.unfinished`;
  rmSync(unfinished, { recursive: true, force: true });
  mkdirSync(dirname(to), { recursive: true });
  cpSync(from, unfinished, { recursive: true, preserveTimestamps: true });
  renameSync(unfinished, to);
}

/**
 * The data folder that the user can reach: the asked one, else one of its own, with what was kept so far.
 * @param {string} asked
 * @param {SystemUser | null} user
 */
export function reachableData(asked, user) {
  if (!user || canReach(user, asked)) return asked;
  const home = homeFor(asked);
  if (!existsSync(home)) {
    if (existsSync(asked)) copyWhole(asked, home);
    else mkdirSync(home, { recursive: true, mode: 0o700 });
  }
  say(`The user ${user.name}, who serves here, cannot reach ${asked}; the data is in ${home}.`);
  return home;
}

/** @param {string} place the place and all within, to be read by everybody and changed by its owner alone */
function letRead(place) {
  const isFolder = lstatSync(place).isDirectory();
  chmodSync(place, isFolder ? 0o755 : 0o644);
  if (isFolder) for (const name of readdirSync(place)) letRead(join(place, name));
}

/**
 * The program where the user can read it: where it was built, else a copy.
 * @param {readonly string[]} built folders
 * @param {SystemUser | null} user
 * @returns {string[]}
 */
export function readablePrograms(built, user) {
  return built.map((folder) => {
    if (!user || reaches(user, folder)) return folder;
    const copy = join(homeFor(folder), 'program');
    rmSync(copy, { recursive: true, force: true });
    copyWhole(folder, copy);
    letRead(copy);
    return copy;
  });
}

/**
 * From here on this process is the user, for good.
 * @param {SystemUser | null} user
 */
export function become(user) {
  if (!user) return;
  process.setgroups?.([user.gid]);
  process.setgid?.(user.gid);
  process.setuid?.(user.uid);
}
