import { Kysely, PostgresDialect } from 'kysely';
import pg from 'pg';
import { log } from '../http/log';
import { keepPlans } from './kept-plans';
import { type Hearing, Listening } from './listening';
import type { Database } from './schema';

// Calendar dates stay the strings they are: turning them into moments would shift them by a time zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

const required = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: start the application with npm start.`);
  return value;
};

let app: Kysely<Database> | undefined;
let replica: Kysely<Database> | undefined;
let authPool: pg.Pool | undefined;
let probePool: pg.Pool | undefined;
const lines = new Set<Listening>();

/** How long anything waits for the database: a request answers, whatever the database does. */
const TIMEOUTS = {
  /** Until a connection is free: under load requests stand in line, and the line moves. */
  connectionTimeoutMillis: 15_000,
  /** Told to the server. */
  statement_timeout: 20_000,
  lock_timeout: 6000,
  idle_in_transaction_session_timeout: 60_000,
  /** Kept here, for a server that hangs and tells nothing. */
  query_timeout: 25_000,
} as const satisfies pg.PoolConfig;

/** How long a database may take to let somebody in: away, it is not waited for as long as for one’s turn. */
const LET_IN_MS = 4000;
class SoonLetIn extends pg.Client {
  constructor(config: pg.ClientConfig = {}) {
    const { connectionTimeoutMillis = LET_IN_MS } = config;
    super({ ...config, connectionTimeoutMillis: Math.min(LET_IN_MS, connectionTimeoutMillis) });
  }
}

/** Makes a pool outlive a restart of the database: a connection that is cut off, idle, at work or ending, is logged, not thrown. */
export function lasting(pool: pg.Pool): pg.Pool {
  const cutOff = (error: Error) => log.warn({ err: error }, 'a database connection was cut off');
  pool.on('error', cutOff);
  // The pool listens to idle connections only; one inside a transaction would end the process.
  pool.on('connect', (client) => client.on('error', cutOff));
  return pool;
}

/** A pool for what people wait for: nothing on it lasts longer than its timeouts. */
const timedPool = (config: pg.PoolConfig): pg.Pool =>
  lasting(new pg.Pool({ ...TIMEOUTS, Client: SoonLetIn, ...config }));

/** Connections that one copy of the application holds at most, of the records; the sign-in tables take half as many more. */
const CONNECTIONS = Number(process.env.SOVET_CONNECTIONS ?? 6);

export function kyselyOn(connectionString: string, max = CONNECTIONS): Kysely<Database> {
  const pool = timedPool({ connectionString, max });
  // A pooler that hands a connection on after each transaction may not know the plans that were kept on it.
  if (process.env.SOVET_KEPT_PLANS !== 'off') pool.on('connect', keepPlans);
  return new Kysely<Database>({ dialect: new PostgresDialect({ pool }) });
}

/** The application's connection, as the role that row-level security binds. Only `tenant.ts` uses it for data. */
export function appDatabase(): Kysely<Database> {
  app ??= kyselyOn(required('SOVET_APP_DATABASE_URL'));
  return app;
}

/** The database that follows this one, for what only reads; null where the operator has none. */
export function replicaDatabase(): Kysely<Database> | null {
  const place = process.env.SOVET_REPLICA;
  if (!place) return null;
  const address = new URL(required('SOVET_APP_DATABASE_URL'));
  address.host = place;
  replica ??= kyselyOn(address.toString());
  return replica;
}

/** The sign-in role's connection: it sees the sign-in tables of every clinic and nothing else. */
export function authDatabase(): pg.Pool {
  authPool ??= timedPool({
    connectionString: required('SOVET_AUTH_DATABASE_URL'),
    max: Math.ceil(CONNECTIONS / 2),
    options: '-c search_path=auth,public',
  });
  return authPool;
}

/** A connection apart that gives up within a moment: whether the database answers is asked on this one. */
export function probeDatabase(): pg.Pool {
  probePool ??= timedPool({
    connectionString: required('SOVET_APP_DATABASE_URL'),
    max: 1,
    connectionTimeoutMillis: 700,
    query_timeout: 700,
    idleTimeoutMillis: 5000,
  });
  return probePool;
}

/** On what the database tells of changes, and as which role it is heard. */
const CHANNELS = {
  /** Who may do what: the account or the clinic that a session, a seat or a setting belongs to. */
  sign_in: 'SOVET_AUTH_DATABASE_URL',
  /** What the recall list is read from: the clinic. */
  recall: 'SOVET_APP_DATABASE_URL',
} as const;

/** Hears of every change that is told on a channel, on a connection of its own. */
export function listenTo(channel: keyof typeof CHANNELS, hearing: Hearing): Listening {
  const line = new Listening({ connectionString: required(CHANNELS[channel]) }, channel, hearing);
  lines.add(line);
  return line;
}

export async function closeDatabases(): Promise<void> {
  for (const line of lines) line.end();
  lines.clear();
  await Promise.all([app?.destroy(), replica?.destroy(), authPool?.end(), probePool?.end()]);
  app = undefined;
  replica = undefined;
  authPool = undefined;
  probePool = undefined;
}
