import { randomUUID } from 'node:crypto';
import { resolve } from 'node:path';
import { sql } from 'kysely';
import pg from 'pg';
import { addStaff } from '@/server/cli/add-staff';
import { closeDatabases, kyselyOn } from '@/server/database/connection';
import { ensureLogins, loginUrls, migrate } from '@/server/database/migrate';
import type { Actor } from '@/server/database/tenant';
import { explainEverything, refuseWholeTables } from './explaining';

explainEverything();

export const FOLDER = resolve(import.meta.dirname, '../../migrations');
/** What every database of a test is copied from. */
const MIGRATED = 'tests_migrated';
const SECRET = 'a secret that only the integration tests know, long enough';
export const PASSWORD = 'a-password-for-tests';

export interface TestClinic {
  id: string;
  lead: Actor;
  practitioner: Actor;
  assistant: Actor;
}

export interface TestDatabase {
  ownerUrl: string;
  appUrl: string;
  clinicA: TestClinic;
  clinicB: TestClinic;
  drop: () => Promise<void>;
}

/** A database of its own on the test server: migrated, with two clinics that know nothing of each other. */
export async function freshDatabase(): Promise<TestDatabase> {
  const server = process.env.SOVET_TEST_DATABASE_URL;
  if (!server) throw new Error('Run the integration tests through npm test: they need their own PostgreSQL.');
  const name = `t_${randomUUID().replaceAll('-', '').slice(0, 12)}`;
  const url = new URL(server);
  url.pathname = `/${name}`;
  const ownerUrl = url.toString();
  const admin = new pg.Client({ connectionString: server });
  await admin.connect();
  const logins = loginUrls(ownerUrl, SECRET);
  // Roles belong to the whole server: files that run beside each other make theirs one after another.
  await admin.query("select pg_advisory_lock(hashtext('sovet tests'))");
  try {
    await copyOfMigrated(admin, server, name);
    await ensureLogins(ownerUrl, logins);
  } finally {
    await admin.query("select pg_advisory_unlock(hashtext('sovet tests'))");
  }
  const environment = { ...process.env };
  process.env.SOVET_APP_DATABASE_URL = logins.app;
  process.env.SOVET_AUTH_DATABASE_URL = logins.auth;
  process.env.SOVET_SECRET = SECRET;
  process.env.SOVET_ORIGIN = 'http://clinic.test';
  const clinics = [await addClinic(ownerUrl, 'a'), await addClinic(ownerUrl, 'b')] as const;
  return {
    ownerUrl,
    appUrl: logins.app,
    clinicA: clinics[0],
    clinicB: clinics[1],
    drop: async () => {
      await closeDatabases();
      // The next file shares the process: it begins with what this one found.
      for (const key of Object.keys(process.env)) if (!(key in environment)) delete process.env[key];
      Object.assign(process.env, environment);
      await admin.query(`drop database ${name} with (force)`);
      await admin.end();
      refuseWholeTables();
    },
  };
}

/** A new database as all migrations leave it: they run once, and what they made is copied. */
async function copyOfMigrated(admin: pg.Client, server: string, name: string): Promise<void> {
  const { rowCount } = await admin.query('select 1 from pg_database where datname = $1', [MIGRATED]);
  if (rowCount === 0) {
    await admin.query(`create database ${MIGRATED}`);
    const url = new URL(server);
    url.pathname = `/${MIGRATED}`;
    const { error } = await migrate(url.toString(), FOLDER);
    if (error) throw error;
  }
  await admin.query(`create database ${name} template ${MIGRATED}`);
}

async function addClinic(ownerUrl: string, letter: string): Promise<TestClinic> {
  const db = kyselyOn(ownerUrl, 1);
  const id = randomUUID();
  try {
    return await db.transaction().execute(async (tx) => {
      await sql`select set_config('sovet.clinic', ${id}, true)`.execute(tx);
      await tx
        .insertInto('clinic')
        .values({ clinic_id: id, name: `Clinic ${letter}`, place: 'Testholm' })
        .execute();
      const roles = ['lead', 'practitioner', 'assistant'] as const;
      const staff = roles.map((role) => ({
        name: `${role} ${letter}`,
        email: `${role}@${letter}.example`,
        role,
      }));
      const ids = await addStaff(tx, id, staff, PASSWORD);
      const actor = (at: number): Actor => ({
        userId: ids[at]!,
        clinicId: id,
        role: roles[at]!,
        name: staff[at]!.name,
        siteId: null,
      });
      return { id, lead: actor(0), practitioner: actor(1), assistant: actor(2) };
    });
  } finally {
    await db.destroy();
  }
}

/** Work on a test database as the owner of its tables. */
export async function asOwner<T>(
  { ownerUrl }: Pick<TestDatabase, 'ownerUrl'>,
  work: (client: pg.Client) => Promise<T>,
): Promise<T> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}
