/** Puts values into a sentence. @example fill('Tries left: {{left}}.', { left: 3 }) // 'Tries left: 3.' */
export const fill = (text: string, values: Readonly<Record<string, string | number>>): string =>
  text.replace(/\{\{(\w+)\}\}/g, (whole, name: string) => String(values[name] ?? whole));

/** A number as people type it, with comma or point; null where it is none. */
export function typed(text: string): number | null {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(value) || value < 0 ? null : value;
}

/** A date of birth from three fields; null where there is no such day. */
export function bornOn(day: string, month: string, year: string): string | null {
  const [d, m, y] = [day, month, year].map(Number);
  if (!d || !m || !y || y < 1890) return null;
  const date = new Date(Date.UTC(y, m - 1, d));
  return date.getUTCMonth() === m - 1 && date.getUTCDate() === d ? date.toISOString().slice(0, 10) : null;
}
