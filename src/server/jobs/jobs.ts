import PgBoss from 'pg-boss';
import { keysOf } from '@/core/tables/keys-of';
import { authDatabase } from '../database/connection';
import { log } from '../http/log';
import { sendWaitingMail } from '../mail/send';

/** What is done without anybody asking, and how often (cron). */
const JOBS = {
  outbox: { every: '* * * * *', work: sendWaitingMail },
  seal: { every: '*/10 * * * *', work: sealTrails },
} as const satisfies Record<string, { every: string; work: () => Promise<unknown> }>;
export const JOB_NAMES = keysOf(JOBS);

/** Seals each clinic's trail as far as nobody can still be writing it. */
export async function sealTrails(): Promise<void> {
  const { rows } = await authDatabase().query<{ clinic_id: string }>('select clinic_id from public.clinic');
  for (const { clinic_id } of rows) await authDatabase().query('select public.seal_audit($1)', [clinic_id]);
}

export const JOBS_SCHEMA = 'pgboss';

let boss: Promise<PgBoss> | null = null;

async function start(): Promise<PgBoss> {
  const started = new PgBoss({
    connectionString: process.env.SOVET_AUTH_DATABASE_URL ?? '',
    schema: JOBS_SCHEMA,
    migrate: false,
    max: 2,
  });
  started.on('error', (error) => log.warn({ err: error }, 'scheduled work'));
  await started.start();
  for (const name of JOB_NAMES) {
    const { every, work } = JOBS[name];
    await started.work(name, { pollingIntervalSeconds: 2 }, async () => void (await work()));
    await started.schedule(name, every);
  }
  return started;
}

/** Begins scheduled work in this copy of the application; several copies share it. Called once the database answers. */
export function ensureJobs(): void {
  boss ??= start().catch((error) => {
    log.warn({ err: error }, 'scheduled work could not begin; it is tried again');
    boss = null;
    throw error;
  });
  boss.catch(() => null);
}

/** Asks for the outbox to be looked at now and not within the minute. */
export function nudgeOutbox(): void {
  ensureJobs();
  void boss
    ?.then((running) => running.send('outbox', {}, { startAfter: 1, singletonKey: 'soon' }))
    .catch(() => null);
}
