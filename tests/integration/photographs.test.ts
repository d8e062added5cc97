import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '@/core/calendar/days';
import { type PictureScale, photographSchema } from '@/core/photograph/photograph-schema';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { readPair } from '@/server/services/pairs/pair-records';
import {
  broughtPhotographs,
  keepBroughtPhotograph,
  keepPhotograph,
  photographFile,
} from '@/server/services/pairs/photographs';
import { erasePatient } from '@/server/services/patients/one-person';
import { closeVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { refusal } from './signing-in';
import { somebodyCalled, wornModel, wornPair } from './worn-pair';

let db: TestDatabase;
let me: Actor;
let lead: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  lead = db.clinicA.lead;
});
afterAll(() => db.drop());

let names = 0;
const somebody = () => {
  names += 1;
  return somebodyCalled(me, `Pair${names}`);
};
const ago = (days: number) => addDays(today(), -days);

describe('photographs', () => {
  // The smallest JPEG there is.
  const JPEG =
    '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wgALCAABAAEBAREA/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQABPxA=';
  const taken = {
    kind: 'rear' as const,
    takenOn: today(),
    width: 16,
    height: 16,
    image: JPEG,
    thumbnail: JPEG,
  };

  it('are kept, listed without their pictures, given out as files, and go with the person', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'Shot' }), ago(60));
    const { id } = await asTenant(me, (tenant) => keepPhotograph(tenant, pairId, taken));
    const page = await asTenant(me, (tenant) => readPair(tenant, pairId));
    expect(page.photographs).toEqual([
      { id, kind: 'rear', takenOn: today(), width: 16, height: 16, lines: null, scale: null },
    ]);
    const file = await asTenant(me, (tenant) => photographFile(tenant, id, 'thumbnail'));
    expect(Buffer.from(await file.arrayBuffer()).toString('base64')).toBe(JPEG);
    const other = asTenant(db.clinicB.practitioner, (tenant) => photographFile(tenant, id, 'whole'));
    expect((await refusal(other)).status).toBe(404);
    const late = asTenant(me, (tenant) =>
      keepPhotograph(tenant, pairId, { ...taken, takenOn: addDays(today(), 5) }),
    );
    expect((await refusal(late)).extra.errors?.[0]?.path).toEqual(['takenOn']);
    await asTenant(lead, (tenant) =>
      erasePatient(tenant, patientId, { familyName: `Pair${names}`, reason: 'asked for' }),
    );
    expect((await refusal(asTenant(me, (tenant) => photographFile(tenant, id, 'whole')))).status).toBe(404);
  });

  it('what is no JPEG, too large or empty is refused at its field', () => {
    const path = (part: object) => photographSchema.safeParse({ ...taken, ...part }).error?.issues[0]?.path;
    expect(path({})).toBeUndefined();
    expect(path({ image: 'aGVsbG8=' })).toEqual(['image']);
    expect(path({ image: `/9j/${'A'.repeat(2_400_000)}` })).toEqual(['image']);
    expect(path({ width: 2 })).toEqual(['width']);
    expect(path({ takenOn: 'yesterday' })).toEqual(['takenOn']);
  });

  describe('of a pair that was only brought', () => {
    const broughtVisit = async () => {
      const patientId = await somebody();
      const { id: visitId } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
      await asTenant(me, (tenant) =>
        saveStep(tenant, visitId, 'old-pair', {
          revision: 0,
          state: 'in-progress',
          content: { pairs: [{ id: 'old', title: 'A pair from home', use: 'walking' }], findings: {} },
        }),
      );
      return { patientId, visitId };
    };
    const scale = {
      known: [
        { x: 0, y: 8 },
        { x: 16, y: 8 },
      ],
      mm: 297,
      measured: [
        { x: 2, y: 4 },
        { x: 6, y: 4 },
      ],
    } satisfies PictureScale;
    const keep = (visitId: string, part: object = {}) =>
      asTenant(me, (tenant) =>
        keepBroughtPhotograph(tenant, visitId, { ...taken, kind: 'sole', scale, brought: 'old', ...part }),
      );

    it('belongs to the visit: listed there with its scale, exported, and gone with the person', async () => {
      const { patientId, visitId } = await broughtVisit();
      const { id } = await keep(visitId);
      const listed = (brought: string, who = me) =>
        asTenant(who, (tenant) => broughtPhotographs(tenant, visitId, brought));
      expect(await listed('old')).toEqual([
        { id, kind: 'sole', takenOn: today(), width: 16, height: 16, lines: null, scale },
      ]);
      expect(await listed('another')).toEqual([]);
      expect((await refusal(listed('old', db.clinicB.practitioner))).status).toBe(404);
      expect((await asTenant(me, (tenant) => photographFile(tenant, id, 'whole'))).status).toBe(200);
      await asTenant(lead, (tenant) =>
        erasePatient(tenant, patientId, { familyName: `Pair${names}`, reason: 'asked for' }),
      );
      expect((await refusal(asTenant(me, (tenant) => photographFile(tenant, id, 'whole')))).status).toBe(404);
      const { rows: left } = await asOwner(db, (client) =>
        client.query('select id from photograph where id = $1', [id]),
      );
      expect(left).toEqual([]);
    });

    it('is refused at its field for a pair that nobody brought, a day before the visit, and after its end', async () => {
      const { visitId } = await broughtVisit();
      const path = async (part: object) => (await refusal(keep(visitId, part))).extra.errors?.[0]?.path;
      expect(await path({ brought: 'nobody’s' })).toEqual(['brought']);
      expect(await path({ takenOn: addDays(today(), -1) })).toEqual(['takenOn']);
      expect(await path({ takenOn: addDays(today(), 1) })).toEqual(['takenOn']);
      await asTenant(me, (tenant) => closeVisit(tenant, visitId, 'nothing fits'));
      expect((await refusal(keep(visitId))).status).toBe(409);
    });
  });
});
