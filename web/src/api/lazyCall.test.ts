import { beforeEach, expect, it, vi } from 'vitest';
import { connectionStore, noteAnswer } from './connection.ts';
import { Renewed, Unreachable } from './errors.ts';
import { loadPart } from './lazyCall.ts';

const gone = () => Promise.reject(new TypeError('Failed to fetch dynamically imported module'));
const health = vi.fn<() => Promise<{ ok: boolean }>>();

beforeEach(() => {
  vi.stubGlobal('fetch', health.mockReset());
  noteAnswer(null, Date.now());
  return () => vi.unstubAllGlobals();
});

it('a part that comes is given as it is, and nobody is asked', async () => {
  expect(await loadPart(async () => 'part')).toBe('part');
  expect(health).not.toHaveBeenCalled();
});

it('a part that does not come while the server is silent is missed for want of a network', async () => {
  health.mockRejectedValue(new TypeError('Failed to fetch'));
  await expect(loadPart(gone)).rejects.toBeInstanceOf(Unreachable);
  expect(connectionStore.get()).toMatchObject({ reachable: false, updated: false });
});

it('a part that does not come while the server answers was replaced: a newer version is told of', async () => {
  health.mockResolvedValue({ ok: true });
  await expect(loadPart(gone)).rejects.toBeInstanceOf(Renewed);
  expect(connectionStore.get()).toMatchObject({ reachable: true, updated: true });
});
