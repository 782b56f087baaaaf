import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', root: 'core', include: ['src/**/*.test.ts'], testTimeout: 30_000 } },
      { test: { name: 'contract', root: 'contract', include: ['src/**/*.test.ts'] } },
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
      { test: { name: 'web', root: 'web', include: ['src/**/*.test.ts'] } },
      {
        test: {
          name: 'screens',
          root: 'web',
          include: ['src/**/*.test.tsx'],
          environment: 'jsdom',
          testTimeout: 30_000,
          setupFiles: ['src/testing/setup.ts'],
        },
      },
    ],
  },
});
