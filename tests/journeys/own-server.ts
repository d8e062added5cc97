import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startApplication } from '../../scripts/lib/application.mjs';
import { signalPostgres } from '../../scripts/lib/kill.mjs';
import { freePort, startPostgres } from '../../scripts/lib/postgres.mjs';

const SECRET = 'a secret of one bad day and of no other, 0123456789';

/** A database and an application of this story’s own, which may be killed without hurting another. */
export async function ownServer(env: Record<string, string> = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'sovet-away-'));
  const port = await freePort();
  let database = await startPostgres(folder, 'sovet_away', port);
  const logins = prepareDatabase(database.url, SECRET);
  const application = await startApplication({ port: await freePort(), secret: SECRET, logins, env });
  return {
    ...application,
    /** The server and every process of it, as in a power cut. */
    kill: () => signalPostgres(folder, 'SIGKILL'),
    freeze: () => signalPostgres(folder, 'SIGSTOP'),
    thaw: () => signalPostgres(folder, 'SIGCONT'),
    back: async () => {
      database = await startPostgres(folder, 'sovet_away', port);
    },
    logins,
    databaseUrl: database.url,
    secret: SECRET,
    end: async () => {
      await application.stop();
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
