import { prepareDatabase } from '../../scripts/lib/application.mjs';
import { freePort } from '../../scripts/lib/postgres.mjs';
import { remember, running, startServer } from './server';

const SECRET = 'a secret that only the browser tests know, long enough';

/** A database with the demo clinic and the built application on a free port. */
export default async function globalSetup(): Promise<() => void> {
  const owner = new URL(process.env.SOVET_TEST_DATABASE_URL ?? '');
  const logins = prepareDatabase(owner.toString(), SECRET);
  remember({ port: await freePort(), secret: SECRET, logins, pid: 0 });
  await startServer();
  return () => process.kill(running().pid, 'SIGTERM');
}
