import { cleanup, render } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { keysOf } from '@/core/tables/keys-of';
import { LEG_REGIONS } from '@/core/what-if/effects';
import { LegDrawing } from './LegDrawing';

afterEach(cleanup);

it('the longest arrow of every region, both ways, stays within the picture', () => {
  const changes = keysOf(LEG_REGIONS).map((region) => ({
    region,
    direction: 'mixed' as const,
    size: { low: -100, high: 100 },
    lines: [],
  }));
  const { container } = render(<LegDrawing changes={changes} label="Most" />);
  const [, , width, height] = container.querySelector('svg')!.getAttribute('viewBox')!.split(' ').map(Number);
  const tips = [...container.querySelectorAll('path[data-known]')].map((head) => {
    const [, x, y] = /^M([\d.-]+) ([\d.-]+)/.exec(head.getAttribute('d')!)!;
    return { x: Number(x), y: Number(y) };
  });
  expect(tips).toHaveLength(2 * changes.length);
  for (const { x, y } of tips) {
    expect(x).toBeGreaterThanOrEqual(6);
    expect(x).toBeLessThanOrEqual(width! - 6);
    expect(y).toBeGreaterThanOrEqual(0);
    expect(y).toBeLessThanOrEqual(height!);
  }
});
