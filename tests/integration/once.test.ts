import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asTenant } from '@/server/database/tenant';
import { readHouseRules } from '@/server/services/knowledge/in-force';
import { saveHouseRules } from '@/server/services/knowledge/knowledge';
import { changeClinic, readClinic } from '@/server/services/people/clinic';
import { freshDatabase, type TestDatabase } from './database';

let db: TestDatabase;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

describe('what a transaction reads once', () => {
  it('is the same for all of it, and read anew once it was changed in it', async () => {
    await asTenant(db.clinicA.lead, async (tenant) => {
      const before = await readClinic(tenant);
      expect(await readClinic(tenant)).toBe(before);
      await changeClinic(tenant, { phone: '055 1' });
      expect(await readClinic(tenant)).toEqual({ ...before, phone: '055 1' });
    });
  });

  it('is read anew by the next, each clinic behind its own wall', async () => {
    const name = (clinic: typeof db.clinicA) =>
      asTenant(clinic.lead, async (tenant) => (await readClinic(tenant)).name);
    expect(await name(db.clinicA)).toBe('Clinic a');
    expect(await name(db.clinicB)).toBe('Clinic b');
    await asTenant(db.clinicA.lead, (tenant) => changeClinic(tenant, { name: 'Renamed' }));
    expect(await name(db.clinicA)).toBe('Renamed');
  });

  it('house rules of one version are one object, so that what follows from them is worked out once', async () => {
    const save = (basedOn: number, note: string) =>
      asTenant(db.clinicA.lead, (tenant) =>
        saveHouseRules(tenant, { basedOn, changes: [], settings: {}, note }),
      );
    const read = () => asTenant(db.clinicA.lead, (tenant) => readHouseRules(tenant));
    await save(0, 'first');
    const first = await read();
    expect(await read()).toBe(first);
    await save(1, 'second');
    expect((await read()).version).toBe(2);
    expect(await read()).not.toBe(first);
    // Another clinic's version of the same number is not this one.
    expect((await asTenant(db.clinicB.lead, (tenant) => readHouseRules(tenant))).version).toBe(0);
  });
});
