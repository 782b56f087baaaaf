import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

const root = join(import.meta.dirname, '..');
const port = process.env['STEADY_E2E_PORT'] ?? '4390';
// Where the user that serves can reach it, wherever the project lies.
const data = join(tmpdir(), `steady-e2e-${port}`);

// This file is read again by each worker; only the first reading starts from an empty data folder.
if (!process.env['TEST_WORKER_INDEX']) rmSync(data, { recursive: true, force: true });

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
    command: 'node scripts/start.mjs',
    cwd: root,
    url: `http://localhost:${port}/api/health`,
    // With an address it serves HTTPS too, on the port after it. All journeys come from one address: together they ask more than one
    // device may.
    env: { STEADY_DATA: data, PORT: port, HOST: '127.0.0.1', REQUESTS_PER_MINUTE: '1000000' },
    gracefulShutdown: { signal: 'SIGTERM', timeout: 15_000 },
    timeout: 120_000,
  },
});
