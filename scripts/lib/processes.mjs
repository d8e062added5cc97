// What runs beside the server or before it, each in one file of plain JavaScript, so that a process starts without reading TypeScript.
import { join } from 'node:path';
import { build } from 'esbuild';

const ROOT = join(import.meta.dirname, '../..');

/** Writes `dist/processes/*.js` for each, in the folder that it has in `src/server`; packages stay where npm put them. */
export const buildProcesses = () =>
  build({
    absWorkingDir: ROOT,
    entryPoints: ['cli/prepare', 'cli/backup', 'heavy/heavy-process', 'preview/preview-process'].map(
      (name) => `src/server/${name}.ts`,
    ),
    outbase: 'src/server',
    outdir: 'dist/processes',
    bundle: true,
    splitting: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
  });
