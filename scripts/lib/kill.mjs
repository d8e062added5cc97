// Ends a database or an application as a power cut does.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Sends a signal to a PostgreSQL server that `startPostgres` started in a folder, and to every process of it. */
export function signalPostgres(folder, signal) {
  const server = Number(readFileSync(join(folder, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);
  const children = readFileSync(`/proc/${server}/task/${server}/children`, 'utf8')
    .trim()
    .split(' ')
    .filter(Boolean)
    .map(Number);
  for (const pid of [server, ...children]) process.kill(pid, signal);
}
