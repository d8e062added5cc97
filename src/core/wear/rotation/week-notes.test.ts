import { describe, expect, it } from 'vitest';
import type { Session } from './week';
import { weekNotes } from './week-notes';

const run = (id: string, day: number, amount = 8): Session => ({
  id,
  day,
  amount,
  activity: 'road-running',
  kind: 'easy',
});
const pair = (id: string, over: object = {}) => ({
  id,
  title: `Pair ${id}`,
  features: { use: 'road-running' },
  used: 300,
  life: 640,
  ...over,
});

describe('what a week leaves to be wished for', () => {
  it('nothing, where two pairs rest and end apart', () => {
    expect(
      weekNotes([run('a', 0), run('b', 3)], [pair('x'), pair('y', { used: 100 })], { a: 'x', b: 'y' }),
    ).toEqual([]);
  });

  it('a pair on two days in a row, round the end of the week too', () => {
    const pairs = [pair('x'), pair('y', { used: 100 })];
    const [note] = weekNotes([run('a', 6), run('b', 0), run('c', 3)], pairs, { a: 'x', b: 'x', c: 'y' });
    expect(note).toContain('Pair x is worn on days in a row (Sun–Mon)');
  });

  it('a new pair beyond its share, two that end together, an outing without a pair', () => {
    const notes = weekNotes(
      [run('a', 0), run('b', 3), { ...run('c', 5), activity: 'dress' }],
      [pair('x', { used: 10 }), pair('y', { used: 20 })],
      { a: 'x', b: 'y' },
    ).join('\n');
    expect(notes).toContain('Sat: no pair here is for');
    expect(notes).toContain('Pair x and Pair y would be used up at about the same time');
    expect(
      weekNotes([run('a', 0, 20), run('b', 3, 5)], [pair('x', { used: 10 }), pair('y')], {
        a: 'x',
        b: 'y',
      }).join(),
    ).toContain('Pair x is new and takes 80 %');
  });

  it('one pair for every run is said, with what is known of two', () => {
    expect(
      weekNotes([run('a', 0), run('b', 2), run('c', 4)], [pair('x')], { a: 'x', b: 'x', c: 'x' }).join(),
    ).toContain('Malisoux');
  });
});
