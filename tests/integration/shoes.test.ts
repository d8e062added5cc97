import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ImportLine } from '@/contract/records';
import { addDays } from '@/core/calendar/days';
import { featuresOf } from '@/core/shoe/readings/readings';
import { insideLength } from '@/core/sizing/start-size';
import { type Actor, asTenant } from '@/server/database/tenant';
import type { Refusal } from '@/server/http/problem';
import { today } from '@/server/services/clock';
import { listOrders } from '@/server/services/orders/order-records';
import { moveOrder, orderPair } from '@/server/services/orders/orders';
import { addPatient, readPatient } from '@/server/services/patients/patients';
import { readRecall } from '@/server/services/recall/recall';
import { adviseOnFit, moreLike, rankCandidates } from '@/server/services/shoes/candidates';
import { exportCatalogue } from '@/server/services/shoes/catalogue-export';
import { importCatalogue } from '@/server/services/shoes/catalogue-import';
import {
  catalogueEntries,
  changeModel,
  listModels,
  readModel,
  recordBenchTest,
} from '@/server/services/shoes/models';
import { answerSupplier, readSupplierFeed } from '@/server/services/shoes/supplier';
import { handOver } from '@/server/services/visits/hand-over';
import { loadVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { freshDatabase, type TestDatabase } from './database';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

const HEAD =
  'maker,name,version,group,system,allowance_mm,sizes,widths,ball_width_mm,stock,price,status,replaces,drop_mm,heel_stack_mm,use';
const row = (name: string, version = '1', more = '42 D:2,100,,,8,30,walking') =>
  `Testmaker,${name},${version},men,eu,15,39-46,D 2E,95,${more}`;
const request = (text: string | ReadableStream<Uint8Array>, type = 'text/csv') =>
  new Request('http://clinic.test/api/v1/catalogue', {
    method: 'POST',
    body: text,
    headers: { 'content-type': type },
    duplex: 'half',
  } as RequestInit);
async function send(text: string, { dry = false, type = 'text/csv', actor = me } = {}) {
  const answer = importCatalogue(actor, request(text, type), dry);
  const lines = (await answer.text())
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as ImportLine);
  const last = lines.at(-1)!;
  if (!('finished' in last)) throw new Error('The import did not finish.');
  return last.finished;
}
const names = (actor = me) =>
  asTenant(actor, async (tenant) =>
    (await listModels(tenant)).map(({ name, version }) => `${name} ${version}`),
  );
const refusal = async (work: Promise<unknown>): Promise<Refusal> =>
  work.then(
    () => {
      throw new Error('was not refused');
    },
    (error) => error,
  );
const modelNamed = async (name: string, version = '1') => {
  const models = await asTenant(me, listModels);
  return models.find((model) => model.name === name && model.version === version)!;
};

describe('importing a catalogue', () => {
  it('a dry run and an error change nothing; all or nothing, row and column named', async () => {
    expect(await send(`${HEAD}\n${row('Dry')}\n`, { dry: true })).toMatchObject({
      imported: false,
      added: 1,
      errorCount: 0,
    });
    const bad = await send(`${HEAD}\n${row('Good')}\n${row('Bad', '1', '42 D:2,100,,,80,30,walking')}\n`);
    expect(bad).toMatchObject({ imported: false, errorCount: 1, errors: [{ row: 3, column: 'drop_mm' }] });
    expect(await names()).toEqual([]);
  });

  it('adds, then changes by maker, model and version whatever the capitals; what a file does not say stays', async () => {
    expect(await send(`${HEAD}\n${row('One')}\n${row('Two')}\n`)).toMatchObject({ imported: true, added: 2 });
    const one = await modelNamed('One');
    const again = row('ONE', '1', '42 D:5,120,,,9,,').replace('Testmaker', 'TESTMAKER');
    expect(await send(`${HEAD}\n${again}\n`)).toMatchObject({ imported: true, added: 0, changed: 1 });
    const changed = await asTenant(me, (tenant) => readModel(tenant, one.id));
    expect(changed.model).toMatchObject({ name: 'One', price: 120, stock: { '42 D': 5 } });
    expect(changed.model.features).toMatchObject({ drop: 9, heelStack: 30, use: 'walking' });
    expect(await names()).toHaveLength(2);
  });

  it('a sheet of values alone leaves shelf, price and status as they are; an empty shelf is said', async () => {
    const head = HEAD.split(',')
      .filter((name) => !['stock', 'price', 'status'].includes(name))
      .join(',');
    await send(`${HEAD}\n${row('Kept', '1', '42 D:3,140,discontinued,,8,30,walking')}\n`);
    await send(`${head}\nTestmaker,Kept,1,men,eu,15,39-46,D 2E,95,,7,30,walking\n`);
    expect(await modelNamed('Kept')).toMatchObject({
      stock: { '42 D': 3 },
      price: 140,
      status: 'discontinued',
      features: { drop: 7 },
    });
    await send(`${HEAD}\n${row('Kept', '1', 'none,,,,7,30,walking')}\n`);
    expect(await modelNamed('Kept')).toMatchObject({ stock: {}, price: 140 });
  });

  it('two imports at once follow each other, and what both say is merged', async () => {
    const head = (column: string) =>
      `maker,name,version,group,system,allowance_mm,sizes,widths,ball_width_mm,${column}`;
    const line = (value: string) => `Testmaker,Both,1,men,eu,15,39-46,D,95,${value}`;
    await Promise.all([
      send(`${head('drop_mm')}\n${line('8')}\n`),
      send(`${head('mass_g')}\n${line('280')}\n`),
    ]);
    expect((await modelNamed('Both')).features).toEqual({ drop: 8, mass: 280 });
  });

  it('ties a version to its forerunner in the same file, and names one that nobody knows', async () => {
    const done = await send(
      `${HEAD}\n${row('Line', '2', ',90,,1,6,28,walking')}\n${row('Line', '1', ',90,discontinued,,8,28,walking')}\n${row('Lost', '5', ',90,,4,8,28,walking')}\n`,
    );
    expect(done.notes.join()).toContain('Testmaker Lost 4');
    const later = await modelNamed('Line', '2');
    expect(later.replaces).toBe((await modelNamed('Line', '1')).id);
  });

  it('goes out as CSV and JSON and comes back the same', async () => {
    const before = await asTenant(me, catalogueEntries);
    for (const format of ['csv', 'json'] as const) {
      const file = await asTenant(me, (tenant) => exportCatalogue(tenant, format));
      expect(file.headers.get('content-disposition')).toContain(`.${format}`);
      const done = await send(await file.text(), {
        type: format === 'json' ? 'application/json' : 'text/csv',
      });
      expect(done).toMatchObject({ imported: true, added: 0, changed: before.length, errors: [] });
      expect(await asTenant(me, catalogueEntries)).toEqual(before);
    }
  });

  it('cancelling takes everything back, and the server goes on', async () => {
    const before = await names();
    const long = [HEAD, ...Array.from({ length: 20_000 }, (_, at) => row(`Endless ${at}`))].join('\n');
    const reader = importCatalogue(me, request(long), false).body!.getReader();
    const first = JSON.parse(new TextDecoder().decode((await reader.read()).value));
    expect(first.rows).toBeGreaterThan(0);
    await reader.cancel();
    await expect.poll(names, { timeout: 5000 }).toEqual(before);
  });

  it('one clinic’s shoes are no other’s', async () => {
    const other = db.clinicB.practitioner;
    expect(await names(other)).toEqual([]);
    await send(`${HEAD}\n${row('One')}\n`, { actor: other });
    expect(await names(other)).toEqual(['One 1']);
  });
});

describe('one model', () => {
  it('a bench test counts from now on, the maker’s word stays beside it, and the difference is noted', async () => {
    const { id } = await modelNamed('Two');
    const tested = await asTenant(me, (tenant) =>
      recordBenchTest(
        tenant,
        id,
        {
          answers: {
            values: { heelStack: 31, forefootStack: 20, heelCounter: 4 },
            lengths: { soleLength: 300 },
          },
        },
        today(),
      ),
    );
    expect(tested.model.features).toMatchObject({ drop: 11, heelStack: 31, heelCounter: 4 });
    expect(tested.readings.drop).toHaveLength(2);
    expect(featuresOf(tested.readings)).toEqual(tested.model.features);
    expect(tested.changes[0]!.what).toMatch(/Heel-to-toe drop: maker says 8.mm, measured 11.mm/);
    const nothing = await refusal(
      asTenant(me, (tenant) => recordBenchTest(tenant, id, { answers: { signs: { tilts: 'no' } } }, today())),
    );
    expect(nothing.status).toBe(422);
  });

  it('the shelf is counted by size and width; a size that is not made is refused at its cell', async () => {
    const { id } = await modelNamed('One');
    const counted = await asTenant(me, (tenant) =>
      changeModel(tenant, id, { stock: { '42 D': 0, '43 2E': 4 } }),
    );
    expect(counted.model.stock).toEqual({ '43 2E': 4 });
    const wrong = await refusal(asTenant(me, (tenant) => changeModel(tenant, id, { stock: { '50 D': 1 } })));
    expect(wrong.extra.errors?.[0]?.path).toEqual(['stock', '50 D']);
  });

  it('keeps what the boxes say; a file that does not say it leaves it, an empty field takes it away', async () => {
    const { id } = await modelNamed('One');
    const change = (part: object) => asTenant(me, (tenant) => changeModel(tenant, id, part));
    const madeOn = addDays(today(), -90);
    expect((await change({ batch: 'ON-104', madeOn })).model.boxes).toEqual({
      batch: 'ON-104',
      madeOn,
    });
    await send(`${HEAD}\n${row('One', '1', '42 D:2,100,,,8,30,walking')}\n`);
    expect((await modelNamed('One')).boxes.batch).toBe('ON-104');
    expect((await change({ batch: null })).model.boxes).toEqual({ madeOn });
    const ahead = await refusal(change({ madeOn: addDays(today(), 2) }));
    expect(ahead.extra.errors?.[0]?.path).toEqual(['madeOn']);
  });
});

describe('the supplier', () => {
  it('announces once; a new version takes the place of the old one and flags who wears it', async () => {
    const list = Array.from({ length: 120 }, (_, at) => row(`Range ${at}`, '3', '42 D:1,100,,,8,30,walking'));
    await send(`${HEAD}\n${list.join('\n')}\n`);
    const feed = () => asTenant(me, (tenant) => readSupplierFeed(tenant, '2031-05'));
    const announced = await feed();
    expect(new Set(announced.map(({ kind }) => kind)).size).toBeGreaterThanOrEqual(3);
    const fresh = announced.find(({ kind }) => kind === 'new-version')!;
    const name = fresh.title.replace(/^Testmaker (.+) \d+$/, '$1');
    const old = await modelNamed(name, '3');
    const patient = await asTenant(me, async (tenant) => {
      const { id } = await addPatient(tenant, person);
      await tenant.tx
        .insertInto('pair')
        .values({
          clinic_id: me.clinicId,
          patient_id: id,
          model_id: old.id,
          size_left: 'EU 42 D',
          size_right: 'EU 42 D',
          started_on: today(),
          ended_on: null,
          surface: null,
          expected_weekly_km: null,
          body_mass_kg: null,
        })
        .execute();
      return id;
    });
    expect((await feed()).find(({ id }) => id === fresh.id)!.wearers).toBe(1);
    const ended = announced.find(({ kind }) => kind === 'discontinued');
    const left = await asTenant(me, (tenant) =>
      answerSupplier(tenant, { take: [fresh.id], ignore: ended ? [ended.id] : [] }, '2031-05'),
    );
    expect(left.map(({ id }) => id)).not.toContain(fresh.id);
    expect(await modelNamed(name, '3')).toMatchObject({ status: 'discontinued' });
    const next = await modelNamed(name, '4');
    expect(next).toMatchObject({ status: 'current', replaces: old.id });
    const [pair] = (await asTenant(me, (tenant) => readPatient(tenant, patient))).pairs;
    expect(pair!.successor?.title).toBe(`Testmaker ${name} 4`);
    expect(pair!.successor?.differs.join()).toMatch(/Heel stack: 30.mm →/);
    const { wearers } = await asTenant(me, (tenant) => readModel(tenant, next.id));
    expect(wearers).toMatchObject([{ patientId: patient, modelId: old.id }]);
  });
});

const person = { givenName: 'Vera', familyName: 'Test', bornOn: '1970-05-06', sizingGroup: 'men' as const };
const feet = { left: { footLength: 262, ballWidth: 99 }, right: { footLength: 262, ballWidth: 99 } };

/** A visit with measured feet and one tried pair. */
async function fitted(model: string, tryOn: object = {}): Promise<{ patientId: string; visitId: string }> {
  return asTenant(me, async (tenant) => {
    const { id: patientId } = await addPatient(tenant, person);
    const { id: visitId } = await startVisit(tenant, patientId);
    const save = (step: Parameters<typeof saveStep>[2], content: unknown) =>
      saveStep(tenant, visitId, step, { revision: 0, state: 'done', content });
    await save('ask', { findings: { body: { activities: ['walking'], bodyMass: 80 } } });
    await save('try-on', {
      tryOns: [{ model, sizeLeft: 42, sizeRight: 42, width: 'D', comfort: 80, verdict: 'chosen', ...tryOn }],
    });
    // Feet measured after the fitting count too.
    await save('feet', { findings: feet });
    await save('warnings', { checked: true });
    return { patientId, visitId };
  });
}

describe('learning from fittings', () => {
  it('a misfit found at a fitting corrects the model for the next patient, and the family a little', async () => {
    await send(
      `${HEAD}\n${row('Short', '1')}\n${row('Short', '2')}\n${row('Stranger').replace('Testmaker', 'Otherworks')}\n`,
    );
    const model = await modelNamed('Short');
    const label = insideLength(model.sizing, 42);
    for (let at = 0; at < 4; at += 1)
      await fitted(model.id, { left: { roomMm: label - 262 - 6 }, right: { roomMm: label - 262 - 6 } });
    const short = await modelNamed('Short');
    expect(short.learned!.length).toMatchObject({ fittings: 4 });
    expect(short.learned!.length.meanMm).toBeLessThan(-2.5);
    expect(short.sizing.lengthOffsetMm).toBe(short.learned!.length.meanMm);
    const sibling = await modelNamed('Short', '2');
    expect(sibling.learned!.length.meanMm).toBeLessThan(-1);
    expect(sibling.learned!.length.meanMm).toBeGreaterThan(short.learned!.length.meanMm);
    expect((await modelNamed('Stranger')).learned!.length.meanMm).toBe(0);
    const { candidates } = await asTenant(me, (tenant) =>
      rankCandidates(tenant, { findings: { body: { sizingGroup: 'men' }, ...feet }, limit: 200 }),
    );
    const size = (id: string) => candidates.find((entry) => entry.id === id)!.size!.left!.size;
    expect(size(short.id)).toBeGreaterThan(size((await modelNamed('Stranger')).id));
  });

  it('correcting the try-on corrects what was learned: nothing is counted twice', async () => {
    const model = await modelNamed('Two');
    const { visitId } = await fitted(model.id, { left: { roomMm: 2 } });
    const after = await modelNamed('Two');
    await asTenant(me, (tenant) =>
      saveStep(tenant, visitId, 'try-on', {
        revision: 1,
        state: 'done',
        content: { tryOns: [{ model: model.id, sizeLeft: 42, width: 'D', left: { roomMm: 20 } }] },
      }),
    );
    const corrected = await modelNamed('Two');
    expect(corrected.learned!.length.fittings).toBe(1);
    expect(corrected.learned!.length.meanMm).toBeGreaterThan(after.learned!.length.meanMm);
  });
});

describe('candidates and fit by API', () => {
  const findings = { body: { sizingGroup: 'men' as const, activities: ['walking' as const] }, ...feet };

  it('ranks with size and stock, proposes, and says what is like this but softer', async () => {
    const asked = { findings, limit: 5 };
    const answer = await asTenant(me, (tenant) => rankCandidates(tenant, asked));
    expect(answer.candidates).toHaveLength(5);
    expect(answer.candidates[0]!.size!.left!.label).toMatch(/^EU /);
    expect(answer.toTry[0]!.id).toBe(answer.candidates[0]!.id);
    const shelf = await asTenant(me, (tenant) =>
      rankCandidates(tenant, { ...asked, inStockOnly: true, limit: 200 }),
    );
    expect(shelf.candidates.every(({ size }) => size!.inStock > 0)).toBe(true);
    const like = await asTenant(me, (tenant) =>
      moreLike(tenant, { findings, model: answer.candidates[0]!.id, but: 'softer' }),
    );
    expect(Array.isArray(like.models)).toBe(true);
  });

  it('advises on a tried pair', async () => {
    const model = await modelNamed('One');
    const { advice, outcome } = await asTenant(me, (tenant) =>
      adviseOnFit(tenant, {
        findings,
        tryOns: [{ model: model.id, sizeLeft: 42, sizeRight: 42, width: 'D', left: { roomMm: 6 } }],
      }),
    );
    expect(advice[0]!.advice[0]).toMatchObject({ level: 'stop', side: 'left' });
    expect(outcome.nothingFits).toBe(true);
  });
});

describe('a pair that is not in hand', () => {
  const move = (id: string, event: Parameters<typeof moveOrder>[2]) =>
    asTenant(me, (tenant) => moveOrder(tenant, id, event));
  const lift = [{ kind: 'heel-lift' as const, side: 'left' as const, amount: 6 }];
  const LOOKED = [{ isMade: true, measured: 6 }];
  const box = { version: '1', sizeLeft: 'EU 42 D', sizeRight: 'EU 42 D', sound: true };
  const order = async (name = 'One') => {
    const visit = await fitted((await modelNamed(name)).id, { left: { heelSlip: 'slight' } });
    const placed = await asTenant(me, (tenant) =>
      orderPair(tenant, visit.visitId, { modifications: lift, surface: 'hard' }),
    );
    return { ...visit, order: placed };
  };

  it('is issued and ordered; collected after it was checked, with its sheet, its change and its lacing', async () => {
    const { patientId, visitId, order: placed } = await order();
    expect(placed).toMatchObject({ state: 'wanted', sizeLeft: 'EU 42 D', modifications: lift });
    const visit = await asTenant(me, (tenant) => loadVisit(tenant, visitId));
    expect(visit.closedBecause).toBe('ordered: Testmaker One 1, EU 42 D');
    expect(visit.issued).toHaveLength(1);
    expect((await asTenant(me, (tenant) => readPatient(tenant, patientId))).pairs).toEqual([]);
    const kinds = async () =>
      (await asTenant(me, (tenant) => readRecall(tenant)))
        .filter((item) => item.patient.id === patientId)
        .map(({ kind }) => kind);
    expect(await kinds()).toEqual(['order-to-place']);
    const about = (await asTenant(me, (tenant) => readRecall(tenant, { kinds: ['order-to-place'] })))
      .filter((item) => item.patient.id === patientId)
      .map(({ aboutId }) => aboutId);
    expect(about).toEqual([placed.id]);
    expect((await refusal(move(placed.id, { event: 'collect' }))).status).toBe(422);
    await move(placed.id, { event: 'place' });
    await move(placed.id, { event: 'arrive' });
    expect(await kinds()).toEqual(['order-to-check']);
    expect((await refusal(move(placed.id, { event: 'check' }))).extra.errors?.[0]?.path).toEqual(['arrival']);
    const made = { batch: 'B7', madeOn: addDays(today(), -90) };
    const ahead = move(placed.id, { event: 'check', arrival: { ...box, madeOn: addDays(today(), 9) } });
    expect((await refusal(ahead)).extra.errors?.[0]?.message).toContain('in the future');
    const checked = await move(placed.id, { event: 'check', arrival: { ...box, ...made } });
    expect(checked).toMatchObject({ state: 'checked', cameVersion: null });
    expect(checked.returnBy! > today()).toBe(true);
    // What the technician did is looked at before the pair goes out.
    const collect = (checks?: { isMade: boolean; measured?: number }[]) =>
      refusal(move(placed.id, { event: 'collect', ...(checks ? { checks } : {}) }));
    expect((await collect()).extra.errors).toEqual([
      { path: ['checks', '0'], message: 'Not checked yet: left: lift inside 6 mm.' },
    ]);
    expect((await collect([{ isMade: true, measured: 9 }])).extra.errors?.[0]?.message).toContain(
      'measured 9 mm',
    );
    const check = { isMade: true, measured: 6.5 };
    const collected = await move(placed.id, {
      event: 'collect',
      checks: [check],
      tryAgain: { comfort: 88, left: { roomMm: 12 } },
    });
    expect(collected.state).toBe('collected');
    const patient = await asTenant(me, (tenant) => readPatient(tenant, patientId));
    // What the box says stays with the pair.
    expect(patient.pairs[0]).toMatchObject({
      startedOn: today(),
      modifications: [{ ...lift[0], check }],
      surface: 'hard',
      ...made,
    });
    expect(patient.pairs[0]!.log[0]).toMatchObject({ comfort: 88 });
    const { issued } = await asTenant(me, (tenant) => loadVisit(tenant, visitId));
    expect(issued[0]!.sheet).toMatchObject({
      changes: ['Left shoe: a lift inside, under the heel, 6 mm.'],
      lacing: { kind: 'laced' },
    });
    expect(collected.events.map(({ event }) => event)).toEqual([
      'created',
      'place',
      'arrive',
      'pass',
      'collect',
    ]);
  });

  it('another version may be put by, but is tried on again and recorded as what came', async () => {
    await send(`${HEAD}\n${row('One', '9')}\n`);
    const { patientId, order: placed } = await order();
    await move(placed.id, { event: 'place' });
    await move(placed.id, { event: 'arrive' });
    const checked = await move(placed.id, { event: 'check', arrival: { ...box, version: '9' } });
    expect(checked).toMatchObject({ state: 'checked', cameVersion: '9' });
    const refused = await refusal(move(placed.id, { event: 'collect', checks: LOOKED }));
    expect(refused.extra.errors?.[0]?.path).toEqual(['tryAgain']);
    await move(placed.id, {
      event: 'collect',
      checks: LOOKED,
      tryAgain: { comfort: 70, left: { roomMm: 11 } },
    });
    const patient = await asTenant(me, (tenant) => readPatient(tenant, patientId));
    expect(patient.pairs[0]!.model.version).toBe('9');
  });

  it('a version that the catalogue does not know is recorded as what came, with nothing made up', async () => {
    const { patientId, order: placed } = await order();
    await move(placed.id, { event: 'place' });
    await move(placed.id, { event: 'arrive' });
    await move(placed.id, { event: 'check', arrival: { ...box, version: '77' } });
    await move(placed.id, { event: 'collect', checks: LOOKED, tryAgain: { comfort: 70 } });
    const [pair] = (await asTenant(me, (tenant) => readPatient(tenant, patientId))).pairs;
    expect(pair!.model).toMatchObject({ version: '77', features: {}, replaces: placed.model.id });
  });

  it('two people collect one pair: the second is told, and one pair begins', async () => {
    const { patientId, order: placed } = await order();
    await move(placed.id, { event: 'place' });
    await move(placed.id, { event: 'arrive' });
    await move(placed.id, { event: 'check', arrival: box });
    const tries = await Promise.allSettled(
      [1, 2].map(() => move(placed.id, { event: 'collect', checks: LOOKED })),
    );
    expect(tries.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
    const refused = tries.find(({ status }) => status === 'rejected') as PromiseRejectedResult;
    expect(refused.reason.status).toBe(422);
    expect((await asTenant(me, (tenant) => readPatient(tenant, patientId))).pairs).toHaveLength(1);
  });

  it('a pair that a check stops is not handed over unless a reason is written', async () => {
    const { id } = await modelNamed('One');
    const short = { left: { roomMm: 3 } };
    const stopped = await fitted(id, short);
    const refused = await refusal(asTenant(me, (tenant) => handOver(tenant, stopped.visitId, {})));
    expect(refused.extra.errors?.[0]).toMatchObject({ path: ['try-on'] });
    expect(refused.extra.errors?.[0]?.message).toContain('too short');
    const reasoned = await fitted(id, { ...short, because: 'forefoot amputated, filler in front' });
    await expect(asTenant(me, (tenant) => handOver(tenant, reasoned.visitId, {}))).resolves.toBeTruthy();
  });

  it('a wrong size goes back, and no pair begins', async () => {
    const { patientId, order: placed } = await order();
    await move(placed.id, { event: 'place' });
    await move(placed.id, { event: 'arrive' });
    const wrong = await move(placed.id, { event: 'check', arrival: { ...box, sizeRight: 'EU 43 D' } });
    expect(wrong.state).toBe('wrong');
    expect(wrong.events.at(-1)!.note).toContain('EU 43 D came, EU 42 D was ordered');
    expect((await move(placed.id, { event: 'return' })).state).toBe('returned');
    expect((await asTenant(me, (tenant) => readPatient(tenant, patientId))).pairs).toEqual([]);
    const open = await asTenant(me, (tenant) => listOrders(tenant, { patientId, state: 'open' }));
    expect(open).toEqual([]);
  });

  it('page by page no order is left out or read twice, the open ones apart from those that have ended', async () => {
    for (let at = 0; at < 4; at += 1) await order();
    const pages = async (state: 'open' | 'ended') => {
      const ids: string[] = [];
      for (let before: string | undefined; ; before = ids.at(-1)) {
        const page = await asTenant(me, (tenant) => listOrders(tenant, { state, before, most: 3 }));
        ids.push(...page.map(({ id }) => id));
        if (page.length < 3) return ids;
      }
    };
    const [open, ended] = [await pages('open'), await pages('ended')];
    const all = (await asTenant(me, (tenant) => listOrders(tenant, {}))).map(({ id }) => id);
    expect([...open, ...ended]).toEqual(all);
    expect(open.length).toBeGreaterThan(3);
    expect(ended.length).toBeGreaterThan(0);
  });

  it('a warning sign blocks the order as it blocks the hand-over; another clinic sees no order', async () => {
    const { visitId } = await fitted((await modelNamed('One')).id);
    await asTenant(me, (tenant) =>
      saveStep(tenant, visitId, 'warnings', {
        revision: 1,
        state: 'done',
        content: { checked: true, present: [{ sign: 'open-wound' }] },
      }),
    );
    const refused = await refusal(asTenant(me, (tenant) => orderPair(tenant, visitId, {})));
    expect(refused.extra.errors?.[0]?.path).toEqual(['warnings', 'open-wound']);
    expect(await asTenant(db.clinicB.practitioner, (tenant) => listOrders(tenant, {}))).toEqual([]);
  });

  it('what is handed over comes off the shelf', async () => {
    const { id } = await modelNamed('One');
    await asTenant(me, (tenant) => changeModel(tenant, id, { stock: { '42 D': 2 } }));
    const { visitId } = await fitted(id);
    const unseen = asTenant(me, (tenant) => handOver(tenant, visitId, { modifications: lift }));
    expect((await refusal(unseen)).extra.errors).toEqual([
      { path: ['modifications', '0'], message: 'Not checked yet: left: lift inside 6 mm.' },
    ]);
    const seen = [{ ...lift[0]!, check: { isMade: true, measured: 6 } }];
    await asTenant(me, (tenant) => handOver(tenant, visitId, { modifications: seen }));
    expect((await modelNamed('One')).stock['42 D']).toBe(1);
  });
});
