import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { frameRateOf } from './frame-rate';

/** Moments of a film's frames as a container writes them, to the millisecond. */
const film = (perSecond: number, frames: readonly number[]) =>
  frames.map((frame) => Math.round((frame / perSecond) * 1000) / 1000);

describe('the rate of a film', () => {
  it.each([24, 25, 30, 50, 60, 120])('%d a second, each frame shown', (perSecond) => {
    expect(frameRateOf(film(perSecond, [...Array(16).keys()]))).toBe(perSecond);
  });

  it('is the film’s own where a busy browser left most frames out', () => {
    expect(frameRateOf(film(30, [0, 3, 5, 9, 11, 14]))).toBe(30);
    expect(frameRateOf(film(30, [0, 4, 5, 9, 13]))).toBe(30);
    expect(frameRateOf(film(60, [0, 2, 5, 7]))).toBe(60);
  });

  it('holds for whatever frames are left out, as long as two that follow each other are among them', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(24, 25, 30, 50, 60),
        fc.uniqueArray(fc.integer({ min: 2, max: 24 }), { minLength: 1, maxLength: 14 }),
        (perSecond, others) => {
          expect(frameRateOf(film(perSecond, [0, 1, ...others]))).toBe(perSecond);
        },
      ),
      { seed: 20_261_128 },
    );
  });

  it('is not doubled by a frame that a telephone held for half of one more', () => {
    expect(frameRateOf(film(30, [0, 1, 2, 3, 4.5, 5.5, 6.5, 7.5, 8.5, 9.5]))).toBe(30);
  });

  it('is the middle one of a film that keeps no even pace', () => {
    expect(frameRateOf([0, 0.033, 0.066, 0.106, 0.139, 0.184, 0.211, 0.244])).toBe(30);
  });

  it('is not known from one frame, or from one that was shown twice', () => {
    expect(frameRateOf([])).toBeNull();
    expect(frameRateOf([0.5])).toBeNull();
    expect(frameRateOf([0.5, 0.5])).toBeNull();
  });
});
