import { cleanup, render } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { AngleCourse } from './AngleCourse';

afterEach(cleanup);

/** What stands beside the course, and how high; the picture is 90 high. */
function labelsOf(angles: (number | null)[]) {
  const { container } = render(<AngleCourse angles={angles} frame={0} onFrame={() => undefined} />);
  return [...container.querySelectorAll('text')].map((text) => ({
    says: text.textContent,
    y: Number(text.getAttribute('y')),
  }));
}

describe('the course of an angle', () => {
  it('its lowest, nought and its highest stand beside it, whole and apart', () => {
    const labels = labelsOf([-2, null, 4, 10]);
    expect(labels.map(({ says }) => says)).toEqual(['0°', '11°', '−3°']);
    for (const { y } of labels) {
      expect(y).toBeGreaterThanOrEqual(9);
      expect(y).toBeLessThanOrEqual(81);
    }
  });

  it('a lowest that would touch nought gives way to it', () => {
    expect(labelsOf([0, 15, 28]).map(({ says }) => says)).toEqual(['0°', '29°']);
  });

  it('nought is drawn only where the course comes near it', () => {
    expect(labelsOf([6, 9, 14]).map(({ says }) => says)).toEqual(['15°', '5°']);
  });
});
