import { describe, expect, it } from 'vitest';
import { FINDINGS } from '../findings/findings';
import { keysOf } from '../tables/keys-of';
import { causesOf, REGION_OF } from './causes';
import { eventsOf, type LinePair } from './events';

const pair = (id: string, startedOn: string, over: Partial<LinePair> = {}): LinePair => ({
  id,
  title: `Pair ${id}`,
  features: { use: 'road-running', drop: 10, heelStack: 32 },
  startedOn,
  endedOn: null,
  surface: 'mixed',
  halfUsedUpOn: null,
  trainsRacing: false,
  log: [],
  ...over,
});
/** So many kilometres each week from a day on. */
const weekly = (from: string, km: readonly number[]) =>
  km.map((amount, week) => ({
    on: new Date(Date.parse(`${from}T12:00:00Z`) + week * 7 * 86_400_000).toISOString().slice(0, 10),
    km: amount,
  }));

/** Three cases, worked out by hand. */
describe('what changed before an ache', () => {
  it('calf, three weeks after a pair with 10 mm less drop: the pair, and whether it aches less in the old one', () => {
    const events = eventsOf(
      [
        pair('old', '2026-01-01', { endedOn: '2026-06-01', halfUsedUpOn: '2026-12-01' }),
        pair('new', '2026-06-01', { features: { use: 'road-running', drop: 0, heelStack: 32 } }),
      ],
      '2026-08-01',
    );
    const { causes, ask } = causesOf('calf', '2026-06-22', events);
    expect(causes[0]!.event).toMatchObject({ kind: 'pair-started', on: '2026-06-01' });
    expect(causes[0]!.event.words).toContain('drop 10 mm less');
    // Half a life of three weeks, of nine tenths; the old pair is 172 days off and no longer counts.
    expect(causes).toHaveLength(1);
    expect(causes[0]!.weight).toBeCloseTo((0.5 * 0.9) / (0.5 * 0.9 + 0.5), 3);
    expect(ask).toBe('Does it ache less in the pair before, or in another pair?');
    // The same change takes load off the knee.
    const knee = causesOf('knee-front', '2026-06-22', events).causes[0]!;
    expect(knee.weight).toBeLessThan(causes[0]!.weight / 2);
    expect(knee.because).toContain('less');
  });

  it('shin, in a pair that passed its middle life ten days ago: the pair’s age, after the bone-stress questions', () => {
    const events = eventsOf([pair('only', '2026-01-01', { halfUsedUpOn: '2026-06-10' })], '2026-08-01');
    const { causes, first } = causesOf('shin', '2026-06-20', events);
    expect(causes[0]!.event.kind).toBe('life-crossed');
    expect(causes[0]!.days).toBe(10);
    expect(first).toContain('bone stress injury');
    expect(causesOf('calf', '2026-06-20', events).first).toBeNull();
  });

  it('knee, the week after the distance doubled, beside a new pair like the old: the distance, and then the pair', () => {
    const events = eventsOf(
      [
        pair('old', '2026-01-05', {
          endedOn: '2026-05-25',
          log: weekly(
            '2026-01-05',
            Array.from({ length: 20 }, () => 20),
          ),
        }),
        pair('new', '2026-05-25', { log: weekly('2026-05-25', [40, 40]) }),
      ],
      '2026-07-01',
    );
    expect(events.filter(({ kind }) => kind === 'load-jump')).toHaveLength(1);
    const { causes, ask } = causesOf('knee-inner', '2026-06-01', events);
    expect(causes.map(({ event }) => event.kind)).toEqual(['load-jump', 'pair-started']);
    expect(ask).toContain('ease in a lighter week? If not: does it ache less in the pair before');
  });
});

it('nothing that came after the ache, or more than four months before it, is held against it', () => {
  const events = eventsOf([pair('a', '2026-01-01'), pair('b', '2026-07-01')], '2026-12-01');
  expect(causesOf('calf', '2026-06-20', events).causes).toEqual([]);
});

it('harder ground and a race pair in training are events of their own', () => {
  const kinds = eventsOf(
    [
      pair('a', '2026-01-01', { surface: 'soft' }),
      pair('b', '2026-03-01', { surface: 'hard' }),
      pair('c', '2026-04-01', { trainsRacing: true }),
    ],
    '2026-12-01',
  ).map(({ kind }) => kind);
  expect(kinds).toContain('harder-ground');
  expect(kinds).toContain('race-pair-trained');
});

it('every site of an ache belongs to a part of the leg', () => {
  expect(keysOf(REGION_OF).toSorted()).toEqual(keysOf(FINDINGS.pain.options).toSorted());
});
