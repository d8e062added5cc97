import { describe, expect, it } from 'vitest';
import { boxOf } from './box';

const shelf = { stock: { '42 D': 2 }, boxes: { batch: 'AL-304', madeOn: '2031-01-05' } };

describe('what the box says', () => {
  it('is the shelf’s last delivery until somebody reads the box itself', () => {
    expect(boxOf({}, null, shelf)).toEqual(shelf.boxes);
    expect(boxOf({}, { batch: 'AL-299' }, shelf)).toEqual({ batch: 'AL-299', madeOn: '2031-01-05' });
    expect(boxOf({ batch: 'AL-298' }, { batch: 'AL-299' }, shelf).batch).toBe('AL-298');
  });

  it('is nothing where the shelf is empty: the pair came from elsewhere', () => {
    expect(boxOf({}, null, { ...shelf, stock: {} })).toEqual({});
    expect(boxOf({}, null, undefined)).toEqual({});
  });
});
