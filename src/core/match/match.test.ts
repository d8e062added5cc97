import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../picture/clinical-picture';
import { resolve } from '../prescribe/resolve';
import { utilityAt } from '../prescribe/utility';
import { FEATURES, type FeatureId, type FeatureValues } from '../shoe/features';
import type { ShoeModel } from './model';
import { proposeTrial } from './propose';
import { rank, reasonsFor } from './rank';

const shoe = (id: string, features: FeatureValues): ShoeModel => ({
  id,
  maker: 'Testmaker',
  name: id,
  version: '1',
  features,
  sizing: {
    system: 'eu',
    group: 'men',
    allowanceMm: 15,
    lengthOffsetMm: 0,
    sizes: [42],
    widths: ['D'],
    ballWidthMm: 96,
  },
  inStock: true,
});
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
    expect(excluded[0]!.by[0]!.sentence).toBe('Intended use road running: court play');
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
});

describe('what to bring', () => {
  it('brings the best and others unlike enough to feel', () => {
    const models = [
      shoe('best', { midsoleHardness: 3, heelStack: 28 }),
      shoe('twin', { midsoleHardness: 3, heelStack: 28 }),
      shoe('firmer', { midsoleHardness: 5, heelStack: 28 }),
    ];
    const ranked = models.map((model, at) => ({ id: model.id, score: 0.9 - at * 0.01, unknown: 0 }));
    const byId = new Map(models.map((model) => [model.id, model]));
    expect(proposeTrial(ranked, byId)).toEqual(['best', 'firmer']);
    expect(proposeTrial([], byId)).toEqual([]);
  });
});
