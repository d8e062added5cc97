// A browser names itself by its family and all that it is compatible with: the more telling names come first.
const BROWSERS: readonly [RegExp, string][] = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\/|Chromium\//, 'Chrome or Chromium'],
  [/Safari\//, 'Safari'],
];
const SYSTEMS: readonly [RegExp, string][] = [
  [/iPhone|iPad/, 'iPhone or iPad'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS X|Macintosh/, 'Mac'],
  [/Linux/, 'Linux'],
];

/**
 * A browser as its owner would call it, from what it says of itself.
 *
 * @example browserInWords('Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0') // 'Firefox on Linux'
 */
export function browserInWords(agent: string): string {
  const first = (list: readonly [RegExp, string][]) => list.find(([pattern]) => pattern.test(agent))?.[1];
  const [browser, system] = [first(BROWSERS), first(SYSTEMS)];
  if (!browser && !system) return agent === '' ? 'Unknown browser' : agent.slice(0, 60);
  return [browser ?? 'A browser', system && `on ${system}`].filter(Boolean).join(' ');
}
