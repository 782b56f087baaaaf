import { beforeEach, expect, it, vi } from 'vitest';
import { connectionStore } from './api/connection.ts';
import { startServiceWorker, takeUpdate } from './serviceWorker.ts';

const workbox = vi.hoisted(() => ({
  register: vi.fn<() => Promise<unknown>>(),
  heard: new Map<string, () => void>(),
}));
vi.mock('workbox-window', () => ({
  Workbox: class {
    register = workbox.register;
    addEventListener(name: string, act: () => void) {
      workbox.heard.set(name, act);
    }
  },
}));

/** What the browser has of service workers. */
const has = (container: object | undefined) =>
  Object.defineProperty(navigator, 'serviceWorker', { configurable: true, value: container });

beforeEach(() => {
  vi.stubEnv('DEV', false);
  has({});
  return () => {
    vi.unstubAllEnvs();
    Reflect.deleteProperty(navigator, 'serviceWorker');
  };
});

it('has files put by where the browser does that', async () => {
  workbox.register.mockResolvedValue({});
  expect(await startServiceWorker()).toBe(true);
});

it.each([
  ['it has nothing for it', () => void Reflect.deleteProperty(navigator, 'serviceWorker')],
  ['it refuses', () => workbox.register.mockRejectedValue(new Error('Not allowed.'))],
  ['it takes it and does nothing', () => workbox.register.mockResolvedValue(undefined)],
])('says that none are where %s', async (_, browser) => {
  browser();
  expect(await startServiceWorker()).toBe(false);
});

it('tells of a newer version once it waits', async () => {
  workbox.register.mockResolvedValue({});
  await startServiceWorker();
  expect(connectionStore.get().updated).toBe(false);
  workbox.heard.get('waiting')!();
  expect(connectionStore.get().updated).toBe(true);
});

it('has the newer version take over when somebody says so', async () => {
  const next = { addEventListener: vi.fn(), postMessage: vi.fn() };
  has({ getRegistration: async () => ({ waiting: next }) });
  await takeUpdate();
  expect(next.postMessage).toHaveBeenCalledWith({ type: 'SKIP_WAITING' });
  expect(next.addEventListener).toHaveBeenCalledWith('statechange', expect.any(Function));
});
