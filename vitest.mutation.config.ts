import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** The unit tests of the folders whose code is mutated (npm run mutation). */
export default defineConfig({
  resolve: {
    alias: {
      '@tests': fileURLToPath(new URL('./tests', import.meta.url)),
      '@': fileURLToPath(new URL('./src', import.meta.url)),
    },
  },
  test: {
    include: ['src/core/{prescribe,sizing,fitting,wear,match,aftercare}/**/*.test.ts'],
    testTimeout: 60_000,
  },
});
