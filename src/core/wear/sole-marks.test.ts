import { expect, it } from 'vitest';
import { onSole, readMarks } from './sole-marks';

it('a mark that is dragged off the sole stays at its edge', () => {
  expect(onSole({ across: 3, along: -1 })).toEqual({ across: 1, along: 0 });
  expect(onSole({ across: -0.2, along: 0.4 })).toEqual({ across: -0.2, along: 0.4 });
});

it('a mark at the tip asks whether the foot clears the ground; one elsewhere asks for nothing', () => {
  const mark = { id: 'a', side: 'left' as const, at: { across: 0, along: 0.95 } };
  expect(readMarks([mark, { ...mark, id: 'b' }])).toEqual([
    'Marked at the tip of the left sole: does the foot clear the ground? Look at it from the side.',
  ]);
  const line = { ...mark, at: { across: 0, along: 0.7 }, to: { across: 0.1, along: 0.93 } };
  expect(readMarks([line])).toHaveLength(1);
  expect(readMarks([{ ...mark, at: { across: 0, along: 0.3 } }])).toEqual([]);
});
