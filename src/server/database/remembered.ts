import { LRUCache } from 'lru-cache';
import type { Hearing, Listening } from './listening';

/** What was found, of whom or of which clinic a change would make it untrue, and until when it holds at most, as a moment in ms. */
export interface Found<Value> {
  value: Value;
  about: readonly string[];
  until?: number;
}

interface Limits<Value> {
  longestMs: number;
  /** How much is kept, counted by `size`; each counts as one where nothing else is said. */
  most: number;
  size?: (value: Value) => number;
}

/** Something that is being found: spoiled by a change that comes meanwhile. */
interface Search {
  about: string | null;
  isSpoiled: boolean;
}

/**
 * What the database answered, kept until it tells of a change of what that was read from. Kept only while the line on which it tells
 * is believed, and never where a change was told or made while it was being read.
 */
export class Remembered<Value extends object> {
  private readonly kept: LRUCache<string, Found<Value>>;
  private readonly searches = new Set<Search>();
  private line: Listening | undefined;

  constructor(
    private readonly listen: (hearing: Hearing) => Listening,
    private readonly limits: Limits<Value>,
  ) {
    this.kept = new LRUCache({
      maxSize: limits.most,
      ttl: limits.longestMs,
      sizeCalculation: ({ value }) => limits.size?.(value) ?? 1,
    });
  }

  private get news(): Listening {
    if (!this.line || this.line.ended)
      this.line = this.listen({ told: (what) => this.forget(what), lost: () => this.forgetAll() });
    return this.line;
  }

  /** Whatever is about this account or clinic is read again. */
  forget(what: string): void {
    for (const search of this.searches)
      if (search.about === null || search.about === what) search.isSpoiled = true;
    for (const [key, { about }] of this.kept) if (about.includes(what)) this.kept.delete(key);
  }

  forgetAll(): void {
    for (const search of this.searches) search.isSpoiled = true;
    this.kept.clear();
  }

  /**
   * @param about what `find` will be about, where that is known before; null spoils it by any change that comes meanwhile
   * @param find asks the database; null is not kept
   */
  async of(
    key: string,
    about: string | null,
    find: () => Promise<Found<Value> | null>,
  ): Promise<Value | null> {
    if (!this.news.believed) this.forgetAll();
    const known = this.kept.get(key);
    if (known) return known.value;
    const search: Search = { about, isSpoiled: false };
    this.searches.add(search);
    try {
      const found = await find();
      if (found && this.news.believed && !search.isSpoiled)
        this.kept.set(key, found, {
          ttl: Math.max(1, Math.min(this.limits.longestMs, (found.until ?? Infinity) - Date.now())),
        });
      return found?.value ?? null;
    } finally {
      this.searches.delete(search);
    }
  }
}
