import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

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
      { test: { name: 'scripts', root: 'scripts', include: ['**/*.test.mjs'] } },
      { test: { name: 'web', root: 'web', include: ['{src,serviceWorker}/**/*.test.ts'] } },
      {
        test: {
          name: 'screens',
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
        },
      },
    ],
  },
});
