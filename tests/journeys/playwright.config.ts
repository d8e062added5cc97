import { defineConfig } from '@playwright/test';
import { executablePath, PLAIN } from './browser';

export default defineConfig({
  testDir: '.',
  globalSetup: './global-setup.ts',
  workers: 1,
  retries: 0,
  timeout: 60_000,
  expect: { timeout: 8_000 },
  reporter: [['list'], ['json']],
  outputDir: '../../test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath, args: PLAIN },
  },
});
