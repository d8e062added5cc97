import { testShoe } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { mean, variance } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { entryKey } from '../catalogue/catalogue-entry';
import { type CatalogueQuery, filterModels, readFeatureFilter } from '../catalogue/filter';
import { pairsInStock, type ShoeModel, stockOf } from '../catalogue/model';
import { clinicalPicture } from '../examination/clinical-picture';
import { resolve } from '../prescribe/engine/resolve';
import { utilityAt } from '../prescribe/engine/utility';
import { FEATURES, type FeatureId, type FeatureValues } from '../shoe/features';
import { compareModels } from './compare';
import { differenceInWords, dissimilarity, type FeelAxis, feelDifference } from './feel';
import { moreLikeThis } from './more-like';
import { proposeTrial } from './propose';
import { type Ranked, rank, reasonsFor } from './rank';
import { standingOf } from './standing';
import { versionDifferences } from './version-differences';

const shoe = (id: string, features: FeatureValues = {}) => testShoe(id, features, { stock: { '42 D': 1 } });
const wanting = (activity: 'court' | 'road-running', pain: 'achilles-mid' | 'forefoot') =>
  resolve(clinicalPicture({ body: { activities: [activity] }, left: { pain: [pain] } }));

describe('ranking', () => {
  it('excludes by limit, and says by which', () => {
    const specification = wanting('court', 'achilles-mid');
    const { ranked, excluded } = rank(
      [shoe('runner', { use: 'road-running' }), shoe('court', { use: 'court' })],
      specification,
    );
    expect(ranked.map((entry) => entry.id)).toEqual(['court']);
    expect(excluded[0]!.by[0]!.sentence).toBe('Intended use road running: ruled out (for court, outdoors)');
  });

  it('an unknown value is uncertainty, not a fault and not a match', () => {
    const specification = wanting('road-running', 'achilles-mid');
    const { ranked } = rank(
      [shoe('right', { drop: 11 }), shoe('unknown', {}), shoe('wrong', { drop: 0 })],
      specification,
    );
    const score = (id: string) => ranked.find((entry) => entry.id === id)!.score;
    expect(score('right')).toBeGreaterThan(score('unknown'));
    expect(score('unknown')).toBeGreaterThan(score('wrong'));
    expect(ranked.find((entry) => entry.id === 'unknown')!.unknown).toBe(1);
  });

  it('names a limit that cannot be checked because the value is not stated', () => {
    const specification = wanting('court', 'achilles-mid');
    expect(reasonsFor(shoe('mystery', {}), specification).check[0]).toMatch(/Intended use is not stated/);
  });

  it('equals adding up every wish by hand', () => {
    const specification = wanting('road-running', 'forefoot');
    const value = (id: FeatureId) => {
      const feature = FEATURES[id];
      if (feature.kind === 'choice') return fc.constantFrom(...Object.keys(feature.options));
      if (feature.kind === 'grade') return fc.integer({ min: 1, max: feature.anchors.length });
      return fc.integer({ min: feature.bounds[0], max: feature.bounds[1] });
    };
    const ids = specification.targets.map((target) => target.feature);
    const models = fc.array(fc.record(Object.fromEntries(ids.map((id) => [id, value(id)]))), {
      minLength: 2,
      maxLength: 12,
    });
    fc.assert(
      fc.property(models, (features) => {
        const list = features.map((entry, index) => shoe(`m${index}`, entry as FeatureValues));
        const byHand = list.map((model) => {
          let got = 0;
          let all = 0;
          for (const target of specification.targets) {
            if (target.feature === 'toeRoom') continue;
            for (const push of target.pushes) {
              got += push.weight * utilityAt(push.want, model.features[target.feature]!);
              all += push.weight;
            }
          }
          return got / all;
        });
        const { ranked, excluded } = rank(list, specification);
        expect(ranked.length + excluded.length).toBe(list.length);
        for (const entry of ranked) expect(entry.score).toBeCloseTo(byHand[Number(entry.id.slice(1))]!, 9);
        for (let at = 1; at < ranked.length; at += 1)
          expect(ranked[at - 1]!.score).toBeGreaterThanOrEqual(ranked[at]!.score);
      }),
      { numRuns: 50 },
    );
  });
});

describe('reasons for a model', () => {
  it('what lies inside the target is never against it, though an outvoted push would have liked more', () => {
    // Six posture points a foot: a slight pull of one school toward support; the target stays open without a post.
    const six = {
      postureTalarHead: 1,
      postureMalleolarCurves: 1,
      postureHeel: 1,
      postureTalonavicular: 1,
      postureInnerArch: 1,
      postureForefoot: 1,
    };
    const specification = resolve(clinicalPicture({ left: six, right: { ...six, postureForefoot: 0 } }));
    const support = specification.targets.find((target) => target.feature === 'medialSupport')!;
    expect(support.kind === 'options' && support.options).toContain('none');
    const { pro, contra } = reasonsFor(shoe('plain', { medialSupport: 'none' }), specification);
    expect(contra.map((reason) => reason.feature)).not.toContain('medialSupport');
    expect(pro.map((reason) => reason.feature)).toContain('medialSupport');
    const posted = reasonsFor(shoe('posted', { medialSupport: 'post' }), specification);
    expect(posted.contra.map((reason) => reason.feature)).toContain('medialSupport');
  });

  it('a value nobody states: unjudged on a limit, missed on a firm target, but not where most shoes have what is wanted', () => {
    const specification = wanting('court', 'achilles-mid');
    const missesOf = (features: FeatureValues) => {
      const { provisional, misses } = standingOf(shoe('m', features), specification);
      return { provisional: provisional.length, misses: misses.map(({ feature }) => feature) };
    };
    expect(missesOf({}).provisional).toBe(1);
    expect(missesOf({ use: 'court' }).provisional).toBe(0);
    expect(missesOf({ use: 'court' }).misses).toContain('outsoleHardness');
    // Anything but a post is wanted: three of four options.
    expect(missesOf({ use: 'court' }).misses).not.toContain('medialSupport');
    expect(missesOf({ use: 'court', medialSupport: 'post' }).misses).toContain('medialSupport');
  });

  it('a firm target is missed only by more than anybody can tell', () => {
    // A stiff big toe asks for a front that is at least stiff (4).
    const specification = resolve(clinicalPicture({ left: { bigToeRange: 15 } }));
    const misses = (forefootStiffness: number) =>
      standingOf(shoe('m', { forefootStiffness }), specification).misses.some(
        ({ feature }) => feature === 'forefootStiffness',
      );
    expect([4, 3.5, 3, 2].map(misses)).toEqual([false, false, true, true]);
  });

  it('a pair is judged by its worse side, and the foot that it fails is named', () => {
    const stiffLeft = resolve(clinicalPicture({ left: { bigToeRange: 15 }, right: { bigToeRange: 70 } }));
    const stiffBoth = resolve(clinicalPicture({ left: { bigToeRange: 15 }, right: { bigToeRange: 15 } }));
    const soft = shoe('soft', { forefootStiffness: 1, rocker: 1 });
    const score = (of: typeof stiffLeft) => rank([soft], of).ranked[0]!.score;
    // One stiff toe asks no less of the pair than two.
    expect(score(stiffLeft)).toBeCloseTo(score(stiffBoth), 6);
    const fails = (of: typeof stiffLeft) =>
      reasonsFor(soft, of).contra.find(({ feature }) => feature === 'forefootStiffness')?.fails;
    expect(fails(stiffLeft)).toBe('left');
    expect(fails(stiffBoth)).toBeNull();
  });
});

describe('unknown values', () => {
  it('spread is one standard deviation of the score over what the unknown value could be', () => {
    const specification = wanting('road-running', 'achilles-mid');
    const { bounds, step } = FEATURES.drop;
    const drops = Array.from(
      { length: (bounds[1] - bounds[0]) / step + 1 },
      (_, at) => bounds[0] + at * step,
    );
    const { ranked } = rank(
      drops.map((drop) => shoe(`drop ${drop}`, { use: 'road-running', drop })),
      specification,
    );
    const scores = ranked.map(({ score }) => score);
    const unknown = rank([shoe('unknown', { use: 'road-running' })], specification).ranked[0]!;
    const rest = rank([shoe('known', { use: 'road-running', drop: drops[0]! })], specification).ranked[0]!;
    expect(unknown.score).toBeCloseTo(mean(scores), 9);
    expect(unknown.spread ** 2 - rest.spread ** 2).toBeCloseTo(variance(scores), 9);
  });
});

describe('filtering', () => {
  const models = [
    shoe('low light', { drop: 4, mass: 210, closure: 'laces' }),
    shoe('low heavy', { drop: 4, mass: 340, closure: 'dial' }),
    shoe('high', { drop: 12, mass: 300 }),
    shoe('mystery', { mass: 250 }),
  ];
  const read = (feature: FeatureId, text: string) => {
    const filter = readFeatureFilter(feature, text);
    if (!filter.ok) throw new Error(filter.problem.message);
    return filter.value;
  };
  const names = (query: CatalogueQuery) => {
    const { matching, unknown } = filterModels(models, query);
    return [matching.map(({ name }) => name), unknown.map(({ name }) => name)];
  };

  it('what is not known neither matches nor fails: it is told apart', () => {
    expect(names({ features: [read('drop', 'under 6 mm')] })).toEqual([
      ['low light', 'low heavy'],
      ['mystery'],
    ]);
    expect(names({ features: [read('drop', '< 6'), read('mass', 'below 9 oz')] })).toEqual([
      ['low light'],
      ['mystery'],
    ]);
    expect(names({ features: [read('closure', 'dial or laces')] })[0]).toEqual(['low light', 'low heavy']);
    expect(names({ words: 'low TEST' })[0]).toEqual(['low light', 'low heavy']);
    expect(names({ mostPrice: 100 })).toEqual([[], models.map(({ name }) => name)]);
  });

  it.each([
    ['drop', '4-8 mm', { from: 4, to: 8 }],
    ['drop', '4–8', { from: 4, to: 8 }],
    ['drop', '1/4 in to 1/2 in', { from: 6.35, to: 12.7 }],
    ['drop', '0.2-0.4 in', { from: 5.08, to: 10.16 }],
    ['heelStack', '> 2.5 cm', { from: 25 }],
    ['mass', '≤ 300 g', { to: 300 }],
    ['midsoleHardness', 'soft to medium', { from: 2, to: 3 }],
    ['midsoleHardness', 'firm', { from: 3.5, to: 4.5 }],
    ['drop', '8', { from: 7.75, to: 8.25 }],
  ] as const)('%s typed as “%s”', (feature, text, wanted) => {
    const filter = read(feature, text);
    expect(filter.from === undefined ? undefined : Math.round(filter.from * 100) / 100).toBe(
      'from' in wanted ? wanted.from : undefined,
    );
    expect(filter.to === undefined ? undefined : Math.round(filter.to * 100) / 100).toBe(
      'to' in wanted ? wanted.to : undefined,
    );
  });

  it.each([
    ['drop', 'eight', 'not a number'],
    ['drop', '8-4', 'backwards'],
    ['closure', 'glue', 'Choose of'],
    ['midsoleHardness', 'squishy', 'Grades are'],
    ['drop', '  ', 'Enter a value'],
  ] as const)('%s typed as “%s” is refused with a sentence', (feature, text, says) => {
    const filter = readFeatureFilter(feature, text);
    expect(!filter.ok && filter.problem.message).toContain(says);
  });
});

describe('what to bring', () => {
  const ranked = (list: readonly ShoeModel[]): Ranked[] =>
    list.map(({ id }, at) => ({ id, score: 0.9 - at * 0.01, unknown: 0, spread: 0 }));
  const of = (list: readonly ShoeModel[]) => new Map(list.map((model) => [model.id, model]));
  const best = shoe('best', {
    midsoleHardness: 3,
    heelStack: 28,
    mass: 280,
    heelCounter: 3,
    torsionalStiffness: 3,
  });
  const shelf = [
    best,
    shoe('twin', { ...best.features, mass: 285 }),
    shoe('structured', { ...best.features, midsoleHardness: 4, heelCounter: 4.5, torsionalStiffness: 4 }),
    shoe('softer', { ...best.features, midsoleHardness: 1.5, mass: 220 }),
  ];

  it('one near the optimum, one firmer or more structured, one softer or lighter, and says what each teaches', () => {
    const proposals = proposeTrial(ranked(shelf), of(shelf));
    expect(proposals.map(({ id, role }) => [id, role])).toEqual([
      ['best', 'optimum'],
      ['structured', 'structured'],
      ['softer', 'softer'],
    ]);
    expect(proposals[1]!.teaches).toMatch(/[Mm]ore structured.*more hold.* is wanted/);
    expect(proposals[2]!.teaches).toMatch(/[Ss]ofter.*(more give|less shoe).* is wanted/);
  });

  it('none stands for a role that it contradicts: no “more hold” for one that is easier to bend', () => {
    const limp = shoe('limp', { ...shelf[2]!.features, forefootStiffness: 1 });
    const base = shoe('base', { ...best.features, forefootStiffness: 3 });
    const proposals = proposeTrial(ranked([base, limp]), of([base, limp]));
    expect(proposals.map(({ id, role }) => [id, role])).toEqual([
      ['base', 'optimum'],
      ['limp', 'other'],
    ]);
  });

  it('never a twin, never one that serves the specification much worse, nothing of nothing', () => {
    expect(proposeTrial(ranked(shelf.slice(0, 2)), of(shelf)).map(({ id }) => id)).toEqual(['best']);
    const poor = ranked(shelf).map((entry, at) => ({ ...entry, score: at === 0 ? 0.9 : 0.5 }));
    expect(proposeTrial(poor, of(shelf))).toHaveLength(1);
    expect(proposeTrial([], new Map())).toEqual([]);
  });

  it('two versions of one model are not brought together', () => {
    const versions = shelf.map((model) => ({
      ...model,
      name: model.id === 'structured' ? 'best' : model.name,
    }));
    expect(proposeTrial(ranked(versions), of(versions)).map(({ id }) => id)).toEqual(['best', 'softer']);
  });

  it('“more like this but softer” goes that way and changes little else', () => {
    const other = shoe('softer but high', { ...best.features, midsoleHardness: 1.5, heelStack: 46, drop: 0 });
    const list = [...shelf, other];
    const like = moreLikeThis('softer', best, ranked(list), of(list));
    expect(like.map(({ id }) => id)).toEqual(['softer', 'softer but high']);
    expect(like[0]!.also).toBe('lighter');
    expect(moreLikeThis('lighter', best, ranked(list), of(list)).map(({ id }) => id)).toEqual(['softer']);
    expect(moreLikeThis('wider', best, ranked(list), of(list))).toEqual([]);
  });

  it('feel is symmetrical, and a shoe is like itself', () => {
    expect(dissimilarity(feelDifference(best.features, best.features))).toBe(0);
    const there = feelDifference(best.features, shelf[3]!.features);
    const back = feelDifference(shelf[3]!.features, best.features);
    for (const [axis, steps] of Object.entries(there)) expect(back[axis as FeelAxis]).toBeCloseTo(-steps, 9);
    expect(differenceInWords(there)).toBe('softer, lighter');
  });
});

describe('comparing', () => {
  it('lights what differs by more than measuring explains, and what lies in the specification', () => {
    const specification = wanting('road-running', 'achilles-mid');
    const rows = compareModels(
      [shoe('a', { drop: 11, mass: 280, closure: 'laces' }), shoe('b', { drop: 4, mass: 285 })],
      specification,
    );
    const row = (feature: FeatureId) => rows.find((entry) => entry.feature === feature)!;
    expect(row('drop').differs).toBe(true);
    expect(row('drop').values.map((value) => value?.inside)).toEqual([true, false]);
    expect(row('drop').wanted).toMatch(/mm/);
    expect(row('mass').differs).toBe(false);
    expect(row('closure').values[1]).toBeNull();
    expect(rows.some((entry) => entry.feature === 'tread')).toBe(false);
  });
});

describe('a later version of the same model', () => {
  const worn = shoe('Line', { drop: 8, heelStack: 30, closure: 'laces' });
  it('is told feature by feature, with what was not stated, and by how its sizes are counted', () => {
    const later = {
      ...shoe('Line', { drop: 6, heelStack: 30.5, closure: 'laces', mass: 280 }),
      version: '2',
    };
    expect(versionDifferences(worn, later)).toEqual(['Heel-to-toe drop: 8\u2009mm → 6\u2009mm']);
    const other = { ...later, sizing: { ...later.sizing, allowanceMm: 13.3 } };
    expect(versionDifferences(worn, other)).toContain('Sizes are counted differently');
    expect(versionDifferences(worn, worn)).toEqual([]);
  });

  it('one entry has one name, whatever the capitals and the blanks', () => {
    expect(entryKey({ maker: ' Testmaker', name: 'LINE', version: '2' })).toBe(
      entryKey({ maker: 'testmaker', name: 'Line ', version: '2' }),
    );
    expect(entryKey({ maker: 'a', name: 'b c', version: '1' })).not.toBe(
      entryKey({ maker: 'a b', name: 'c', version: '1' }),
    );
  });

  it('the shelf is counted by size and width', () => {
    const stocked = { ...worn, stock: { '42 D': 2, '42.5 2E': 1 } };
    expect(pairsInStock(stocked)).toBe(3);
    expect(stockOf(stocked, 42.5, '2E')).toBe(1);
    expect(stockOf(stocked, 42, '2E')).toBe(0);
  });
});
