// npm run backup -- FILE, npm run restore -- FILE: on DATABASE_URL, or on the database of the data folder.
import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { ensureBuilt, ensureNpmPackages, ROOT } from './lib/packages.mjs';
import { dataFolder, ensurePrograms, secretIn, startPostgres } from './lib/postgres.mjs';

const [what, file] = process.argv.slice(2);
if (!file) {
  console.error(`Say which file: npm run ${what} -- FILE`);
  process.exit(1);
}
let database;
let status = 1;
try {
  ensureNpmPackages();
  await ensureBuilt();
  const folder = dataFolder();
  if (!process.env.DATABASE_URL) database = await startPostgres(folder);
  ({ status } = spawnSync(
    process.execPath,
    ['dist/processes/cli/backup.js', what, resolve(process.env.INIT_CWD ?? '.', file)],
    {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: {
        ...process.env,
        SOVET_OWNER_DATABASE_URL: process.env.DATABASE_URL ?? database.url,
        SOVET_SECRET: secretIn(folder),
        SOVET_PG_BIN: ensurePrograms(),
      },
    },
  ));
} catch (error) {
  console.error(error.message);
} finally {
  await database?.stop();
}
process.exit(status ?? 1);
