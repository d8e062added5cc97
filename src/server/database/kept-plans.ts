import type pg from 'pg';
import { isOutdatedPlan } from './outage';

/** What PostgreSQL plans: everything else it only does. */
const PLANNED = /^\s*(?:select|insert|update|delete|with)\b/i;
/** As many as an application of this size asks; lists of any length could otherwise make ever new ones. */
const MOST = 300;
/** A text with so many values is a list of its own length. */
const MANY_VALUES = '$30';

interface Kept {
  name: string;
  text: string;
  values: unknown[];
}

const names = new Map<string, string>();
const seenOnce = new Set<string>();
let made = 0;

/** By which name the connections keep a statement's plan; null for what has come only once, and beyond the most. */
function nameOf(text: string): string | null {
  const known = names.get(text);
  if (known) return known;
  if (names.size >= MOST || !PLANNED.test(text) || text.includes(MANY_VALUES)) return null;
  if (!seenOnce.delete(text)) {
    if (seenOnce.size >= MOST) seenOnce.clear();
    seenOnce.add(text);
    return null;
  }
  made += 1;
  const name = `kept ${made}`;
  names.set(text, name);
  return name;
}

/** Asks with a kept plan. One that a migration has outdated is made anew by the next, under another name. */
async function askKept(ask: (statement: Kept) => unknown, statement: Kept) {
  try {
    return await ask(statement);
  } catch (error) {
    if (isOutdatedPlan(error)) names.clear();
    throw error;
  }
}

/**
 * Makes a connection keep the plans of what is asked again and again: with a wall around each clinic, planning takes as long as
 * answering. Each text has one name, the same on every connection.
 */
export function keepPlans(client: pg.ClientBase): void {
  const original = client.query;
  Object.defineProperty(client, 'query', {
    value: (...given: unknown[]) => {
      const [text, values] = given;
      if (typeof text === 'string' && Array.isArray(values) && given.length === 2) {
        const name = nameOf(text);
        if (name !== null)
          return askKept((kept) => Reflect.apply(original, client, [kept]), { name, text, values });
      }
      return Reflect.apply(original, client, given);
    },
  });
}
