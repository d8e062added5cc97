import { DAYS_PER_MONTH, DAYS_PER_YEAR } from '../calendar/days';
import { agesOnTheShelf, type Clock, priorLifeOf, type RacingUse, SHELF_YEARS, type Use } from './clocks';
import { calendarLife, type LifeDistribution, type LifeSchool, lifeQuantile } from './life-schools';

export type WearSurface = 'hard' | 'mixed' | 'soft';

export interface UseEntry {
  /** Days since the pair's first use, 0 on the start date. */
  day: number;
  /** In the unit of the pair's clock. */
  amount: number;
}

export interface WearInput {
  school: LifeSchool;
  use: Use;
  /** Of a racing pair: raced only, or trained in as well. */
  racing?: RacingUse | undefined;
  bodyMassKg: number | null;
  surface: WearSurface | null;
  /** Days since first use. */
  ageDays: number;
  /** Days since it was made, where that is known; foam ages from then on. */
  madeDaysAgo?: number | null | undefined;
  log: readonly UseEntry[];
  /** What the patient says a week brings in the unit of its clock, this pair's share of it; used until the log can speak. */
  expectedWeekly: number | null;
}

interface Quantiles {
  q10: number;
  q50: number;
  q90: number;
}

export interface WearForecast {
  /** `unknown`: neither use nor a calendar that some camp states; nothing is forecast. */
  basis: 'log' | 'stated' | 'calendar' | 'shelf' | 'unknown';
  /** Life at 10, 50 and 90 % in the unit of the clock, adjusted. */
  life: Quantiles & { clock: Clock; from: 'practice' | 'ours' };
  used: number | null;
  weekly: number | null;
  /** Days from first use at which 10, 50 and 90 % of such pairs are used up; null where nothing can be said. */
  windowDays: Quantiles | null;
  /** Day from which the next pair should be brought in: a third of the median life left. */
  startNextDay: number | null;
  state: 'in-life' | 'bring-in-next' | 'in-window' | 'overdue' | 'unknown';
  adjustments: string[];
  dominates: string;
}

/**
 * Adjustments have a direction in common practice (heavier and harder wear out sooner) but no published size:
 * these sizes are ours, a clinic setting. They concern foam that is walked or run on.
 */
export const WEAR_ADJUSTMENT = {
  massReferenceKg: 70,
  massExponent: 0.5,
  surface: { hard: 0.92, mixed: 1, soft: 1.1 } as const,
};

/** A hundred years. */
const MOST_DAYS = 36_525;
/** The log speaks for itself once it covers this many days. */
const LOG_SPEAKS_FROM_DAYS = 21;
/** When the next pair is brought in, as a share of the median life: with a third of it left. */
const BRING_IN_AT = 2 / 3;

function adjustmentsOf({ bodyMassKg, surface, use }: WearInput): { factor: number; adjustments: string[] } {
  const adjustments: string[] = [];
  let factor = 1;
  if (!agesOnTheShelf(use)) return { factor, adjustments };
  if (bodyMassKg !== null) {
    const mass = (WEAR_ADJUSTMENT.massReferenceKg / bodyMassKg) ** WEAR_ADJUSTMENT.massExponent;
    const clamped = Math.min(1.25, Math.max(0.75, mass));
    factor *= clamped;
    adjustments.push(`body mass ${Math.round(bodyMassKg)} kg × ${clamped.toFixed(2)}`);
  }
  if (surface) {
    factor *= WEAR_ADJUSTMENT.surface[surface];
    adjustments.push(`${surface} ground × ${WEAR_ADJUSTMENT.surface[surface].toFixed(2)}`);
  }
  return { factor, adjustments };
}

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

/**
 * Replacement window of a pair in its own clock: a prior life (use × school × mass × ground) and the pair's own use. Without
 * any use the calendar decides only where a camp states months for that use; else nothing is forecast but that foam ages.
 */
export function wearForecast(input: WearInput): WearForecast {
  const { school, use, racing, log, ageDays } = input;
  const prior = priorLifeOf(use, school, racing);
  const { factor, adjustments } = adjustmentsOf(input);
  const adjusted: LifeDistribution = { median: prior.life.median * factor, sigma: prior.life.sigma };
  const life = { ...quantiles((q) => lifeQuantile(adjusted, q)), clock: prior.clock, from: prior.from };
  const logged = log.reduce((sum, entry) => sum + entry.amount, 0);
  const logSpeaks = logged > 0 && ageDays >= LOG_SPEAKS_FROM_DAYS;
  const weekly = logSpeaks ? (logged / ageDays) * 7 : input.expectedWeekly;
  const shelf = shelfDays(input);
  const base = { life, adjustments };
  if (weekly === null || weekly <= 0) return withoutUse(input, base, shelf);

  const used = logSpeaks ? logged : Math.max(logged, (weekly * ageDays) / 7);
  // A pair that is hardly worn lasts longer than anybody: no day beyond it is written down.
  const dayAt = (amount: number) => Math.min(MOST_DAYS, ageDays + ((amount - used) / weekly) * 7);
  const byUse = quantiles((q) => dayAt(lifeQuantile(adjusted, q)));
  const ages = shelf !== null && byUse.q50 > shelf.q50;
  const windowDays = shelf
    ? {
        q10: Math.min(byUse.q10, shelf.q10),
        q50: Math.min(byUse.q50, shelf.q50),
        q90: Math.min(byUse.q90, shelf.q90),
      }
    : byUse;
  // Never later than the window begins: where lives differ widely, that comes before two thirds of the middle one.
  const startNextDay = Math.min(
    dayAt(life.q50 * BRING_IN_AT),
    (shelf?.q50 ?? Number.POSITIVE_INFINITY) * BRING_IN_AT,
    windowDays.q10,
  );
  return {
    ...base,
    basis: logSpeaks ? 'log' : 'stated',
    used,
    weekly,
    windowDays,
    startNextDay,
    state: stateOf(ageDays, windowDays, startNextDay),
    adjustments: ages ? [...adjustments, 'foam ages, worn or not'] : adjustments,
    dominates: logSpeaks ? 'how much life pairs of this kind differ by' : 'the use: it is stated, not logged',
  };
}

function withoutUse(
  { school, use, ageDays }: WearInput,
  base: Pick<WearForecast, 'life' | 'adjustments'>,
  shelf: Quantiles | null,
): WearForecast {
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
      dominates: 'the use: nobody said how much, and no calendar is stated for this kind',
    };
  const startNextDay = Math.min(windowDays.q50 * BRING_IN_AT, windowDays.q10);
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

function stateOf(ageDays: number, window: Quantiles, startNextDay: number): WearForecast['state'] {
  if (ageDays > window.q90) return 'overdue';
  if (ageDays >= window.q10) return 'in-window';
  return ageDays >= startNextDay ? 'bring-in-next' : 'in-life';
}
