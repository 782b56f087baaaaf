// Asks for health ten times a second from a thread of its own, so that whoever loads the server does not slow the asking.
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';

/**
 * @param {string} address
 * @returns {() => Promise<{ times: number[], failures: number }>} ends the asking, and tells how long each answer took, ms
 */
export function watchHealth(address) {
  const worker = new Worker(new URL(import.meta.url), { workerData: address });
  return () =>
    new Promise((resolve) => {
      worker.once('message', (found) => {
        void worker.terminate();
        resolve(found);
      });
      worker.postMessage('end', []);
    });
}

if (!isMainThread) {
  /** @type {number[]} */
  const times = [];
  let failures = 0;
  const ask = async () => {
    const began = performance.now();
    try {
      const { ok } = await fetch(`${workerData}/api/health`);
      if (!ok) failures += 1;
      times.push(performance.now() - began);
    } catch {
      failures += 1;
    }
  };
  const timer = setInterval(() => void ask(), 100);
  parentPort?.on('message', () => {
    clearInterval(timer);
    parentPort?.postMessage({ times, failures }, []);
  });
}
