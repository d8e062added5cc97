import { expect, it } from 'vitest';
import { AMONG, amongDrawing } from './among-drawing';

it('the words beside the pair cover no dot where a side is free, and stay inside the frame', () => {
  const pair = { firm: 0.5, stiff: 0.2 };
  // In the middle they stand to the right; a dot there moves them to the left, one on each side above.
  expect(amongDrawing({ pair, others: [] }).label.anchor).toBe('start');
  const right = { firm: 0.62, stiff: 0.2 };
  const left = { firm: 0.35, stiff: 0.2 };
  expect(amongDrawing({ pair, others: [right] }).label.anchor).toBe('end');
  const between = amongDrawing({ pair, others: [right, left] });
  expect(between.label.anchor).toBe('middle');
  expect(between.label.y).toBeLessThan(between.pair[1]);
  // Below to the left stands a word of the frame: rather over a dot than over it.
  const others = [
    { firm: 0.25, stiff: 0.2 },
    { firm: 0.15, stiff: 0.45 },
  ];
  expect(amongDrawing({ pair: { firm: 0.15, stiff: 0.2 }, others }).label.anchor).toBe('start');
  // At the right edge there is no room to the right.
  const edge = amongDrawing({ pair: { firm: 1, stiff: 0.5 }, others: [] });
  expect([edge.label.anchor, edge.label.x < AMONG.right]).toEqual(['end', true]);
});
