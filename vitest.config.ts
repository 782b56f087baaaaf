import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** What copies as a browser does (`structuredClone`): a copy belongs to the realm of the worker, which a context of its own is not. */
const CLONED = [
  'src/documents/useDocument.test.tsx',
  'src/bench/run/useLiveDocument.test.tsx',
  'src/ui/useShared.test.tsx',
];

/** Screens and hooks in jsdom. A context for each file is made in a tenth of the time of a process. */
const screens = (more: { name: string; include?: string[]; exclude?: string[]; pool?: 'vmThreads' }) => ({
  test: {
    root: 'web',
    include: ['src/**/*.test.tsx'],
    environment: 'jsdom',
    deps: {
      optimizer: {
        client: {
          enabled: true,
          include: ['@chakra-ui/react', '@tanstack/react-query', 'react-router'],
        },
      },
    },
    testTimeout: 30_000,
    setupFiles: ['src/testing/setup.ts'],
    ...more,
  },
});

export default defineConfig({
  test: {
    // By default one core is left idle.
    maxWorkers: availableParallelism(),
    projects: [
      // What is pure need not be loaded anew for each file.
      {
        test: {
          name: 'core',
          root: 'core',
          include: ['src/**/*.test.ts'],
          testTimeout: 30_000,
          isolate: false,
        },
      },
      { test: { name: 'words', root: 'words', include: ['src/**/*.test.ts'], isolate: false } },
      { test: { name: 'contract', root: 'contract', include: ['src/**/*.test.ts'], isolate: false } },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['src/**/*.test.ts'],
          globalSetup: ['src/testing/database.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
      },
      { test: { name: 'scripts', root: 'scripts', include: ['**/*.test.mjs'], testTimeout: 30_000 } },
      { test: { name: 'web', root: 'web', include: ['{src,serviceWorker,build}/**/*.test.ts'] } },
      screens({ name: 'screens', exclude: CLONED, pool: 'vmThreads' }),
      screens({ name: 'cloned', include: CLONED }),
    ],
  },
});
