import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Feel } from '@/core/fitting/try-on';
import { rulesInForce } from '@/core/knowledge/house-rules';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { clinicInsightsAsCsv, readClinicInsights } from '@/server/services/insights/guesses';
import { readInsights, readProposals } from '@/server/services/insights/pairs';
import { readHouseRules } from '@/server/services/knowledge/in-force';
import { ruleUse } from '@/server/services/knowledge/knowledge';
import { endPair } from '@/server/services/pairs/pair-log';
import { loadVisit, notePresence, saveStep, startVisit } from '@/server/services/visits/visits';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { handedOver } from './handed-over';
import { somebodyCalled, wornModel } from './worn-pair';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

const insights = (least = 1) => asTenant(me, (tenant) => readClinicInsights(tenant, least));
/** A visit in which one pair was tried and rated. */
async function tried(
  patientId: string,
  model: string,
  comfort: number,
  part: object = {},
  feels: Feel[] = [],
) {
  const { id } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
  await asTenant(me, (tenant) =>
    saveStep(tenant, id, 'try-on', {
      revision: 0,
      state: 'done',
      content: { ...part, tryOns: [{ model, sizeLeft: 39, sizeRight: 39, width: 'D', comfort, feels }] },
    }),
  );
  return id;
}
const end = (visitId: string) =>
  asOwner(db, (client) =>
    client.query(
      "update visit set closed_at = now(), started_at = now() - interval '30 days' where id = $1",
      [visitId],
    ),
  );
const guessAt = async (visitId: string): Promise<number | null> =>
  (await asOwner(db, (client) => client.query('select guess from fitting where visit_id = $1', [visitId])))
    .rows[0].guess;

describe('guesses of comfort', () => {
  it('begin at the usual level, follow what was said at earlier visits, and leave it out when asked', async () => {
    const patientId = await somebodyCalled(me, 'Guessed');
    const model = await wornModel(me, { name: 'Guessed' });
    const first = await tried(patientId, model, 40);
    expect(await guessAt(first)).toBe(70);
    await end(first);
    const second = await tried(patientId, model, 45);
    const guess = await guessAt(second);
    expect(guess).toBeLessThan(60);
    const visit = await asTenant(me, (tenant) => loadVisit(tenant, second));
    expect(visit.feltBefore).toEqual([{ model, comfort: 40, feels: [] }]);
    await asTenant(me, (tenant) =>
      saveStep(tenant, second, 'try-on', {
        revision: 1,
        state: 'done',
        content: { withoutEarlier: true, tryOns: [{ model, sizeLeft: 39, comfort: 45 }] },
      }),
    );
    expect(await guessAt(second)).toBe(70);
    const { comfort } = await insights();
    expect(comfort.first).toMatchObject({ n: 2, patients: 1 });
    expect((await insights(2)).comfort.first).toBeNull();
  });
});

describe('as tables', () => {
  it('go out a line for each guess, size and step, and no cell is a formula', async () => {
    const patientId = await somebodyCalled(me, 'Tabled');
    const model = await wornModel(me, { maker: '=cmd()', name: 'Formula' });
    const { id } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
    await asTenant(me, (tenant) =>
      saveStep(tenant, id, 'feet', {
        revision: 0,
        state: 'done',
        content: { findings: { left: { footLength: 244 }, right: { footLength: 245 } } },
      }),
    );
    await asTenant(me, (tenant) =>
      saveStep(tenant, id, 'try-on', {
        revision: 0,
        state: 'done',
        content: {
          tryOns: [{ model, sizeLeft: 39, sizeRight: 39, width: 'D', comfort: 66, left: { roomMm: 5 } }],
        },
      }),
    );
    const lines = async (show: 'guesses' | 'misfits' | 'time') =>
      (await (await asTenant(me, (tenant) => clinicInsightsAsCsv(tenant, { show, least: 1 }))).text()).split(
        '\n',
      );
    expect((await lines('guesses'))[0]).toBe('guess,said,first');
    expect(await lines('guesses')).toContain('70,66,1');
    expect((await lines('misfits')).find((line) => line.includes('cmd'))).toMatch(
      /^"?'=cmd\(\)"?,EU 39,1,1,1,1,0/,
    );
    expect((await lines('time'))[0]).toBe('');
  });
});

describe('lives', () => {
  it('are held against what was foretold at the hand-over, whatever was learned since', async () => {
    const { pairId } = await handedOver(me);
    await asOwner(db, (client) =>
      client.query('update pair set started_on = started_on - 400, forecast_on = null where id = $1', [
        pairId,
      ]),
    );
    await asTenant(me, (tenant) => endPair(tenant, pairId, { on: today(), because: 'worn-out' }));
    const { forecasts } = await insights();
    expect(forecasts).toMatchObject({ pairs: 1, wornOut: 1 });
    expect(forecasts!.at.map(({ foretold }) => foretold)).toEqual([0.1, 0.5, 0.9]);
  });
});

describe('time by step', () => {
  it('adds up while somebody is there, and not while nobody is', async () => {
    const patientId = await somebodyCalled(me, 'Timed');
    const { id } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
    const seen = (step: 'ask' | 'feet') => asTenant(me, (tenant) => notePresence(tenant, id, step));
    const ago = (seconds: number) =>
      asOwner(db, (client) =>
        client.query(
          'update visit_presence set seen_at = now() - make_interval(secs => $2) where visit_id = $1',
          [id, seconds],
        ),
      );
    await seen('ask');
    await ago(15);
    await seen('feet');
    await ago(600);
    await seen('feet');
    await ago(30);
    await seen('ask');
    const { rows } = await asOwner(db, (client) =>
      client.query('select step, seconds from visit_time where visit_id = $1 order by step', [id]),
    );
    expect(rows).toEqual([
      { step: 'ask', seconds: 15 },
      { step: 'feet', seconds: 30 },
    ]);
    expect((await insights()).steps.map(({ step }) => step)).toEqual(['ask', 'feet']);
    expect((await insights(2)).steps).toEqual([]);
  });
});

describe('rules', () => {
  it('that spoke are counted with their pairs, and those that this clinic overrules are proposed to the lead', async () => {
    const ask = {
      findings: {
        body: { activities: ['walking'], bodyMass: 70, weeklyDistance: 18 },
        left: { pain: ['achilles-mid'], worstPain: 5 },
      },
    };
    const { pairId } = await handedOver(me, { ask });
    const { groups } = await asTenant(me, (tenant) => readInsights(tenant, { by: 'rule', least: 1 }));
    expect(groups.some(({ group }) => /heel cord|achilles/i.test(group))).toBe(true);
    const { rows } = await asOwner(db, (client) =>
      client.query(
        'select spoke from specification join hand_over on hand_over.specification_id = specification.id where pair_id = $1',
        [pairId],
      ),
    );
    const house = await asTenant(me, readHouseRules);
    const strong = rulesInForce(house).find(
      ({ id, strength }) => strength === 'strong' && rows[0].spoke.includes(id),
    )!;
    // As if it had been overruled in all of ten prescriptions.
    await asOwner(db, (client) =>
      client.query(
        `insert into specification (clinic_id, patient_id, visit_id, picture, choices, result, issued_by, purpose)
          select clinic_id, patient_id, visit_id, picture, choices, jsonb_build_object('targets', jsonb_build_array(jsonb_build_object(
            'pushes', jsonb_build_array(jsonb_build_object('rule', $2::text, 'setAside', 'as agreed'))))), issued_by, 'test ' || n
          from specification join hand_over using (clinic_id, patient_id, visit_id), generate_series(1, 10) as n
          where pair_id = $1`,
        [pairId, strong.id],
      ),
    );
    const proposals = await asTenant(me, async (tenant) =>
      readProposals(tenant, await ruleUse(tenant), house),
    );
    expect(proposals.find(({ rule }) => rule === strong.id)).toMatchObject({ because: 'overruled' });
    expect((await asTenant(me, readHouseRules)).version).toBe(house.version);
    expect(await asTenant(db.clinicB.practitioner, async (tenant) => ruleUse(tenant))).toEqual([]);
  });

  it('and guesses of one clinic are not seen by another', async () => {
    const there = await asTenant(db.clinicB.practitioner, (tenant) => readClinicInsights(tenant, 1));
    expect(there.forecasts).toBeNull();
    expect(there.misfits.groups).toEqual([]);
  });
});
