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
    const a = isObject(mine) ? mine : {};
    const b = isObject(theirs) ? theirs : {};
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
      differences(a[key], b[key], [...path, key]),
    );
  }
  return [{ path, mine, theirs }];
}

/** Their version with those of mine put back that were chosen. The given one is not changed. */
export function withMine<T extends object>(theirs: T, chosen: readonly Difference[]): T {
  const result = structuredClone(theirs);
  for (const { path, mine } of chosen) {
    const last = path.at(-1);
    if (last === undefined) continue;
    let at: object = result;
    for (const key of path.slice(0, -1)) {
      const below: unknown = Reflect.get(at, key);
      const inside = isObject(below) ? below : {};
      Reflect.set(at, key, inside);
      at = inside;
    }
    if (mine === undefined) Reflect.deleteProperty(at, last);
    else Reflect.set(at, last, mine);
  }
  return result;
}
