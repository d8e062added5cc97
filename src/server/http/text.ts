import type { FieldError } from '@/contract/operation';

/** Deeper than any body that has a meaning here. */
const DEEPEST = 60;

/** What no text that somebody typed holds, and no database keeps: NUL, and halves of characters. */
const isUnkeepable = (text: string): boolean => text.includes('\0') || !text.isWellFormed();

const MESSAGE = 'This holds a character that cannot be stored.';

/** Every text in a value, keys included, that cannot be stored, each at its path. */
export function unkeepableText(value: unknown, path: (string | number)[] = []): FieldError[] {
  if (typeof value === 'string') return isUnkeepable(value) ? [{ path, message: MESSAGE }] : [];
  if (typeof value !== 'object' || value === null) return [];
  if (path.length > DEEPEST) return [{ path: path.slice(0, 3), message: 'This is nested too deeply.' }];
  const entries: [string | number, unknown][] = Array.isArray(value)
    ? value.map((entry, at) => [at, entry])
    : Object.entries(value);
  return entries.flatMap(([key, entry]) =>
    typeof key === 'string' && isUnkeepable(key)
      ? [{ path, message: MESSAGE }]
      : unkeepableText(entry, [...path, key]),
  );
}
