import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/days';
import { NO_HOUSE_RULES } from '../knowledge/house-rules';
import { beforeEventInWords, findingsOfUses, nextEvent } from './from-uses';
import { readVisit } from './read-visit';

const VISIT = '2031-03-01T09:00:00.000Z';
const day = (ahead: number) => addDays('2031-03-01', ahead);
const said = (ask: Parameters<typeof findingsOfUses>[0]) => findingsOfUses(ask, VISIT).body;

describe('what follows from a week and from events', () => {
  it('the distance a week is the sum of what was said; nothing said is not nothing run', () => {
    expect(
      said({
        uses: [
          { activity: 'road-running', km: 19.3 },
          { activity: 'walking', km: 6 },
        ],
      })?.weeklyDistance,
    ).toBe(25.3);
    expect(said({ uses: [{ activity: 'road-running', minutes: 90 }] })).toEqual({});
  });

  it('an event makes a build-up within twelve weeks, by its length; before that and after it none', () => {
    const ahead = (days: number, km: number) =>
      said({ events: [{ name: 'Relay', on: day(days), km }] })?.eventAhead;
    expect(ahead(30, 10)).toBe('short');
    expect(ahead(30, 21.1)).toBe('long');
    expect(ahead(84, 42.2)).toBe('long');
    expect(ahead(85, 42.2)).toBe('none');
    expect(ahead(-1, 42.2)).toBe('none');
  });

  it('an event without a day or a length leaves the question open', () => {
    expect(said({ events: [{ name: 'Some day', km: 10 }] })).toEqual({});
    expect(said({ events: [{ name: 'How long?', on: day(20) }] })).toEqual({});
  });

  it('a trip says its days, its load, its ground and its descents; one that is over says nothing', () => {
    const trip = { name: 'Ridge', on: day(120), days: 4, loadKg: 12, ground: 'rough' as const };
    expect(said({ events: [trip] })).toEqual({
      tripDays: 4,
      tripLoad: 12,
      tripGround: 'rough',
      eventAhead: 'none',
    });
    expect(said({ events: [{ ...trip, on: day(20) }] })?.eventAhead).toBe('long');
    expect(said({ events: [{ ...trip, on: day(-1) }] })).not.toHaveProperty('tripDays');
    // A race is no trip, and the nearer of two trips counts.
    expect(said({ events: [{ name: 'Relay', on: day(9), km: 10 }] })).not.toHaveProperty('tripDays');
    expect(said({ events: [trip, { ...trip, on: day(9), days: 2 }] })?.tripDays).toBe(2);
  });

  it('the nearest of several counts, in whatever order they were written', () => {
    const events = [
      { name: 'late', on: day(70), km: 42 },
      { name: 'soon', on: day(10), km: 5 },
    ];
    for (const order of [events, events.toReversed()])
      expect(nextEvent(order, '2031-03-01')?.event.name).toBe('soon');
  });

  it('reaches the reading of a visit, and what was entered at the question counts first', () => {
    const facts = {
      startedAt: VISIT,
      patient: { bornOn: '1990-01-01', sizingGroup: 'women' as const, school: null },
      clinic: { school: 'balanced' as const, lifeSchool: 'median' as const },
      limb: null,
      carried: null,
      house: NO_HOUSE_RULES,
      issued: [],
    };
    const ask = {
      findings: { body: { activities: ['road-running' as const] } },
      uses: [{ activity: 'road-running' as const, km: 30 }],
      events: [{ name: 'Relay', on: day(30), km: 10 }],
    };
    const read = (content: typeof ask) => readVisit(facts, { ask: content }, undefined).picture.body;
    expect(read(ask)).toMatchObject({ weeklyDistance: 30, eventAhead: 'short' });
    const entered = { ...ask, findings: { body: { ...ask.findings.body, weeklyDistance: 12 } } };
    expect(read(entered)).toMatchObject({ weeklyDistance: 12, eventAhead: 'short' });
  });
});

describe('what may still be changed before an event', () => {
  it('less and less, the nearer it is: never more again', () => {
    const rank = (days: number) =>
      ['It is over', 'Too late for anything new', 'A new pair like', 'Time for'].findIndex((start) =>
        beforeEventInWords(days).startsWith(start),
      );
    expect([-1, 0, 13, 14, 55, 56].map(rank)).toEqual([0, 1, 1, 2, 2, 3]);
    fc.assert(
      fc.property(fc.integer({ min: -5, max: 200 }), fc.integer({ min: 0, max: 60 }), (days, more) => {
        expect(rank(days + more)).toBeGreaterThanOrEqual(rank(days));
      }),
    );
  });
});
