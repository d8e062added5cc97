import { expect, test } from '@playwright/test';
import { api } from '@/contract/contract';
import type { AnswerOf, CallInput, Operation } from '@/contract/operation';
import type { OperationName } from '@/contract/routes';
import { deriveFindings } from '@/core/examination/derive';
import { enteredPicture, type Findings } from '@/core/findings/picture';
import { relianceOf } from '@/core/prescribe/counterfactual/reliance';
import { canonical } from '@/core/prescribe/counterfactual/replay';
import { BUILT_IN, resolve } from '@/core/prescribe/engine/resolve';
import { pairAt, pairsAskedFor } from '@/core/purpose/pairs';
import { chosenTryOn } from '@/core/visit/examined';
import { contentsOf } from '@/core/visit/held';
import { readVisit } from '@/core/visit/read-visit';
import { origin } from './server';
import { accessToken, callWith } from './token';

test.describe('the contract', () => {
  let token: string;
  test.beforeAll(async ({ browser }) => {
    token = await accessToken(browser);
  });

  /** Calls an operation and holds its answer against the schema that the contract states. */
  async function ask<K extends OperationName>(name: K, input: CallInput<(typeof api)[K]>) {
    const operation: Operation = api[name];
    const { status, answer } = await callWith(token, name, input);
    expect(status, `${name}: ${JSON.stringify(answer).slice(0, 400)}`).toBe(operation.status ?? 200);
    const read = operation.answer?.safeParse(answer);
    expect(read?.success === false ? read.error.issues.slice(0, 4) : [], name).toEqual([]);
    return answer as AnswerOf<(typeof api)[K]>;
  }

  const findings: Findings = {
    body: { ageYears: 71, activities: ['walking'], conditions: ['diabetes'] },
    left: { arch: 'high', archMobility: 'rigid', pain: ['achilles-mid'], sensation: 'lost', footLength: 262 },
    right: { arch: 'high', archMobility: 'rigid', sensation: 'lost', footLength: 265, ballWidth: 101 },
  };

  test('lists and records answer as their schemas say', async () => {
    const people = await ask('findPatients', { query: {} });
    expect(people.length).toBeGreaterThan(40);
    const today = await ask('today', {});
    for (const id of new Set(today.slice(0, 12).map(({ patient }) => patient.id))) {
      const patient = await ask('patient', { params: { id } });
      for (const visit of patient.visits.slice(0, 3)) {
        const record = await ask('visit', { params: { id: visit.id } });
        for (const { id } of record.issued) await ask('replay', { params: { id } });
      }
    }
    const models = await ask('models', {});
    await ask('model', { params: { id: models[0]!.id } });
    await ask('orders', { query: {} });
    await ask('supplierFeed', {});
    await ask('knowledge', {});
    await ask('houseRules', {});
    await ask('tokens', {});
  });

  test('calculations answer as their schemas say', async () => {
    await ask('specification', { body: { findings } });
    await ask('comparison', { body: { findings } });
    await ask('nextQuestions', { body: { findings } });
    await ask('sizes', { body: { footLengthMm: 262.5, ballWidthMm: 101, group: 'men' } });
    await ask('socks', {
      body: { inventory: [{ ply: 3, hole: false, quantity: 2 }], wantedPly: 5, needsHole: false },
    });
    await ask('alignment', { body: { shoeRiseMm: 20, setRiseMm: 9.5, leverMm: 180 } });
    await ask('wear', { body: { ageDays: 40, expectedWeekly: 20 } });
    const shoe = { drop: 10, heelStack: 30, heelCushioning: 3, forefootStiffness: 3, rocker: 1, stepRate: 0 };
    await ask('whatIf', { body: { from: shoe, to: { ...shoe, drop: 4 } } });
    const { candidates } = await ask('candidates', { body: { findings, limit: 5 } });
    expect(candidates.length).toBeGreaterThan(0);
    const [first] = candidates;
    await ask('moreLike', { body: { findings, model: first!.id, but: 'softer' } });
    await ask('fitAdvice', {
      body: {
        findings,
        tryOns: [{ model: first!.id, left: { roomMm: 4, bend: 'too-far-back' }, comfort: 60 }],
      },
    });
  });

  test('a visit from its start to its end answers as the schemas say, and nothing typed is lost on the way', async () => {
    const { id } = await ask('addPatient', {
      body: { givenName: 'Contract', familyName: 'Tester', bornOn: '1955-04-02', sizingGroup: 'men' },
    });
    await ask('changePatient', { params: { id }, body: { occupation: 'bell-ringer' } });
    const visit = await ask('startVisit', { params: { id } });
    const saved = await ask('saveStep', {
      params: { id: visit.id, step: 'feet' },
      body: { revision: 0, state: 'in-progress', content: { findings: { left: { footLength: 262 } } } },
    });
    expect(saved.revision).toBe(1);
    const stale = await callWith(token, 'saveStep', {
      params: { id: visit.id, step: 'feet' },
      body: { revision: 0, state: 'done', content: { findings: {} } },
    });
    expect(stale.status).toBe(409);
    expect(stale.answer).toMatchObject({ code: 'conflict', current: { step: 'feet', revision: 1 } });
    await ask('presence', { params: { id: visit.id }, body: { step: 'feet' } });
    const record = await ask('visit', { params: { id: visit.id } });
    expect(contentsOf(record.steps).feet?.findings.left?.footLength).toBe(262);
    await ask('closeVisit', { params: { id: visit.id }, body: { reason: 'referred to the wound clinic' } });
  });

  test('what the server refuses at a hand-over is what the screen lists, word for word', async () => {
    const { id } = await ask('addPatient', {
      body: { givenName: 'Blocked', familyName: 'Tester', bornOn: '1960-01-01', sizingGroup: 'women' },
    });
    const visit = await ask('startVisit', { params: { id } });
    const mark = {
      id: 'm',
      layer: 'skin',
      side: 'left',
      view: 'sole',
      site: 'first-head',
      x: 50,
      y: 60,
      kind: 'wound',
    };
    const save = (step: 'feet' | 'warnings' | 'reason' | 'try-on', content: Record<string, unknown>) =>
      ask('saveStep', { params: { id: visit.id, step }, body: { revision: 0, state: 'done', content } });
    await save('feet', {
      findings: { left: { sensation: 'lost' }, right: { sensation: 'lost' } },
      marks: [mark],
    });
    await save('warnings', {
      checked: true,
      ankle: { right: { malleolarPain: 'yes', innerMalleolus: 'yes' } },
    });
    await save('reason', {
      decisions: [
        { feature: 'closure', kind: 'pin', options: ['slip-on'], reason: 'asked for by the patient' },
      ],
    });
    const record = await ask('visit', { params: { id: visit.id } });
    const contents = contentsOf(record.steps);
    expect(chosenTryOn(contents)).toBeNull();
    const listed = readVisit(record, contents, null).blocks.map(({ message }) => message);
    expect(listed).toHaveLength(4);
    const refused = await callWith(token, 'handOver', { params: { id: visit.id }, body: {} });
    expect(refused.status).toBe(422);
    const { errors } = refused.answer as unknown as { errors: { message: string }[] };
    expect(errors.map(({ message }) => message)).toEqual(listed);
  });

  test('specification and reliance by the API are those of the screen, for the same findings', async () => {
    const { knowledge, ...rest } = await ask('specification', { body: { findings } });
    const { edition, rules } = await ask('knowledge', {});
    expect(knowledge).toBe(edition);
    const inForce = { edition, rules };
    const entered = enteredPicture(findings);
    const { limitsOfUse: _, pairs, pair, ...fromApi } = rest;
    expect(pairs).toEqual(pairsAskedFor(entered));
    expect(pair).toBe(pairAt(pairsAskedFor(entered), undefined)?.id ?? null);
    expect(canonical({ knowledge, ...fromApi })).toBe(
      canonical(resolve(deriveFindings(entered), { knowledge: inForce })),
    );
    const { reliance } = await ask('reliance', { body: { findings } });
    expect(canonical(reliance)).toBe(canonical(relianceOf(entered, { knowledge: inForce })));
    expect(edition.startsWith(BUILT_IN.edition)).toBe(true);
  });

  test('the document shows an example and a schema for every answer', async () => {
    const response = await fetch(`${origin()}/api/v1/openapi.json`);
    const document = await response.json();
    for (const operation of Object.values<Operation>(api)) {
      const { responses } = document.paths[operation.path][operation.method.toLowerCase()];
      const { content } = responses[operation.status ?? 200];
      if (!operation.answer) continue;
      expect(content['application/json'].schema, operation.id).toBeTruthy();
      expect(content['application/json'].example, operation.id).not.toBeUndefined();
    }
    const pointers = JSON.stringify(document).matchAll(/"#\/([^"]+)"/g);
    for (const [, pointer] of pointers) {
      const found = pointer!.split('/').reduce((at, part) => at?.[part], document);
      expect(found, pointer).toBeTruthy();
    }
  });
});
