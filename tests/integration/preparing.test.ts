import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { backup, restore } from '@/server/backup/backup';
import { loadDemo } from '@/server/cli/load-demo';
import { kyselyOn, lasting } from '@/server/database/connection';
import { ensureLogins, loginUrls, migrate } from '@/server/database/migrate';
import { asTenant } from '@/server/database/tenant';
import { erasePatient } from '@/server/services/patients/one-person';
import { readPatient } from '@/server/services/patients/patients';
import { ensurePrograms } from '../../scripts/lib/postgres.mjs';
import { FOLDER } from './database';

const SECRET = 'a secret that only these tests know, 0123456789 and longer';
const PASSWORD = 'owner-of-little';
let admin: pg.Client;
let owner: string;
const made: string[] = [];
const folder = mkdtempSync(join(tmpdir(), 'sovet-backup-test-'));

/** An empty database of an owner who is no superuser: may create roles and databases, and nothing else. */
async function emptyDatabase(): Promise<string> {
  const name = `p_${randomUUID().replaceAll('-', '').slice(0, 12)}`;
  await admin.query(`create database ${name} owner ${owner}`);
  made.push(name);
  const url = new URL(process.env.SOVET_TEST_DATABASE_URL!);
  url.pathname = `/${name}`;
  url.username = owner;
  url.password = PASSWORD;
  return url.toString();
}

async function prepare(url: string): Promise<void> {
  const { error } = await migrate(url, FOLDER);
  if (error) throw error;
  await ensureLogins(url, loginUrls(url, SECRET));
}

const one = async <T>(url: string, sql: string): Promise<T> => {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(sql)).rows[0];
  } finally {
    await client.end();
  }
};

beforeAll(async () => {
  admin = new pg.Client({ connectionString: process.env.SOVET_TEST_DATABASE_URL });
  await admin.connect();
  owner = `little_${randomUUID().slice(0, 8)}`;
  await admin.query(`create role ${owner} login createdb createrole password '${PASSWORD}'`);
  // On newer servers a role may hand out only what it was given.
  for (const role of ['sovet_app', 'sovet_auth', 'sovet_backup'])
    await admin.query(
      `do $$ begin if not exists (select from pg_roles where rolname = '${role}') then create role ${role} nologin; end if; end $$`,
    );
  await admin.query(`grant sovet_app, sovet_auth, sovet_backup to ${owner} with admin option`);
});
afterAll(async () => {
  for (const name of made) await admin.query(`drop database if exists ${name} with (force)`);
  for (const name of made)
    for (const kind of ['app', 'auth']) await admin.query(`drop role if exists ${name}_${kind}_login`);
  await admin.query(`drop owned by ${owner}`);
  await admin.query(`drop role ${owner}`);
  await admin.end();
  rmSync(folder, { recursive: true, force: true });
});

describe('an owner who is no superuser', () => {
  it('prepares a database, and prepares it again at the next start', async () => {
    const url = await emptyDatabase();
    await prepare(url);
    await prepare(url);
    expect(await one(loginUrls(url, SECRET).app, 'select count(*)::int as n from patient')).toEqual({ n: 0 });
  });

  it('two copies started at once on a fresh database both come up, ten times', async () => {
    for (let round = 0; round < 10; round += 1) {
      const url = await emptyDatabase();
      await Promise.all([prepare(url), prepare(url)]);
      const { app, auth } = loginUrls(url, SECRET);
      await expect(one(app, 'select 1 as n')).resolves.toEqual({ n: 1 });
      await expect(one(auth, 'select count(*)::int as n from auth."user"')).resolves.toEqual({ n: 0 });
    }
  }, 300_000);

  it('loses its connection while it is at work, and its process goes on', async () => {
    const pool = lasting(new pg.Pool({ connectionString: await emptyDatabase(), max: 1 }));
    const client = await pool.connect();
    const { rows } = await client.query<{ pid: number }>('select pg_backend_pid() as pid');
    const gone = new Promise((resolve) => client.once('end', () => resolve(null)));
    await admin.query('select pg_terminate_backend($1)', [rows[0]!.pid]);
    await gone;
    await expect(client.query('select 1')).rejects.toThrow(/not queryable/);
    client.release(true);
    await pool.end();
  });

  it('a login that could see past the wall is refused, not used', async () => {
    const url = await emptyDatabase();
    const { username } = new URL(loginUrls(url, SECRET).app);
    await admin.query(`create role ${username} login bypassrls`);
    await expect(migrate(url, FOLDER).then(() => ensureLogins(url, loginUrls(url, SECRET)))).rejects.toThrow(
      /past the wall/,
    );
  });
});

describe('backup and restore', () => {
  const file = join(folder, 'demo.sovet');
  let source: string;

  it('a whole clinic goes out while somebody writes, and comes back the same elsewhere', async () => {
    source = await emptyDatabase();
    await prepare(source);
    // Links to the patients’ own pages are made from it.
    process.env.SOVET_SECRET = SECRET;
    await loadDemo(source, new Date());
    const manifest = await backup(source, file, ensurePrograms());
    expect(manifest.tables['public.patient']?.rows).toBe('61');
    expect(manifest.tables['auth.account']?.rows).toBe('3');
    expect(Number(manifest.tables['public.knowledge_edition']?.rows)).toBeGreaterThan(1);
    expect(manifest.replay.looked).toBe(50);
    expect(manifest.replay.alike).toBe(50);
    const target = await emptyDatabase();
    await restore(target, file, {
      bin: ensurePrograms(),
      secret: 'another secret of another machine, 0123456789',
    });
    // The application can work on it at once: through its own login, behind the wall.
    const { app } = loginUrls(target, 'another secret of another machine, 0123456789');
    const database = kyselyOn(app, 1);
    const { clinic_id: clinicId, id } = await firstPatient(source);
    const actor = { userId: 'x', clinicId, role: 'lead' as const, name: 'after the restore', siteId: null };
    const patient = await asTenant(actor, (tenant) => readPatient(tenant, id), database);
    expect(patient.visits.length).toBeGreaterThan(0);
    await database.destroy();
    expect(await one(app, 'select count(*)::int as n from patient')).toEqual({ n: 0 });
  }, 60_000);

  it('who was erased after a backup is erased again when that older backup is restored', async () => {
    const { clinic_id: clinicId, id } = await firstPatient(source);
    const actor = { userId: 'x', clinicId, role: 'lead' as const, name: 'who erases', siteId: null };
    const live = kyselyOn(loginUrls(source, SECRET).app, 1);
    const { familyName } = await asTenant(actor, (tenant) => readPatient(tenant, id), live);
    await asTenant(actor, (tenant) => erasePatient(tenant, id, { familyName, reason: 'asked for it' }), live);
    await live.destroy();
    await backup(source, join(folder, 'later.sovet'), ensurePrograms());
    const target = await emptyDatabase();
    const { erased } = await restore(target, file, { bin: ensurePrograms(), secret: SECRET });
    expect(erased).toBe(1);
    const restored = kyselyOn(loginUrls(target, SECRET).app, 1);
    await expect(asTenant(actor, (tenant) => readPatient(tenant, id), restored)).rejects.toMatchObject({
      status: 404,
    });
    await restored.destroy();
    const client = new pg.Client({ connectionString: target });
    await client.connect();
    await client.query('set role sovet_backup');
    const { rows } = await client.query('select picture from specification where patient_id = $1', [id]);
    expect(rows.length).toBeGreaterThan(0);
    expect(rows.every(({ picture }) => JSON.stringify(picture) === '{}')).toBe(true);
    await client.end();
    rmSync(join(folder, 'later.sovet'));
  }, 60_000);

  it('is refused on a database that holds anything, and nothing is changed', async () => {
    await expect(restore(source, file, { bin: ensurePrograms(), secret: SECRET })).rejects.toThrow(
      /holds tables already/,
    );
  });

  it('a damaged file is named, and nothing is restored', async () => {
    const bytes = readFileSync(file);
    bytes[Math.floor(bytes.length * 0.7)]! ^= 0xff;
    const damaged = join(folder, 'damaged.sovet');
    writeFileSync(damaged, bytes);
    const target = await emptyDatabase();
    await expect(restore(target, damaged, { bin: ensurePrograms(), secret: SECRET })).rejects.toThrow(
      /damaged/,
    );
    expect(await one(target, `select to_regclass('public.patient') as there`)).toEqual({ there: null });
  });

  it('leaves no half of a file behind when it cannot write', async () => {
    await expect(backup(source, join(folder, 'nowhere/at/all.sovet'), ensurePrograms())).rejects.toThrow(
      /tar failed/,
    );
  });
});

/** Somebody with visits, read as the role that sees past the wall. */
async function firstPatient(url: string): Promise<{ clinic_id: string; id: string }> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query('set role sovet_backup');
    const { rows } = await client.query(
      'select clinic_id, patient_id as id from hand_over order by handed_over_at, patient_id limit 1',
    );
    return rows[0];
  } finally {
    await client.end();
  }
}
