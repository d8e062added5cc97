import { describe, expect, it } from 'vitest';
import { wearForecast } from '../wear/forecast';
import { againOn, mustRefer, type ReviewedPair, readReview, reviewProblems } from './decide';
import { CHANGES, type Review, reviewSchema } from './review';

const on = '2030-06-10';
const forecastAt = (ageDays: number) =>
  wearForecast({
    school: 'median',
    use: 'road-running',
    surface: 'hard',
    bodyMassKg: 70,
    ageDays,
    log: [],
    expectedWeekly: 30,
  });
const pair: ReviewedPair = {
  baseline: { on: '2030-04-29', comfort: 60, pain: 6 },
  forecast: forecastAt(42),
  strengths: undefined,
  breakIn: null,
};
const review: Review = { on, warnings: [], measures: { comfort: 80 }, decision: 'keep' };
const paths = (part: Partial<Review>, of = pair) =>
  reviewProblems(of, { ...review, ...part }).map(({ path }) => path);

describe('a review', () => {
  it('of a pair that is well is kept in a word: nothing asks for more', () => {
    expect(readReview(pair, review)).toMatchObject({ suggestion: 'keep', asks: [], alarms: [] });
    expect(paths({})).toEqual([]);
  });

  it.each(Object.keys(CHANGES) as (keyof typeof CHANGES)[])('reads every change: %s', (change) => {
    const { suggestion, asks } = readReview(pair, { ...review, changed: [change] });
    expect(suggestion).toBe(CHANGES[change].asks);
    expect(asks.map(({ because }) => because)).toEqual([CHANGES[change].because]);
  });

  it('lets the most pressing of several things decide', () => {
    const changed = ['swelling', 'new-pain'] as const;
    expect(readReview(pair, { ...review, changed: [...changed] }).suggestion).toBe('next');
    expect(readReview(pair, { ...review, changed: [...changed], warnings: ['ischaemia'] }).suggestion).toBe(
      'refer',
    );
  });

  it('asks for a refit where something is really worse, and says what', () => {
    const { suggestion, asks } = readReview(pair, { ...review, measures: { comfort: 50, pain: 7 } });
    expect(suggestion).toBe('refit');
    expect(asks[0]?.because).toBe('Worse than at the start: comfort.');
  });

  it('asks for the next pair once this one is taken for spent, with what it was used since', () => {
    const old = { ...pair, forecast: forecastAt(300) };
    expect(readReview(old, review).suggestion).toBe('next');
    expect(readReview(pair, { ...review, since: 900 }).suggestion).toBe('next');
  });

  it('takes the last outing of a break-in into account', () => {
    const breakIn = { answers: [], plan: 'alternate' as const };
    const outing = { felt: 'severe' as const, gaitChanged: false, marks: false };
    expect(readReview({ ...pair, breakIn }, { ...review, outing })).toMatchObject({
      breakIn: 'stop',
      suggestion: 'refit',
    });
    const stopped = { answers: [{ on, felt: 'severe' as const }], plan: 'alternate' as const };
    expect(readReview({ ...pair, breakIn: stopped }, review).breakIn).toBe('stop');
    const byReview = { ...breakIn, stoppedOn: on };
    expect(readReview({ ...pair, breakIn: byReview }, review).suggestion).toBe('refit');
    expect(paths({ outing })).toContain('outing');
  });
});

describe('what stands in the way of a review', () => {
  it('is a warning sign or open skin, until the person is referred', () => {
    const ulcer = {
      comfort: 80,
      skinAt: [{ side: 'left' as const, place: 'ball' as const, sign: 'ulcer' as const }],
    };
    for (const part of [{ warnings: ['open-wound' as const] }, { measures: ulcer }])
      for (const decision of ['keep', 'refit', 'next'] as const)
        expect(paths({ ...part, decision, because: 'looked at' })).toContain('decision');
    expect(mustRefer({ on, measures: ulcer })).toBe(true);
    expect(paths({ measures: ulcer, decision: 'refer', to: 'wound clinic, today' })).toEqual([]);
  });

  it('is a decision without what belongs to it', () => {
    expect(paths({ decision: 'refer' })).toEqual(['to']);
    expect(paths({ decision: 'refit' })).toEqual(['because']);
    expect(paths({ measures: { comfort: 40 } })).toEqual(['because']);
    expect(paths({ measures: { comfort: 40 }, because: 'a bad day at work' })).toEqual([]);
    expect(paths({ measures: {} })).toEqual(['measures']);
    expect(paths({ again: on })).toEqual(['again']);
    expect(paths({ again: '2032-01-01' })).toEqual(['again']);
  });

  it('is that nobody looked for warning signs', () => {
    const { warnings: _, ...unlooked } = review;
    const read = reviewSchema.safeParse(unlooked);
    expect(read.error?.issues[0]?.message).toContain('warning signs first');
  });
});

it('sees a pair again as outcomes are due, soon after a refit or a referral, and at the visit of the next', () => {
  const due = '2030-12-01';
  expect(againOn({ decision: 'keep', on }, due)).toBe(due);
  expect(againOn({ decision: 'refit', on }, due)).toBe('2030-06-24');
  expect(againOn({ decision: 'refer', on }, due)).toBe('2030-06-17');
  expect(againOn({ decision: 'refit', on, again: '2030-07-01' }, due)).toBe('2030-07-01');
  expect(againOn({ decision: 'next', on, again: '2030-07-01' }, due)).toBeNull();
});
