import { describe, expect, it } from 'vitest';
import { fitAdvice } from './fit-advice';
import { whyItSlips } from './why-it-slips';

const why = (fit: Parameters<typeof whyItSlips>[0], counter?: number) =>
  whyItSlips({ heelSlip: 'slight', ...fit }, 15, counter === undefined ? {} : { heelCounter: counter });

describe('why a heel slips', () => {
  it('a midfoot that is not held comes first: it costs a lacing; then width, depth and length, then the counter', () => {
    expect(why({ midfootHold: 'loose', widthFit: 'loose', roomMm: 22 }, 2)).toEqual([
      'lacing',
      'width',
      'length',
      'counter',
    ]);
    expect(why({ midfootHold: 'held', depth: 'loose' }, 4)).toEqual(['depth']);
  });

  it('is nothing where the heel holds, and nothing where nobody checked more', () => {
    expect(whyItSlips({ heelSlip: 'none', midfootHold: 'loose' }, 15, {})).toEqual([]);
    expect(why({})).toEqual([]);
    expect(why({ roomMm: 12, midfootHold: 'held', widthFit: 'right' }, 4)).toEqual([]);
  });

  it('stands in the advice before any remedy, and a loose midfoot alone asks for the lacing', () => {
    const room = { least: 10, wished: 12, most: 15 };
    const said = (left: object) => fitAdvice({ model: 'm', left }, { room }).map(({ sentence }) => sentence);
    expect(said({ heelSlip: 'slight', midfootHold: 'loose', widthFit: 'loose' }).join(' ')).toContain(
      'First: the midfoot is not held: the lacing; then too wide at the ball.',
    );
    expect(said({ midfootHold: 'loose' }).join(' ')).toMatch(/Midfoot not held: lace it snug/);
  });
});
