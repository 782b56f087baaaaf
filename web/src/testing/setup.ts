import 'fake-indexeddb/auto';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, vi } from 'vitest';

// What a browser has and jsdom does not.
vi.stubGlobal('matchMedia', () => ({
  matches: false,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
}));
vi.stubGlobal(
  'ResizeObserver',
  class {
    observe() {}
    unobserve() {}
    disconnect() {}
  },
);
// No real server is asked: what a test answers not stays without an answer. Refused, it would count as a server that is silent, and hold
// back what is asked next.
vi.stubGlobal('fetch', () => new Promise(() => undefined));
// What is waited for comes late where the machine is busy; nothing waits for the sake of waiting.
configure({ asyncUtilTimeout: 8000 });
afterEach(cleanup);
