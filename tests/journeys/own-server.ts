import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startApplication } from '../../scripts/lib/application.mjs';
import { signalPostgres } from '../../scripts/lib/kill.mjs';
import { freePort, startPostgres } from '../../scripts/lib/postgres.mjs';
import { beside, copyDatabase, dropDatabase } from './databases';
import { PRISTINE } from './server';

const SECRET = 'a secret of one bad day and of no other, 0123456789';

async function applicationOn(databaseUrl: string, env: Record<string, string>) {
  const logins = prepareDatabase(databaseUrl, SECRET);
  const application = await startApplication({ port: await freePort(), secret: SECRET, logins, env });
  return { ...application, logins, databaseUrl, secret: SECRET };
}

/** A database with the demo and an application of this story’s own, on the server of all stories. */
export async function ownApplication(env: Record<string, string> = {}) {
  const databaseUrl = beside(PRISTINE, randomUUID().slice(0, 8));
  await copyDatabase(PRISTINE, databaseUrl);
  const application = await applicationOn(databaseUrl, env);
  return {
    ...application,
    end: async () => {
      await application.stop();
      await dropDatabase(databaseUrl);
    },
  };
}

/** A database server and an application of this story’s own, which may be killed without hurting another. */
export async function ownServer() {
  const folder = mkdtempSync(join(tmpdir(), 'sovet-away-'));
  const port = await freePort();
  let database = await startPostgres(folder, 'sovet_away', port);
  const application = await applicationOn(database.url, {});
  return {
    ...application,
    /** The server and every process of it, as in a power cut. */
    kill: () => signalPostgres(folder, 'SIGKILL'),
    freeze: () => signalPostgres(folder, 'SIGSTOP'),
    thaw: () => signalPostgres(folder, 'SIGCONT'),
    back: async () => {
      database = await startPostgres(folder, 'sovet_away', port);
    },
    end: async () => {
      await application.stop();
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
