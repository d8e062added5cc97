import { describe, expect, it } from 'vitest';
import { keysOf } from '../../tables/keys-of';
import { CLOCK_OF_USE } from '../clocks';
import { activityOf, isOnlyRaced, usualWeek } from './usual-week';

describe('a week to begin with', () => {
  it('brings what the pairs are used a week, one outing of it long', () => {
    const week = usualWeek([
      { features: { use: 'road-running' }, weekly: 20 },
      { features: { use: 'road-running' }, weekly: 16 },
    ]);
    expect(week.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(36, 0);
    expect(week).toHaveLength(4);
    expect(week.filter(({ kind }) => kind === 'long')).toHaveLength(1);
    expect(new Set(week.map(({ day }) => day)).size).toBe(4);
  });

  it('spreads work over five days, and is empty where nobody said how much', () => {
    const week = usualWeek([{ features: { use: 'work' }, weekly: 36 }]);
    expect(week.map(({ amount }) => amount)).toEqual([7.2, 7.2, 7.2, 7.2, 7.2]);
    expect(usualWeek([{ features: { use: 'work' }, weekly: null }])).toEqual([]);
  });

  it('every use is worn for something', () => {
    for (const use of keysOf(CLOCK_OF_USE)) expect(activityOf(use), use).toBeTruthy();
    expect(activityOf('lifting')).toBe('lifting-upright');
  });

  it('a pair is only raced where all it does are races', () => {
    const race = { id: 'race', day: 6, activity: 'racing' as const, kind: 'race' as const, amount: 21 };
    const easy = { ...race, id: 'easy', activity: 'road-running' as const, kind: 'easy' as const };
    expect(isOnlyRaced('p', [race, easy], { race: 'p', easy: 'q' })).toBe(true);
    expect(isOnlyRaced('p', [race, easy], { race: 'p', easy: 'p' })).toBe(false);
    expect(isOnlyRaced('q', [race], { race: 'p' })).toBe(false);
  });
});
