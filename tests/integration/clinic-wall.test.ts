import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { kyselyOn } from '@/server/database/connection';
import { migrate } from '@/server/database/migrate';
import { asTenant } from '@/server/database/tenant';
import { addPatient, findPatients, readPatient } from '@/server/services/patients/patients';
import { startVisit } from '@/server/services/visits/visits';
import { asOwner, FOLDER, freshDatabase, type TestDatabase } from './database';

let db: TestDatabase;
let patientOfA: string;
const patient = {
  givenName: 'Aud',
  familyName: 'Testa',
  bornOn: '1980-02-03',
  sizingGroup: 'women' as const,
};

beforeAll(async () => {
  db = await freshDatabase();
  patientOfA = (await asTenant(db.clinicA.practitioner, (tenant) => addPatient(tenant, patient))).id;
});
afterAll(() => db.drop());

describe('the wall between clinics', () => {
  it('clinic B neither finds nor reads a patient of clinic A, even with the right identifier', async () => {
    await asTenant(db.clinicB.practitioner, async (tenant) => {
      expect(await findPatients(tenant, 'Testa')).toEqual([]);
      await expect(readPatient(tenant, patientOfA)).rejects.toThrow('not found');
    });
    expect((await asTenant(db.clinicA.practitioner, (tenant) => findPatients(tenant, 'Testa'))).length).toBe(
      1,
    );
  });

  it('clinic B cannot write into clinic A with a forged clinic', async () => {
    const forged = asTenant(db.clinicB.practitioner, ({ tx }) =>
      tx
        .insertInto('patient')
        .values({
          clinic_id: db.clinicA.id,
          given_name: 'x',
          family_name: 'y',
          born_on: '1990-01-01',
          sizing_group: 'men',
          height_mm: null,
          school: null,
        })
        .execute(),
    );
    await expect(forged).rejects.toThrow(/row-level security/);
  });

  it('clinic B cannot hang a visit on a patient of clinic A', async () => {
    await expect(
      asTenant(db.clinicB.practitioner, (tenant) => startVisit(tenant, patientOfA)),
    ).rejects.toThrow('not found');
    const forged = asTenant(db.clinicB.practitioner, ({ tx }) =>
      tx
        .insertInto('visit')
        .values({
          clinic_id: db.clinicB.id,
          patient_id: patientOfA,
          started_by: 'x',
          closed_at: null,
          closed_because: null,
        })
        .execute(),
    );
    await expect(forged).rejects.toThrow(/foreign key/);
  });

  it('updates and deletes by clinic B touch nothing of clinic A', async () => {
    const changed = await asTenant(db.clinicB.practitioner, ({ tx }) =>
      tx.updateTable('patient').set({ family_name: 'gone' }).where('id', '=', patientOfA).executeTakeFirst(),
    );
    expect(changed.numUpdatedRows).toBe(0n);
  });

  it('a connection that has not said its clinic sees nothing', async () => {
    const app = kyselyOn(db.appUrl, 1);
    try {
      expect(await app.selectFrom('patient').selectAll().execute()).toEqual([]);
      expect(await app.selectFrom('clinic').selectAll().execute()).toEqual([]);
      const { rows } = await sql<{
        super: boolean;
        bypass: boolean;
      }>`select rolsuper as super, rolbypassrls as bypass from pg_roles where rolname = current_user`.execute(
        app,
      );
      expect(rows[0]).toEqual({ super: false, bypass: false });
      await expect(sql`select * from auth.session`.execute(app)).rejects.toThrow(/permission denied/);
    } finally {
      await app.destroy();
    }
  });

  it('every table carries clinic_id and forces row-level security', async () => {
    const { rows } = await asOwner(db, (client) =>
      client.query<{ name: string; forced: boolean; walled: boolean }>(
        `select n.nspname || '.' || c.relname as name, c.relrowsecurity and c.relforcerowsecurity as forced,
          exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'clinic_id') as walled
         from pg_class c join pg_namespace n on n.oid = c.relnamespace
         where c.relkind = 'r' and n.nspname in ('public', 'auth') and c.relname not like 'kysely_%'`,
      ),
    );
    expect(rows.length).toBeGreaterThan(14);
    expect(rows.filter((row) => !row.forced)).toEqual([]);
    // Written before anybody has signed in, so before a clinic is known; they hold no clinic's data.
    expect(
      rows
        .filter((row) => !row.walled)
        .map((row) => row.name)
        .sort(),
    ).toEqual([
      'auth.rateLimit',
      'auth.set_up',
      'auth.sign_in_guard',
      'auth.verification',
      'public.operations_note',
    ]);
  });

  it('no table refers across clinics, and the clinic leads every key of records: they could be spread by it', async () => {
    const keys = await asOwner(db, (client) =>
      client.query<{ of: string; kind: 'p' | 'f'; columns: string[]; to: string | null }>(
        `select con.conrelid::regclass::text as of, con.contype as kind, con.confrelid::regclass::text as to,
          array(select a.attname::text from unnest(con.conkey) with ordinality as k (number, place)
            join pg_attribute a on a.attrelid = con.conrelid and a.attnum = k.number order by place) as columns
         from pg_constraint con join pg_class c on c.oid = con.conrelid join pg_namespace n on n.oid = c.relnamespace
         where n.nspname = 'public' and con.contype in ('p', 'f') and c.relname not like 'kysely_%'
           and c.relname <> 'operations_note'`,
      ),
    );
    const primary = keys.rows.filter(({ kind }) => kind === 'p');
    expect(primary.length).toBeGreaterThan(30);
    expect(primary.filter(({ columns }) => columns[0] !== 'clinic_id').map((key) => key.of)).toEqual([]);
    const across = keys.rows.filter(({ kind, columns }) => kind === 'f' && !columns.includes('clinic_id'));
    expect(across.map((key) => `${key.of} → ${key.to}`)).toEqual([]);
  });
});

describe('what is issued and audited stays', () => {
  it('reading and writing a patient leaves entries that nobody can change, not even the owner', async () => {
    await asTenant(db.clinicA.practitioner, (tenant) => readPatient(tenant, patientOfA));
    const entries = await asTenant(db.clinicA.lead, ({ tx }) =>
      tx.selectFrom('audit_entry').selectAll().where('patient_id', '=', patientOfA).execute(),
    );
    expect(entries.map((entry) => entry.action)).toEqual(expect.arrayContaining(['read', 'write']));
    expect(new Set(entries.map((entry) => entry.user_id))).toEqual(new Set([db.clinicA.practitioner.userId]));
    const erase = asTenant(db.clinicA.lead, ({ tx }) => tx.deleteFrom('audit_entry').execute());
    await expect(erase).rejects.toThrow(/permission denied/);
    await asOwner(db, (client) =>
      expect(client.query('delete from audit_entry')).rejects.toThrow(/append-only/),
    );
  });
});

describe('migrations', () => {
  it('a second run and two at once change nothing and fail nothing', async () => {
    const runs = await Promise.all([migrate(db.ownerUrl, FOLDER), migrate(db.ownerUrl, FOLDER)]);
    for (const run of runs) {
      expect(run.error).toBeUndefined();
      expect(run.results).toEqual([]);
    }
  });
});
