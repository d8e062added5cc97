import { fail, ok, type Result } from '../result/result';
import { keysOf } from '../tables/keys-of';

/** From the wish to the pair in hand, or back to the supplier. */
export const ORDER_STATES = {
  wanted: 'to be ordered',
  ordered: 'ordered',
  arrived: 'arrived, to be checked',
  checked: 'checked, to be collected',
  wrong: 'wrong, to be returned',
  collected: 'collected',
  returned: 'returned',
  cancelled: 'cancelled',
} as const;
export type OrderState = keyof typeof ORDER_STATES;

interface OrderMove {
  /** What happened. */
  label: string;
  /** What it is called before it is done, on its button, where that is another word. */
  act?: string;
  from: readonly OrderState[];
  to: OrderState;
}

/** What happens to an order. */
export const ORDER_EVENTS = {
  place: { label: 'Ordered', act: 'Mark as ordered', from: ['wanted'], to: 'ordered' },
  arrive: { label: 'Arrived', act: 'Mark as arrived', from: ['ordered'], to: 'arrived' },
  pass: {
    label: 'Right: put by for collection',

    from: ['arrived'],
    to: 'checked',
  },
  reject: {
    label: 'Wrong: back to the supplier',

    from: ['arrived', 'checked'],
    to: 'wrong',
  },
  return: { label: 'Sent back', act: 'Mark as sent back', from: ['wrong', 'checked'], to: 'returned' },
  collect: { label: 'Collected', from: ['checked'], to: 'collected' },
  cancel: { label: 'Cancelled', act: 'Cancel the order', from: ['wanted', 'ordered'], to: 'cancelled' },
} as const satisfies Record<string, OrderMove>;
export type OrderEvent = keyof typeof ORDER_EVENTS;

/** What is pressed to let it happen. */
export function actOf(event: OrderEvent): string {
  const { act, label }: OrderMove = ORDER_EVENTS[event];
  return act ?? label;
}

/** The state after an event, or why it cannot happen now. */
export function orderAfter(state: OrderState, event: OrderEvent): Result<OrderState> {
  const { from, to, label }: OrderMove = ORDER_EVENTS[event];
  return from.includes(state)
    ? ok(to)
    : fail('not-now', `An order that is ${ORDER_STATES[state]} cannot become “${label.toLowerCase()}”.`);
}

/** Events that can happen next, in the order of the work. */
export const possibleEvents = (state: OrderState): OrderEvent[] =>
  keysOf(ORDER_EVENTS).filter((event) => orderAfter(state, event).ok);

/** What was ordered, as far as an arrival is held against it. */
export interface OrderedPair {
  version: string;
  sizeLeft: string;
  sizeRight: string;
}

/** What is in the box. */
export interface Arrival extends OrderedPair {
  /** Both shoes alike, no fault of making. */
  sound: boolean;
}

export interface ArrivalCheck {
  /** May be put by for collection. */
  right: boolean;
  /** Another version came: it must be tried on again before it is collected, even when kept. */
  tryAgain: boolean;
  problems: string[];
}

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * An arrival against its order. Another version is another shoe: the fit that was found does not hold for it. Batches of
 * the same version differ too, so every pair is felt on the foot once more at collection.
 */
export function checkArrival(ordered: OrderedPair, arrival: Arrival): ArrivalCheck {
  const problems: string[] = [];
  const version = same(ordered.version, arrival.version);
  if (!version) problems.push(`Version ${arrival.version} came, ${ordered.version} was tried: try on again.`);
  for (const side of ['Left', 'Right'] as const) {
    const wanted = ordered[`size${side}`];
    const came = arrival[`size${side}`];
    if (!same(wanted, came)) problems.push(`${side}: ${came} came, ${wanted} was ordered.`);
  }
  if (!arrival.sound) problems.push('The shoes differ from each other or have a fault.');
  return { right: problems.length === 0, tryAgain: !version, problems };
}

/** Days within which makers commonly take unworn pairs back. Common practice; the clinic writes its own terms. */
export const RETURN_DAYS = 30;

/** Days left to return a pair; negative once the term is over. */
export const daysToReturn = (arrivedDaysAgo: number, termDays = RETURN_DAYS): number =>
  termDays - arrivedDaysAgo;
