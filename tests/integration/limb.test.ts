import { randomUUID } from 'node:crypto';
import { unzipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '@/core/calendar/days';
import { EMPTY_LIMB, type LimbRecord, type TableCheck } from '@/core/prosthesis/limb-record';
import type { SockEntry } from '@/core/prosthesis/sock-log';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { makeHomeLink } from '@/server/services/home/links';
import { readHomePage } from '@/server/services/home/page';
import { readHomeRecord, receiveReport, seeReport } from '@/server/services/home/reports';
import { saveHouseRules } from '@/server/services/knowledge/knowledge';
import { readLimb, saveLimb, saveSockChart } from '@/server/services/limb/limb';
import { noteSocks } from '@/server/services/limb/socks';
import { keepTableCheck } from '@/server/services/limb/table-checks';
import { orderPair } from '@/server/services/orders/orders';
import { mergePatients } from '@/server/services/patients/duplicates';
import { erasePatient, exportPatient } from '@/server/services/patients/one-person';
import { handOver } from '@/server/services/visits/hand-over';
import { loadVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { simulatedLimb } from '@/simulators/limb';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { refusal } from './signing-in';
import { somebodyCalled, wornModel } from './worn-pair';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

let names = 0;
/** Somebody with a prosthesis on the left, as a visit finds it. */
async function wearer(body: object = {}) {
  names += 1;
  const familyName = `Limb${names}`;
  const patientId = await somebodyCalled(me, familyName, '1970-01-01');
  const { id: visitId } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
  await asTenant(me, (tenant) =>
    saveStep(tenant, visitId, 'ask', {
      revision: 0,
      state: 'done',
      content: {
        findings: {
          body: {
            activities: ['everyday'],
            prosthesisSide: 'left',
            prosthesisSetRise: 9.5,
            prosthesisLever: 180,
            prosthesisMonths: 30,
            ...body,
          },
        },
      },
    }),
  );
  return { patientId, visitId, familyName };
}
const now = (hour = '14:00') => `${today()}T${hour}`;
const pageOf = (patientId: string, at = now()) => asTenant(me, (tenant) => readLimb(tenant, patientId, at));
const note = (patientId: string, entry: SockEntry) =>
  asTenant(me, (tenant) => noteSocks(tenant, patientId, entry));
const write = (patientId: string, revision: number, record: Partial<LimbRecord>) =>
  asTenant(me, (tenant) => saveLimb(tenant, patientId, { revision, record: { ...EMPTY_LIMB, ...record } }));
const DRAWER = [
  { ply: 1, hole: true, quantity: 3 },
  { ply: 3, hole: true, quantity: 2 },
];

/** Days of a log, as somebody keeps it. */
async function logged(patientId: string, days: number, step?: { day: number; ply: number }) {
  const from = addDays(today(), -days);
  const limb = simulatedLimb({
    seed: 6,
    from,
    days,
    base: 4,
    swing: 1,
    betweenDays: 0.3,
    looksADay: 3,
    tagged: 0,
    ...(step ? { step } : {}),
  });
  for (const entry of limb.entries) await note(patientId, entry);
}

describe('the record of a prosthetic side', () => {
  it('is written with the revision that was read; an older one is refused and nothing is lost', async () => {
    const { patientId } = await wearer();
    expect(await pageOf(patientId)).toMatchObject({
      revision: 0,
      record: EMPTY_LIMB,
      foot: { setRiseMm: 9.5 },
    });
    expect(await write(patientId, 0, { suspension: 'pin', drawer: DRAWER })).toEqual({ revision: 1 });
    expect((await refusal(write(patientId, 0, { suspension: 'vacuum' }))).status).toBe(409);
    expect(await write(patientId, 1, { suspension: 'pin', level: 'below-knee', drawer: DRAWER })).toEqual({
      revision: 2,
    });
    expect((await pageOf(patientId)).record).toMatchObject({ level: 'below-knee', drawer: DRAWER });
  });

  it('makers’ colours are entered once for the clinic, and another clinic sees neither them nor a limb', async () => {
    const { patientId } = await wearer();
    await asTenant(me, (tenant) =>
      saveSockChart(tenant, { maker: 'Orrelby', colours: [{ colour: 'red', ply: 1 }] }),
    );
    await asTenant(me, (tenant) =>
      saveSockChart(tenant, { maker: 'Orrelby', colours: [{ colour: 'red', ply: 2 }] }),
    );
    expect((await pageOf(patientId)).charts).toEqual([
      { maker: 'Orrelby', colours: [{ colour: 'red', ply: 2 }] },
    ]);
    const other = db.clinicB.practitioner;
    expect((await refusal(asTenant(other, (tenant) => readLimb(tenant, patientId, now())))).status).toBe(404);
    const { id } = await asTenant(other, async () => ({
      id: await somebodyCalled(other, 'Elsewhere', '1970-01-01'),
    }));
    expect((await asTenant(other, (tenant) => readLimb(tenant, id, now()))).charts).toEqual([]);
  });
});

describe('socks', () => {
  it('come in any order, a second look of a minute corrects the first, and the future is refused at its field', async () => {
    const { patientId } = await wearer();
    await note(patientId, { at: now('09:00'), ply: 4, feel: 'right' });
    await note(patientId, { at: now('07:00'), ply: 3, feel: 'loose', tags: ['heat'] });
    await note(patientId, { at: now('09:00'), ply: 5, feel: 'right' });
    const { entries } = await pageOf(patientId);
    expect(entries.map(({ at, ply }) => [at.slice(11), ply])).toEqual([
      ['07:00', 3],
      ['09:00', 5],
    ]);
    const ahead = await refusal(note(patientId, { at: `${addDays(today(), 3)}T09:00`, ply: 4 }));
    expect(ahead.status).toBe(422);
    expect(ahead.extra.errors?.[0]?.path).toEqual(['at']);
  });

  it('say what to change, what is coming and what to carry; with pain nothing but to stop', async () => {
    const { patientId } = await wearer();
    await write(patientId, 0, { suspension: 'pin', drawer: DRAWER });
    await logged(patientId, 10);
    await note(patientId, { at: now('13:50'), ply: 3, feel: 'loose' });
    const { day } = await pageOf(patientId);
    expect(day.step).toMatchObject({ kind: 'add' });
    expect(day.range).not.toBeNull();
    expect(day.carry!.carry.length).toBeGreaterThan(0);
    await note(patientId, { at: now('13:55'), ply: 4, feel: 'pain' });
    expect((await pageOf(patientId)).day).toMatchObject({ step: { kind: 'stop' }, range: null, carry: null });
  });

  it('a limb that lost volume asks for the prosthetist until a new socket is made', async () => {
    const { patientId } = await wearer();
    await logged(patientId, 45, { day: 34, ply: 3 });
    expect((await pageOf(patientId)).course.asks[0]).toContain('lost volume');
    await write(patientId, 0, { socketOn: addDays(today(), -6) });
    expect((await pageOf(patientId)).course.asks).toEqual([]);
  });

  it('from home go into the same log; pain there is a warning, and no ply is advised until it was seen', async () => {
    const { patientId } = await wearer();
    await logged(patientId, 10);
    const linkId = await asTenant(me, (tenant) => makeHomeLink(tenant, patientId, 180));
    const say = (ply: number, feel: 'right' | 'pain', at: string) =>
      asTenant(me, (tenant) =>
        receiveReport(
          tenant,
          { linkId, patientId },
          { id: randomUUID(), pair: null, on: today(), at: now(at), content: { kind: 'socks', ply, feel } },
        ),
      );
    expect(await say(4, 'right', '08:00')).toEqual({ isWarning: false });
    const home = (at: string) =>
      asTenant(me, async (tenant) => (await readHomePage(tenant, { linkId, patientId }, now(at))).view.limb);
    expect(await home('08:05')).toMatchObject({ isStop: false, worn: 4 });
    expect((await home('08:05'))!.later).toMatch(/ply/);
    expect(await say(4, 'pain', '12:00')).toEqual({ isWarning: true });
    expect(await home('12:05')).toMatchObject({ isStop: true, later: null, carry: null });
    expect((await pageOf(patientId, now('12:05'))).day.step).toEqual({ kind: 'stop', because: 'pain' });
    // A later look that is right does not undo what nobody has seen to.
    await say(4, 'right', '13:00');
    expect((await pageOf(patientId, now('13:05'))).day.step).toEqual({ kind: 'stop', because: 'warning' });
    const { reports } = await asTenant(me, (tenant) => readHomeRecord(tenant, patientId));
    const warning = reports.find(({ isWarning }) => isWarning)!;
    await asTenant(me, (tenant) => seeReport(tenant, warning.id, { found: 'skin is whole' }));
    expect((await pageOf(patientId, now('13:05'))).day.step).toEqual({ kind: 'stay' });
  });
});

describe('shoes on the table', () => {
  const check = (model: string, part: Partial<TableCheck> = {}): TableCheck => ({
    model,
    on: today(),
    decision: 'approved',
    riseMm: 9,
    wedgeMm: 0,
    leanDeg: 0.2,
    leanError: 0.3,
    note: '',
    ...part,
  });

  it('become the list of what may be worn, the latest of each; another version is checked for itself', async () => {
    const { patientId } = await wearer();
    const model = await wornModel(me, { name: 'Table', version: '1' });
    const next = await wornModel(me, { name: 'Table', version: '2' });
    const keep = (one: TableCheck) => asTenant(me, (tenant) => keepTableCheck(tenant, patientId, one));
    await keep(check(model, { on: addDays(today(), -30), decision: 'refused', note: 'heel too high' }));
    await keep(check(model, { wedgeMm: 4, leanBeforeDeg: -2 }));
    const [kept, ...others] = (await pageOf(patientId)).checks;
    expect(others).toEqual([]);
    expect(kept).toMatchObject({
      decision: 'approved',
      wedgeMm: 4,
      leanBeforeDeg: -2,
      unchecked: [{ id: next }],
    });
    await keep(check(next));
    expect((await pageOf(patientId)).checks.flatMap(({ unchecked }) => unchecked)).toEqual([]);
    expect((await refusal(keep(check(randomUUID())))).status).toBe(404);
  });
});

describe('handing over beside a prosthesis', () => {
  const at = async (body: object, features: object, because?: string) => {
    const { patientId, visitId } = await wearer(body);
    const model = await wornModel(me, { name: `Hand ${names}`, features });
    for (const [step, content] of [
      ['feet', { findings: { left: { footLength: 244 }, right: { footLength: 245 } } }],
      ['warnings', { checked: true, present: [] }],
      [
        'try-on',
        {
          tryOns: [
            {
              model,
              sizeLeft: 39,
              sizeRight: 39,
              width: 'D',
              comfort: 71,
              verdict: 'chosen',
              ...(because ? { because } : {}),
            },
          ],
        },
      ],
    ] as const)
      await asTenant(me, (tenant) =>
        saveStep(tenant, visitId, step, { revision: 0, state: 'done', content }),
      );
    const hand = (input: Parameters<typeof handOver>[2] = {}) =>
      asTenant(me, (tenant) => handOver(tenant, visitId, input));
    return { patientId, visitId, hand };
  };
  const TRAINER = { drop: 9.5, closure: 'laces', heelCounter: 4, upperFirmness: 3, heelKind: 'flat' };
  const messages = async (hand: () => Promise<unknown>): Promise<string> =>
    JSON.stringify((await refusal(hand())).extra.errors ?? []);

  it('a dress shoe is refused with its degrees', async () => {
    const { hand } = await at({}, { ...TRAINER, drop: 20 }, 'wants it');
    expect(await messages(hand)).toContain('3.3°');
  });

  it('the first weeks hold a new pair back, and a reason lets it go', async () => {
    const first = await at({ prosthesisMonths: 2 }, TRAINER);
    expect(await messages(first.hand)).toContain('first 12 weeks');
    const reasoned = await at({ prosthesisMonths: 2 }, TRAINER, 'the old one fell apart');
    expect(await reasoned.hand()).toMatchObject({ pairId: expect.any(String) });
  });

  it('the day before therapy holds it back too; the clinic sets how many weeks', async () => {
    const { patientId, visitId, hand } = await at({}, TRAINER);
    await write(patientId, 0, { therapyOn: [addDays(today(), 1)] });
    expect(await messages(hand)).toContain('Therapy is tomorrow');
    expect((await asTenant(me, (tenant) => loadVisit(tenant, visitId))).limb?.therapyOn).toHaveLength(1);
  });

  it('a wedge that the foot needs has to lie in the pair: as a change that was made and measured, or ordered', async () => {
    const lift = { kind: 'heel-lift', side: 'left', amount: 5.5 } as const;
    const low = { ...TRAINER, drop: 4 };
    const { hand } = await at({}, low);
    expect(await messages(hand)).toContain('Put 5.5 mm as a lift inside, left');
    const made = await hand({ modifications: [{ ...lift, check: { isMade: true, measured: 5.5 } }] });
    expect(made.sheet.changes.join(' ')).toContain('5.5 mm');
    // Ordered it is made on arrival; without it no order goes out either.
    const ordered = await at({}, low);
    const order = (modifications: (typeof lift)[]) =>
      asTenant(me, (tenant) => orderPair(tenant, ordered.visitId, { modifications }));
    expect(JSON.stringify((await refusal(order([]))).extra.errors)).toContain('lift inside');
    expect(await order([lift])).toMatchObject({ modifications: [lift] });
  });

  it('a lift on both sides tips the shank forward in a shoe that stood upright', async () => {
    const { hand } = await at({}, TRAINER);
    const both = {
      kind: 'heel-lift',
      side: 'both',
      amount: 8,
      check: { isMade: true, measured: 8 },
    } as const;
    expect(await messages(() => hand({ modifications: [both] }))).toContain('leans forward');
  });

  it('an unmeasured foot is measured first', async () => {
    const { hand } = await at({ prosthesisSetRise: undefined }, TRAINER);
    expect(await messages(hand)).toContain('Measure first');
  });
});

describe('what belongs to a person', () => {
  it('goes into their archive, follows a folded record, and is gone with an erasure', async () => {
    const { patientId, familyName } = await wearer();
    const folded = await somebodyCalled(me, `Limb${names}b`, '1970-01-01');
    // The folded record holds the drawer until this one is written.
    await write(folded, 0, { drawer: DRAWER });
    await note(folded, { at: now('08:00'), ply: 4, feel: 'right' });
    await asTenant(me, (tenant) => mergePatients(tenant, patientId, folded));
    expect(await pageOf(patientId)).toMatchObject({ record: { drawer: DRAWER }, revision: 0 });
    expect((await pageOf(patientId)).entries).toHaveLength(1);
    expect(await write(patientId, 0, { drawer: DRAWER, level: 'below-knee' })).toEqual({ revision: 1 });
    await note(patientId, { at: now('09:00'), ply: 5, feel: 'right' });
    const archive = unzipSync(
      new Uint8Array(await (await asTenant(me, (tenant) => exportPatient(tenant, patientId))).arrayBuffer()),
    );
    expect(new TextDecoder().decode(archive['limb.json'])).toContain('"ply": 5');
    await asTenant(db.clinicA.lead, (tenant) =>
      erasePatient(tenant, patientId, { familyName, reason: 'asked for it' }),
    );
    const left = await asOwner(db, (client) =>
      client.query(
        'select 1 from limb where patient_id = $1 union all select 1 from sock_entry where patient_id = $1',
        [patientId],
      ),
    );
    expect(left.rows).toEqual([]);
  });

  it('a clinic sets its tolerance and its weeks by a house rule', async () => {
    const settings = { fineMm: 2, cautionMm: 4, cautionDeg: 2, stopMm: 8, largestWedgeMm: 6, firstWeeks: 20 };
    await asTenant(db.clinicA.lead, (tenant) =>
      saveHouseRules(tenant, {
        changes: [],
        settings: { prosthesis: settings },
        basedOn: 0,
        note: 'for the test',
      }),
    );
    const { patientId, visitId } = await wearer({ prosthesisMonths: 4 });
    expect((await pageOf(patientId)).hold).toContain('first 20 weeks');
    expect((await asTenant(me, (tenant) => loadVisit(tenant, visitId))).house.settings.prosthesis).toEqual(
      settings,
    );
  });
});
