import { describe, expect, it } from 'vitest';
import { priorLifeOf } from '../clocks';
import { lifeQuantile } from '../life-schools';
import { lastLookOf } from './last-look';
import { type KnownPair, observationOf } from './observation';

const LIFE = priorLifeOf('road-running', 'median').life;
const known = (over: Partial<KnownPair> = {}) =>
  observationOf(
    {
      model: { maker: 'M', name: 'N', version: '1', features: { use: 'road-running' } },
      conditions: {},
      used: 900,
      by: 'log',
      endedBecause: null,
      lastLook: null,
      ...over,
    },
    'median',
  )!;
const km = ({ logRatio }: { logRatio: number }) => LIFE.median * Math.exp(logRatio);

describe('what a pair says of how long such pairs last', () => {
  it('worn out: just so long', () => {
    const seen = known({ endedBecause: 'worn-out' });
    expect(seen.isWornOut).toBe(true);
    expect(km(seen)).toBeCloseTo(900, 6);
  });

  it('still worn, or given up for another reason: at least so long, and without a look only as far as nearly all pairs last', () => {
    for (const endedBecause of [null, 'hurt', 'lost', 'other'] as const) {
      const seen = known({ endedBecause });
      expect(seen.isWornOut).toBe(false);
      expect(km(seen)).toBeCloseTo(lifeQuantile(LIFE, 0.1), 6);
    }
    expect(km(known({ used: 200 }))).toBeCloseTo(200, 6);
  });

  it('found sound at a look: at least as far as then; taken for spent: no further than then', () => {
    expect(km(known({ lastLook: { used: 700, isSpent: false } }))).toBeCloseTo(700, 6);
    const spent = known({ lastLook: { used: 800, isSpent: true } });
    expect(spent.isWornOut).toBe(true);
    expect(km(spent)).toBeCloseTo(800, 6);
  });

  it('nothing without a use', () => {
    expect(
      observationOf(
        {
          ...{ model: { maker: 'M', name: 'N', version: '1', features: {} } },
          conditions: {},
          used: 0,
          by: 'stated',
          endedBecause: null,
          lastLook: null,
        },
        'median',
      ),
    ).toBeNull();
  });

  it('a look tells where it can tell', () => {
    expect(lastLookOf(LIFE, [])).toBeNull();
    expect(lastLookOf(LIFE, [{ used: 600, signs: { fold: 'none', foam: 'yes' } }])).toEqual({
      used: 600,
      isSpent: true,
    });
    expect(
      lastLookOf(LIFE, [{ used: 600, signs: { fold: 'springs', foam: 'no', creases: 'none' } }]),
    ).toEqual({ used: 600, isSpent: false });
    expect(lastLookOf(LIFE, [{ used: LIFE.median, signs: {} }])).toBeNull();
  });
});
