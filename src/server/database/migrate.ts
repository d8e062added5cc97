import { createHmac } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Kysely, type Migration, type MigrationResultSet, Migrator, PostgresDialect, sql } from 'kysely';
import pg from 'pg';
import { lasting } from './connection';

/** One SQL file a step, in the order of their names; forward only. */
async function migrationsIn(folder: string): Promise<Record<string, Migration>> {
  const files = (await readdir(folder)).filter((file) => file.endsWith('.sql')).sort();
  const steps = await Promise.all(
    files.map(async (file): Promise<[string, Migration]> => {
      const text = await readFile(join(folder, file), 'utf8');
      return [file.replace(/\.sql$/, ''), { up: async (db) => void (await sql.raw(text).execute(db)) }];
    }),
  );
  return Object.fromEntries(steps);
}

/**
 * Brings a database up to date. Safe at every start and by several processes at once, also on a database that is new:
 * the second waits and finds nothing to do.
 *
 * @param ownerUrl a role that owns the database and may create roles
 */
export async function migrate(ownerUrl: string, folder: string): Promise<MigrationResultSet> {
  // A step takes as long as it takes.
  const pool = lasting(new pg.Pool({ connectionString: ownerUrl, max: 1 }));
  const db = new Kysely<unknown>({ dialect: new PostgresDialect({ pool }) });
  try {
    const migrator = new Migrator({ db, provider: { getMigrations: () => migrationsIn(folder) } });
    // Kysely's own lock lies in a table that two processes would create at once.
    return await alone(ownerUrl, () => migrator.migrateToLatest());
  } finally {
    await db.destroy();
  }
}

export interface LoginUrls {
  app: string;
  auth: string;
}

/** Logins of one database are named after it, so that several databases can share a server. */
export function loginUrls(ownerUrl: string, secret: string): LoginUrls {
  const of = (kind: 'app' | 'auth'): string => {
    const url = new URL(ownerUrl);
    url.username = `${url.pathname.slice(1)}_${kind}_login`;
    url.password = createHmac('sha256', secret).update(`database login ${kind}`).digest('hex');
    return url.toString();
  };
  return { app: of('app'), auth: of('auth') };
}

/** The roles that tables are granted to, for a database whose tables come from a backup. */
export async function ensureRoles(client: pg.Client): Promise<void> {
  for (const role of ['sovet_app', 'sovet_auth', 'sovet_backup']) {
    const { rowCount } = await client.query('select 1 from pg_roles where rolname = $1', [role]);
    if (rowCount === 0) await client.query(`create role ${role} nologin`);
  }
}

/**
 * Creates or refreshes the two logins that carry the application's roles, and what they may see of the migrations. Needs
 * no superuser: a role that may create roles is enough.
 */
export async function ensureLogins(ownerUrl: string, urls: LoginUrls): Promise<void> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await client.query('begin');
    await client.query("select pg_advisory_xact_lock(hashtext('sovet logins'))");
    for (const [url, role] of [
      [urls.app, 'sovet_app'],
      [urls.auth, 'sovet_auth'],
    ] as const) {
      const { username, password } = new URL(url);
      const name = client.escapeIdentifier(username);
      const { rows } = await client.query<{ rolsuper: boolean; rolbypassrls: boolean }>(
        'select rolsuper, rolbypassrls from pg_roles where rolname = $1',
        [username],
      );
      if (rows[0]?.rolsuper || rows[0]?.rolbypassrls)
        throw new Error(
          `The login ${username} can see past the wall between clinics. Drop it and start again.`,
        );
      // Only a superuser may so much as name the other attributes; a new role has none of them.
      await client.query(
        `${rows.length === 0 ? 'create' : 'alter'} role ${name} login password ${client.escapeLiteral(password)}`,
      );
      await client.query(`grant ${role} to ${name}`);
    }
    await client.query('grant select on public.kysely_migration to sovet_app, sovet_auth');
    // What a dump reads beside the walled tables; and whoever owns all this may act as the role that only reads.
    await client.query('grant select on all tables in schema public, auth to sovet_backup');
    await client.query('grant select on all sequences in schema public, auth to sovet_backup');
    await client.query(
      "do $$ begin if not pg_has_role(current_user, 'sovet_backup', 'member') then execute format('grant sovet_backup to %I', current_user); end if; end $$",
    );
    await client.query('commit');
  } finally {
    await client.end();
  }
}

/**
 * Runs work that prepares a database while nobody else does: several copies that start at once follow each other. The
 * lock is PostgreSQL's and ends with the connection, whatever becomes of the process.
 */
export async function alone<T>(ownerUrl: string, work: () => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await client.query("select pg_advisory_lock(hashtext('sovet prepares'))");
    return await work();
  } finally {
    await client.end();
  }
}
