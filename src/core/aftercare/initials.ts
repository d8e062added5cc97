/** @example initialsOf('Ada van der Example') // 'A. E.' */
export function initialsOf(name: string): string {
  const parts = name.trim().split(/\s+/).filter(Boolean);
  const ends = parts.length > 1 ? [parts[0]!, parts.at(-1)!] : parts;
  return ends.map((part) => `${[...part][0]!.toLocaleUpperCase()}.`).join(' ');
}
