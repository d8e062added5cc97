import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { enteredPicture } from '../findings/picture';
import { askNext } from '../prescribe/counterfactual/ask-next';
import { BUILT_IN, resolve } from '../prescribe/engine/resolve';
import { suggestedWarnings } from '../safety/suggested-warnings';

const OPTIONS = { school: 'balanced', knowledge: BUILT_IN } as const;

/** Rules that push somewhere in the specification of these findings. */
const speaking = (findings: Findings): Set<string> =>
  new Set(
    resolve(clinicalPicture(findings)).targets.flatMap((target) => target.pushes.map((push) => push.rule)),
  );
const both = (foot: NonNullable<Findings['left']>): Findings => ({ left: foot, right: foot });
const runner: Findings = { body: { activities: ['road-running'] } };
const signs = (findings: Findings) =>
  suggestedWarnings(clinicalPicture(findings), {}).map(({ sign }) => sign);

describe('change of training', () => {
  const rise = (body: Findings['body']) => clinicalPicture({ body }).body.loadRise;

  it('more or harder is more load; another kind of training alone says nothing', () => {
    expect(rise({ trainingChange: ['volume'] })).toBe('yes');
    expect(rise({ trainingChange: ['kind', 'intensity'] })).toBe('yes');
    expect(rise({ trainingChange: ['kind'] })).toBe('not-examined');
  });

  it('three tenths more a week than a month ago is more load, a quarter more is not; what was said counts first', () => {
    expect(rise({ weeklyDistance: 40, weeklyDistanceBefore: 30 })).toBe('yes');
    expect(rise({ weeklyDistance: 37, weeklyDistanceBefore: 30 })).toBe('no');
    expect(rise({ weeklyDistance: 40, weeklyDistanceBefore: 30, loadRise: 'no' })).toBe('no');
  });

  it('a beginner who runs is kept from minimal shoes; somebody with years of it is not, nor a beginner who walks', () => {
    expect(speaking({ body: { ...runner.body, experience: 'new' } })).toContain('beginner-not-minimal');
    expect(speaking({ body: { ...runner.body, experience: 'established' } })).not.toContain(
      'beginner-not-minimal',
    );
    expect(speaking({ body: { activities: ['walking'], experience: 'new' } })).not.toContain(
      'beginner-not-minimal',
    );
  });
});

describe('cramp at night', () => {
  it('asks for some heel where the ankle bends little, and for nothing where it is free', () => {
    expect(speaking(both({ nightCramp: 'yes', lungeDistance: 6 }))).toContain('night-cramp');
    expect(speaking(both({ nightCramp: 'yes', lungeDistance: 14, heelsLiftEarly: 'no' }))).not.toContain(
      'night-cramp',
    );
  });

  it('puts the tests of a tight calf first among what to find out, until both are known', () => {
    const after = askNext(enteredPicture({ ...runner, ...both({ nightCramp: 'yes' }) }), OPTIONS).map(
      ({ finding }) => finding,
    );
    expect(after.slice(0, 2).sort()).toEqual(['heelsLiftEarly', 'lungeDistance']);
    const known = both({ nightCramp: 'yes', heelsLiftEarly: 'no', lungeDistance: 12 });
    expect(
      askNext(enteredPicture({ ...runner, ...known }), OPTIONS).every(({ because }) => because === null),
    ).toBe(true);
  });

  it('is no sign of a bone stress injury, load or no load', () => {
    expect(
      signs({ body: { activities: ['road-running'], loadRise: 'yes' }, ...both({ nightCramp: 'yes' }) }),
    ).toEqual([]);
  });
});

describe('a bone sore to one finger', () => {
  it('in a runner or after more load is a sign; in somebody who does neither it is not, nor is a free hop', () => {
    expect(signs({ ...runner, left: { boneTender: 'yes' } })).toContain('bone-stress');
    expect(signs({ body: { loadRise: 'yes' }, left: { hopTest: 'hurts' } })).toContain('bone-stress');
    expect(signs({ body: { activities: ['dress'] }, left: { boneTender: 'yes' } })).not.toContain(
      'bone-stress',
    );
    expect(signs({ ...runner, left: { hopTest: 'free', boneTender: 'no' } })).toEqual([]);
  });

  it('is asked for in a rigid high arch that runs, and in a flexible one it changes nothing', () => {
    const asked = (archMobility: 'rigid' | 'flexible') =>
      askNext(enteredPicture({ ...runner, ...both({ arch: 'high', archMobility }) }), OPTIONS).some(
        ({ finding }) => finding === 'boneTender',
      );
    expect(asked('rigid')).toBe(true);
    expect(asked('flexible')).toBe(false);
    const [first, second] = askNext(
      enteredPicture({
        body: { activities: ['walking'], loadRise: 'yes' },
        ...both({ arch: 'high', archMobility: 'rigid' }),
      }),
      OPTIONS,
    );
    expect([first?.finding, second?.finding].sort()).toEqual(['boneTender', 'hopTest']);
  });
});

describe('a low arch in a crowded toe box', () => {
  it('pulls slightly to width; a low arch that rubs nowhere does not, nor a crowded box under another arch', () => {
    const rule = 'low-arch-crowded-toes';
    expect(speaking(both({ arch: 'low', rubbedAt: ['toe-tips'] }))).toContain(rule);
    expect(speaking(both({ arch: 'low', rubbedAt: ['heel-back'] }))).not.toContain(rule);
    expect(speaking(both({ arch: 'medium', rubbedAt: ['toe-tips'] }))).not.toContain(rule);
  });
});

describe('a squat that a heel makes better', () => {
  it('reads ankle beside a small lunge, and otherwise asks for no heel', () => {
    const squat = (squatBetterWith: 'no' | 'ten', lungeDistance: number) =>
      speaking({ body: { squatBetterWith }, ...both({ lungeDistance }) });
    expect(squat('ten', 6)).toContain('squat-ankle');
    expect(squat('ten', 14)).not.toContain('squat-ankle');
    expect(squat('no', 6)).not.toContain('squat-ankle');
  });
});

describe('where a foot pushes off', () => {
  it('reaches the rules where that place hurts, and nowhere else', () => {
    expect(speaking(both({ pushOff: 'big-toe', pain: ['big-toe'] }))).toContain('push-off-sore-big-toe');
    expect(speaking(both({ pushOff: 'big-toe', pain: [] }))).not.toContain('push-off-sore-big-toe');
    expect(speaking(both({ pushOff: 'middle', pain: ['big-toe'] }))).not.toContain('push-off-sore-big-toe');
    expect(speaking(both({ pushOff: 'middle', pain: ['forefoot'] }))).toContain('push-off-sore-ball');
    expect(speaking(both({ pushOff: 'little-toes', pain: ['ankle-outer'] }))).toContain(
      'push-off-little-toes',
    );
  });
});
