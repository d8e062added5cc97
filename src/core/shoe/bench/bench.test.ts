import { describe, expect, it } from 'vitest';
import { FINDINGS } from '../../findings/findings';
import { motionControlScaleOf } from '../motion-control-scale';
import { readingsFrom } from '../readings/readings';
import { BENCH_TESTS, testsFor } from './bench-tests';
import { type BenchAnswers, benchChanges, readBench, signsOfUse, WORN_SIGNS } from './read-bench';

const says = (answers: BenchAnswers, heelBallMm: number | null = null, pair: 'new' | 'old' = 'new') =>
  readBench(answers, { pair, heelBallMm }).findings.map(({ level, sentence }) => `${level}: ${sentence}`);

describe('bench tests (handbook 03, common practice)', () => {
  it('ten tests for either pair, in ten minutes at most', () => {
    for (const pair of ['new', 'old'] as const) {
      expect(testsFor(pair)).toHaveLength(10);
      expect(testsFor(pair).reduce((sum, test) => sum + test.seconds, 0)).toBeLessThanOrEqual(600);
    }
    expect(new Set(BENCH_TESTS.map((test) => test.id)).size).toBe(BENCH_TESTS.length);
  });

  it('a fold more than 10 mm from the wearer’s big-toe joint is a miss', () => {
    const fold = (foldFromHeel: number) => says({ lengths: { soleLength: 290, foldFromHeel } }, 195);
    expect(fold(201)[0]).toMatch(/^good/);
    expect(fold(211)[0]).toMatch(/^good/);
    expect(fold(188)[0]).toMatch(/^poor: Folds 13 mm behind, under the arch/);
    expect(fold(214)[0]).toMatch(/^poor: Folds 13 mm in front/);
  });

  it('without a wearer, the fold is held against the ball of most feet; a fold beyond the tip is a slip', () => {
    const fold = (foldFromHeel: number) => says({ lengths: { soleLength: 290, foldFromHeel } })[0];
    // The trade's fifth from the front, and anatomy's 73 %.
    expect(fold(232)).toMatch(/^good/);
    expect(fold(212)).toMatch(/^good/);
    expect(fold(165)).toMatch(/too far back/);
    expect(fold(300)).toMatch(/measure both again/);
  });

  it('lengths become shares, stacks become the drop', () => {
    const { features } = readBench(
      {
        lengths: { soleLength: 300, foldFromHeel: 219, counterLength: 96 },
        values: { heelStack: 31, forefootStack: 22.5 },
      },
      { pair: 'new' },
    );
    expect(features).toMatchObject({ bendPoint: 73, counterReach: 32, drop: 8.5 });
  });

  it('a cap of a third is good, a sixth is poor', () => {
    const reach = (counterLength: number) => says({ lengths: { soleLength: 300, counterLength } })[0];
    expect(reach(100)).toMatch(/^good.*about a third/);
    expect(reach(50)).toMatch(/^poor.*a sixth/);
  });

  it('a change of colour is no post', () => {
    const reading = readBench(
      { values: { medialSupport: 'post' }, signs: { onlyColour: 'yes', medialFirmer: 'no' } },
      { pair: 'new' },
    );
    expect(reading.features.medialSupport).toBe('none');
    expect(reading.findings[0]!.sentence).toContain('colour only');
  });

  it('signs of a worn pair are the old pair’s findings, by name', () => {
    const worn = signsOfUse({ signs: { foldsFlat: 'yes', tilts: 'yes', creased: 'no', liningHoles: 'yes' } });
    expect(worn).toEqual(['folds-flat', 'tilts']);
    for (const { finding } of Object.values(WORN_SIGNS))
      if (finding) expect(Object.keys(FINDINGS.oldPairSigns.options)).toContain(finding);
    const sound = Object.fromEntries(Object.keys(WORN_SIGNS).map((id) => [id, 'no' as const]));
    expect(says({ signs: sound }, null, 'old')).toEqual(['good: No sign that this pair is finished.']);
  });

  it('fills what was unknown, confirms or disagrees with the maker', () => {
    const stated = readingsFrom({ drop: 8, heelCounter: 4 }, 'maker', '2026-01-01');
    const changes = benchChanges({ drop: 11, heelCounter: 4.5, torsionalStiffness: 4 }, stated);
    expect(changes.map(({ feature, kind }) => [feature, kind])).toEqual([
      ['drop', 'disagrees'],
      ['torsionalStiffness', 'fills'],
      ['heelCounter', 'confirms'],
    ]);
    expect(changes[0]!.sentence).toMatch(/maker says 8.mm, measured 11.mm/);
  });

  it('all ten give the whole motion-control scale of 0–11 (Barton 2009, from memory)', () => {
    const { features } = readBench(
      {
        values: {
          medialSupport: 'post',
          closure: 'laces',
          heelCounter: 5,
          forefootStiffness: 4,
          torsionalStiffness: 5,
        },
      },
      { pair: 'new' },
    );
    expect(motionControlScaleOf(features)).toEqual({ least: 11, most: 11, missing: [] });
  });
});
