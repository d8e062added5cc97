import { type Kysely, sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { kyselyOn } from '@/server/database/connection';
import { isOutage } from '@/server/database/outage';
import type { Database } from '@/server/database/schema';
import { asTenant, type Tenant } from '@/server/database/tenant';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { somebodyCalled } from './worn-pair';

let db: TestDatabase;
/** One connection, so that what it keeps is what the next asks. */
let one: Kysely<Database>;
beforeAll(async () => {
  db = await freshDatabase();
  one = kyselyOn(db.appUrl, 1);
  await somebodyCalled(db.clinicA.lead, 'Kept', '1980-01-01');
});
afterAll(async () => {
  await one.destroy();
  await db.drop();
});

const onIt = <T>(work: (tenant: Tenant) => Promise<T>, clinic = db.clinicA) =>
  asTenant(clinic.lead, work, one);
const everybody = ({ tx }: Tenant) => tx.selectFrom('patient').selectAll().execute();
const keptNow = async (part: string) => {
  const { rows } = await onIt(({ tx }) =>
    sql<{ name: string }>`select name from pg_prepared_statements where statement like ${part}`.execute(tx),
  );
  return rows.map(({ name }) => name);
};

describe('a connection', () => {
  it('keeps the plan of what is asked again, and of nothing that came once', async () => {
    const once = ({ tx }: Tenant) => sql`select ${'asked once'}::text as word`.execute(tx);
    await onIt(once);
    for (let round = 0; round < 7; round += 1) expect(await onIt(everybody)).toHaveLength(1);
    expect(await keptNow('select * from "patient"')).toHaveLength(1);
    expect(await keptNow('select $1::text as word')).toEqual([]);
  });

  it('reads for each clinic what is behind its own wall, by one plan', async () => {
    expect(await onIt(everybody, db.clinicB)).toEqual([]);
    expect(await onIt(everybody)).toMatchObject([{ family_name: 'Kept' }]);
  });

  it('tells to try again where a migration has changed the table meanwhile, and then reads it as it is', async () => {
    await onIt(everybody);
    await asOwner(db, (client) => client.query('alter table patient add column kept_test text'));
    const failure = await onIt(everybody).catch((error: unknown) => error);
    expect(isOutage(failure)).toBe(true);
    expect((await onIt(everybody))[0]).toHaveProperty('kept_test', null);
    for (let round = 0; round < 3; round += 1) await onIt(everybody);
    expect(await onIt(everybody)).toHaveLength(1);
  });
});
