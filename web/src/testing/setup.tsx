import 'fake-indexeddb/auto';
import './plainStyles.ts';
import type { CoverageRequest } from '@steady-scatter/core/coverage';
import { cleanup, configure } from '@testing-library/react';
import * as React from 'react';
import { afterAll, afterEach, vi } from 'vitest';

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
Element.prototype.scrollIntoView = () => undefined;
// No real server is asked: what a test answers not stays without an answer. Refused, it would count as a server that is silent, and hold
// back what is asked next.
vi.stubGlobal('fetch', () => new Promise(() => undefined));

// What leaves the app can be watched, and answered, everywhere. Modules are shared by all test files, so what stands in the place of one is
// made once; a file that puts something in a module's place by itself is given modules of its own, which costs a second.
const once = vi.hoisted(() => {
  const shared = globalThis as { inPlace?: Map<string, object> };
  const inPlace = (shared.inPlace ??= new Map());
  return async (module: string, make: () => Promise<object>): Promise<object> => {
    if (!inPlace.has(module)) inPlace.set(module, await make());
    return inPlace.get(module)!;
  };
});
vi.mock('../api/lazyCall.ts', (load) =>
  once('lazyCall', async () => {
    const real = await load<typeof import('../api/lazyCall.ts')>();
    return { ...real, call: vi.fn(real.call), callDocuments: vi.fn(real.callDocuments), callEvents: vi.fn(real.callEvents) }; // prettier-ignore
  }),
);
vi.mock('../ui/saveFile.ts', () => once('saveFile', async () => ({ saveFile: vi.fn() })));
vi.mock('../ui/saveXlsx.ts', (load) =>
  once('saveXlsx', async () => {
    const real = await load<typeof import('../ui/saveXlsx.ts')>();
    return { ...real, saveXlsx: vi.fn(real.saveXlsx) };
  }),
);
vi.mock('../print/pdf.ts', () => once('pdf', async () => ({ PRINT_FONT: 'Hyperlegible', PT_PER_MM: 72 / 25.4, pdfOf: vi.fn(async () => new Blob(['pdf'])) }))); // prettier-ignore
vi.mock('../bench/run/feedback.ts', () => once('feedback', async () => ({ signal: vi.fn() })));
// There are no workers here: what they would answer is worked out at once.
vi.mock('../load/useCoverage.ts', () =>
  once('coverage', async () => {
    const { simulateCoverage } = await import('@steady-scatter/core/coverage');
    const useCoverage = (request: CoverageRequest | null) => ({
      coverage: request && simulateCoverage({ ...request, cellM: 0.5 }),
      isFine: true,
      share: null,
      stop: () => undefined,
    });
    return { useCoverage };
  }),
);
// jsdom has nothing to draw on: a chart is what it draws.
vi.mock('react-chartjs-2', () =>
  once('chart', async () => {
    const Drawn = ({ 'aria-label': label, data }: { 'aria-label': string; data: object }) => (
      <div role="img" aria-label={label}>
        {JSON.stringify(data)}
      </div>
    );
    return { Bar: Drawn, Scatter: Drawn };
  }),
);

// What is waited for comes late where the machine is busy; nothing waits for the sake of waiting. What is not there yet is said without the
// whole page: to print it takes longer than to look.
configure({ asyncUtilTimeout: 8000, getElementError: (message) => new Error(message ?? undefined) });
afterEach(() => {
  cleanup();
  vi.resetAllMocks();
});
// React makes a stack trace for each element that it creates, in case it has to warn of it: an eighth of the time. So many a second are the
// most it makes.
const internals = (React as unknown as Record<string, object>)[
  '__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE'
]!;
Object.defineProperty(internals, 'recentlyCreatedOwnerStacks', {
  get: () => 1e4,
  set() {},
  configurable: true,
});
// A file leaves nothing behind for the next.
const [{ queries }, { freshDevice }] = await Promise.all([
  import('../api/queries.ts'),
  import('./device.ts'),
]);
const asBegun = queries.getDefaultOptions();
afterAll(async () => {
  queries.setDefaultOptions(asBegun);
  await freshDevice();
  document.body.replaceChildren();
});
