import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** What takes longest begins first among its kind: at the end no worker waits for the other. */
const LONG = /\/(properties|learn-life|preparing|sheet-pdf|own-page)\.test\.ts$/;

/** One kind of test after the other: a worker that goes on with its kind keeps the modules that it has read. */
class KindByKind extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const kinds = this.ctx.projects.map(({ name }) => name);
    const place = ({ project, moduleId }: TestSpecification) =>
      2 * kinds.indexOf(project.name) + (LONG.test(moduleId) ? 0 : 1);
    return (await super.sort(files)).toSorted((a, b) => place(a) - place(b));
  }
}

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
    sequence: { sequencer: KindByKind },
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
