import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { journeyServer } from '../scripts/lib/journeyServer.mjs';

const root = join(import.meta.dirname, '..');
const port = process.env['STEADY_E2E_PORT'] ?? '4390';
const { command, env } = journeyServer(port);
/** Whoever runs the journeys has started it. */
const isServed = process.env['STEADY_E2E_SERVED'] !== undefined;

// This file is read again by each worker; only the first reading starts from an empty data folder.
if (!process.env['TEST_WORKER_INDEX'] && !isServed) rmSync(env.STEADY_DATA, { recursive: true, force: true });

export default defineConfig({
  testDir: '.',
  outputDir: join(root, 'test-results'),
  workers: 2,
  fullyParallel: true,
  // A busy machine of two cores takes several times as long as an idle one; no test waits for the sake of waiting.
  timeout: 90_000,
  expect: { timeout: 12_000 },
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    // What grows or slides in is pressed where it stood a frame ago: journeys are of people who asked for no motion.
    contextOptions: { reducedMotion: 'reduce' },
    // It puts four megabytes by in each fresh browser: journeys that are about it let it in.
    serviceWorkers: 'block',
    locale: 'en-US',
    timezoneId: 'UTC',
    // A trace of each test costs a third of its time: STEADY_TRACE=1 asks for it.
    trace: process.env['STEADY_TRACE'] ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--disable-quic',
      ],
    },
  },
  webServer: {
    command: `node ${command.join(' ')}`,
    cwd: root,
    url: `http://localhost:${port}/api/health`,
    env,
    reuseExistingServer: isServed,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 15_000 },
    timeout: 120_000,
  },
});
