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

/** A pool that outlives a restart of the database: an idle connection that is cut off is logged, not thrown. */
function lastingPool(config: pg.PoolConfig): pg.Pool {
  const pool = new pg.Pool(config);
  pool.on('error', (error) => log.warn({ err: error }, 'a database connection was cut off'));
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

export async function closeDatabases(): Promise<void> {
  await Promise.all([app?.destroy(), authPool?.end()]);
  app = undefined;
  authPool = undefined;
}
