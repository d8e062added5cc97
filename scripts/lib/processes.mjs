// What runs beside the server or before it, each in one file of plain JavaScript, so that a process starts without reading TypeScript.
import { join } from 'node:path';
import { build } from 'esbuild';

const ROOT = join(import.meta.dirname, '../..');
const SOURCES = {
  prepare: 'src/server/cli/prepare.ts',
  backup: 'src/server/cli/backup.ts',
  heavy: 'src/server/heavy/heavy-process.ts',
  preview: 'src/server/preview/preview-process.ts',
};

/** Writes `dist/processes/*.js`; packages stay where npm put them. */
export const buildProcesses = () =>
  build({
    absWorkingDir: ROOT,
    entryPoints: SOURCES,
    outdir: 'dist/processes',
    bundle: true,
    splitting: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
  });
