import { DAYS_PER_MONTH, DAYS_PER_YEAR } from '../calendar/days';
import type { FeatureValues } from '../shoe/features';
import type { FitsWearer, SignAnswers, SignStrengths } from '../signs/signs';
import { type BringIn, bringInAt } from './bring-in';
import { agesOnTheShelf, type Clock, type RacingUse, SHELF_YEARS, type Use } from './clocks';
import { COUNT_ERROR } from './count-error';
import { inspectedLife, inspectedQuantile, spentOnce } from './inspected-life';
import { factorsOf, type WearConditions } from './learned/life-factors';
import type { LearnedLife } from './learned/life-of-pair';
import { lifeOfPair, type PairLife } from './learned/life-of-pair';
import { calendarLife, type LifeSchool, lifeQuantile } from './life-schools';

export interface UseEntry {
  /** Days since the pair's first use, 0 on the start date. */
  day: number;
  /** In the unit of the pair's clock. */
  amount: number;
}

/** What was seen of a pair on a day. */
export interface Inspection {
  /** Days since the pair's first use. */
  day: number;
  signs: SignAnswers;
}

export interface WearInput extends WearConditions {
  school: LifeSchool;
  use: Use;
  /** Of a racing pair: raced only, or trained in as well. */
  racing?: RacingUse | undefined;
  /** Of its model. */
  features?: FeatureValues | undefined;
  /** What the clinic's own pairs say of its model; absent where nothing was learned. */
  learned?: LearnedLife | null | undefined;
  /** Days since first use. */
  ageDays: number;
  /** Days since it was made, where that is known; foam ages from then on. */
  madeDaysAgo?: number | null | undefined;
  log: readonly UseEntry[];
  /** What the patient says a week brings in the unit of its clock, this pair's share of it; used until the log can speak. */
  expectedWeekly: number | null;
  /** When the clinic brings in the next pair; by default with a third of the life left. */
  bringIn?: BringIn | undefined;
  /** How strongly the clinic takes each sign. */
  strengths?: SignStrengths | undefined;
  /** Oldest first. */
  inspections?: readonly Inspection[] | undefined;
}

export interface Quantiles {
  q10: number;
  q50: number;
  q90: number;
}

export interface WearForecast {
  /** `unknown`: neither use nor a calendar that some camp states; nothing is forecast. */
  basis: 'log' | 'stated' | 'calendar' | 'shelf' | 'unknown';
  /** Life at 10, 50 and 90 % in the unit of the clock, adjusted and inspected; what it rests on. */
  life: Quantiles & { clock: Clock; from: PairLife['from']; pairs: number; relatives: number };
  used: number | null;
  weekly: number | null;
  /** Days from first use at which 10, 50 and 90 % of such pairs are used up; null where nothing can be said. */
  windowDays: Quantiles | null;
  /** Day from which the next pair should be brought in: a third of the median life left. */
  startNextDay: number | null;
  state: 'in-life' | 'bring-in-next' | 'in-window' | 'overdue' | 'unknown';
  adjustments: string[];
  dominates: string;
  /** What inspections say, and what the last one changed; null where nobody looked. */
  inspected: Inspected | null;
}

export interface Inspected {
  /** Days from first use, of the last one. */
  day: number;
  spent: number;
  fits: Readonly<Record<FitsWearer, number>>;
  /** Life before the last inspection. */
  before: Quantiles;
}

/** A hundred years. */
const MOST_DAYS = 36_525;
/** The log speaks for itself once it covers this many days. */
const LOG_SPEAKS_FROM_DAYS = 21;
const quantiles = (of: (quantile: 0.1 | 0.5 | 0.9) => number): Quantiles => ({
  q10: of(0.1),
  q50: of(0.5),
  q90: of(0.9),
});

/** Days from first use at which foam has aged on its own, however little it was worn; null where the sole is not foam. */
function shelfDays({ use, ageDays, madeDaysAgo }: WearInput): Quantiles | null {
  if (!agesOnTheShelf(use)) return null;
  const before = Math.max(0, (madeDaysAgo ?? ageDays) - ageDays);
  return quantiles((q) => Math.max(0, lifeQuantile(SHELF_YEARS, q) * DAYS_PER_YEAR - before));
}

/** How much a pair was used by some day, and whether its log says so or a stated week. */
export function usedBy(
  { log, expectedWeekly, ageDays }: Pick<WearInput, 'log' | 'expectedWeekly' | 'ageDays'>,
  day: number,
): { used: number; weekly: number | null; by: 'log' | 'stated' } {
  // What is logged under tomorrow's date, as it may be elsewhere, counts today.
  const logged = log.reduce(
    (sum, entry) => (entry.day <= day || day >= ageDays ? sum + entry.amount : sum),
    0,
  );
  if (logged > 0 && day >= LOG_SPEAKS_FROM_DAYS)
    return { used: logged, weekly: (logged / day) * 7, by: 'log' };
  return {
    used: Math.max(logged, ((expectedWeekly ?? 0) * day) / 7),
    weekly: expectedWeekly,
    by: 'stated',
  };
}

/** Life of a pair as it is expected before anybody looks at it. */
export function expectedLife(input: WearInput): PairLife {
  const { school, use, racing, learned = null, features = {} } = input;
  return lifeOfPair({ use, school, racing }, factorsOf(use, input, features), learned);
}

/** What dominates the uncertainty: how such pairs differ, how little is known of the model, or how the use was counted. */
function dominant({ learned }: WearInput, { sigma }: PairLife, by: 'log' | 'stated'): string {
  const family = learned?.version.variance ?? 0;
  const pairs = sigma ** 2 - family;
  const use = COUNT_ERROR[by] ** 2;
  if (use >= Math.max(family, pairs))
    return by === 'log' ? 'how the use was counted' : 'the use: it is stated, not logged';
  return family > pairs ? 'how little is known of this model' : 'how far the lives of such pairs differ';
}

function inspectedBy(
  input: WearInput,
  life: PairLife,
  used: number,
): (Inspected & { now: Quantiles }) | null {
  const seen = (input.inspections ?? []).map(({ day, signs }) => ({
    used: usedBy(input, day).used,
    signs,
    day,
  }));
  const last = seen.at(-1);
  if (!last) return null;
  const after = inspectedLife(life, seen, input.strengths);
  const before = inspectedLife(life, seen.slice(0, -1), input.strengths);
  return {
    day: last.day,
    spent: spentOnce(after, used),
    fits: after.fits,
    before: quantiles((q) => inspectedQuantile(before, q)),
    now: quantiles((q) => inspectedQuantile(after, q)),
  };
}

/**
 * Replacement window of a pair in its own clock: a life (use × school × wearer × ground, or what the clinic's own pairs lasted),
 * what inspections saw, and the pair's own use. Without any use the calendar decides only where a camp states months for that
 * use; else nothing is forecast but that foam ages.
 */
export function wearForecast(input: WearInput): WearForecast {
  const { ageDays } = input;
  const expected = expectedLife(input);
  const { used, weekly, by } = usedBy(input, ageDays);
  const seen = inspectedBy(input, expected, used);
  const now = seen?.now ?? quantiles((q) => lifeQuantile(expected, q));
  const { clock, from, pairs, relatives, adjustments } = expected;
  const base = {
    life: { ...now, clock, from, pairs, relatives },
    adjustments,
    inspected: seen && { day: seen.day, spent: seen.spent, fits: seen.fits, before: seen.before },
  };
  const shelf = shelfDays(input);
  if (weekly === null || weekly <= 0) return withoutUse(input, base, shelf);

  // A pair that is hardly worn lasts longer than anybody: no day beyond it is written down.
  const dayAt = (amount: number) => Math.min(MOST_DAYS, ageDays + ((amount - used) / weekly) * 7);
  const byUse = quantiles((q) => dayAt(now[q === 0.5 ? 'q50' : q === 0.1 ? 'q10' : 'q90']));
  const ages = shelf !== null && byUse.q50 > shelf.q50;
  const windowDays = shelf
    ? {
        q10: Math.min(byUse.q10, shelf.q10),
        q50: Math.min(byUse.q50, shelf.q50),
        q90: Math.min(byUse.q90, shelf.q90),
      }
    : byUse;
  const startNextDay = startNextFrom(
    input,
    windowDays,
    dayAt(bringInAt(bringInOf(input), now, clock === 'km')),
    shelf,
  );
  return {
    ...base,
    basis: by,
    used,
    weekly,
    windowDays,
    startNextDay,
    state: stateOf(ageDays, windowDays, startNextDay),
    adjustments: ages ? [...adjustments, 'foam ages, worn or not'] : adjustments,
    dominates: dominant(input, expected, by),
  };
}

const bringInOf = ({ bringIn = 'third-left' }: WearInput): BringIn => bringIn;

/** Never later than the window begins, unless a clinic waits until the old one is used up: where lives differ widely, that comes before two thirds of the middle one. */
function startNextFrom(
  input: WearInput,
  windowDays: Quantiles,
  byUse: number,
  shelf: Quantiles | null,
): number {
  const bringIn = bringInOf(input);
  if (bringIn === 'used-up') return windowDays.q50;
  const byAge = shelf ? bringInAt(bringIn, shelf, false) : Number.POSITIVE_INFINITY;
  return Math.min(byUse, byAge, windowDays.q10);
}

function withoutUse(
  input: WearInput,
  base: Pick<WearForecast, 'life' | 'adjustments' | 'inspected'>,
  shelf: Quantiles | null,
): WearForecast {
  const { school, use, ageDays } = input;
  const months = use === 'road-running' ? calendarLife(school) : null;
  const windowDays = months ? quantiles((q) => lifeQuantile(months, q) * DAYS_PER_MONTH) : shelf;
  if (windowDays === null)
    return {
      ...base,
      basis: 'unknown',
      used: null,
      weekly: null,
      windowDays: null,
      startNextDay: null,
      state: 'unknown',
      dominates: 'the use: how much is not stated, and no calendar is stated for this kind',
    };
  const startNextDay = startNextFrom(input, windowDays, bringInAt(bringInOf(input), windowDays, false), null);
  return {
    ...base,
    basis: months ? 'calendar' : 'shelf',
    used: null,
    weekly: null,
    windowDays,
    startNextDay,
    state: stateOf(ageDays, windowDays, startNextDay),
    dominates: months
      ? 'no use is known: the calendar that this school states decides'
      : 'no use is known: only that foam ages',
  };
}

/** Where a pair stands at some age, by the days of its window. */
export function stateOf(
  ageDays: number,
  window: Pick<Quantiles, 'q10' | 'q90'>,
  startNextDay: number,
): WearForecast['state'] {
  if (ageDays > window.q90) return 'overdue';
  if (ageDays >= window.q10) return 'in-window';
  return ageDays >= startNextDay ? 'bring-in-next' : 'in-life';
}
