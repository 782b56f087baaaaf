// A small disk that is filled while it runs: each write is answered, reads go on, it ends when it is told to.
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startInstance } from '../lib/instance.mjs';
import { run, tryRun } from '../lib/run.mjs';
import { listOf, newId, newJob } from './jobs.mjs';
import { ms, note } from './table.mjs';

/** @param {{ folder: string, port: number }} how */
export async function soakFullDisk({ folder, port }) {
  const { code } = await tryRun('mount', ['-t', 'tmpfs', '-o', 'size=220m', 'tmpfs', folder]);
  if (code !== 0) {
    note('full disk', 'a small disk of its own', 'not tried: this user may not mount one', true);
    return;
  }
  const data = join(folder, 'data');
  const filler = join(folder, 'filler');
  try {
    const { address, child, ended, said } = await startInstance({ folder: data, port });
    const timed = async (/** @type {string} */ path, /** @type {RequestInit} */ init = {}) => {
      const began = performance.now();
      const { status } = await fetch(`${address}${path}`, { ...init, signal: AbortSignal.timeout(10_000) });
      return { status, time: performance.now() - began };
    };
    const write = () => timed(`/api/jobs/${newId()}`, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(newJob('Soak')) }); // prettier-ignore
    const before = await write();
    await tryRun('dd', ['if=/dev/zero', `of=${filler}`, 'bs=1M']);
    const answers = [await write(), await timed('/api/health'), await timed('/api/jobs')];
    const [full, health, read] = answers;
    rmSync(filler);
    const after = await write();
    await tryRun('dd', ['if=/dev/zero', `of=${filler}`, 'bs=1M']);
    const began = performance.now();
    child.kill('SIGTERM');
    const code = await ended;
    const seconds = (performance.now() - began) / 1000;
    const again = await startInstance({ folder: data, port });
    const sentence = again.said().includes('Make room, and start again');
    rmSync(filler);
    writeFileSync(filler, '');
    const last = await startInstance({ folder: data, port });
    const jobs = last.address ? (await listOf(last.address, 'jobs')).length : 0;
    last.child.kill('SIGTERM');
    await last.ended;
    note(
      'full disk',
      'a disk of 220 MB filled twice while it runs',
      `a write ${full?.status} in ${ms(full?.time ?? 0)}, health ${health?.status} in ${ms(health?.time ?? 0)}, a read ${read?.status}; with room again ${after.status}; TERM ended it in ${seconds.toFixed(1)} s; a start on it ${sentence ? 'gave its sentence' : 'gave none'}; ${jobs} jobs after`,
      before.status === 200 && full?.status === 507 && full.time < 3000 && health?.status === 200 && read?.status === 200 && after.status === 200 && code === 0 && seconds < 10 && sentence && jobs > 5 && !said().includes('    at '), // prettier-ignore
    );
  } finally {
    await run('umount', ['-l', folder]);
  }
}
