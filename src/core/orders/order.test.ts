import { describe, expect, it } from 'vitest';
import {
  checkArrival,
  daysToReturn,
  ORDER_EVENTS,
  ORDER_STATES,
  type OrderEvent,
  type OrderState,
  orderAfter,
  possibleEvents,
} from './order';

describe('an order', () => {
  it('goes from the wish to the pair in hand, a step at a time', () => {
    let state: OrderState = 'wanted';
    for (const event of ['place', 'arrive', 'pass', 'collect'] as const) {
      const next = orderAfter(state, event);
      if (!next.ok) throw new Error(next.problem.message);
      state = next.value;
    }
    expect(state).toBe('collected');
  });

  it('nothing is collected that was not checked, nothing cancelled that has arrived', () => {
    for (const state of ['wanted', 'ordered', 'arrived', 'wrong'] as const)
      expect(orderAfter(state, 'collect').ok).toBe(false);
    expect(orderAfter('arrived', 'cancel').ok).toBe(false);
    const refused = orderAfter('ordered', 'collect');
    expect(!refused.ok && refused.problem.message).toBe(
      'An order that is ordered cannot become “collected”.',
    );
  });

  it('ends where it ends, and every state is reached', () => {
    for (const end of ['collected', 'returned', 'cancelled'] as const)
      expect(possibleEvents(end)).toEqual([]);
    const reached = new Set<OrderState>(['wanted']);
    for (let round = 0; round < 8; round += 1)
      for (const state of [...reached])
        for (const event of Object.keys(ORDER_EVENTS) as OrderEvent[]) {
          const next = orderAfter(state, event);
          if (next.ok) reached.add(next.value);
        }
    expect([...reached].sort()).toEqual(Object.keys(ORDER_STATES).sort());
  });
});

describe('an arrival', () => {
  const ordered = { version: '4', sizeLeft: 'EU 42 D', sizeRight: 'EU 42 D' };
  const box = { ...ordered, sound: true };

  it('that is what was ordered is right', () => {
    expect(checkArrival(ordered, box)).toEqual({ right: true, tryAgain: false, problems: [] });
  });

  it('of another version must be tried on again', () => {
    const check = checkArrival(ordered, { ...box, version: '5' });
    expect(check).toMatchObject({ right: false, tryAgain: true });
    expect(check.problems[0]).toContain('Version 5 came, 4 was tried');
  });

  it('of a wrong size and with a fault says so, each in a line', () => {
    const check = checkArrival(ordered, { ...box, sizeRight: 'EU 43 D', sound: false });
    expect(check.problems).toHaveLength(2);
    expect(check.tryAgain).toBe(false);
  });

  it('is returned within its term', () => {
    expect(daysToReturn(10)).toBe(20);
    expect(daysToReturn(31)).toBeLessThan(0);
  });
});
