/**
 * A time of day as people write it: `8:30`, `0830`, `17.05`, `5 pm`.
 *
 * @returns `08:30`; null where it is no time
 */
export function readTime(typed: string): string | null {
  const parts = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*([ap])?\.?m?\.?$/i.exec(typed.trim());
  if (!parts) return null;
  const [, hours = '', minutes = '00', half] = parts;
  const isHalf = half !== undefined;
  const hour = isHalf ? (Number(hours) % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : Number(hours);
  if (hour > 23 || Number(minutes) > 59 || (isHalf && (Number(hours) < 1 || Number(hours) > 12))) return null;
  return `${String(hour).padStart(2, '0')}:${minutes}`;
}
