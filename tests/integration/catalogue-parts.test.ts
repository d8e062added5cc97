import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { modelsOfCatalogue } from '@/core/catalogue/columns';
import type { CatalogueParts } from '@/core/catalogue/parts';
import { lastShapeOf } from '@/core/sizing/last-shape';
import { learnOffsets } from '@/core/sizing/learned/learn-offsets';
import { type Actor, asTenant, type Tenant } from '@/server/database/tenant';
import type { Refusal } from '@/server/http/problem';
import { readLearned, readPart } from '@/server/services/shoes/catalogue-parts';
import { readParts } from '@/server/services/shoes/catalogue-versions';
import { listModels, startOfCatalogue } from '@/server/services/shoes/models';
import { freshDatabase, type TestDatabase } from './database';
import { usualModel } from './usual-model';

let db: TestDatabase;
let me: Actor;
const MODELS = 2000;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  await usualModel(me);
  // As many as fall into parts: copies of one, under names of their own.
  await asTenant(me, ({ tx }) =>
    sql`insert into shoe_model (clinic_id, maker, name, version, features, sizing, stock)
      select clinic_id, 'Maker ' || (at % 7), 'Name ' || (at % 300), at::text, features, sizing, stock
      from shoe_model, generate_series(2, ${MODELS}::integer) as at`.execute(tx),
  );
});
afterAll(() => db.drop());

const parts = (actor = me) => asTenant(actor, readParts);
const whole = async (tenant: Tenant, { bits, parts, learned }: CatalogueParts) => {
  const columns = [];
  for (const part of parts) columns.push(await readPart(tenant, { bits, ...part }));
  return modelsOfCatalogue({ parts: columns, learned: await readLearned(tenant, learned) });
};
const refusal = (work: Promise<unknown>): Promise<Refusal> =>
  work.then(
    () => Promise.reject(new Error('was not refused')),
    (error) => error,
  );

describe('a catalogue in parts', () => {
  it('put together they are the catalogue, in the same order, with what was learned', async () => {
    const list = await parts();
    expect([list.bits, list.models]).toEqual([2, MODELS]);
    await asTenant(me, async (tenant) => expect(await whole(tenant, list)).toEqual(await listModels(tenant)));
  });

  it('a change of one model gives only its part another version, and the part that was is refused', async () => {
    const before = await parts();
    const [model] = await asTenant(me, listModels);
    await asTenant(me, ({ tx }) =>
      tx.updateTable('shoe_model').set({ price: 99 }).where('id', '=', model!.id).execute(),
    );
    const after = await parts();
    const moved = after.parts.filter(({ version }, at) => version !== before.parts[at]!.version);
    expect(moved).toHaveLength(1);
    const was = before.parts.find(({ part }) => part === moved[0]!.part)!;
    const { status } = await refusal(
      asTenant(me, (tenant) => readPart(tenant, { bits: before.bits, ...was })),
    );
    expect(status).toBe(409);
    await asTenant(me, async (tenant) => {
      const now = await whole(tenant, after);
      expect(now.find(({ id }) => id === model!.id)?.price).toBe(99);
    });
  });

  it('a fitting moves what was learned and no part', async () => {
    const before = await parts();
    const [model, other] = await asTenant(me, listModels);
    await fitted(await aVisit(), model!.id, 2);
    const after = await parts();
    expect(after.parts).toEqual(before.parts);
    expect(after.learned).not.toBe(before.learned);
    expect((await refusal(asTenant(me, (tenant) => readLearned(tenant, before.learned)))).status).toBe(409);
    const learned = async () => {
      const models = await asTenant(me, listModels);
      return [model!, other!].map(({ id }) => models.find((one) => one.id === id)!.learned!.length.fittings);
    };
    expect(await learned()).toEqual([1, 0]);
  });

  it('what is learned on from fitting to fitting is what is learned from all of them at once', async () => {
    const models = await asTenant(me, listModels);
    const [first, second, third] = models
      .filter(({ maker }) => maker === models[0]!.maker)
      .map(({ id }) => id);
    const stranger = models.find(({ maker }) => maker !== models[0]!.maker)!.id;
    const fromAll = () =>
      asTenant(me, async ({ tx }) => {
        const fittings = await tx.selectFrom('fitting').selectAll().orderBy('visit_id').execute();
        return learnOffsets(
          models.map((model) => ({ ...model, foldPercent: lastShapeOf(model.features).foldPercent })),
          fittings.map(({ model_id, feet }) => ({ version: model_id, feet })),
        );
      });
    const same = async () => {
      const learned = await fromAll();
      for (const model of await asTenant(me, listModels))
        expect(model.learned, model.id).toEqual(learned.get(model.id));
      return learned;
    };
    const [one, two] = [await aVisit(), await aVisit()];
    await fitted(one, first!, 4);
    await fitted(one, second!, 9);
    await same();
    await fitted(two, first!, 7);
    expect((await same()).get(first!)!.length.fittings).toBeGreaterThan(1);
    // The same visit said anew: one model in place of two.
    await taken(one);
    await fitted(one, third!, 1);
    await same();
    // A maker of whom nothing was fitted, and a visit that teaches nothing any more.
    await fitted(two, stranger, 6);
    expect((await same()).get(stranger)!.length.fittings).toBe(1);
    await taken(two);
    expect((await same()).get(stranger)!.length.fittings).toBe(0);
  });

  it('a clinic sees its own: another’s version opens nothing', async () => {
    const other = await parts(db.clinicB.practitioner);
    expect(other).toMatchObject({ models: 0, parts: [] });
    const mine = await parts();
    const { status } = await refusal(
      asTenant(db.clinicB.practitioner, (tenant) => readPart(tenant, { bits: mine.bits, ...mine.parts[0]! })),
    );
    expect(status).toBe(409);
  });

  it('the list opens with its first models alone, and their numbers', async () => {
    const start = await asTenant(me, startOfCatalogue);
    const models = await asTenant(me, listModels);
    expect([start.models, start.current]).toEqual([MODELS, MODELS]);
    expect(start.first.map(({ id }) => id)).toEqual(models.slice(0, start.first.length).map(({ id }) => id));
    expect(start.first.length).toBeLessThan(100);
  });
});

/** A pair that left so much room, mm. */
const fitted = (visit: string, model: string, roomMm: number) =>
  asTenant(me, ({ tx }) =>
    tx
      .insertInto('fitting')
      .values({
        clinic_id: me.clinicId,
        visit_id: visit,
        model_id: model,
        feet: JSON.stringify([
          { size: 38, width: 'B', footLengthMm: 240, ballWidthMm: 93, roomMm, widthFit: 'right' },
        ]),
      })
      .execute(),
  );
const taken = (visit: string) =>
  asTenant(me, ({ tx }) => tx.deleteFrom('fitting').where('visit_id', '=', visit).execute());

async function aVisit(): Promise<string> {
  return asTenant(me, async ({ tx }) => {
    const { id: patientId } = await tx
      .insertInto('patient')
      .values({
        clinic_id: me.clinicId,
        given_name: 'Test',
        family_name: 'Fitted',
        born_on: '1970-01-01',
        sizing_group: 'women',
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    const { id: visitId } = await tx
      .insertInto('visit')
      .values({ clinic_id: me.clinicId, patient_id: patientId, started_by: me.userId })
      .returning('id')
      .executeTakeFirstOrThrow();
    return visitId;
  });
}
