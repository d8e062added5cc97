import PgBoss from 'pg-boss';
import { keysOf, mapTable } from '@/core/tables/keys-of';
import { authDatabase } from '../database/connection';
import { log } from '../http/log';
import { sendWaitingMail } from '../mail/send';
import { careForAllPairs } from '../services/pairs/care';
import { writeDigests } from '../services/recall/digest';

/** What is done without anybody asking, and how often (cron). */
const JOBS = {
  outbox: { does: 'letters sent', every: '* * * * *', work: sendWaitingMail },
  seal: { does: 'trail sealed', every: '*/10 * * * *', work: sealTrails },
  tidy: { does: 'old links and sessions removed', every: '43 * * * *', work: tidy },
  pairs: { does: 'replacement windows worked out', every: '* * * * *', work: careForAllPairs },
  // Mondays.
  digest: { does: 'Monday letter to the leads', every: '7 6 * * 1', work: writeDigests },
  retention: { does: 'records erased when due', every: '17 3 * * *', work: eraseDue },
} as const satisfies Record<string, { does: string; every: string; work: () => Promise<unknown> }>;
export const JOB_NAMES = keysOf(JOBS);
/** What each of them does, in a lead’s words. */
export const JOB_WORDS = mapTable(JOBS, ({ does }) => does);

/** Seals each clinic's trail as far as nobody can still be writing it. */
export async function sealTrails(): Promise<void> {
  const { rows } = await authDatabase().query<{ clinic_id: string }>('select clinic_id from public.clinic');
  for (const { clinic_id } of rows) await authDatabase().query('select public.seal_audit($1)', [clinic_id]);
}

/** Erases closed records whose time of keeping is up, as their person asked. */
export async function eraseDue(): Promise<void> {
  const { rows } = await authDatabase().query<{ clinic_id: string }>('select clinic_id from public.clinic');
  for (const { clinic_id } of rows) await authDatabase().query('select public.erase_due($1)', [clinic_id]);
}

/** Forgets counts, links and sessions that mean nothing any more. */
export async function tidy(): Promise<void> {
  for (const what of [
    `auth.sign_in_guard where last_at < now() - interval '1 day'`,
    `auth.password_link where expires_at < now() - interval '30 days'`,
    `auth.session where "expiresAt" < now() - interval '1 day'`,
    `auth.verification where "expiresAt" < now() - interval '1 day'`,
  ])
    await authDatabase().query(`delete from ${what}`);
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

/** Asks for work to be done now and not within the minute. */
export function nudge(job: 'outbox' | 'pairs'): void {
  ensureJobs();
  void boss
    ?.then((running) => running.send(job, {}, { startAfter: 1, singletonKey: 'soon' }))
    .catch(() => null);
}
