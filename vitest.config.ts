import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

const WEB = join(import.meta.dirname, 'web');
/** Tests that put something in a module’s place by themselves: their modules are their own. */
const APART = readdirSync(join(WEB, 'src'), { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.test\.tsx?$/.test(file))
  .map((file) => join('src', file))
  .filter((file) => /^vi\.mock\(/m.test(readFileSync(join(WEB, file), 'utf8')));
const [APART_SCREENS, APART_WEB] = ['.tsx', '.ts'].map((end) =>
  APART.filter((file) => file.endsWith(end)),
) as [string[], string[]];

/** Screens and hooks in jsdom. What they are made of is loaded once: anew for each file it takes longer than the tests. */
const screens = (more: {
  name: string;
  include?: string[];
  exclude?: string[];
  pool?: 'vmThreads' | 'forks';
  isolate?: false;
}) => ({
  test: {
    root: 'web',
    include: ['src/**/*.test.tsx'],
    environment: 'jsdom',
    deps: {
      optimizer: {
        client: {
          enabled: true,
          include: [
            '@chakra-ui/react',
            '@emotion/cache',
            '@emotion/react',
            '@tanstack/react-query',
            'react-router',
          ],
        },
      },
    },
    testTimeout: 30_000,
    setupFiles: ['src/testing/setup.tsx'],
    ...more,
  },
});

export default defineConfig({
  test: {
    // By default one core is left idle. One more than there are cores: much of a test is waiting for what comes in a moment.
    maxWorkers: availableParallelism() + 1,
    projects: [
      // What needs neither a page nor a database: loaded once in each worker.
      {
        test: {
          name: 'plain',
          include: ['{core,words,contract}/src/**/*.test.ts', 'web/{src,serviceWorker,build}/**/*.test.ts'],
          exclude: APART_WEB.map((file) => join('web', file)),
          testTimeout: 30_000,
          isolate: false,
        },
      },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['src/**/*.test.ts'],
          globalSetup: ['src/testing/database.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
          isolate: false,
        },
      },
      { test: { name: 'scripts', root: 'scripts', include: ['**/*.test.mjs'], testTimeout: 30_000 } },
      { test: { name: 'web apart', root: 'web', include: APART_WEB } },
      screens({ name: 'screens', exclude: APART_SCREENS, pool: 'forks', isolate: false }),
      // A context for each file is made in a tenth of the time of a process.
      screens({ name: 'apart', include: APART_SCREENS, pool: 'vmThreads' }),
    ],
  },
});
