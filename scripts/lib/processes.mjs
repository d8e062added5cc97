// What runs beside the server or before it as plain JavaScript, so that a process starts without reading TypeScript.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { ROOT } from './packages.mjs';

/** Packages that are many small files of plain modules: what is used of them is brought along. */
const BROUGHT_ALONG = ['date-fns', 'kysely', 'zod'];

const { dependencies } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8'));
const external = Object.keys(dependencies).filter((name) => !BROUGHT_ALONG.includes(name));

/** Writes each into `dist/processes`, in the folder that it has in `src/server`; other packages stay where npm put them. */
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
    external,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
  });
