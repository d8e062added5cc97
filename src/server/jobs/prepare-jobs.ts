import pg from 'pg';
import PgBoss from 'pg-boss';
import { JOB_NAMES, JOBS_SCHEMA } from './jobs';

/** Makes the tables of scheduled work as their owner, and lets the sign-in role use them: the application creates none. */
export async function prepareJobs(ownerUrl: string): Promise<void> {
  const boss = new PgBoss({
    connectionString: ownerUrl,
    schema: JOBS_SCHEMA,
    max: 1,
    supervise: false,
    schedule: false,
  });
  await boss.start();
  for (const name of JOB_NAMES)
    await boss.createQueue(name, { name, policy: 'short', retryLimit: 3, retryBackoff: true });
  await boss.stop({ graceful: false });
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await client.query(`grant usage on schema ${JOBS_SCHEMA} to sovet_auth`);
    await client.query(
      `grant select, insert, update, delete on all tables in schema ${JOBS_SCHEMA} to sovet_auth`,
    );
    await client.query(`grant execute on all functions in schema ${JOBS_SCHEMA} to sovet_auth`);
  } finally {
    await client.end();
  }
}
