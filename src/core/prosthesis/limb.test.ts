import { describe, expect, it } from 'vitest';
import { type LimbSettings, simulatedLimb } from '@/simulators/limb';
import { learnDayCurve } from './day-curve';
import { dailyPly, limbChange, limbCourse, limbSlope, suddenChange } from './limb-course';
import { type SockDayInput, sockDay } from './sock-advice';
import { dayOfEntry, hourOfEntry, inOrderOfDay, type SockEntry } from './sock-log';

/** Limbs of many kinds: how far a day takes them, how far days lie apart, how often somebody looks. */
const settings = (seed: number): Omit<LimbSettings, 'days'> => ({
  seed,
  from: '2030-01-01',
  base: 4 + (seed % 4),
  swing: [0.5, 1.5, 3][seed % 3]!,
  betweenDays: [0.3, 0.6, 0.9][(seed >> 2) % 3]!,
  looksADay: 2 + (seed % 4),
});

describe('the curve of a day', () => {
  it('holds the true need 78 to 82 times of a hundred on limbs that it was not made with', () => {
    let [inside, all] = [0, 0];
    for (let seed = 500; seed < 860; seed += 1) {
      const limb = simulatedLimb({ ...settings(seed), days: 16, perMonth: seed % 2 });
      const today = limb.dayAt(14);
      const until = seed % 2 === 0 ? 9 : 14;
      const known = limb.entries.filter(
        (entry) => dayOfEntry(entry) < today || (dayOfEntry(entry) === today && hourOfEntry(entry) <= until),
      );
      const tags = known.filter((entry) => dayOfEntry(entry) === today).at(-1)?.tags ?? [];
      for (const { hour, low, high } of learnDayCurve(known)!.at(
        today,
        [until + 2, until + 4, until + 7],
        tags,
      )) {
        const need = Math.max(0, limb.need(14, hour));
        all += 1;
        if (need >= low && need <= high) inside += 1;
      }
    }
    expect(inside / all).toBeGreaterThan(0.78);
    expect(inside / all).toBeLessThan(0.82);
  });

  it('rises through the day with a limb that shrinks by the evening, and knows no curve from three looks', () => {
    const limb = simulatedLimb({ ...settings(2), swing: 3, betweenDays: 0.2, days: 24, tagged: 0 });
    const [morning, evening] = learnDayCurve(limb.entries)!.at(limb.dayAt(24), [8, 21]);
    // Worn is what follows the need: a socket that is called right lags behind it.
    expect(evening!.mean - morning!.mean).toBeGreaterThan(0.9);
    expect(evening!.mean - morning!.mean).toBeLessThan(3.2);
    expect(learnDayCurve(limb.entries.slice(0, 3))).toBeNull();
  });

  it('says less surely what was seldom looked at', () => {
    const width = (seed: number, looks: number) => {
      const limb = simulatedLimb({ ...settings(seed), days: 16 });
      const [at] = learnDayCurve(limb.entries.slice(-looks))!.at(limb.dayAt(17), [12]);
      return at!.high - at!.low;
    };
    const mean = (looks: number) =>
      Array.from({ length: 20 }, (_, seed) => width(seed, looks)).reduce((sum, one) => sum + one, 0) / 20;
    expect(mean(4)).toBeGreaterThan(mean(60));
  });
});

describe('a limb over months', () => {
  it('calls a change in fewer than one year in twenty where there is none', () => {
    let false_ = 0;
    const years = 120;
    for (let seed = 1000; seed < 1000 + years; seed += 1) {
      const days = dailyPly(simulatedLimb({ ...settings(seed), days: 365 }).entries);
      if (days.some((_, at) => at >= 14 && limbChange(days.slice(0, at + 1)))) false_ += 1;
    }
    expect(false_ / years).toBeLessThan(0.05);
  });

  it('finds a loss of two ply within three weeks nine times of ten', () => {
    let found = 0;
    const limbs = 120;
    for (let seed = 2000; seed < 2000 + limbs; seed += 1) {
      const limb = simulatedLimb({ ...settings(seed), days: 61, step: { day: 40, ply: 2 } });
      const days = dailyPly(limb.entries);
      const sees = (upTo: number) => limbChange(days.filter(({ on }) => on <= limb.dayAt(upTo)));
      if (
        Array.from({ length: 21 }, (_, at) => 40 + at).some(
          (day) => (sees(day)?.since ?? 0) > (sees(day)?.before ?? 0),
        )
      )
        found += 1;
    }
    expect(found / limbs).toBeGreaterThanOrEqual(0.9);
  });

  it('reads a slope with its certainty: the true one lies within, nineteen times of twenty and more', () => {
    let within = 0;
    for (let seed = 1; seed <= 60; seed += 1) {
      const limb = simulatedLimb({ ...settings(seed), betweenDays: 0.6, days: 60, perMonth: 1.5, tagged: 0 });
      const slope = limbSlope(dailyPly(limb.entries))!;
      if (Math.abs(slope.perMonth - 1.5) <= slope.within) within += 1;
    }
    expect(within / 60).toBeGreaterThanOrEqual(0.9);
    expect(limbSlope([])).toBeNull();
  });

  it('takes what the hours add out of a day: evenings alone are no fuller days', () => {
    const limb = simulatedLimb({ ...settings(5), swing: 3, betweenDays: 0.2, days: 40 });
    const lopsided = limb.entries.filter((entry) =>
      dayOfEntry(entry) < limb.dayAt(25) ? hourOfEntry(entry) < 14 : hourOfEntry(entry) > 12,
    );
    const days = dailyPly([...limb.entries.slice(0, 20), ...lopsided]);
    const mean = (from: number, to: number) => {
      const part = days.filter(({ on }) => on >= limb.dayAt(from) && on < limb.dayAt(to));
      return part.reduce((sum, { ply }) => sum + ply, 0) / part.length;
    };
    expect(Math.abs(mean(26, 40) - mean(6, 24))).toBeLessThan(1.6);
  });

  it('asks for the prosthetist at steadily ten ply, and names the day of a step', () => {
    const high = simulatedLimb({ ...settings(3), base: 12, swing: 0.5, betweenDays: 0.3, days: 20 });
    expect(limbCourse(high.entries).asks.join(' ')).toContain('Steadily 10 ply');
    const step = simulatedLimb({ ...settings(3), betweenDays: 0.3, days: 50, step: { day: 35, ply: 3 } });
    expect(limbCourse(step.entries).asks[0]).toMatch(/lost volume/);
    const { from } = limbCourse(step.entries).change!;
    expect([33, 34, 35, 36, 37].map(step.dayAt)).toContain(from);
    expect(limbCourse([]).asks).toEqual([]);
  });

  it('a sudden change is more than three ply away from the same hours, up or down (handbook 06)', () => {
    const day = (at: number, hour: string, ply: number): SockEntry => ({
      at: `2030-01-0${at}T${hour}:00`,
      ply,
    });
    const before = [day(1, '08', 3), day(1, '19', 6), day(2, '08', 3), day(2, '19', 6), day(3, '08', 3)];
    expect(suddenChange([...before, day(3, '19', 7)])).toBeNull();
    expect(suddenChange([...before, day(4, '08', 7)])).toContain('from 3 ply');
    expect(suddenChange([...before, day(3, '19', 2)])).toContain('from 6 ply');
    expect(suddenChange([day(1, '08', 9)])).toBeNull();
  });
});

describe('the log', () => {
  it('is read in order however it came; the future and what an old socket was worn with are left out', () => {
    const entry = (at: string, ply: number): SockEntry => ({ at, ply });
    const read = inOrderOfDay(
      [
        entry('2030-01-03T08:00', 4),
        entry('2030-01-01T08:00', 9),
        entry('2030-01-02T08:00', 3),
        entry('2030-01-09T08:00', 5),
        entry('2030-01-02T08:00', 2),
      ],
      { now: '2030-01-04T00:00', socketOn: '2030-01-02' },
    );
    expect(read.map(({ ply }) => ply)).toEqual([2, 4]);
  });
});

describe('what to do now', () => {
  const limb = simulatedLimb({ ...settings(8), base: 5, swing: 1.5, betweenDays: 0.3, days: 14, tagged: 0 });
  const now = `${limb.dayAt(14)}T14:00`;
  const look = (part: Partial<SockEntry>): SockEntry => ({ at: `${limb.dayAt(14)}T13:50`, ply: 5, ...part });
  const drawer = [
    { ply: 1, hole: false, quantity: 4 },
    { ply: 3, hole: false, quantity: 3 },
    { ply: 5, hole: false, quantity: 2 },
  ];
  const day = (latest: SockEntry | null, more: Partial<SockDayInput> = {}) =>
    sockDay({
      entries: latest ? [...limb.entries, latest] : limb.entries,
      drawer,
      needsHole: false,
      hasWarning: false,
      socketOn: null,
      now,
      ...more,
    });

  it('adds one to three where it is loose, takes one to three off where it is tight, with the fewest socks', () => {
    const loose = day(look({ feel: 'loose', ply: 3 })).step;
    expect(loose).toMatchObject({ kind: 'add' });
    if (loose.kind !== 'add') return;
    expect(loose.by).toBeGreaterThanOrEqual(1);
    expect(loose.by).toBeLessThanOrEqual(3);
    expect(loose.socks?.reduce((sum, ply) => sum + ply, 0)).toBe(3 + loose.by);
    expect(day(look({ feel: 'tight' })).step).toMatchObject({ kind: 'take-off' });
    expect(day(look({ feel: 'tight', ply: 0 })).step).toEqual({ kind: 'none-left' });
    expect(day(look({ feel: 'right' })).step).toEqual({ kind: 'stay' });
  });

  it('gives no advice on ply with pain, broken skin or a warning: stop and be seen', () => {
    for (const stopped of [day(look({ feel: 'pain' })), day(look({ feel: 'loose' }), { hasWarning: true })]) {
      expect(stopped.step.kind).toBe('stop');
      expect(stopped.carry).toBeNull();
      expect(stopped.range).toBeNull();
    }
  });

  it('foretells the rest of the day and what to carry for it', () => {
    const { range, carry, curve } = day(look({ feel: 'right' }));
    expect(curve.at(-1)!.hour).toBe(22);
    expect(range!.from).toBeLessThanOrEqual(range!.to);
    expect(carry!.carry).toEqual(expect.arrayContaining([1, 3]));
  });

  it('without a look today it says so, and still foretells the day; with an empty log it knows nothing', () => {
    expect(day(null)).toMatchObject({ step: { kind: 'no-look' }, worn: null });
    expect(day(null).range).not.toBeNull();
    const nothing = day(null, { entries: [], drawer: [] });
    expect(nothing).toMatchObject({ step: { kind: 'no-look' }, range: null, carry: null });
  });

  it('a new socket begins a new log', () =>
    expect(day(null, { socketOn: limb.dayAt(14) })).toMatchObject({ range: null }));
});
