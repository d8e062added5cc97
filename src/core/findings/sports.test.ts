import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SPORT_NAMES, type SportId } from '../sports/sport-names';
import { keysOf } from '../tables/keys-of';
import { demandOf, neighbourInWords, SPORTS, servesSport, sportDistance, sportsUnder } from './sports';

const ids = keysOf(SPORT_NAMES);
const sports = fc.subarray(ids, { minLength: 1 });

/** The shares are ours: what holds of them is checked, not where they come from. */
describe('sports as data', () => {
  it('are at least twenty, each with shares that make up the whole, a ground, and a purpose', () => {
    expect(ids.length).toBeGreaterThanOrEqual(20);
    for (const id of ids) {
      const { movement, ground, activities, toeDrag } = SPORTS[id];
      expect(
        Object.values(movement).reduce((sum, part) => sum + part, 0),
        id,
      ).toBeCloseTo(1, 9);
      expect(Math.min(...Object.values(movement)), id).toBeGreaterThanOrEqual(0);
      expect(toeDrag, id).toBeLessThanOrEqual(1);
      expect(ground.length, id).toBeGreaterThan(0);
      expect(activities.length, id).toBeGreaterThan(0);
    }
  });

  it('who plays outdoors is not asked for badminton, and who lifts for nothing', () => {
    expect(sportsUnder(['court'])).toContain('tennis');
    expect(sportsUnder(['court'])).not.toContain('badminton');
    expect(sportsUnder(['lifting-upright', 'walking'])).toEqual([]);
  });

  it('are apart as a distance is: nothing from oneself, the same from either side, no detour is shorter', () => {
    const one = fc.constantFrom(...ids);
    fc.assert(
      fc.property(one, one, one, (a, b, c) => {
        expect(sportDistance(a, a)).toBe(0);
        expect(sportDistance(a, b)).toBeCloseTo(sportDistance(b, a), 12);
        expect(sportDistance(a, c)).toBeLessThanOrEqual(sportDistance(a, b) + sportDistance(b, c) + 1e-9);
        expect(servesSport(a, b)).toBeLessThanOrEqual(servesSport(a, a));
      }),
    );
  });

  it('a padel shoe serves tennis better than one for volleyball does, and each says how far off it is', () => {
    expect(servesSport('tennis', 'padel')).toBeGreaterThan(servesSport('tennis', 'volleyball') + 0.3);
    expect(neighbourInWords(['tennis'], 'volleyball')).toBe(
      'Made for volleyball, not tennis: it expects more jumping and less turning and less toe drag.',
    );
    expect(neighbourInWords(['tennis'], 'padel')).toBe(
      'Made for padel, not tennis: it expects less toe drag.',
    );
    // Made for what is played, or for the nearer of two.
    expect(neighbourInWords(['tennis', 'padel'], 'padel')).toBe('');
    expect(neighbourInWords([], 'padel')).toBe('');
    expect(neighbourInWords(['volleyball', 'handball'], 'basketball')).toContain('not handball');
  });

  it('several sports ask of each movement the most', () => {
    fc.assert(
      fc.property(sports, fc.constantFrom(...ids), (some, more: SportId) => {
        const [before, after] = [demandOf(some), demandOf([...some, more])];
        for (const part of keysOf(before)) expect(after[part]).toBeGreaterThanOrEqual(before[part]);
      }),
    );
    expect(demandOf(['tennis'])).toEqual({ sideways: 40, jump: 5, pivot: 30, toeDrag: 80 });
  });
});
