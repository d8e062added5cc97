import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { BodyFindings, Findings } from '../findings/picture';
import { SPORTS } from '../findings/sports';
import { resolve } from '../prescribe/engine/resolve';
import type { Target } from '../prescribe/engine/specification';
import type { FeatureId } from '../shoe/features';
import { keysOf } from '../tables/keys-of';

const targets = (findings: Findings) => resolve(clinicalPicture(findings)).targets;
const of = (findings: Findings, feature: FeatureId): Target | undefined =>
  targets(findings).find((target) => target.feature === feature);
const rulesOn = (body: BodyFindings): string[] =>
  targets({ body }).flatMap(({ pushes }) => pushes.map(({ rule }) => rule));
const best = (body: BodyFindings, feature: FeatureId): number | string | undefined =>
  of({ body }, feature)?.best;

const court = (...sports: NonNullable<BodyFindings['sports']>): BodyFindings => ({
  activities: ['indoor-court'],
  sports,
});

describe('what the exact sport asks', () => {
  it('more sideways share never narrows the base, and never raises it off the ground', () => {
    const indoors = keysOf(SPORTS).filter((id) => SPORTS[id].activities.includes('indoor-court'));
    fc.assert(
      fc.property(fc.subarray(indoors, { minLength: 1 }), fc.constantFrom(...indoors), (some, more) => {
        const [before, after] = [court(...some), court(...new Set([...some, more]))];
        for (const feature of ['forefootBase', 'heelBase'] as const)
          expect(Number(best(after, feature))).toBeGreaterThanOrEqual(Number(best(before, feature)));
        expect(Number(best(after, 'heelStack'))).toBeLessThanOrEqual(Number(best(before, 'heelStack')));
      }),
      { numRuns: 40 },
    );
    // And it moves at all: fencing goes forward, table tennis sideways.
    expect(Number(best(court('table-tennis'), 'forefootBase'))).toBeGreaterThan(
      Number(best({ activities: ['gym'], sports: ['skipping'] }, 'forefootBase')),
    );
  });

  it.each<[string, BodyFindings, BodyFindings]>([
    ['sport-jumps', court('volleyball'), court('table-tennis')],
    ['sport-turns', court('squash'), court('volleyball')],
    ['sport-toe-drag', court('badminton'), court('table-tennis')],
    ['sport-sideways-guard', court('table-tennis'), court('fencing')],
    [
      'sport-tennis',
      { activities: ['court'], sports: ['tennis'] },
      { activities: ['court'], sports: ['padel'] },
    ],
    [
      'court-clay',
      { activities: ['court'], surfaces: ['clay'] },
      { activities: ['court'], surfaces: ['hard-court'] },
    ],
    [
      'court-grass',
      { activities: ['court'], surfaces: ['grass'] },
      { activities: ['walking'], surfaces: ['grass'] },
    ],
    [
      'court-turf',
      { activities: ['court'], surfaces: ['turf'] },
      { activities: ['court'], surfaces: ['clay'] },
    ],
    ['court-toe-drag', { activities: ['court'] }, { activities: ['trail'] }],
    ['court-toe-depth', { activities: ['indoor-court'] }, { activities: ['gym'] }],
    ['trail-side-guard', { activities: ['trail'] }, { activities: ['court'] }],
    ['soft-front', { activities: ['walking'] }, { activities: ['court'] }],
    ['soft-front', { activities: ['gym'] }, { activities: ['standing-work', 'protective-work'] }],
  ])('%s speaks, and not for a neighbour', (rule, speaks, silent) => {
    expect(rulesOn(speaks)).toContain(rule);
    expect(rulesOn(silent)).not.toContain(rule);
  });

  it('a sport that is not played under this purpose says nothing of this pair', () => {
    expect(rulesOn({ activities: ['road-running'], sports: ['tennis'] })).not.toContain('sport-sideways');
    expect(rulesOn({ activities: ['court'] })).not.toContain('sport-sideways');
    // A sport that carries over from an earlier visit waits until somebody says what this pair is for.
    expect(rulesOn({ sports: ['tennis'] })).toEqual([]);
  });
});

describe('what a trip asks', () => {
  const hike = (trip: BodyFindings): BodyFindings => ({ activities: ['hiking'], ...trip });

  it.each<[string, BodyFindings, BodyFindings]>([
    ['hike-rough-or-loaded', { tripGround: 'rough' }, { tripGround: 'easy', tripLoad: 4 }],
    ['hike-rough-or-loaded', { tripLoad: 16 }, { tripLoad: 5 }],
    ['hike-days-on-easy-paths', { tripGround: 'easy', tripDays: 5 }, { tripGround: 'easy', tripDays: 1 }],
    ['hike-days-on-easy-paths', { tripGround: 'easy', tripDays: 5 }, { tripGround: 'rough', tripDays: 5 }],
    ['hike-long-descents', { tripDescents: 'long' }, { tripDescents: 'few' }],
  ])('%s speaks, and not for a neighbour', (rule, speaks, silent) => {
    expect(rulesOn(hike(speaks))).toContain(rule);
    expect(rulesOn(hike(silent))).not.toContain(rule);
    // Who does not hike is not asked by it.
    expect(rulesOn({ activities: ['road-running'], ...speaks })).not.toContain(rule);
  });

  it('days, load and ground set stiffness and protection: more load never less of either', () => {
    // Where nothing is asked a usual shoe serves.
    const stiffness = (kg: number) => Number(best(hike({ tripLoad: kg }), 'torsionalStiffness') ?? 3);
    for (let kg = 0; kg < 25; kg += 1) expect(stiffness(kg + 1)).toBeGreaterThanOrEqual(stiffness(kg));
    expect(stiffness(20)).toBeGreaterThan(stiffness(2));
    expect(best(hike({ tripGround: 'rough' }), 'toeProtection')).not.toBe('none');
    expect(Number(best(hike({ tripGround: 'rough', tripLoad: 14 }), 'forefootStiffness'))).toBeGreaterThan(
      Number(best(hike({ tripGround: 'easy', tripDays: 6 }), 'forefootStiffness')),
    );
  });

  it('over days on easy paths a trail shoe serves best, then a trainer, then a stiff hiking shoe', () => {
    const target = of({ body: hike({ tripGround: 'easy', tripDays: 5 }) }, 'use')!;
    expect(target.best).toBe('trail');
  });
});

describe('habits and inserts', () => {
  const rules = (findings: Findings): string[] => {
    const { targets: pair } = resolve(clinicalPicture(findings));
    return pair.flatMap(({ pushes }) => pushes.map(({ rule }) => rule));
  };
  it.each<[string, Findings, Findings]>([
    ['kicked-off-tied', { body: { laceHabits: ['left-tied'] } }, { body: { laceHabits: ['comes-undone'] } }],
    ['laces-loosened', { body: { laceHabits: ['loosens'] } }, { body: { laceHabits: [] } }],
    [
      'laces-come-undone',
      { body: { laceHabits: ['comes-undone'] } },
      { body: { laceHabits: ['own-lacing'] } },
    ],
    ['back-pain', { body: { backPain: 'often' } }, { body: { backPain: 'sometimes' } }],
    [
      'pregnancy-later',
      { body: { conditions: ['pregnancy'], pregnancyWeeks: 30 } },
      { body: { conditions: ['pregnancy'], pregnancyWeeks: 10 } },
    ],
    ['lands-with-a-slap', { left: { landingSound: 'slap' } }, { left: { landingSound: 'scrape' } }],
    ['toe-scrapes', { right: { landingSound: 'scrape' } }, { right: { landingSound: 'quiet' } }],
    ['insert-made-for-the-foot', { left: { insertSource: 'custom' } }, { left: { insertSource: 'bought' } }],
    ['insert-thick-in-front', { left: { insertForefoot: 5 } }, { left: { insertForefoot: 1 } }],
  ])('%s speaks, and not for a neighbour', (rule, speaks, silent) => {
    expect(rules(speaks)).toContain(rule);
    expect(rules(silent)).not.toContain(rule);
  });
});
