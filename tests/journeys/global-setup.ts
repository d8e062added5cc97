import { prepareDatabase } from '../../scripts/lib/application.mjs';
import { freePort } from '../../scripts/lib/postgres.mjs';
import { beside, copyDatabase } from './databases';
import { PRISTINE, remember, running, startServer, WORKERS } from './server';

const SECRET = 'a secret that only the browser tests know, long enough';

/** For each worker a database with the demo clinic, copied from one that nobody changes, and the built application on a free port. */
export default async function globalSetup(): Promise<() => void> {
  const first = process.env.SOVET_TEST_DATABASE_URL ?? '';
  const workers = Array.from({ length: WORKERS }, (_, worker) => worker);
  const logins = prepareDatabase(first, SECRET);
  await copyDatabase(first, PRISTINE);
  for (const worker of workers) {
    const databaseUrl = worker === 0 ? first : beside(first, String(worker));
    if (worker > 0) await copyDatabase(PRISTINE, databaseUrl);
    remember(
      {
        port: await freePort(),
        secret: SECRET,
        logins: worker === 0 ? logins : prepareDatabase(databaseUrl, SECRET),
        databaseUrl,
        pid: 0,
      },
      worker,
    );
  }
  await Promise.all(workers.map(startServer));
  return () => {
    for (const worker of workers) process.kill(running(worker).pid, 'SIGTERM');
  };
}
