import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planBreakIn } from '@/core/break-in/plan';
import { addDays } from '@/core/calendar/days';
import type { Review } from '@/core/review/review';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { saveHouseRules } from '@/server/services/knowledge/knowledge';
import { answerOuting, readBreakIn } from '@/server/services/pairs/break-in';
import { keepOutcome, readOutcomes } from '@/server/services/pairs/outcomes';
import { readPair } from '@/server/services/pairs/pair-records';
import { readTimeLine } from '@/server/services/pairs/time-line';
import { erasePatient } from '@/server/services/patients/one-person';
import { readRecall } from '@/server/services/recall/recall';
import { keepReview, readReviews } from '@/server/services/visits/reviews';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { handedOver } from './handed-over';
import { refusal } from './signing-in';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

const review = (pairId: string, part: Partial<Review> = {}, actor = me) =>
  asTenant(actor, (tenant) =>
    keepReview(tenant, pairId, {
      on: today(),
      warnings: [],
      measures: { comfort: 80 },
      decision: 'keep',
      ...part,
    }),
  );
const pagesOf = (pairId: string) => asTenant(me, (tenant) => readReviews(tenant, pairId, today()));
const kinds = async (patientId: string) =>
  (await asTenant(me, (tenant) => readRecall(tenant)))
    .filter(({ patient }) => patient.id === patientId)
    .map(({ kind }) => kind);
const aching = {
  ask: {
    findings: {
      body: { activities: ['walking'], bodyMass: 70, weeklyDistance: 18 },
      left: { pain: ['achilles-mid'], worstPain: 5 },
    },
  },
};

describe('a review of a pair', () => {
  it('keeps measures, inspection and decision in one go, and says when the pair is seen again', async () => {
    const { pairId, patientId } = await handedOver(me, aching);
    const kept = await review(pairId, {
      changed: [],
      measures: { comfort: 85, zones: { ball: 70 }, pain: 1 },
      inspection: { signs: { creases: 'none' } },
      since: 40,
    });
    expect(kept).toMatchObject({ visitId: null, again: addDays(today(), 14) });
    const record = await asTenant(me, (tenant) => readPair(tenant, pairId));
    expect(record.outcomes.taken.at(-1)).toMatchObject({ comfort: 71, zones: { ball: 70 }, pain: 5 });
    expect(record.pair.inspections[0]?.content.signs).toEqual({ creases: 'none' });
    expect(record.pair.forecast.used).toBeGreaterThanOrEqual(40);
    const page = await pagesOf(pairId);
    expect(page.reviews).toMatchObject([{ decision: 'keep', suggested: 'keep' }]);
    expect(page.first?.ached).toEqual(['heel cord, mid-portion, left']);
    expect(page.first?.wanted.length).toBeGreaterThan(0);
    const { course } = await asTenant(me, (tenant) => readTimeLine(tenant, patientId));
    expect(course.looked.map(({ words }) => words)).toEqual(['visit', 'review: keep the pair']);
    // What the pair began with stands: it was handed over and reviewed on one day.
    expect(course.comfort.map(({ value }) => value)).toEqual([71]);
  });

  it('on a later day knows better than what was said from home, and keeps what it did not ask', async () => {
    const { pairId } = await handedOver(me);
    await asOwner(db, (client) =>
      client.query('update outcome set taken_on = taken_on - 30 where pair_id = $1', [pairId]),
    );
    await asOwner(db, (client) =>
      client.query('update pair set started_on = started_on - 30 where id = $1', [pairId]),
    );
    await asTenant(me, (tenant) => keepOutcome(tenant, pairId, { on: today(), comfort: 20, hoursADay: 6 }));
    await review(pairId, { measures: { comfort: 80 } });
    const { taken } = await asTenant(me, (tenant) => readOutcomes(tenant, pairId));
    expect(taken.at(-1)).toMatchObject({ comfort: 80, hoursADay: 6 });
  });

  it('lets a pair without a plan go on too, once it was seen', async () => {
    const { pairId, patientId } = await handedOver(me);
    await asOwner(db, (client) => client.query('update pair set break_in = null where id = $1', [pairId]));
    await review(pairId, { warnings: ['open-wound'], decision: 'refer', to: 'wound clinic, today' });
    expect(await kinds(patientId)).toContain('stop-wearing');
    await review(pairId, { because: 'healed, seen today' });
    expect(await kinds(patientId)).not.toContain('stop-wearing');
  });

  it('ends an alarm that it saw, and stands in Today again when the pair is to be seen', async () => {
    const { pairId, patientId } = await handedOver(me);
    await asTenant(me, (tenant) => keepOutcome(tenant, pairId, { on: today(), falls: 1 }));
    expect(await kinds(patientId)).toContain('outcome-alarm');
    await review(pairId, { decision: 'refer', to: 'balance class, this month', again: addDays(today(), 3) });
    expect(await kinds(patientId)).not.toContain('outcome-alarm');
    expect(await kinds(patientId)).toContain('review-due');
  });

  it('lets a stopped break-in go on, with what was changed as what was found', async () => {
    const { pairId, patientId } = await handedOver(me);
    await asTenant(me, (tenant) => answerOuting(tenant, pairId, { on: today(), felt: 'severe' }));
    expect(await kinds(patientId)).toContain('stop-wearing');
    const refused = await refusal(review(pairId, { decision: 'refit' }));
    expect(refused.extra.errors?.map(({ path }) => path)).toEqual([['because']]);
    await review(pairId, { decision: 'refit', because: 'tongue padded, relaced' });
    expect(await kinds(patientId)).not.toContain('stop-wearing');
    const plan = await asTenant(me, (tenant) => readBreakIn(tenant, pairId));
    expect(plan?.answers.every(({ isSeen }) => isSeen)).toBe(true);
  });

  it('with a warning sign stops the pair until another review lets it go on', async () => {
    const { pairId, patientId } = await handedOver(me);
    await review(pairId, { warnings: ['ischaemia'], decision: 'refer', to: 'vascular service, today' });
    expect(await kinds(patientId)).toContain('stop-wearing');
    const stopped = await asTenant(me, (tenant) => readBreakIn(tenant, pairId));
    expect(planBreakIn(stopped!).state).toBe('stop');
    await review(pairId, { because: 'seen by the vascular service, may be worn' });
    expect(await kinds(patientId)).not.toContain('stop-wearing');
  });

  it('begins the visit of the next pair', async () => {
    const { pairId } = await handedOver(me);
    const { visitId, again } = await review(pairId, { decision: 'next', changed: ['new-pain'] });
    expect(visitId).not.toBeNull();
    expect(again).toBeNull();
  });

  it('is refused whole with a warning sign: nothing of it is kept', async () => {
    const { pairId } = await handedOver(me);
    const before = await asTenant(me, (tenant) => readOutcomes(tenant, pairId));
    const refused = await refusal(review(pairId, { warnings: ['open-wound'], measures: { comfort: 10 } }));
    expect(refused.extra.errors?.[0]?.message).toContain('referred first');
    expect(await asTenant(me, (tenant) => readOutcomes(tenant, pairId))).toEqual(before);
    expect((await pagesOf(pairId)).reviews).toEqual([]);
  });

  it('is nobody else’s, and goes with its patient', async () => {
    const { pairId, patientId, familyName } = await handedOver(me);
    await review(pairId);
    expect((await refusal(review(pairId, {}, db.clinicB.practitioner))).status).toBe(404);
    await asTenant(db.clinicA.lead, (tenant) =>
      erasePatient(tenant, patientId, { familyName, reason: 'asked for it' }),
    );
    const { rows } = await asOwner(db, (client) =>
      client.query('select count(*)::int as n from review where pair_id = $1', [pairId]),
    );
    expect(rows[0].n).toBe(0);
  });
});

describe('what a pair begins with', () => {
  it('are the numbers of the gait that the visit took', async () => {
    const { pairId } = await handedOver(me, {
      feet: {
        findings: { left: { footLength: 244, heelAngleWalk: 9 }, right: { footLength: 245 } },
      },
    });
    const { taken } = await asTenant(me, (tenant) => readOutcomes(tenant, pairId));
    expect(taken[0]?.gait).toEqual([{ measure: 'heelAngleWalk', side: 'left', value: 9 }]);
  });

  it('is asked again when the house rules say, for all pairs at once', async () => {
    const { pairId } = await handedOver(me);
    const dueOn = async () => (await asTenant(me, (tenant) => readOutcomes(tenant, pairId))).dueOn;
    expect(await dueOn()).toBe(addDays(today(), 14));
    await asTenant(db.clinicA.lead, (tenant) =>
      saveHouseRules(tenant, {
        basedOn: 0,
        note: 'we ask earlier',
        changes: [],
        settings: { outcomes: { weeks: [3, 8], thenMonths: 4 } },
      }),
    );
    expect(await dueOn()).toBe(addDays(today(), 21));
  });
});
