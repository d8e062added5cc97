import { describe, expect, it } from 'vitest';
import { alarmsOf, compareOutcomes, nextSteps, type Outcome } from './outcome';
import { painFall, readChange, readPainChange } from './real-change';
import { laterMonths, outcomesDue } from './schedule';

const on = '2030-03-04';
const readings = (baseline: Partial<Outcome>, now: Partial<Outcome>) =>
  Object.fromEntries(
    compareOutcomes({ on, ...baseline }, { on: '2030-04-15', ...now }).map(({ measure, reading }) => [
      measure,
      reading,
    ]),
  );

describe('a real change', () => {
  it.each([
    // Farrar 2001: 2 points, or 30 %.
    [8, 6, 'better'],
    [8, 6.1, 'no real change'],
    [4, 2.8, 'better'],
    [4, 2.9, 'no real change'],
    [3, 5, 'worse'],
    [3, 4.9, 'no real change'],
    [0, 2, 'worse'],
  ] as const)('of pain from %f to %f is %s', (baseline, now, reading) => {
    expect(readPainChange(baseline, now)).toBe(reading);
    expect(readings({ pain: baseline }, { pain: now })).toEqual({ Pain: reading });
  });

  it('of comfort is ten points', () => {
    expect(readChange(60, 70)).toBe('better');
    expect(readChange(60, 69)).toBe('no real change');
    expect(readings({ comfort: 60 }, { comfort: 50 })).toEqual({ Comfort: 'worse' });
  });

  it('of own activities is 3 for one and 2 for their mean, of those that were named both times', () => {
    const activities = (...scores: [string, number][]) => ({
      activities: scores.map(([name, score]) => ({ name, score })),
    });
    expect(
      readings(
        activities(['stairs', 3], ['market', 4], ['garden', 5]),
        activities(['stairs', 6], ['market', 5], ['dance', 9]),
      ),
    ).toEqual({ stairs: 'better', market: 'no real change', 'Own activities, mean': 'better' });
  });

  it('of a questionnaire is what the clinic stated, and not judged where nobody did; less may be better', () => {
    const total = (value: number, realChange?: number) => ({
      questionnaires: [{ name: 'Foot function', total: value, moreIsBetter: false, realChange }],
    });
    expect(readings(total(40, 7), total(30, 7))).toEqual({ 'Foot function': 'better' });
    expect(readings(total(40), total(10))).toEqual({ 'Foot function': 'not judged' });
  });

  it('is drawn as the band that the reading uses, so that no point inside it is better or worse', () => {
    for (let baseline = 0; baseline <= 10; baseline += 0.5)
      for (let now = 0; now <= 10; now += 0.25) {
        const [change] = compareOutcomes({ on, pain: baseline }, { on, pain: now });
        const [from, to] = change!.same!;
        const isInside = now > from + 1e-9 && now < to - 1e-9;
        expect(change!.reading === 'no real change').toBe(isInside);
      }
    expect(painFall(10)).toBe(2);
  });

  it('what was not taken both times is not compared', () => {
    expect(readings({ comfort: 60 }, { pain: 3 })).toEqual({});
  });
});

describe('what comes next', () => {
  const steps = (baseline: Partial<Outcome>, now: Partial<Outcome>) =>
    nextSteps(compareOutcomes({ on, ...baseline }, { on, ...now }), alarmsOf(now));

  it('is nothing while nothing is worse, a refit first where it is, and a referral first for open skin or a fall', () => {
    expect(steps({ comfort: 60 }, { comfort: 80 })).toEqual([]);
    expect(steps({ comfort: 60 }, { comfort: 40 })).toEqual(['refit', 'loosen', 'other-school']);
    expect(steps({ pain: 2 }, { pain: 6 })).toEqual(['refit', 'refer', 'loosen', 'other-school']);
    expect(steps({ comfort: 60 }, { comfort: 80, skin: ['ulcer'] })[0]).toBe('refer');
    expect(alarmsOf({ falls: 2 })).toEqual(['2 falls since the last time: look at grip, fit and balance.']);
    expect(alarmsOf({ falls: 0, skin: ['callus'] })).toEqual([]);
  });
});

describe('when outcomes are taken', () => {
  const due = (category: 0 | 1 | 2 | 3 | null, ...taken: string[]) =>
    outcomesDue('2030-01-01', category, taken);

  it('at two, six and twelve weeks, then every half year', () => {
    expect(due(0)).toEqual({ on: '2030-01-15', week: 2 });
    expect(due(0, '2030-01-15')).toEqual({ on: '2030-02-12', week: 6 });
    expect(due(0, '2030-01-15', '2030-02-14')).toEqual({ on: '2030-03-26', week: 12 });
    expect(due(0, '2030-03-26').week).toBe(38);
    // A week early counts; what was missed is not asked for after the next is due.
    expect(due(0, '2030-01-08').week).toBe(6);
    expect(due(0, '2030-03-01').week).toBe(12);
  });

  it('as often as the category asks', () => {
    expect(([null, 0, 1, 2, 3] as const).map((category) => laterMonths(category))).toEqual([6, 6, 6, 6, 3]);
    expect(due(3, '2030-03-26').week).toBe(25);
    expect(due(3, '2030-06-25').week).toBe(38);
  });
});
