/** Hours between which no letter goes out; the same hour twice: never quiet. */
export interface QuietHours {
  from: number;
  to: number;
}

const isQuiet = (hour: number, { from, to }: QuietHours): boolean =>
  from === to ? false : from < to ? hour >= from && hour < to : hour >= from || hour < to;

/**
 * When a letter that is written now may go out, in the time of the place where this runs.
 *
 * @example nextLetterAt(new Date(2030, 0, 1, 22, 15), { from: 20, to: 8 }) // 2 January, 8:00
 */
export function nextLetterAt(now: Date, quiet: QuietHours): Date {
  if (!isQuiet(now.getHours(), quiet)) return now;
  const at = new Date(now);
  at.setHours(quiet.to, 0, 0, 0);
  if (at <= now) at.setDate(at.getDate() + 1);
  return at;
}
