import { appointmentsIn } from '@tests/fixtures/calendar';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planBreakIn } from '@/core/break-in/plan';
import { addDays, dayOf } from '@/core/calendar/days';
import { RETURN_DAYS } from '@/core/orders/order';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { answerOuting, readBreakIn } from '@/server/services/pairs/break-in';
import { endPair } from '@/server/services/pairs/pair-log';
import { clinicCalendar, datesOfPair } from '@/server/services/patients/calendar';
import { changePatient } from '@/server/services/patients/patients';
import { changeClinic } from '@/server/services/people/clinic';
import { readRecall } from '@/server/services/recall/recall';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { handedOver } from './handed-over';
import { refusal } from './signing-in';
import { somebodyCalled } from './worn-pair';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  await asTenant(db.clinicA.lead, (tenant) => changeClinic(tenant, { phone: '055 019999' }));
});
afterAll(() => db.drop());

/** A calendar file as a general-purpose library reads it. */
function read(file: string) {
  return appointmentsIn(file).map(({ uid, start, isWholeDay, summary, description, alarms }) => ({
    uid,
    on: dayOf(start),
    allDay: isWholeDay,
    summary,
    description,
    alarms,
  }));
}
const kinds = async (patientId: string) =>
  (await asTenant(me, (tenant) => readRecall(tenant)))
    .filter(({ patient }) => patient.id === patientId)
    .map(({ kind }) => kind);

describe('the dates of a pair', () => {
  it('are a calendar file of whole days in the language of its wearer, in their order', async () => {
    const patientId = await somebodyCalled(me, 'Kommt', '1980-01-01');
    await asTenant(me, (tenant) => changePatient(tenant, patientId, { language: 'de' }));
    const { visitId, pairId, sheet } = await handedOver(me, { patientId });
    const days = read(await asTenant(me, (tenant) => datesOfPair(tenant, visitId, null)));
    const { doneOn } = planBreakIn((await asTenant(me, (tenant) => readBreakIn(tenant, pairId)))!);
    expect(days.map(({ on }) => on)).toEqual(days.map(({ on }) => on).toSorted());
    expect(Object.fromEntries(days.map(({ uid, on }) => [uid.replace(`${pairId}-`, ''), on]))).toEqual({
      'return@sovet': addDays(today(), RETURN_DAYS),
      'break-in@sovet': doneOn,
      'review@sovet': sheet.reviewOn,
      'next@sovet': sheet.startNextOn,
    });
    for (const day of days) {
      expect(day).toMatchObject({ allDay: true, alarms: 1 });
      expect(day.description).toContain('055 019999');
    }
    expect(days.find(({ uid }) => uid.includes('review'))!.summary).toBe(`Mit ${sheet.shoe} wiederkommen`);
  });

  it('are only the clinic’s own', async () => {
    const { visitId } = await handedOver(me);
    const other = asTenant(db.clinicB.practitioner, (tenant) => datesOfPair(tenant, visitId, null));
    expect((await refusal(other)).status).toBe(404);
  });
});

describe('a pair that may go back', () => {
  it('stands in Today for its last five days, and leaves it when it went back', async () => {
    const { patientId, pairId } = await handedOver(me);
    expect(await kinds(patientId)).not.toContain('return-ends');
    const endsIn = (days: number) =>
      asOwner(db, (client) =>
        client.query('update pair set return_by = $2 where id = $1', [pairId, addDays(today(), days)]),
      );
    for (const [days, isDue] of [
      [6, false],
      [5, true],
      [0, true],
      [-1, false],
    ] as const) {
      await endsIn(days);
      expect((await kinds(patientId)).includes('return-ends'), String(days)).toBe(isDue);
    }
    await endsIn(2);
    await asTenant(me, (tenant) => endPair(tenant, pairId, { on: today(), because: 'hurt' }));
    expect(await kinds(patientId)).not.toContain('return-ends');
  });

  it('is none where the clinic breaks in another way', async () => {
    const { pairId } = await handedOver(me, { input: { breakIn: 'none' } });
    const { rows } = await asOwner(db, (client) =>
      client.query('select return_by from pair where id = $1', [pairId]),
    );
    expect(rows).toEqual([{ return_by: null }]);
  });
});

describe('the calendar of the clinic', () => {
  it('has what is due with initials and a link, and no name; what must not be worn stands on today', async () => {
    const patientId = await somebodyCalled(me, 'Unmistakable', '1980-01-01');
    const { pairId, sheet } = await handedOver(me, { patientId });
    await asTenant(me, (tenant) => answerOuting(tenant, pairId, { on: today(), felt: 'severe' }));
    const file = await asTenant(me, (tenant) => clinicCalendar(tenant, 'https://sovet.example'));
    expect(file).not.toContain('Unmistakable');
    const mine = read(file).filter(({ description }) => description.endsWith(patientId));
    expect(mine.find(({ uid }) => uid === `${pairId}-review@sovet`)).toMatchObject({
      on: sheet.reviewOn,
      summary: expect.stringMatching(/^\w\. U\.: review after hand-over, /),
      description: `https://sovet.example/patients/${patientId}`,
    });
    expect(mine.find(({ uid }) => uid.includes('stop-wearing'))).toMatchObject({ on: today() });
    const other = await asTenant(db.clinicB.practitioner, (tenant) =>
      clinicCalendar(tenant, 'https://sovet.example'),
    );
    expect(read(other)).toEqual([]);
  });
});
