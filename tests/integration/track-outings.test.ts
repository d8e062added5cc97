import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { KeptOuting } from '@/contract/tracks';
import { addDays } from '@/core/calendar/days';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { readPair } from '@/server/services/pairs/pair-records';
import { keepOutings } from '@/server/services/pairs/track-outings';
import { freshDatabase, type TestDatabase } from './database';
import { refusal } from './signing-in';
import { somebodyCalled, wornModel, wornPair } from './worn-pair';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

let names = 0;
async function runner(use: 'road-running' | 'court' = 'road-running') {
  names += 1;
  const patientId = await somebodyCalled(me, `Runs${names}`, '1980-01-01');
  const model = await wornModel(me, { name: `Track ${names}`, use });
  const pair = await wornPair(me, patientId, model, addDays(today(), -60));
  return { patientId, pair };
}
const outing = (pair: string, daysAgo: number, part: Partial<KeptOuting> = {}): KeptOuting => {
  const on = addDays(today(), -daysAgo);
  const from = Date.parse(`${on}T07:00:00Z`) / 1000;
  return {
    pair,
    source: `run ${daysAgo}.gpx`,
    on,
    from,
    to: from + 3600,
    km: 10,
    ascentM: 120,
    cadence: 84,
    surface: 'road',
    ...part,
  };
};
const keep = (patientId: string, outings: KeptOuting[]) =>
  asTenant(me, (tenant) => keepOutings(tenant, patientId, { outings }));
const pairOf = async (id: string) => (await asTenant(me, (tenant) => readPair(tenant, id))).pair;

describe('outings of devices', () => {
  it('go to the log of their pair, and its window moves', async () => {
    const { patientId, pair } = await runner();
    const before = await pairOf(pair);
    const many = Array.from({ length: 30 }, (_, at) => outing(pair, at * 2 + 1));
    expect(await keep(patientId, many)).toEqual({ kept: 30, doubled: [], refused: [] });
    const after = await pairOf(pair);
    expect(after.log).toHaveLength(30);
    expect(after.log[0]).toMatchObject({ distanceKm: 10, note: 'from a device, 120 m up' });
    expect(after.forecast.used).toBeGreaterThan((before.forecast.used ?? 0) + 200);
    expect(after.window!.middle < (before.window?.middle ?? '9999')).toBe(true);
  });

  it('are kept once: the same file again, and a second device at the same run', async () => {
    const { patientId, pair } = await runner();
    const run = outing(pair, 3);
    const other = { ...run, source: 'phone.fit', from: run.from + 30, to: run.to - 60, km: 10.1 };
    expect(await keep(patientId, [run, other])).toMatchObject({ kept: 1, doubled: ['phone.fit'] });
    expect(await keep(patientId, [run])).toMatchObject({ kept: 0, doubled: [run.source] });
    expect((await pairOf(pair)).log).toHaveLength(1);
  });

  it('count in the clock of their pair', async () => {
    const { patientId, pair } = await runner('court');
    await keep(patientId, [outing(pair, 2)]);
    expect((await pairOf(pair)).log[0]).toMatchObject({ distanceKm: null, amount: 1 });
  });

  it('before the pair, ahead, or of somebody else’s pair are named with why; the others are kept', async () => {
    const { patientId, pair } = await runner();
    const stranger = await runner();
    const answer = await keep(patientId, [
      outing(pair, 1),
      outing(pair, 90, { source: 'old.gpx' }),
      outing(stranger.pair, 5, { source: 'theirs.gpx' }),
    ]);
    expect(answer.kept).toBe(1);
    expect(answer.refused).toEqual([
      { source: 'old.gpx', why: expect.stringContaining('first used') },
      { source: 'theirs.gpx', why: 'This pair is not this patient’s.' },
    ]);
    const elsewhere = asTenant(db.clinicB.practitioner, (tenant) =>
      keepOutings(tenant, patientId, { outings: [outing(pair, 1)] }),
    );
    expect((await refusal(elsewhere)).status).toBe(404);
  });
});
