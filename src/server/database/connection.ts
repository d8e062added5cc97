import { Kysely, PostgresDialect } from 'kysely';
import pg from 'pg';
import { log } from '../http/log';
import type { Database } from './schema';

// Calendar dates stay the strings they are: turning them into moments would shift them by a time zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

const required = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: start the application with npm start.`);
  return value;
};

let app: Kysely<Database> | undefined;
let authPool: pg.Pool | undefined;
let probePool: pg.Pool | undefined;

/** How long anything waits for the database: a request answers, whatever the database does. */
const TIMEOUTS = {
  connectionTimeoutMillis: 4000,
  /** Told to the server. */
  statement_timeout: 20_000,
  lock_timeout: 6000,
  idle_in_transaction_session_timeout: 60_000,
  /** Kept here, for a server that hangs and tells nothing. */
  query_timeout: 25_000,
} as const satisfies pg.PoolConfig;

/** A pool that outlives a restart of the database: a connection that is cut off, idle or at work, is logged, not thrown. */
function lastingPool(config: pg.PoolConfig): pg.Pool {
  const pool = new pg.Pool({ ...TIMEOUTS, ...config });
  const cutOff = (error: Error) => log.warn({ err: error }, 'a database connection was cut off');
  pool.on('error', cutOff);
  // The pool listens to idle connections only; one inside a transaction would end the process.
  pool.on('connect', (client) => client.on('error', cutOff));
  return pool;
}

export const kyselyOn = (connectionString: string, max = 10): Kysely<Database> =>
  new Kysely<Database>({ dialect: new PostgresDialect({ pool: lastingPool({ connectionString, max }) }) });

/** The application's connection, as the role that row-level security binds. Only `tenant.ts` uses it for data. */
export function appDatabase(): Kysely<Database> {
  app ??= kyselyOn(required('SOVET_APP_DATABASE_URL'));
  return app;
}

/** The sign-in role's connection: it sees the sign-in tables of every clinic and nothing else. */
export function authDatabase(): pg.Pool {
  authPool ??= lastingPool({
    connectionString: required('SOVET_AUTH_DATABASE_URL'),
    max: 5,
    options: '-c search_path=auth,public',
  });
  return authPool;
}

/** A connection apart that gives up within a moment: whether the database answers is asked on this one. */
export function probeDatabase(): pg.Pool {
  probePool ??= lastingPool({
    connectionString: required('SOVET_APP_DATABASE_URL'),
    max: 1,
    connectionTimeoutMillis: 700,
    query_timeout: 700,
    idleTimeoutMillis: 5000,
  });
  return probePool;
}

export async function closeDatabases(): Promise<void> {
  await Promise.all([app?.destroy(), authPool?.end(), probePool?.end()]);
  app = undefined;
  authPool = undefined;
  probePool = undefined;
}
