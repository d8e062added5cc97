import { expect, it } from 'vitest';
import { mainAxis } from './main-axis';

it.each([0, 30, 60, -45])('places along a line at %i° spread along it, about their mean', (degrees) => {
  const turn = (degrees * Math.PI) / 180;
  const moments = { count: 0, x: 0, y: 0, xx: 0, xy: 0, yy: 0 };
  for (let at = -5; at <= 5; at += 1) {
    const [x, y] = [3 + at * Math.cos(turn), -2 + at * Math.sin(turn)];
    moments.count += 1;
    moments.x += x;
    moments.y += y;
    moments.xx += x * x;
    moments.xy += x * y;
    moments.yy += y * y;
  }
  const { middle, along } = mainAxis(moments);
  expect(middle.x).toBeCloseTo(3, 9);
  expect(middle.y).toBeCloseTo(-2, 9);
  expect(along.x).toBeCloseTo(Math.cos(turn), 9);
  expect(along.y).toBeCloseTo(Math.sin(turn), 9);
});
