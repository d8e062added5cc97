import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startApplication } from '../../scripts/lib/application.mjs';
import { freePort, startPostgres } from '../../scripts/lib/postgres.mjs';

const SECRET = 'a secret of one bad day and of no other, 0123456789';

/** A database and an application of this story’s own, which may be killed without hurting another. */
export async function ownServer(env: Record<string, string> = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'sovet-away-'));
  const port = await freePort();
  let database = await startPostgres(folder, 'sovet_away', port);
  const logins = prepareDatabase(database.url, SECRET);
  const application = await startApplication({ port: await freePort(), secret: SECRET, logins, env });
  const postmaster = () =>
    Number(readFileSync(join(folder, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);
  const signal = (name: NodeJS.Signals) => {
    const server = postmaster();
    const children = readFileSync(`/proc/${server}/task/${server}/children`, 'utf8')
      .trim()
      .split(' ')
      .map(Number);
    for (const pid of [server, ...children]) process.kill(pid, name);
  };
  return {
    ...application,
    /** The server and every process of it, as in a power cut. */
    kill: () => signal('SIGKILL'),
    freeze: () => signal('SIGSTOP'),
    thaw: () => signal('SIGCONT'),
    back: async () => {
      database = await startPostgres(folder, 'sovet_away', port);
    },
    logins,
    secret: SECRET,
    end: async () => {
      await application.stop();
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
