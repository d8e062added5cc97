import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { PreviewLine } from '@/contract/records';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import type { Findings } from '@/core/findings/picture';
import { editionOf, type HouseChange, knowledgeOf } from '@/core/knowledge/house-rules';
import { resolve } from '@/core/prescribe/engine/resolve';
import { type Actor, asTenant } from '@/server/database/tenant';
import type { Refusal } from '@/server/http/problem';
import { previewHouseRules } from '@/server/preview/preview-house-rules';
import { readHouseRules } from '@/server/services/knowledge/in-force';
import {
  keepEdition,
  listHouseRules,
  replayIssued,
  ruleUse,
  saveHouseRules,
} from '@/server/services/knowledge/knowledge';
import { addPatient } from '@/server/services/patients/patients';
import { startVisit } from '@/server/services/visits/visits';
import { freshDatabase, type TestDatabase } from './database';

let db: TestDatabase;
let lead: Actor;
const off: HouseChange = { kind: 'off', rule: 'achilles-pain', reason: 'we begin with exercise' };
const runner: Findings = {
  body: { activities: ['road-running'] },
  left: { pain: ['achilles-mid'] },
  right: { pain: [] },
};

beforeAll(async () => {
  db = await freshDatabase();
  lead = db.clinicA.lead;
});
afterAll(() => db.drop());

/** Issues a specification as a hand-over does, without the rest of a visit. */
const issue = (findings: Findings, actor = lead): Promise<string> =>
  asTenant(actor, async (tenant) => {
    const patient = await addPatient(tenant, {
      givenName: 'Vera',
      familyName: 'Test',
      bornOn: '1970-05-06',
      sizingGroup: 'women',
    });
    const visit = await startVisit(tenant, patient.id);
    const house = await readHouseRules(tenant);
    const knowledge = knowledgeOf(house);
    await keepEdition(tenant, knowledge);
    const setAside = [{ rule: 'achilles-rocker', feature: 'rocker' as const, reason: 'does not like it' }];
    const result = resolve(clinicalPicture(findings), { school: 'balanced', setAside, knowledge });
    const row = await tenant.tx
      .insertInto('specification')
      .values({
        clinic_id: actor.clinicId,
        patient_id: patient.id,
        visit_id: visit.id,
        picture: JSON.stringify(findings),
        choices: JSON.stringify({ school: 'balanced', setAside }),
        result: JSON.stringify(result),
        house_version: house.version,
        issued_by: actor.userId,
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    return row.id;
  });

const save = (changes: HouseChange[], basedOn: number, actor = lead) =>
  asTenant(actor, (tenant) =>
    saveHouseRules(tenant, { changes, settings: {}, basedOn, note: 'for the test' }),
  );
const refusal = (work: Promise<unknown>): Promise<Refusal> =>
  work.then(
    () => {
      throw new Error('was not refused');
    },
    (error) => error,
  );

async function linesOf(response: Response): Promise<PreviewLine[]> {
  const text = await response.text();
  return text
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line));
}

describe('house rules', () => {
  it('are versioned: what was issued before replays to the last byte after they change, and is never rewritten', async () => {
    const id = await issue(runner);
    const before = await asTenant(lead, (tenant) => replayIssued(tenant, id));
    expect(before.alike).toBe(true);
    expect(before.today.changes).toBeNull();

    const version = await save([off], 0);
    expect(version).toMatchObject({ version: 1, note: 'for the test', madeBy: 'lead a' });
    const after = await asTenant(lead, (tenant) => replayIssued(tenant, id));
    expect(after.alike).toBe(true);
    expect(after.specification).toEqual(before.specification);
    expect(after.today.edition).toBe(editionOf({ version: 1, changes: [off], settings: {} }));
    expect(after.today.changes?.targets.map((target) => target.feature)).toEqual(['drop']);
    expect(
      after.today.specification.targets
        .find((target) => target.feature === 'drop')
        ?.pushes.map((push) => push.rule),
    ).not.toContain('achilles-pain');

    await expect(
      asTenant(lead, ({ tx }) => tx.updateTable('house_rules').set({ note: 'changed' }).execute()),
    ).rejects.toThrow(/permission denied|append-only/);
  });

  it('a version based on an old one is refused with the one that stands', async () => {
    const refused = await refusal(save([], 0));
    expect(refused.status).toBe(409);
    expect(refused.extra.current).toMatchObject({ version: 1 });
    const both = await Promise.allSettled([save([off], 1), save([off], 1)]);
    expect(both.filter((entry) => entry.status === 'fulfilled')).toHaveLength(1);
  });

  it.each<[string, HouseChange[], RegExp]>([
    ['a rule that does not exist', [{ kind: 'off', rule: 'nobody', reason: 'test' }], /no rule “nobody”/],
    [
      'a rule named twice',
      [off, { kind: 'strength', rule: 'achilles-pain', strength: 'slight', reason: 'test' }],
      /named twice/,
    ],
    [
      'an own rule that contradicts a shipped one without naming it',
      [
        {
          kind: 'own',
          reason: 'test',
          rule: {
            id: 'house-flat-for-cords',
            topic: 'House rules',
            finding: 'sore cord',
            when: { all: [{ finding: 'pain', has: ['achilles-mid'] }] },
            wishes: [{ feature: 'drop', atMost: 2 }],
            strength: 'moderate',
            schools: [],
            evidence: 'C',
            sources: ['house'],
            because: 'a rule of the clinic that says the contrary',
          },
        },
      ],
      /mark both as contested/,
    ],
  ])('%s is refused at its place', async (_, changes, message) => {
    const current = await asTenant(lead, readHouseRules);
    const refused = await refusal(save(changes, current.version));
    expect(refused.status).toBe(422);
    expect(refused.extra.errors?.[0]?.path[0]).toBe('changes');
    expect(refused.extra.errors?.[0]?.message).toMatch(message);
  });

  it('one clinic never sees another’s', async () => {
    const { lead: other } = db.clinicB;
    expect(await asTenant(other, listHouseRules)).toEqual([]);
    expect(
      (
        await refusal(
          asTenant(other, (tenant) => replayIssued(tenant, '2f1c0b64-8d3e-4f0a-9d11-000000000001')),
        )
      ).status,
    ).toBe(404);
    expect(await asTenant(other, ruleUse)).toEqual([]);
  });

  it('counts how often a rule fired in issued specifications and how often it was overruled', async () => {
    const use = await asTenant(lead, ruleUse);
    expect(use.find((entry) => entry.rule === 'achilles-pain')).toEqual({
      rule: 'achilles-pain',
      fired: 1,
      overruled: 0,
    });
    expect(use.find((entry) => entry.rule === 'achilles-rocker')).toEqual({
      rule: 'achilles-rocker',
      fired: 1,
      overruled: 1,
    });
  });
});

describe('a preview of house rules', () => {
  it('names the specifications that would change, and how, by resolving each anew', async () => {
    const { lead: other } = db.clinicB;
    const changes = await issue(runner, other);
    await issue(
      { body: { activities: ['road-running'] }, left: { pain: ['shin'] }, right: { pain: [] } },
      other,
    );
    const lines = await linesOf(await previewHouseRules(other, { changes: [off], settings: {} }));
    const found = lines.flatMap((line) => ('change' in line ? [line.change] : []));
    expect(found.map((entry) => entry.specificationId)).toEqual([changes]);
    expect(lines.at(-1)).toEqual({ finished: { looked: 2, changed: 1 } });
    const [before, after] = [
      { version: 0, changes: [], settings: {} },
      { version: 1, changes: [off], settings: {} },
    ].map((house) => resolve(clinicalPicture(runner), { knowledge: knowledgeOf(house) }));
    expect(found[0]!.targets.map((target) => target.feature)).toEqual(['drop']);
    expect(JSON.stringify(before)).not.toBe(JSON.stringify(after));
  });

  it('changes nothing, and ends its process when the reader goes away', async () => {
    const before = await asTenant(lead, readHouseRules);
    const response = await previewHouseRules(lead, { changes: [], settings: {} });
    await response.body!.cancel();
    expect(await asTenant(lead, readHouseRules)).toEqual(before);
  });
});
