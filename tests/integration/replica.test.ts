import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { type Actor, asReader, asTenant, audit, type Tenant } from '@/server/database/tenant';
import { clinicCalendar } from '@/server/services/patients/calendar';
import { readTrail } from '@/server/services/people/trail';
import { readRecall } from '@/server/services/recall/recall';
import { startReplica } from '../../scripts/lib/postgres.mjs';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { somebodyCalled } from './worn-pair';

let db: TestDatabase;
let replica: Awaited<ReturnType<typeof startReplica>>;
const folder = mkdtempSync(join(tmpdir(), 'sovet-replica-'));
beforeAll(async () => {
  db = await freshDatabase();
  replica = await startReplica(folder, db.ownerUrl);
  process.env.SOVET_REPLICA = replica.place;
});
afterAll(async () => {
  delete process.env.SOVET_REPLICA;
  await db.drop();
  await replica.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** Whether this is read from the replica: only one that follows is in recovery. */
const isReplica = async ({ tx }: Tenant): Promise<boolean> => {
  const { rows } = await sql<{ replica: boolean }>`select pg_is_in_recovery() as replica`.execute(tx);
  return rows[0]!.replica;
};
const onReplica = () => asReader(db.clinicA.lead, isReplica);
const names = () =>
  asReader(db.clinicA.lead, ({ tx }) => tx.selectFrom('patient').select('family_name').execute());
/** What a reader does once the replica follows: while other files write much beside this one it can be behind. */
const followed = <T>(actor: Actor, work: (tenant: Tenant) => Promise<T>): Promise<T> =>
  vi.waitFor(
    () =>
      asReader(actor, async (tenant) => {
        expect(await isReplica(tenant)).toBe(true);
        return work(tenant);
      }),
    { timeout: 20_000, interval: 100 },
  );

describe('what only reads', () => {
  it('is read from the replica, behind the wall of its clinic', async () => {
    await somebodyCalled(db.clinicA.lead, 'Follows', '1980-01-01');
    await followed(db.clinicA.lead, async ({ tx }) =>
      expect(await tx.selectFrom('patient').select('family_name').execute()).toContainEqual({
        family_name: 'Follows',
      }),
    );
    const theirs = await followed(db.clinicB.lead, ({ tx }) =>
      tx.selectFrom('patient').select('id').execute(),
    );
    expect(theirs).toEqual([]);
  });

  it('the recall and a calendar among it', async () => {
    const read = await followed(db.clinicA.lead, async (tenant) => ({
      recall: await readRecall(tenant),
      calendar: await clinicCalendar(tenant, 'http://clinic.test'),
    }));
    expect(read.recall).toEqual(await asTenant(db.clinicA.lead, (tenant) => readRecall(tenant)));
    expect(read.calendar).toContain('BEGIN:VCALENDAR');
  });

  it('writes nothing there; what is noted of it stands in the trail', async () => {
    await followed(db.clinicA.lead, (tenant) => audit(tenant, 'read', 'something from afar', null));
    const trail = await asTenant(db.clinicA.lead, (tenant) => readTrail(tenant, {}));
    expect(JSON.stringify(trail)).toContain('something from afar');
    await followed(db.clinicA.lead, ({ tx }) =>
      expect(sql`update patient set phone = '' where id = ${randomUUID()}`.execute(tx)).rejects.toThrow(
        /read-only|recovery/,
      ),
    );
  });

  it('is read from the database itself where the replica no longer follows, and where it is away', async () => {
    const place = new URL(db.ownerUrl);
    place.host = replica.place;
    const stopped = { ...db, ownerUrl: place.toString() };
    await asOwner(stopped, (client) => client.query('select pg_wal_replay_pause()'));
    await somebodyCalled(db.clinicA.lead, 'Unseen', '1980-01-01');
    await vi.waitFor(async () => expect(await onReplica()).toBe(false), { timeout: 9000, interval: 300 });
    expect(await names()).toContainEqual({ family_name: 'Unseen' });
    await replica.stop();
    expect(await onReplica()).toBe(false);
    expect(await names()).toContainEqual({ family_name: 'Unseen' });
  });
});
