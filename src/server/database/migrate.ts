import { createHmac } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Kysely, type Migration, type MigrationResultSet, Migrator, PostgresDialect, sql } from 'kysely';
import pg from 'pg';

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
 * Brings a database up to date. Safe at every start and by two processes at once: Kysely's migrator holds an
 * advisory lock, so the second waits and finds nothing to do.
 *
 * @param ownerUrl a role that owns the database and may create roles
 */
export async function migrate(ownerUrl: string, folder: string): Promise<MigrationResultSet> {
  const db = new Kysely<unknown>({
    dialect: new PostgresDialect({ pool: new pg.Pool({ connectionString: ownerUrl, max: 1 }) }),
  });
  try {
    const migrator = new Migrator({ db, provider: { getMigrations: () => migrationsIn(folder) } });
    return await migrator.migrateToLatest();
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

/** Creates or refreshes the two logins that carry the application's roles. */
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
      const known = await client.query('select 1 from pg_roles where rolname = $1', [username]);
      const verb = known.rowCount === 0 ? 'create' : 'alter';
      await client.query(
        `${verb} role ${name} login nosuperuser nobypassrls password ${client.escapeLiteral(password)}`,
      );
      await client.query(`grant ${role} to ${name}`);
    }
    await client.query('commit');
  } finally {
    await client.end();
  }
}
