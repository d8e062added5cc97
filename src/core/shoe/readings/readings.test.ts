import { describe, expect, it } from 'vitest';
import { disagree, disagreements, featuresOf, readingsFrom, withReading } from './readings';

const maker = readingsFrom({ drop: 8, closure: 'laces' }, 'maker', '2026-01-10');

describe('where a value comes from', () => {
  it('a bench test counts before the maker, the maker before an estimate', () => {
    const tested = withReading(maker, 'drop', { value: 11, from: 'bench', on: '2026-02-01' });
    expect(featuresOf(tested)).toEqual({ drop: 11, closure: 'laces' });
    const guessed = withReading(maker, 'drop', { value: 4, from: 'estimate', on: '2026-02-01' });
    expect(featuresOf(guessed).drop).toBe(8);
  });

  it('what nobody says stays unknown', () => {
    expect('mass' in featuresOf(maker)).toBe(false);
  });

  it('an older reading of the same source does not come back', () => {
    const later = withReading(maker, 'drop', { value: 7, from: 'maker', on: '2026-05-01' });
    expect(featuresOf(withReading(later, 'drop', { value: 9, from: 'maker', on: '2026-04-01' })).drop).toBe(
      7,
    );
    expect(featuresOf(withReading(later, 'drop', { value: 9, from: 'maker', on: '2026-06-01' })).drop).toBe(
      9,
    );
    expect(later.drop).toHaveLength(1);
  });

  it('shows where maker and bench disagree beyond what measuring explains', () => {
    const close = withReading(maker, 'drop', { value: 8.5, from: 'bench', on: '2026-02-01' });
    expect(disagreements(close)).toEqual([]);
    const apart = withReading(maker, 'drop', { value: 11, from: 'bench', on: '2026-02-01' });
    expect(disagreements(apart)).toMatchObject([
      { feature: 'drop', stated: { value: 8 }, measured: { value: 11 } },
    ]);
    expect(disagree('heelCounter', 3, 3.5)).toBe(false);
    expect(disagree('heelCounter', 3, 4)).toBe(true);
    expect(disagree('closure', 'laces', 'dial')).toBe(true);
  });
});
