import { type ChildProcess, fork } from 'node:child_process';
import { join } from 'node:path';

/** Where each has its source. The build writes one file of plain JavaScript for each (`scripts/lib/processes.mjs`). */
const SOURCES = {
  heavy: 'src/server/heavy/heavy-process.ts',
  preview: 'src/server/preview/preview-process.ts',
};

/** A process beside the server: as the build left it, or its own source while somebody develops or tests it. */
export function processBeside(name: keyof typeof SOURCES): ChildProcess {
  const built = process.env.NODE_ENV === 'production';
  return fork(join(process.cwd(), built ? `dist/processes/${name}.js` : SOURCES[name]), {
    execArgv: built ? [] : ['--import', 'tsx'],
    serialization: 'advanced',
  });
}
