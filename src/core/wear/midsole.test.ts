import { describe, expect, it } from 'vitest';
import { type Midsole, readCreases, withCrease } from './midsole';

describe('a midsole from the side', () => {
  it('a place is creased once it is pressed, and not once it is pressed again', () => {
    const once = withCrease({}, 'left', 'inner', 'heel');
    expect(once).toEqual({ left: { inner: ['heel'] } });
    expect(withCrease(once, 'left', 'inner', 'heel')).toEqual({ left: { inner: [] } });
    expect(withCrease(once, 'left', 'outer', 'fore').left).toEqual({ inner: ['heel'], outer: ['fore'] });
  });

  it('inner creases ask when they came; outer ones are age; one shoe alone asks why', () => {
    const midsole: Midsole = { left: { inner: ['heel', 'mid'] }, right: { inner: [] } };
    const said = readCreases(midsole);
    expect(said[0]).toContain('left heel, middle): ask when');
    expect(said[1]).toContain('Only the left is creased on its inner side');
    expect(readCreases({ right: { outer: ['fore'] } })).toEqual([
      'Creased on the outer side (right front): age, and no sign of rolling in.',
    ]);
    expect(readCreases({ left: { inner: [] }, right: { inner: [] } })).toEqual([]);
  });
});
