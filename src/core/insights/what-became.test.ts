import { describe, expect, it } from 'vitest';
import { insightsOf, type PairEnd, type PairFate } from './what-became';

const fate = (part: Partial<PairFate>): PairFate => ({
  groups: ['walking'],
  patient: crypto.randomUUID(),
  days: 100,
  because: null,
  comfort: null,
  pain: null,
  silentDays: 0,
  ...part,
});
describe('what became of the pairs of a clinic', () => {
  it('counts what was worn out as an end, and every other pair as followed until then', () => {
    const { groups } = insightsOf(
      [
        fate({ days: 100, because: 'worn-out' }),
        fate({ days: 100, because: 'lost' }),
        fate({ days: 200, because: 'worn-out' }),
        fate({ days: 400 }),
      ],
      1,
    );
    expect(groups[0]!.steps.map(({ time, atRisk, share }) => [time, atRisk, share])).toEqual([
      [100, 4, 0.75],
      [200, 2, 0.375],
    ]);
    expect(groups[0]).toMatchObject({ pairs: 4, wornOut: 2, medianDays: 200, longestDays: 400 });
    expect(groups[0]!.atRisk.map(({ pairs }) => pairs)).toEqual([4, 4, 2, 1, 0]);
  });

  it('says nothing of a group that is too small, but that there is one; the largest comes first', () => {
    const { groups, withheld, between } = insightsOf(
      [
        ...Array.from({ length: 3 }, () => fate({ groups: ['road'], because: 'worn-out' })),
        ...Array.from({ length: 5 }, (_, at) => fate({ days: at * 30 })),
        fate({ groups: ['dress'] }),
      ],
      3,
    );
    expect(groups.map(({ group, pairs }) => [group, pairs])).toEqual([
      ['walking', 5],
      ['road', 3],
    ]);
    expect(withheld).toBe(1);
    expect(between).toMatchObject({ first: 'walking', second: 'road' });
    expect(insightsOf([fate({})], 5)).toMatchObject({ groups: [], withheld: 1, between: null });
  });

  it('gives shares with how far they may be off: hurt of those that were retired, really better of those asked twice', () => {
    const { groups } = insightsOf(
      [
        fate({ because: 'hurt' }),
        fate({ because: 'worn-out' }),
        fate({ comfort: 'better' }),
        fate({ comfort: 'no real change' }),
        fate({ pain: 'better' }),
        fate({ comfort: 'worse', pain: 'worse' }),
      ],
      1,
    );
    expect(groups[0]!.hurt).toMatchObject({ count: 1, of: 2, share: 0.5 });
    expect(groups[0]!.better).toMatchObject({ count: 1, of: 3 });
    expect(groups[0]!.worse).toMatchObject({ count: 1, of: 3 });
    expect(groups[0]!.better.to - groups[0]!.better.from).toBeGreaterThan(0.5);
  });

  it('says of how many that are worn nothing was heard, and compares no groups that overlap', () => {
    const fates = [
      fate({ silentDays: 300 }),
      fate({ silentDays: 20 }),
      fate({ silentDays: 300, because: 'lost' }),
      fate({ groups: ['other'], days: 10, because: 'worn-out' }),
    ];
    expect(insightsOf(fates, 1).groups[0]!.unheard).toMatchObject({ count: 1, of: 2 });
    expect(insightsOf(fates, 1).between).not.toBeNull();
    expect(insightsOf(fates, 1, { isDistinct: false }).between).toBeNull();
  });

  it('says which share of a group lies apart from all other pairs, and of how many that were looked at', () => {
    const of = (group: string, many: number, part: Partial<PairFate>) =>
      Array.from({ length: many }, () => fate({ groups: [group], ...part }));
    const fates = [
      ...of('racing', 9, { because: 'hurt', comfort: 'no real change' }),
      ...of('racing', 3, { because: 'worn-out' }),
      ...of('walking', 2, { because: 'hurt', comfort: 'no real change' }),
      ...of('walking', 28, { because: 'worn-out' }),
      ...of('dress', 2, { because: 'worn-out' }),
    ];
    const { apart, held } = insightsOf(fates, 5);
    // Of racing 9 of 12 hurt: 47–91 %; of the others 2 of 32: 2–20 %. Wilson's intervals, worked out by hand.
    expect(apart.map(({ group, by }) => [group, by])).toEqual([
      ['walking', 'hurt'],
      ['racing', 'hurt'],
    ]);
    expect(apart[1]!.own).toMatchObject({ count: 9, of: 12 });
    expect(apart[1]!.others).toMatchObject({ count: 2, of: 32 });
    // Hurt, really better and really worse comfort, of two groups; pain was taken twice of nobody.
    expect(held).toBe(6);
  });

  it('says nothing of a group where the others are too few', () => {
    const fates = [
      ...Array.from({ length: 30 }, () => fate({ because: 'worn-out' as const })),
      ...Array.from({ length: 4 }, () => fate({ groups: ['dress'], because: 'hurt' as const })),
    ];
    expect(insightsOf(fates, 5).apart).toEqual([]);
    expect(insightsOf(fates, 4).apart.map(({ group }) => group)).toEqual(['walking', 'dress']);
  });

  it('counts as an end what is asked for: worn out, hurt, or any', () => {
    const fates = [
      fate({ days: 50, because: 'hurt' }),
      fate({ days: 100, because: 'worn-out' }),
      fate({ days: 150, because: 'lost' }),
      fate({ days: 200 }),
    ];
    const at = (ends: PairEnd) => insightsOf(fates, 1, { ends }).groups[0]!.steps.map(({ time }) => time);
    expect([at('worn-out'), at('hurt'), at('any')]).toEqual([[100], [50], [50, 100, 150]]);
    expect(insightsOf(fates, 1, { ends: 'any' }).groups[0]!.wornOut).toBe(1);
  });
});
