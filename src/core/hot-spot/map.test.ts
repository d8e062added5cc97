import { describe, expect, it } from 'vitest';
import { FINDINGS } from '../findings/findings';
import { keysOf } from '../tables/keys-of';
import { SPOT_FRAME, spotFoot } from './map';

const PLACES = keysOf(FINDINGS.rubbedAt.options);

describe('the drawing on which a hot spot is pressed', () => {
  it('has each place once, inside the frame, far enough from the next for a finger', () => {
    for (const side of ['left', 'right'] as const) {
      const { spots } = spotFoot(side);
      for (const place of PLACES) {
        const [x, y] = spots[place];
        expect(x).toBeGreaterThan(8);
        expect(x).toBeLessThan(SPOT_FRAME.width - 8);
        expect(y).toBeGreaterThan(8);
        expect(y).toBeLessThan(SPOT_FRAME.height - 8);
        for (const other of PLACES)
          if (other !== place)
            expect(Math.hypot(x - spots[other][0], y - spots[other][1]), `${place} ${other}`).toBeGreaterThan(
              20,
            );
      }
    }
  });

  it('shows the feet as their owner sees them: big toes side by side, each the mirror of the other', () => {
    const [left, right] = [spotFoot('left').spots, spotFoot('right').spots];
    for (const place of PLACES) {
      expect(left[place][0] - SPOT_FRAME.width / 2).toBeCloseTo(SPOT_FRAME.width / 2 - right[place][0], 6);
      expect(left[place][1]).toBe(right[place][1]);
    }
    expect(right['inner-edge'][0]).toBeLessThan(right['outer-edge'][0]);
    expect(right['toe-tips'][1]).toBeLessThan(right['heel-back'][1]);
  });
});
