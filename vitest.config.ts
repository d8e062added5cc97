import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: {
    alias: {
      '@tests': fileURLToPath(new URL('./tests', import.meta.url)),
      '@': fileURLToPath(new URL('./src', import.meta.url)),
    },
  },
  test: {
    // A worker for each core: the runner's own share of the work is small.
    maxWorkers: '100%',
    projects: [
      {
        extends: true,
        // The core keeps no state, so that its modules are read once for all files of a worker.
        test: { name: 'unit', include: ['src/**/*.test.ts'], testTimeout: 30_000, isolate: false },
      },
      {
        extends: true,
        test: {
          name: 'component',
          include: ['src/**/*.test.tsx'],
          environment: 'happy-dom',
          isolate: false,
          setupFiles: [
            'tests/fixtures/fresh-page.ts',
            'tests/fixtures/react-commits.ts',
            'tests/fixtures/patience.ts',
          ],
          testTimeout: 30_000,
        },
      },
      {
        extends: true,
        test: {
          name: 'integration',
          include: ['tests/integration/**/*.test.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
          // Each file has a database of its own, and ends its connections with it.
          isolate: false,
        },
      },
    ],
  },
});
