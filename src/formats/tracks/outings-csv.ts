import Papa from 'papaparse';
import { fail, ok, type Result } from '@/core/result/result';
import { stepsToKm } from '@/core/tracks/steps';
import type { Outing } from '@/core/tracks/track';
import { sportOf } from './sport';

const DAY = /^(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{2}):(\d{2}))?/;
/** Noon: a day of steps has no begin. */
const NOON = 12;

/** A moment in the time of this device, from a day with or without an hour; null where it is none. */
function momentOf(text: string): number | null {
  const found = DAY.exec(text.trim());
  if (!found) return null;
  const [, year, month, day, hour, minute] = found.map(Number);
  const date = new Date(year!, month! - 1, day!, hour || NOON, minute || 0);
  return date.getMonth() === month! - 1 ? date.getTime() / 1000 : null;
}

const numberIn = (text: string | undefined): number | null => {
  const value = Number((text ?? '').trim().replace(',', '.'));
  return (text ?? '').trim() === '' || !Number.isFinite(value) ? null : value;
};

/**
 * Outings or days of steps from a table with a heading: `day` and `steps`, or `start`, `km` and, where known, `minutes`, `sport` and
 * `ascent`. Separators , ; and tab; errors name their line.
 *
 * @param stepM length of a step, m; null where none was stated, then steps are an error
 */
export function readOutingsCsv(text: string, name: string, stepM: number | null): Result<Outing[]> {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (head) => head.trim().toLowerCase(),
  });
  const heads = meta.fields ?? [];
  const isSteps = heads.includes('steps');
  const when = heads.includes('start') ? 'start' : 'day';
  if (!heads.includes(when) || !(isSteps || heads.includes('km')))
    return fail('header', `${name}, line 1: the columns are “day” and “steps”, or “start” and “km”.`);
  if (isSteps && stepM === null) return fail('step-length', `${name} holds steps: enter how long a step is.`);
  const outings: Outing[] = [];
  for (const [at, row] of data.entries()) {
    const line = `${name}, line ${at + 2}`;
    const from = momentOf(row[when] ?? '');
    if (from === null) return fail('day', `${line}: “${row[when] ?? ''}” is no day like 2031-06-09.`);
    const amount = numberIn(isSteps ? row.steps : row.km);
    if (amount === null || amount < 0)
      return fail('amount', `${line}: “${(isSteps ? row.steps : row.km) ?? ''}” is no number.`);
    const km = isSteps ? stepsToKm(amount, stepM ?? 0) : ok(amount);
    if (!km.ok) return km;
    if (km.value > 200) return fail('amount', `${line}: ${Math.round(km.value)} km in one go is too far.`);
    const minutes = numberIn(row.minutes);
    outings.push({
      name: `${name}, line ${at + 2}`,
      sport: isSteps ? 'walking' : sportOf(row.sport ?? 'run'),
      from,
      to: from + (minutes ?? 0) * 60,
      km: km.value,
      ascentM: numberIn(row.ascent),
      cadence: null,
      surface: 'road',
      notes: [],
    });
  }
  return outings.length === 0 ? fail('empty', `${name} holds no rows.`) : ok(outings);
}
