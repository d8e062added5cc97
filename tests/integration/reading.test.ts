import { generatedVisits } from '@tests/fixtures/generated-visits';
import { testShoe, testSizing } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { visitRecordSchema } from '@/contract/answers/records';
import type { ShoeModel } from '@/core/catalogue/model';
import type { StepContents, VisitContents } from '@/core/visit/contents';
import { stepsHeld } from '@/core/visit/held';
import { readVisit } from '@/core/visit/read-visit';
import { stepTable } from '@/core/visit/steps';
import { type Actor, asTenant } from '@/server/database/tenant';
import type { Refusal } from '@/server/http/problem';
import { addPatient } from '@/server/services/patients/patients';
import { handOver } from '@/server/services/visits/hand-over';
import { readRationale } from '@/server/services/visits/rationales';
import { loadVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { VisitStore } from '@/views/visit/visit-store';
import { freshDatabase, type TestDatabase } from './database';

let db: TestDatabase;
let me: Actor;
let shoe: ShoeModel;

beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  const made = testShoe('one', { drop: 8 }, { sizing: testSizing({ sizes: [42, 43], widths: ['D'] }) });
  await asTenant(me, async (tenant) => {
    const row = await tenant.tx
      .insertInto('shoe_model')
      .values({
        clinic_id: me.clinicId,
        maker: made.maker,
        name: made.name,
        version: made.version,
        features: JSON.stringify(made.features),
        sizing: JSON.stringify(made.sizing),
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    shoe = { ...made, id: row.id };
  });
});
afterAll(() => db.drop());

/** Saves a visit step by step as the browser does; what the schemas refuse is no visit. */
async function saved(contents: VisitContents): Promise<string> {
  return asTenant(me, async (tenant) => {
    const patient = await addPatient(tenant, {
      givenName: 'Vera',
      familyName: 'Test',
      bornOn: '1970-05-06',
      sizingGroup: 'men',
    });
    const { id } = await startVisit(tenant, patient.id);
    for (const { step, content } of stepsHeld(contents))
      await saveStep(tenant, id, step, {
        revision: 0,
        state: 'done',
        content: JSON.parse(JSON.stringify(content)),
      });
    return id;
  });
}

/** What the screen makes of the record that the API sends: over the wire, checked by its schema, into the store. */
async function onScreen(visitId: string) {
  const sent: unknown = JSON.parse(
    JSON.stringify(await asTenant(me, (tenant) => loadVisit(tenant, visitId))),
  );
  const record = visitRecordSchema.parse(sent);
  const store = new VisitStore(record);
  const { steps } = store.snapshot();
  const contents = stepTable<StepContents>((step) => steps[step].content);
  const reading = readVisit(record, contents, shoe);
  // And once more, as the screen does at the next keystroke, with what it holds already.
  const again = readVisit(record, contents, shoe, reading);
  return { reading, again };
}

/** What the server makes of it: why it would not hand over, and the specification of its rationale. */
async function onServer(visitId: string, contents: VisitContents) {
  const rationale = await asTenant(me, (tenant) => readRationale(tenant, visitId, null));
  const refused = await asTenant(me, (tenant) => handOver(tenant, visitId, contents['hand-over'] ?? {})).then(
    () => [],
    (error: Refusal) => {
      if (!error.extra?.errors) throw error;
      return error.extra.errors.map(({ message }) => message);
    },
  );
  return { specification: rationale.specification, board: rationale.board, refused };
}

describe('one reading of a visit', () => {
  it('screen and server give any visit the same specification, the same reasons and the same blocks', async () => {
    const chosen = {
      tryOns: [
        { model: shoe.id, sizeLeft: 42, sizeRight: 42, width: 'D' as const, verdict: 'chosen' as const },
      ],
    };
    let handedOver = 0;
    await fc.assert(
      fc.asyncProperty(generatedVisits, fc.boolean(), async (generated, hasPair) => {
        const contents: VisitContents = hasPair ? { ...generated, 'try-on': chosen } : generated;
        const visitId = await saved(contents);
        const screen = await onScreen(visitId);
        const server = await onServer(visitId, contents);
        const plain = (value: unknown) => JSON.parse(JSON.stringify(value));
        expect(plain(server.specification)).toEqual(plain(screen.reading.specification));
        expect(server.refused).toEqual(screen.reading.blocks.map(({ message }) => message));
        expect(screen.again.specification).toEqual(screen.reading.specification);
        expect(screen.again.blocks).toEqual(screen.reading.blocks);
        if (server.refused.length > 0) return;
        // What was issued reads as it was issued, on both sides.
        handedOver += 1;
        const after = await onScreen(visitId);
        expect(plain(after.reading.specification)).toEqual(plain(screen.reading.specification));
        const issued = await asTenant(me, (tenant) => readRationale(tenant, visitId, null));
        expect(plain(issued.specification)).toEqual(plain(screen.reading.specification));
      }),
      { numRuns: 60, seed: 20_302 },
    );
    // The property has seen both outcomes.
    expect(handedOver).toBeGreaterThan(0);
  });
});
