import { monthNamed } from './read-day';

/**
 * Reads a year, or a month of it, as they are usually written: `2031`, `2031-06`, `6/2031`, `06.2031`, `June 2031`.
 *
 * @returns `2031` or `2031-06`; null where it is neither
 */
export function readMonth(typed: string): string | null {
  const parts = typed
    .trim()
    .split(/[\s.,/-]+/)
    .filter(Boolean);
  const year = parts.find((part) => /^\d{4}$/.test(part));
  const [other] = parts.filter((part) => part !== year);
  if (year === undefined || parts.length > 2) return null;
  if (other === undefined) return parts.length === 1 ? year : null;
  const month = /^\d{1,2}$/.test(other) ? Number(other) : monthNamed(other);
  return month >= 1 && month <= 12 ? `${year}-${String(month).padStart(2, '0')}` : null;
}
