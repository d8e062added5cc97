import PgBoss from 'pg-boss';
import { log } from '../http/log';
import { sendWaitingMail } from '../mail/send';

/** What is done without anybody asking, and how often (cron). */
const JOBS = {
  outbox: { every: '* * * * *', work: sendWaitingMail },
} as const satisfies Record<string, { every: string; work: () => Promise<unknown> }>;
export const JOB_NAMES = Object.keys(JOBS) as (keyof typeof JOBS)[];

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
