import { expect, it } from 'vitest';
import { figuresInWords } from './figures-in-words';

it.each([
  [
    { drop: 6, heelStack: 25, forefootStack: 19, mass: 320 },
    'drop 6\u2009mm, stack 25/19\u2009mm, 320\u2009g',
  ],
  [{ heelStack: 25.5, mass: 320 }, 'heel stack 25.5\u2009mm, 320\u2009g'],
  [{ drop: 0 }, 'drop 0\u2009mm'],
  [{}, ''],
])('figures of %j are said as far as they are stated', (features, said) => {
  expect(figuresInWords({ features })).toBe(said);
});
