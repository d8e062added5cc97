import { setTimeout as wait } from 'node:timers/promises';
import { log } from '../http/log';
import { ensureJobs } from '../jobs/jobs';
import { probeDatabase } from './connection';

/** Names of the steps that this version was built with. */
const STEPS = Object.keys(import.meta.glob('/migrations/*.sql')).map((path) =>
  path.replace(/^.*\/(.+)\.sql$/, '$1'),
);

/** An answer is due by then, however the database hangs. */
const DUE_MS = 900;

/** Null when the application can work, else what is wrong in a sentence. */
export async function readiness(): Promise<string | null> {
  const asked = probeDatabase()
    .query<{ name: string }>('select name from public.kysely_migration')
    .then(
      ({ rows }) => {
        ensureJobs();
        const done = new Set(rows.map(({ name }) => name));
        const missing = STEPS.filter((step) => !done.has(step));
        return missing.length === 0
          ? null
          : `The database lacks ${missing.join(', ')}: run the start command once.`;
      },
      (error: unknown) => {
        log.warn({ err: error }, 'not ready');
        return 'The database does not answer.';
      },
    );
  return Promise.race([asked, wait(DUE_MS, 'The database does not answer.', { ref: false })]);
}
