import { authDatabase } from '../database/connection';
import { slowest } from '../http/slow-requests';
import { JOB_NAMES, JOB_WORDS, JOBS_SCHEMA } from '../jobs/jobs';

/** How the application and its database are, for a lead who runs them without a shell. */
export interface Operations {
  database: { version: string; megabytes: number; connections: number };
  schema: string;
  backup: { at: Date; what: string } | null;
  mail: { waiting: number; failed: number };
  jobs: { does: string; lastDone: Date | null; waiting: number; failed: number }[];
  process: { node: string; upHours: number; megabytes: number };
  slow: { what: string; ms: number; at: Date }[];
}

/** Reads it all in a few short queries. */
export async function readOperations(): Promise<Operations> {
  const one = async <T extends object>(sql: string, values: unknown[] = []): Promise<T | undefined> =>
    (await authDatabase().query<T>(sql, values)).rows[0];
  const database = await one<{ version: string; bytes: string; connections: number }>(
    `select current_setting('server_version') as version, pg_database_size(current_database())::text as bytes,
       (select count(*)::int from pg_stat_activity where datname = current_database()) as connections`,
  );
  const backup = await one<{ at: Date; what: string }>(
    `select at, what from public.operations_note where kind = 'backup' order by at desc limit 1`,
  );
  const mail = await one<{ waiting: number; failed: number }>(
    `select count(*) filter (where state = 'waiting')::int as waiting, count(*) filter (where state = 'failed')::int as failed
     from public.mail`,
  );
  const { rows: jobs } = await authDatabase().query<{
    name: string;
    done: Date | null;
    waiting: number;
    failed: number;
  }>(
    `select name, max(completed_on) as done, count(*) filter (where state in ('created', 'retry', 'active'))::int as waiting,
       count(*) filter (where state = 'failed')::int as failed
     from ${JOBS_SCHEMA}.job where name = any($1) group by name`,
    [JOB_NAMES],
  );
  const schema = await one<{ name: string }>('select max(name) as name from public.kysely_migration');
  return {
    database: {
      version: database?.version ?? '',
      megabytes: Math.round(Number(database?.bytes ?? 0) / 1e6),
      connections: database?.connections ?? 0,
    },
    schema: schema?.name ?? '',
    backup: backup ?? null,
    mail: mail ?? { waiting: 0, failed: 0 },
    jobs: JOB_NAMES.map((name) => {
      const found = jobs.find((job) => job.name === name);
      return {
        does: JOB_WORDS[name],
        lastDone: found?.done ?? null,
        waiting: found?.waiting ?? 0,
        failed: found?.failed ?? 0,
      };
    }),
    process: {
      node: process.version,
      upHours: Math.round(process.uptime() / 360) / 10,
      megabytes: Math.round(process.memoryUsage.rss() / 1e6),
    },
    slow: slowest(),
  };
}
