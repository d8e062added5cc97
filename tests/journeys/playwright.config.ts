import { defineConfig } from '@playwright/test';
import { executablePath, PLAIN } from './browser';
import { WORKERS } from './server';

/** What takes longest begins first: at the end no worker waits for the other. */
const LONG =
  /(every-device|bad-files|pages|visit-steps|whole-visit|from-nothing|database-away|records-and-seats|guesses)\.spec\.ts$/;

export default defineConfig({
  testDir: '.',
  globalTeardown: './end-applications.ts',
  workers: WORKERS,
  projects: [
    { name: 'applications', testMatch: 'applications.setup.ts' },
    { name: 'long', testMatch: LONG, dependencies: ['applications'] },
    { name: 'others', testIgnore: LONG, dependencies: ['applications'] },
  ],
  retries: 0,
  // Limits for what hangs, not measures of speed: a busy machine is several times slower than a quiet one.
  timeout: 600_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json']],
  outputDir: '../../test-results',
  preserveOutput: 'failures-only',
  use: {
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath, args: PLAIN },
  },
});
