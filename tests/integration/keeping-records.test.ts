import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { authDatabase } from '@/server/database/connection';
import { type Actor, asTenant } from '@/server/database/tenant';
import { eraseDue } from '@/server/jobs/jobs';
import { addConsent, listConsents, withdrawConsent } from '@/server/services/patients/consents';
import { foldedInto, listDuplicates, mergePatients, undoMerge } from '@/server/services/patients/duplicates';
import { erasePatient } from '@/server/services/patients/one-person';
import {
  addPatient,
  changePatient,
  findPatients,
  patientAudit,
  readPatient,
} from '@/server/services/patients/patients';
import {
  closedPatients,
  erasePast,
  previewRetention,
  reopenPatient,
} from '@/server/services/patients/retention';
import { changeClinic } from '@/server/services/people/clinic';
import { readRecall } from '@/server/services/recall/recall';
import { handOver } from '@/server/services/visits/hand-over';
import { loadVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { refusal } from './signing-in';
import { usualModel } from './usual-model';

let db: TestDatabase;
let me: Actor;
let lead: Actor;

beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  lead = db.clinicA.lead;
});
afterAll(() => db.drop());

const asMe = <T>(work: Parameters<typeof asTenant<T>>[1]) => asTenant(me, work);
let names = 0;
/** Somebody new, by default with a family name that nobody else has. */
const somebody = (part: Partial<Parameters<typeof addPatient>[1]> = {}) => {
  names += 1;
  return asMe((tenant) =>
    addPatient(tenant, {
      givenName: 'Liv',
      familyName: `Keep${names}`,
      bornOn: `1970-01-${String((names % 28) + 1).padStart(2, '0')}`,
      sizingGroup: 'women',
      ...part,
    }),
  ).then(({ id }) => id);
};
const save = (visitId: string, step: Parameters<typeof saveStep>[2], content: unknown) =>
  asMe((tenant) => saveStep(tenant, visitId, step, { revision: 0, state: 'done', content }));

/** A visit with a try-on and a hand-over. */
async function handedOver(patient: string): Promise<string> {
  const model = await usualModel(me, { name: `Model ${Math.random()}` });
  const { id: visit } = await asMe((tenant) => startVisit(tenant, patient));
  await save(visit, 'ask', { findings: { body: { activities: ['walking'], bodyMass: 70 } } });
  await save(visit, 'feet', { findings: { left: { footLength: 244 }, right: { footLength: 245 } } });
  await save(visit, 'try-on', {
    tryOns: [
      {
        model,
        sizeLeft: 39,
        sizeRight: 39,
        width: 'B',
        comfort: 71,
        verdict: 'chosen',
        left: { roomMm: 12, widthFit: 'right' },
        right: { roomMm: 11, widthFit: 'right' },
      },
    ],
  });
  await save(visit, 'warnings', { checked: true, present: [] });
  await asMe((tenant) => handOver(tenant, visit, {}));
  return visit;
}
const day = (ago = 0) => new Date(Date.now() - ago * 86_400_000).toISOString().slice(0, 10);

describe('what a patient agreed to', () => {
  const consent = (patient: string, kind: 'contact' | 'learning', givenOn = day(3)) =>
    asMe((tenant) => addConsent(tenant, patient, { kind, how: 'signed', givenOn }));

  it('is noted with how and when, taken back with when, and Today stops saying how to reach them', async () => {
    const id = await somebody({ phone: '020 5551234' });
    await handedOver(id);
    await authDatabase().query('select 1');
    await asOwner(db, async (client) => {
      await client.query(`select set_config('sovet.clinic', $1, false)`, [me.clinicId]);
      await client.query(`update pair set review_on = current_date where patient_id = $1`, [id]);
    });
    const reachOf = async () =>
      (await asMe((tenant) => readRecall(tenant))).find(({ patient }) => patient.id === id)?.reach;
    expect(await reachOf()).toBe('Call 020 5551234 (consent not noted)');
    const { id: given } = await consent(id, 'contact');
    expect(await reachOf()).toBe('Call 020 5551234');
    await asMe((tenant) => withdrawConsent(tenant, given, day()));
    expect(await reachOf()).toBe('Does not agree to being contacted');
    expect(await asMe((tenant) => listConsents(tenant, id))).toMatchObject([
      { kind: 'contact', how: 'signed', recordedBy: 'practitioner a', withdrawnOn: day() },
    ]);
    await consent(id, 'contact', day());
    expect(await reachOf()).toBe('Call 020 5551234');
  });

  it('cannot be taken back before it was given', async () => {
    const id = await somebody();
    const { id: given } = await consent(id, 'contact', day(3));
    const early = await refusal(asMe((tenant) => withdrawConsent(tenant, given, day(9))));
    expect(early.extra.errors?.[0]?.path).toEqual(['on']);
  });

  it('taken back from learning, fittings of theirs correct no size: neither those there are nor the next', async () => {
    const id = await somebody();
    await handedOver(id);
    const taught = () =>
      asMe(({ tx }) =>
        tx
          .selectFrom('fitting')
          .innerJoin('visit', 'visit.id', 'visit_id')
          .select('visit_id')
          .where('patient_id', '=', id)
          .execute(),
      ).then((rows) => rows.length);
    expect(await taught()).toBe(1);
    const { id: given } = await consent(id, 'learning');
    expect(await taught()).toBe(1);
    await asMe((tenant) => withdrawConsent(tenant, given, day()));
    expect(await taught()).toBe(0);
    await handedOver(id);
    expect(await taught()).toBe(0);
  });

  it('stays behind the wall', async () => {
    const id = await somebody();
    const { id: given } = await consent(id, 'contact');
    const foreign = <T>(work: Parameters<typeof asTenant<T>>[1]) => refusal(asTenant(db.clinicB.lead, work));
    expect(
      (await foreign((tenant) => addConsent(tenant, id, { kind: 'share', how: 'spoken', givenOn: day() })))
        .status,
    ).toBe(404);
    expect((await foreign((tenant) => withdrawConsent(tenant, given, day()))).status).toBe(404);
  });
});

describe('the archive', () => {
  it('takes somebody out of the lists and of Today; a new visit brings them back', async () => {
    const id = await somebody({ familyName: 'Putaway' });
    await asMe((tenant) => changePatient(tenant, id, { archived: true }));
    expect(await asMe((tenant) => findPatients(tenant, 'Putaway'))).toEqual([]);
    expect(await asMe((tenant) => findPatients(tenant, 'Putaway', true))).toHaveLength(1);
    expect((await asMe((tenant) => readPatient(tenant, id))).archived).toBe(true);
    await asMe((tenant) => startVisit(tenant, id));
    expect(await asMe((tenant) => findPatients(tenant, 'Putaway'))).toHaveLength(1);
  });
});

describe('two records of one person', () => {
  it('are found by a birthday with one name alike, or by both names; strangers are not', async () => {
    const one = await somebody({ givenName: 'Berta', familyName: 'Twice', bornOn: '1961-02-03' });
    const other = await somebody({ givenName: 'BERTA', familyName: 'Twise', bornOn: '1961-02-03' });
    const misdated = await somebody({ givenName: 'Berta', familyName: 'twice', bornOn: '1961-03-02' });
    const stranger = await somebody({ givenName: 'Carla', familyName: 'Once', bornOn: '1961-02-03' });
    const { likely } = await asMe(listDuplicates);
    const pairs = likely.map(({ records }) =>
      records
        .map(({ id }) => id)
        .sort()
        .join(),
    );
    expect(pairs).toContain([one, other].sort().join());
    expect(pairs).toContain([one, misdated].sort().join());
    expect(pairs).not.toContain([other, misdated].sort().join());
    expect(pairs.some((pair) => pair.includes(stranger))).toBe(false);
    expect(await asTenant(db.clinicB.lead, listDuplicates)).toEqual({ likely: [], merged: [] });
  });

  it('folded: everything hangs on the one, the other is gone from view, and an old link leads on', async () => {
    const [kept, folded] = [await somebody(), await somebody({ familyName: 'Gone' })];
    const visit = await handedOver(folded);
    const { id: merge } = await asMe((tenant) => mergePatients(tenant, kept, folded));
    const record = await asMe((tenant) => readPatient(tenant, kept));
    expect(record.visits.map(({ id }) => id)).toEqual([visit]);
    expect(record.pairs).toHaveLength(1);
    expect((await asMe((tenant) => loadVisit(tenant, visit))).patient.id).toBe(kept);
    expect(await asMe((tenant) => findPatients(tenant, 'Gone'))).toEqual([]);
    expect(await asMe((tenant) => foldedInto(tenant, folded))).toBe(kept);
    expect((await asMe((tenant) => patientAudit(tenant, kept))).map(({ what }) => what)).toContain(
      'hand-over',
    );
    // Somebody comes meanwhile: that visit stays with the record that was kept.
    const { id: later } = await asMe((tenant) => startVisit(tenant, kept));
    await asMe((tenant) => undoMerge(tenant, merge));
    expect((await asMe((tenant) => readPatient(tenant, kept))).visits.map(({ id }) => id)).toEqual([later]);
    const back = await asMe((tenant) => readPatient(tenant, folded));
    expect([back.familyName, back.visits.length, back.pairs.length]).toEqual(['Gone', 1, 1]);
    expect((await refusal(asMe((tenant) => undoMerge(tenant, merge)))).status).toBe(409);
  });

  it('with a visit open in both are not folded; nor with itself, nor across the wall', async () => {
    const [one, other] = [await somebody(), await somebody()];
    for (const id of [one, other]) await asMe((tenant) => startVisit(tenant, id));
    expect((await refusal(asMe((tenant) => mergePatients(tenant, one, other)))).message).toMatch(
      /visit open/,
    );
    expect((await refusal(asMe((tenant) => mergePatients(tenant, one, one)))).status).toBe(422);
    expect(
      (await refusal(asTenant(db.clinicB.lead, (tenant) => mergePatients(tenant, one, other)))).status,
    ).toBe(404);
  });

  it('two who fold the same pair at once: one of them does', async () => {
    const [one, other] = [await somebody(), await somebody()];
    const ends = await Promise.allSettled([
      asMe((tenant) => mergePatients(tenant, one, other)),
      asMe((tenant) => mergePatients(tenant, other, one)),
    ]);
    expect(ends.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
  });

  it('erased: what was folded into somebody is erased with them, and cannot be taken apart', async () => {
    const [kept, folded] = [
      await somebody({ familyName: 'Whole' }),
      await somebody({ givenName: 'Traceable', familyName: 'Traceable' }),
    ];
    const { id: merge } = await asMe((tenant) => mergePatients(tenant, kept, folded));
    await asTenant(lead, (tenant) => erasePatient(tenant, kept, { familyName: 'Whole', reason: 'asked' }));
    expect((await refusal(asMe((tenant) => undoMerge(tenant, merge)))).status).toBe(409);
    await asOwner(db, async (client) => {
      await client.query('set role sovet_backup');
      for (const table of ['patient', 'merge', 'consent'])
        expect(
          (await client.query(`select 1 from ${table} t where t::text ~* 'traceable'`)).rowCount,
          table,
        ).toBe(0);
      const { rows } = await client.query('select patient_id from erasure where patient_id = any($1)', [
        [kept, folded],
      ]);
      expect(rows).toHaveLength(2);
    });
  });
});

describe('how long records are kept', () => {
  const rules = { yearsAfterLastVisit: 8, childrenUntilAge: 25 };
  /** As if the record and its visits were so many years older. */
  const age = (id: string, years: number) =>
    asOwner(db, async (client) => {
      await client.query(`select set_config('sovet.clinic', $1, false)`, [me.clinicId]);
      await client.query(
        `update patient set created_at = created_at - make_interval(years => $2) where id = $1`,
        [id, years],
      );
      await client.query(
        `update visit set started_at = started_at - make_interval(years => $2) where patient_id = $1`,
        [id, years],
      );
    });

  it('a preview counts and names, and changes nothing; the number that was looked at is erased and no other', async () => {
    const [old, child, recent] = [
      await somebody({ familyName: 'Longago' }),
      await somebody({ familyName: 'Child', bornOn: day(365 * 19) }),
      await somebody(),
    ];
    await age(old, 9);
    await age(child, 9);
    const preview = await asTenant(lead, (tenant) => previewRetention(tenant, rules));
    expect(preview.first.map(({ id }) => id)).toEqual([old]);
    expect(preview.records).toBe(preview.kept + preview.past);
    expect((await refusal(asTenant(lead, (tenant) => erasePast(tenant, rules, 2)))).status).toBe(409);
    expect((await asMe((tenant) => readPatient(tenant, old))).familyName).toBe('Longago');
    expect(await asTenant(lead, (tenant) => erasePast(tenant, rules, 1))).toEqual({ erased: 1 });
    expect((await refusal(asMe((tenant) => readPatient(tenant, old)))).status).toBe(404);
    for (const id of [child, recent]) expect((await asMe((tenant) => readPatient(tenant, id))).id).toBe(id);
  });

  it('who asks too early is closed from view under the rule’s name, and can be brought back by the lead', async () => {
    await asTenant(lead, (tenant) => changeClinic(tenant, { retention: rules }));
    const id = await somebody({ familyName: 'Early' });
    const visit = await handedOver(id);
    const answer = await asTenant(lead, (tenant) =>
      erasePatient(tenant, id, { familyName: 'Early', reason: 'asked for it' }),
    );
    expect(answer.because).toMatch(/^Kept until .*: records are kept for 8 years after the last visit\.$/);
    expect((await refusal(asTenant(lead, (tenant) => readPatient(tenant, id)))).status).toBe(404);
    expect((await refusal(asMe((tenant) => loadVisit(tenant, visit)))).status).toBe(404);
    expect(await asMe((tenant) => findPatients(tenant, 'Early'))).toEqual([]);
    expect(await asTenant(lead, closedPatients)).toEqual([
      { id, name: 'Liv Early', until: answer.keptUntil, because: answer.because },
    ]);
    expect(await asTenant(db.clinicB.lead, closedPatients)).toEqual([]);
    expect((await refusal(asTenant(db.clinicB.lead, (tenant) => reopenPatient(tenant, id)))).status).toBe(
      404,
    );
    await asTenant(lead, (tenant) => reopenPatient(tenant, id));
    expect((await asMe((tenant) => readPatient(tenant, id))).visits).toHaveLength(1);
    expect((await asMe((tenant) => loadVisit(tenant, visit))).id).toBe(visit);
  });

  it('closed records whose time is up are erased by themselves, and the trail says by which rule', async () => {
    const id = await somebody({ familyName: 'Duesoon' });
    await asTenant(lead, (tenant) =>
      erasePatient(tenant, id, { familyName: 'Duesoon', reason: 'asked for it' }),
    );
    await eraseDue();
    expect(await asTenant(lead, closedPatients)).toHaveLength(1);
    await asOwner(db, async (client) => {
      await client.query(`select set_config('sovet.clinic', $1, false)`, [me.clinicId]);
      await client.query(`update patient set closed_until = current_date - 1 where id = $1`, [id]);
    });
    await eraseDue();
    expect(await asTenant(lead, closedPatients)).toEqual([]);
    const trail = await asMe((tenant) => patientAudit(tenant, id));
    expect(trail[0]).toMatchObject({ who: 'Rule of retention', action: 'erase' });
    await asOwner(db, async (client) => {
      await client.query('set role sovet_backup');
      expect((await client.query(`select 1 from patient p where p::text ~ 'Duesoon'`)).rowCount).toBe(0);
    });
  });

  it('nobody but those procedures reaches a closed record', async () => {
    const id = await somebody({ familyName: 'Shut' });
    await asTenant(lead, (tenant) =>
      erasePatient(tenant, id, { familyName: 'Shut', reason: 'asked for it' }),
    );
    expect(
      (await refusal(asTenant(lead, (tenant) => changePatient(tenant, id, { occupation: 'x' })))).status,
    ).toBe(404);
    const touched = await asTenant(lead, ({ tx }) =>
      tx.updateTable('patient').set({ occupation: 'x' }).where('id', '=', id).executeTakeFirst(),
    );
    expect(touched.numUpdatedRows).toBe(0n);
  });
});
