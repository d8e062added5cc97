/**
 * Makes a value once for each object and keeps it as long as the object lives. What `make` returns must follow from the
 * first argument alone, or from others that always come with it.
 *
 * @example
 * const indexOf = memoize((rules: readonly Rule[]) => new Map(rules.map((rule) => [rule.id, rule])));
 * indexOf(RULES) === indexOf(RULES); // true
 */
export function memoize<Key extends object, Rest extends unknown[], Value>(
  make: (key: Key, ...rest: Rest) => Value,
): (key: Key, ...rest: Rest) => Value {
  const made = new WeakMap<Key, { value: Value }>();
  return (key, ...rest) => {
    const before = made.get(key);
    if (before) return before.value;
    const value = make(key, ...rest);
    made.set(key, { value });
    return value;
  };
}
