const HERE = 'http://here.invalid';

/**
 * A path of this site, read as a browser reads it: tabs and line breaks are dropped, backslashes are slashes. What would
 * lead elsewhere leads to Today.
 */
export function pathOfThisSite(wanted: string): string {
  if (!wanted.startsWith('/') || !URL.canParse(wanted, HERE)) return '/today';
  const url = new URL(wanted, HERE);
  return url.origin === HERE && !url.pathname.startsWith('//')
    ? url.pathname + url.search + url.hash
    : '/today';
}
