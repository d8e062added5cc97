import { describe, expect, it } from 'vitest';
import { footDifference } from './foot-difference';
import { growthForecast } from './growth-forecast';

const grown = (mmAYear: number) => [
  { on: '2030-01-01', mm: 180 },
  { on: '2031-01-01', mm: 180 + mmAYear },
];

describe('when a child outgrows a pair', () => {
  it('from the child’s own measures where two lie a year apart, 30 % either way', () => {
    const forecast = growthForecast(7, grown(10), 15, 10)!;
    expect(forecast.basis).toBe('own measures');
    expect(forecast.rate[0]).toBeCloseTo(7, 1);
    expect(forecast.rate[1]).toBeCloseTo(13, 1);
    // 5 mm to spare at 13 and at 7 mm a year.
    expect(forecast.tooShortInDays[0]).toBeCloseTo((5 / 13) * 365, -1);
    expect(forecast.tooShortInDays[1]).toBeCloseTo((5 / 7) * 365, -1);
  });

  it('from what is usual at the age with one measure, or with measures that shrink', () => {
    for (const lengths of [[], grown(10).slice(0, 1), grown(0), grown(-3)]) {
      const forecast = growthForecast(7, lengths, 15, 10)!;
      expect(forecast).toMatchObject({ basis: 'usual for the age', rate: [8, 10] });
      expect(forecast.sentence).toBe(
        'Grows about 8–10 mm a year (usual for the age): outgrown in 6 to 8 months. Check again in 6 months.',
      );
    }
  });

  /** Handbook 04, child: to 2.5 years every 2–3 months, to 4 every 3–4, to 6 every 4–6, then every 6. */
  it.each([
    [1.5, 3],
    [2.4, 3],
    [2.5, 4],
    [3.9, 4],
    [4, 6],
    [5.9, 6],
    [9, 6],
  ])('at %d years the foot is looked at again in %d months', (age, months) => {
    expect(growthForecast(age, [], 60, 10)!.nextCheckDays).toBe(Math.round(months * 30.4));
  });

  it('never later than the day the pair becomes too short, nor sooner than a week', () => {
    const soon = growthForecast(7, [], 11, 10)!;
    expect(soon.nextCheckDays).toBe(soon.tooShortInDays[0]);
    const short = growthForecast(7, [], 8, 10)!;
    expect(short).toMatchObject({ tooShortInDays: [0, 0], nextCheckDays: 7 });
    expect(short.sentence).toMatch(/: too short already\. Check again in 7 days\.$/);
  });

  it('a child that grows fast by its own measures is looked at sooner than usual', () => {
    const fast = growthForecast(8, grown(20), 15, 12)!;
    expect(fast.nextCheckDays).toBeLessThan(growthForecast(8, [], 15, 12)!.nextCheckDays);
  });

  it('says nothing of a grown foot', () => {
    expect(growthForecast(16, grown(4), 15, 10)).toBeNull();
    expect(growthForecast(15, grown(4), 15, 10)).toBeNull();
    expect(growthForecast(14, grown(4), 15, 10)).not.toBeNull();
    expect(growthForecast(0.5, [], 15, 10)).toBeNull();
  });
});

describe('one foot longer than the other', () => {
  it.each([
    [262, 262, 'same', 'none', 'Same length.'],
    [262, 258.1, 'left', 'none', 'Fit the left; the difference is small.'],
    [258, 262, 'right', 'fit-longer', 'About half a size apart: fit the right.'],
    [265.9, 258, 'left', 'fit-longer', 'About half a size apart: fit the left.'],
    [266, 258, 'left', 'split-or-filler', 'About a size apart: split pair, or a filler in the right.'],
    [258, 266, 'right', 'split-or-filler', 'About a size apart: split pair, or a filler in the left.'],
  ])('%d mm left, %d mm right', (left, right, longer, advice, sentence) => {
    expect(footDifference(left, right)).toMatchObject({ longer, advice, sentence });
  });
});
