import { testPush } from '@tests/fixtures/push';
import { describe, expect, it } from 'vitest';
import type { FeatureId } from '../../shoe/features';
import { ruledTarget, targetOfDecisionAlone } from './decide';
import { resolveFeature } from './resolve-feature';
import type { Decision, Push, Target } from './specification';

const decided = (feature: FeatureId, pushes: Push[], part: Omit<Decision, 'feature' | 'reason'>): Target =>
  resolveFeature({ feature }, pushes, {
    decision: { feature, reason: 'as agreed', ...part },
    explained: false,
  })!.target;
const drop8to12 = testPush('8 to 12', { band: { from: 8, to: 12 }, reach: 8 });
const atMost9 = testPush('at most 9', { band: { from: 0, to: 9 }, reach: 8 }, { strength: 'limit' });

describe('a band of the clinician’s own', () => {
  it('comes to rest nearest to where the rules had it', () => {
    expect(decided('drop', [drop8to12], { kind: 'overrule', band: { from: 2, to: 6 } })).toMatchObject({
      best: 6,
      band: { from: 2, to: 6 },
      firmness: 1,
    });
    expect(decided('drop', [drop8to12], { kind: 'overrule', band: { from: 14, to: 20 } })).toMatchObject({
      best: 14,
    });
  });

  it('is cut to what limits leave of it, and says so where they leave nothing', () => {
    const cut = decided('drop', [drop8to12, atMost9], { kind: 'overrule', band: { from: 6, to: 14 } });
    expect(cut).toMatchObject({ band: { from: 6, to: 9 } });
    expect(cut.decision!.refused).toBeUndefined();
    const refused = decided('drop', [drop8to12, atMost9], { kind: 'pin', band: { from: 12, to: 12 } });
    expect(refused.decision!.refused).toMatch(/^A limit excludes 12\smm: set it aside/u);
    expect(refused).toMatchObject({ best: 8 });
    const range = decided('drop', [drop8to12, atMost9], { kind: 'overrule', band: { from: 10, to: 12 } });
    expect(range.decision!.refused).toMatch(/excludes 10\smm to 12\smm/u);
  });

  it('loosened, it hardly counts; without a band it is not followed', () => {
    expect(decided('drop', [drop8to12], { kind: 'loosen', band: { from: 0, to: 25 } }).firmness).toBe(0.12);
    const none = decided('drop', [drop8to12], { kind: 'overrule' });
    expect(none).toMatchObject({ best: 8, decision: { refused: 'It names no band.' } });
  });
});

describe('options of the clinician’s own', () => {
  const laces = testPush('laces', { prefer: ['laces'] });
  const noZip = testPush('no zip', { avoid: ['zip'] }, { strength: 'limit' });

  it('the rules’ choice stays where it is among them, else the first stands', () => {
    expect(decided('closure', [laces], { kind: 'loosen', options: ['zip', 'laces'] })).toMatchObject({
      best: 'laces',
      options: ['zip', 'laces'],
    });
    expect(decided('closure', [laces], { kind: 'overrule', options: ['zip', 'dial'] })).toMatchObject({
      best: 'zip',
    });
  });

  it('an excluded option falls away; when all are, the limit is named with what it excludes', () => {
    expect(decided('closure', [laces, noZip], { kind: 'overrule', options: ['zip', 'dial'] })).toMatchObject({
      best: 'dial',
      options: ['dial'],
    });
    expect(decided('closure', [laces, noZip], { kind: 'pin', options: ['zip'] }).decision!.refused).toContain(
      'excludes zip',
    );
    expect(decided('closure', [laces], { kind: 'overrule', options: [] }).decision!.refused).toContain(
      'nothing',
    );
  });
});

describe('what the rules said', () => {
  it('comes back whole from a decided target, and is nothing where no rule spoke', () => {
    const ruled = resolveFeature({ feature: 'drop' }, [drop8to12], { explained: false })!.target;
    const over = decided('drop', [drop8to12], { kind: 'overrule', band: { from: 2, to: 6 } });
    expect(ruledTarget(over)).toMatchObject({ best: 8, band: (ruled as { band: object }).band });
    expect(ruledTarget(ruled)).toBeNull();
    const alone = targetOfDecisionAlone({
      feature: 'drop',
      kind: 'pin',
      band: { from: 4, to: 4 },
      reason: 'as agreed',
    });
    expect(alone).toMatchObject({ best: 4, band: { from: 4, to: 4 }, pushes: [], firmness: 1 });
    expect(ruledTarget(alone)).toBeNull();
  });

  it('a choice decided without any rule has its options and nothing excluded', () => {
    expect(
      targetOfDecisionAlone({ feature: 'closure', kind: 'overrule', options: ['zip'], reason: 'as agreed' }),
    ).toMatchObject({ kind: 'options', best: 'zip', options: ['zip'], excluded: [] });
  });

  it('a place of one foot takes only what is pushed there', () => {
    const left = testPush('left', { band: { from: 4, to: 6 }, reach: 4 }, { sides: ['left'] });
    const at = (side: 'left' | 'right') =>
      resolveFeature({ feature: 'heelLift', side }, [left], { explained: true });
    expect(at('left')!.target.pushes[0]!.sides).toEqual(['left']);
    expect(at('right')).toBeNull();
  });
});
