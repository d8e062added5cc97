import { median } from 'simple-statistics';
import { daysBetween, type IsoDay } from '../calendar/days';
import { groupBy } from '../tables/group-by';
import { dayOfEntry, hourOfEntry, needSaidBy, type SockEntry } from './sock-log';
import { REVIEW_FROM_PLY } from './sock-stack';

/** What a day asked for, brought to noon, ply. */
export interface DayPly {
  on: IsoDay;
  ply: number;
}

export interface LimbSlope {
  /** Ply that a month adds, with half the width of its 95 % interval. */
  perMonth: number;
  within: number;
}

export interface LimbChange {
  /** First day of the new level. */
  from: IsoDay;
  /** Level before and since, ply. */
  before: number;
  since: number;
}

/** Weeks of a log in one reading. */
export interface LimbCourse {
  days: DayPly[];
  /** Null with fewer than three weeks. */
  slope: LimbSlope | null;
  change: LimbChange | null;
  /** Why the prosthetist should see the socket; empty where nothing asks for it. */
  asks: string[];
}

/**
 * A step is called where the days since differ from those before by so many standard errors and by so much. Set so that a limb that stays
 * as it is calls in fewer than one year in twenty, and a loss of two ply is found within three weeks nine times of ten. Ours.
 */
const STEP_ERRORS = 4.6;
const LEAST_STEP_PLY = 1;
const LEAST_DAYS_SINCE = 4;
const LEAST_DAYS_BEFORE = 7;
/** Days before that a level is taken from, and days since among which the step is looked for. */
const LEVEL_DAYS = 28;
const RECENT_DAYS = 21;
/** How far days differ is learned over a longer time. */
const SPREAD_DAYS = 120;
/** A day keeps so much of the day before: what follows on from it counts as fewer. Ours. */
const KEPT = 0.4;
const FEWER = (1 + KEPT) / (1 - KEPT);
/** Below this no log can tell days apart: plies are whole. */
const LEAST_SPREAD = 0.35;

const NOON = 13;
const SLOPE_DAYS = 70;
const LEAST_SLOPE_DAYS = 14;
const LEAST_SLOPE_SPAN = 21;
/** Fewer than a month shows no shrinking that anybody would act on. Ours. */
const SHRINKS_PER_MONTH = 1;
const STEADY_DAYS = 7;
/** A sudden difference of more than so many ply (handbook 06). */
const SUDDEN_PLY = 3;
const USUAL_LOOKS = 5;
/** Looks within so many hours of the day are alike enough to be held against each other. Ours. */
const ALIKE_HOURS = 3;

/** Ply that an hour of the day adds, over all days alike. */
function perHour(days: readonly (readonly { hour: number; ply: number }[])[]): number {
  let [cross, square] = [0, 0];
  for (const looks of days) {
    const hour = mean(looks.map((look) => look.hour));
    const ply = mean(looks.map((look) => look.ply));
    for (const look of looks) {
      cross += (look.hour - hour) * (look.ply - ply);
      square += (look.hour - hour) ** 2;
    }
  }
  return square > 0 ? cross / square : 0;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** Each day’s ply at noon: what its hours add is taken out, so that a day looked at in the evening is no fuller day. */
export function dailyPly(entries: readonly SockEntry[]): DayPly[] {
  const said = entries.flatMap((entry) => {
    const need = needSaidBy(entry);
    return need ? [{ on: dayOfEntry(entry), hour: hourOfEntry(entry), ply: need.ply }] : [];
  });
  const days = [...groupBy(said, ({ on }) => on)];
  const hourly = perHour(days.map(([, looks]) => looks));
  return days
    .map(([on, looks]) => ({ on, ply: mean(looks.map(({ hour, ply }) => ply - hourly * (hour - NOON))) }))
    .toSorted((a, b) => (a.on < b.on ? -1 : 1));
}

/** Spread of days around their level, from the differences of neighbours: a slope does not widen it, a step hardly. */
function spreadOf(days: readonly DayPly[]): number {
  const squares = days.slice(1).map((day, at) => (day.ply - days[at]!.ply) ** 2);
  if (squares.length === 0) return LEAST_SPREAD;
  // The largest may be the step itself.
  const rest = squares.toSorted((a, b) => a - b).slice(0, -1);
  return Math.max(LEAST_SPREAD, Math.sqrt(mean(rest.length > 0 ? rest : squares) / (2 * (1 - KEPT))));
}

/**
 * The latest step between two levels, by the largest standardised difference over all days at which it may have begun (Worsley 1979,
 * J Am Stat Assoc 74:365–367, from memory: the idea; thresholds by simulation).
 */
export function limbChange(days: readonly DayPly[]): LimbChange | null {
  const recent = days.slice(-(LEVEL_DAYS + RECENT_DAYS));
  const spread = spreadOf(days.slice(-SPREAD_DAYS));
  let found: LimbChange | null = null;
  let most = STEP_ERRORS;
  for (let since = LEAST_DAYS_SINCE; since <= RECENT_DAYS; since += 1) {
    const at = recent.length - since;
    if (at < LEAST_DAYS_BEFORE) break;
    const before = recent.slice(Math.max(0, at - LEVEL_DAYS), at);
    const after = recent.slice(at);
    const [was, is] = [mean(before.map(({ ply }) => ply)), mean(after.map(({ ply }) => ply))];
    const error = spread * Math.sqrt(FEWER * (1 / before.length + 1 / after.length));
    const errors = Math.abs(is - was) / error;
    if (errors > most && Math.abs(is - was) >= LEAST_STEP_PLY) {
      most = errors;
      found = { from: after[0]!.on, before: was, since: is };
    }
  }
  return found;
}

/** Ply a month over the last ten weeks, by least squares, its error widened for days that follow on from each other. */
export function limbSlope(days: readonly DayPly[]): LimbSlope | null {
  const last = days.at(-1);
  if (!last) return null;
  const within = days
    .map(({ on, ply }) => ({ x: daysBetween(last.on, on), ply }))
    .filter(({ x }) => x > -SLOPE_DAYS);
  if (within.length < LEAST_SLOPE_DAYS || -within[0]!.x < LEAST_SLOPE_SPAN) return null;
  const [x0, y0] = [mean(within.map(({ x }) => x)), mean(within.map(({ ply }) => ply))];
  const square = within.reduce((sum, { x }) => sum + (x - x0) ** 2, 0);
  const slope = within.reduce((sum, { x, ply }) => sum + (x - x0) * (ply - y0), 0) / square;
  const rest = within.reduce((sum, { x, ply }) => sum + (ply - y0 - slope * (x - x0)) ** 2, 0);
  const spread = Math.max(LEAST_SPREAD, Math.sqrt(rest / (within.length - 2)));
  return { perMonth: 30 * slope, within: 30 * 1.96 * spread * Math.sqrt(FEWER / square) };
}

const ply = (value: number): string => String(Math.round(value * 2) / 2);

/** Weeks of a log: its days, where they lead, and why the prosthetist should see the socket. */
export function limbCourse(entries: readonly SockEntry[]): LimbCourse {
  const days = dailyPly(entries);
  const slope = limbSlope(days);
  const change = limbChange(days);
  const steady = days.slice(-STEADY_DAYS);
  const asks: string[] = [];
  if (change)
    asks.push(
      `From ${ply(change.before)} to ${ply(change.since)} ply: the limb has ${
        change.since > change.before ? 'lost' : 'gained'
      } volume. Have the socket seen.`,
    );
  if (steady.length === STEADY_DAYS && median(steady.map((day) => day.ply)) >= REVIEW_FROM_PLY)
    asks.push(`Steadily ${REVIEW_FROM_PLY} ply or more: have the socket seen.`);
  if (!change && slope && slope.perMonth - slope.within > 0 && slope.perMonth >= SHRINKS_PER_MONTH)
    asks.push(
      `${ply(slope.perMonth)} ply more each month (± ${slope.within.toFixed(1)}): the limb shrinks. Tell the prosthetist.`,
    );
  return { days, slope, change, asks };
}

/**
 * Why the latest number of ply asks for the prosthetist at once; null where it does not: more than three away from what was usual at that
 * hour of the day (handbook 06).
 *
 * @param entries in order; the last is the one that is held against those before
 */
export function suddenChange(entries: readonly SockEntry[]): string | null {
  const now = entries.at(-1);
  if (!now) return null;
  const before = entries.slice(0, -1);
  const sameHours = before.filter((entry) => Math.abs(hourOfEntry(entry) - hourOfEntry(now)) <= ALIKE_HOURS);
  const held = (sameHours.length >= 2 ? sameHours : before).slice(-USUAL_LOOKS);
  if (held.length === 0) return null;
  const usual = median(held.map((entry) => entry.ply));
  return Math.abs(now.ply - usual) > SUDDEN_PLY
    ? `a sudden change from ${ply(usual)} ply: have the socket seen`
    : null;
}
