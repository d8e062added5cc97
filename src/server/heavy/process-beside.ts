import { type ChildProcess, fork } from 'node:child_process';
import { join } from 'node:path';

/**
 * A process beside the server: as the build left it (`scripts/lib/processes.mjs`), or its own source while somebody develops or
 * tests it.
 *
 * @param name of its source in `src/server`
 */
export function processBeside(name: 'heavy/heavy-process' | 'preview/preview-process'): ChildProcess {
  const built = process.env.NODE_ENV === 'production';
  return fork(join(process.cwd(), built ? `dist/processes/${name}.js` : `src/server/${name}.ts`), {
    execArgv: built ? [] : ['--import', 'tsx'],
    serialization: 'advanced',
  });
}
