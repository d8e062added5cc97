import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import { enteredPicture, type Findings } from '../findings/picture';
import { resolve } from '../prescribe/engine/resolve';
import { findingsForPair, pairAt, pairsAskedFor } from './pairs';
import { type Activity, SERVES, usesServing } from './serves';

const asked = (activities: Activity[], rest: Findings = {}) =>
  pairsAskedFor(enteredPicture({ ...rest, body: { ...rest.body, activities } })).map(
    ({ activities: of }) => of,
  );
const targetOfUse = (findings: Findings) =>
  resolve(clinicalPicture(findings)).targets.find(({ feature }) => feature === 'use');

/** Handbook 04, “By task”; the shares are ours. */
describe('which shoe serves which purpose', () => {
  it.each<[Activity, string[], string[]]>([
    ['walking', ['walking', 'road-running'], ['court', 'safety', 'lifting', 'house']],
    ['gym', ['gym', 'road-running', 'walking'], ['dress', 'lifting']],
    ['hiking', ['trail', 'hiking', 'road-running'], ['court', 'dress', 'everyday']],
    ['court', ['court'], ['road-running', 'racing', 'trail', 'dress', 'indoor-court']],
    ['indoor-court', ['indoor-court', 'court'], ['road-running', 'racing', 'trail']],
    ['lifting-upright', ['lifting'], ['road-running', 'racing', 'trail']],
    ['protective-work', ['safety'], ['work', 'walking']],
    ['road-running', ['road-running'], ['racing', 'walking', 'trail']],
  ])('%s', (activity, serve, never) => {
    expect(usesServing(activity)).toEqual(expect.arrayContaining(serve));
    for (const use of never) expect(usesServing(activity)).not.toContain(use);
    // Something is made for each purpose.
    expect(Math.max(...Object.values(SERVES[activity]))).toBe(1);
  });
});

describe('the pairs that are asked for', () => {
  it.each<[Activity[], Activity[][]]>([
    [['walking', 'everyday'], [['walking', 'everyday']]],
    [['road-running', 'walking'], [['road-running', 'walking']]],
    [['trail', 'walking'], [['trail', 'walking']]],
    [
      ['lifting-upright', 'road-running'],
      [['road-running'], ['lifting-upright']],
    ],
    [
      ['racing', 'road-running'],
      [['road-running'], ['racing']],
    ],
    [
      ['court', 'indoor-court'],
      [['court'], ['indoor-court']],
    ],
    [
      ['dress', 'everyday'],
      [['dress'], ['everyday']],
    ],
    [['standing-work', 'protective-work'], [['standing-work', 'protective-work']]],
    // Shoes for the shift stay at work.
    [
      ['standing-work', 'walking'],
      [['walking'], ['standing-work']],
    ],
  ])('%s', (activities, pairs) => {
    expect(asked(activities)).toEqual(pairs);
  });

  it('none while nobody has said what for; an answer to another visit falls back to the first', () => {
    expect(pairsAskedFor(enteredPicture({}))).toEqual([]);
    expect(asked([])).toEqual([]);
    const pairs = pairsAskedFor(enteredPicture({ body: { activities: ['dress', 'everyday'] } }));
    expect(pairAt(pairs, 'everyday')?.id).toBe('everyday');
    expect(pairAt(pairs, 'court')?.id).toBe('dress');
    expect(pairAt([], 'court')).toBeNull();
  });

  it('an at-risk foot that came for dress shoes needs a pair for the rest of the day as well', () => {
    expect(asked(['dress'])).toEqual([['dress']]);
    expect(asked(['dress'], { left: { sensation: 'lost' } })).toEqual([['dress'], ['everyday']]);
    expect(asked(['dress'], { body: { conditions: ['diabetes'] } })).toEqual([['dress'], ['everyday']]);
    expect(
      asked(['dress'], {
        body: { conditions: ['diabetes'] },
        left: { sensation: 'felt', pulses: 'present' },
        right: { sensation: 'felt', pulses: 'present' },
      }),
    ).toEqual([['dress']]);
    // What is worn every day already is not asked for twice.
    expect(asked(['dress', 'walking'], { left: { sensation: 'lost' } })).toEqual([['walking'], ['dress']]);
  });

  it('a ground belongs to the pair that stands on it; one that nobody claims stays with all', () => {
    const findings: Findings = {
      body: { activities: ['standing-work', 'road-running'], surfaces: ['wet-floor', 'track', 'home'] },
    };
    const pairs = pairsAskedFor(enteredPicture(findings));
    const grounds = pairs.map((pair) => findingsForPair(findings, pair, pairs).body?.surfaces);
    expect(grounds).toEqual([
      ['track', 'home'],
      ['wet-floor', 'home'],
    ]);
  });
});

describe('purpose is a boundary', () => {
  it('a therapeutic or post-operative shoe only where a finding asks for it', () => {
    const walker: Findings = { body: { activities: ['walking'] } };
    expect(targetOfUse(walker)).toMatchObject({
      excluded: expect.arrayContaining(['therapeutic', 'post-operative']),
    });
    for (const asks of [
      { left: { sensation: 'lost' } },
      { body: { conditions: ['lymphoedema'] } },
      { right: { bunion: 'severe' } },
      { left: { insert: 'brace' } },
    ] satisfies Findings[]) {
      const target = targetOfUse({ ...asks, body: { ...walker.body, ...('body' in asks ? asks.body : {}) } });
      expect(target?.kind === 'options' && target.excluded.includes('therapeutic')).toBe(false);
    }
  });

  it('lugs are for rough ground, house shoes for indoors', () => {
    const excluded = (surfaces: NonNullable<Findings['body']>['surfaces'], activity: Activity) => {
      const target = targetOfUse({ body: { activities: [activity], ...(surfaces ? { surfaces } : {}) } });
      return target?.kind === 'options' ? target.excluded : [];
    };
    expect(excluded(undefined, 'walking')).toContain('trail');
    expect(excluded(['trail'], 'walking')).not.toContain('trail');
    expect(excluded(['road'], 'everyday')).toContain('house');
    expect(excluded(['home'], 'everyday')).not.toContain('house');
  });
});
