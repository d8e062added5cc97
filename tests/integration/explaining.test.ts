import { sql } from 'kysely';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { asTenant } from '@/server/database/tenant';
import { freshDatabase, type TestDatabase } from './database';
import { refuseWholeTables, wholeTables } from './explaining';

let db: TestDatabase;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

it('a statement that no index serves is found, one that an index serves is not', async () => {
  await asTenant(db.clinicA.lead, async ({ tx }) => {
    await sql`create temporary table kept (id integer primary key, name text) on commit drop`.execute(tx);
    await sql`select * from kept where id = ${1}`.execute(tx);
    expect(wholeTables()).toEqual([]);
    await sql`select * from kept where name = ${'one'}`.execute(tx);
    const found = wholeTables();
    expect(found).toMatchObject([{ table: 'kept' }]);
    expect(found[0]!.statement).toContain('where name');
    await sql`select count(*) from kept where name <> ${'one'} or id > ${0}`.execute(tx);
    expect(refuseWholeTables).toThrow('kept: select count(*)');
  });
});
