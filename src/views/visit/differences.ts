/** One value that two people hold differently; `path` leads to it inside a step's content. */
export interface Difference {
  path: string[];
  mine: unknown;
  theirs: unknown;
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Where two versions of a step differ, value by value; lists count as one value. */
export function differences(mine: unknown, theirs: unknown, path: string[] = []): Difference[] {
  if (same(mine, theirs)) return [];
  if (
    (isObject(mine) || mine === undefined) &&
    (isObject(theirs) || theirs === undefined) &&
    (isObject(mine) || isObject(theirs))
  ) {
    const a = (mine ?? {}) as Record<string, unknown>;
    const b = (theirs ?? {}) as Record<string, unknown>;
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
      differences(a[key], b[key], [...path, key]),
    );
  }
  return [{ path, mine, theirs }];
}

/** Their version with those of mine put back that were chosen. */
export function withMine(theirs: unknown, chosen: readonly Difference[]): unknown {
  const result = structuredClone(theirs ?? {}) as Record<string, unknown>;
  for (const { path, mine } of chosen) {
    let at = result;
    for (const key of path.slice(0, -1)) {
      if (!isObject(at[key])) at[key] = {};
      at = at[key] as Record<string, unknown>;
    }
    const last = path.at(-1);
    if (last === undefined) continue;
    if (mine === undefined) delete at[last];
    else at[last] = mine;
  }
  return result;
}
