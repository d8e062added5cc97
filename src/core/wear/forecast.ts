import { calendarLife, distanceLife, type LifeSchool, lifeQuantile } from './life-schools';

export type WearSurface = 'hard' | 'mixed' | 'soft';

export interface UseEntry {
  /** Days since the pair's first use, 0 on the start date. */
  day: number;
  distanceKm: number;
}

export interface WearInput {
  school: LifeSchool;
  racing: boolean;
  bodyMassKg: number | null;
  surface: WearSurface | null;
  /** Days since first use. */
  ageDays: number;
  log: readonly UseEntry[];
  /** What the patient says a week brings, used until the log can speak. */
  expectedWeeklyKm: number | null;
}

export interface WearForecast {
  basis: 'log' | 'stated' | 'calendar';
  /** Distance or months of life at 10, 50 and 90 %, adjusted. */
  life: { unit: 'km' | 'months'; q10: number; q50: number; q90: number };
  usedKm: number | null;
  weeklyKm: number | null;
  /** Days from first use at which 10, 50 and 90 % of such pairs are used up. */
  windowDays: { q10: number; q50: number; q90: number };
  /** Day from which the next pair should be brought in: a third of the median life left. */
  startNextDay: number;
  state: 'fresh' | 'bring-in-next' | 'in-window' | 'overdue';
  adjustments: string[];
  dominates: string;
}

/**
 * Adjustments have a direction in common practice (heavier and harder wear out sooner) but no published size:
 * these sizes are ours, a clinic setting.
 */
export const WEAR_ADJUSTMENT = {
  massReferenceKg: 70,
  massExponent: 0.5,
  surface: { hard: 0.92, mixed: 1, soft: 1.1 } as const,
};

/**
 * Foam ages even unused: however little a pair is worn, its window does not lie beyond these days. A clinic
 * setting, not a published value (about two years is often said; recalled with 55 %).
 */
export const FOAM_AGES_DAYS = { q10: 540, q50: 730, q90: 910 } as const;

const DAYS_PER_MONTH = 30.44;
/** The log speaks for itself once it covers this many days. */
const LOG_SPEAKS_FROM_DAYS = 21;

/**
 * Replacement window of a pair: a prior life (school × kind × mass × surface) and the pair's own use.
 * Without any distance the calendar decides.
 */
export function wearForecast(input: WearInput): WearForecast {
  const adjustments: string[] = [];
  let factor = 1;
  if (input.bodyMassKg !== null) {
    const mass = (WEAR_ADJUSTMENT.massReferenceKg / input.bodyMassKg) ** WEAR_ADJUSTMENT.massExponent;
    const clamped = Math.min(1.25, Math.max(0.75, mass));
    factor *= clamped;
    adjustments.push(`body mass ${Math.round(input.bodyMassKg)} kg × ${clamped.toFixed(2)}`);
  }
  if (input.surface) {
    factor *= WEAR_ADJUSTMENT.surface[input.surface];
    adjustments.push(`${input.surface} ground × ${WEAR_ADJUSTMENT.surface[input.surface].toFixed(2)}`);
  }
  const logged = input.log.reduce((sum, entry) => sum + entry.distanceKm, 0);
  const logSpeaks = logged > 0 && input.ageDays >= LOG_SPEAKS_FROM_DAYS;
  const weeklyKm = logSpeaks ? (logged / input.ageDays) * 7 : input.expectedWeeklyKm;
  if (weeklyKm === null || weeklyKm <= 0) return calendarForecast(input);

  const life = distanceLife(input.school, input.racing);
  const adjusted = { median: life.median * factor, sigma: life.sigma };
  const q = (quantile: 0.1 | 0.5 | 0.9) => lifeQuantile(adjusted, quantile);
  const used = logSpeaks ? logged : Math.max(logged, (weeklyKm * input.ageDays) / 7);
  const dayAt = (km: number) => input.ageDays + ((km - used) / weeklyKm) * 7;
  const byUse = { q10: dayAt(q(0.1)), q50: dayAt(q(0.5)), q90: dayAt(q(0.9)) };
  const ages = byUse.q50 > FOAM_AGES_DAYS.q50;
  if (ages) adjustments.push('foam ages: about two years at most');
  const windowDays = {
    q10: Math.min(byUse.q10, FOAM_AGES_DAYS.q10),
    q50: Math.min(byUse.q50, FOAM_AGES_DAYS.q50),
    q90: Math.min(byUse.q90, FOAM_AGES_DAYS.q90),
  };
  const startNextDay = Math.min(dayAt((q(0.5) * 2) / 3), (FOAM_AGES_DAYS.q50 * 2) / 3);
  return {
    basis: logSpeaks ? 'log' : 'stated',
    life: { unit: 'km', q10: q(0.1), q50: q(0.5), q90: q(0.9) },
    usedKm: used,
    weeklyKm,
    windowDays,
    startNextDay,
    state: stateOf(input.ageDays, windowDays, startNextDay),
    adjustments,
    dominates: logSpeaks
      ? 'how much life pairs of this kind differ by'
      : 'the distance: it is stated, not logged',
  };
}

function calendarForecast(input: WearInput): WearForecast {
  const life = calendarLife(input.school);
  const months = { q10: lifeQuantile(life, 0.1), q50: lifeQuantile(life, 0.5), q90: lifeQuantile(life, 0.9) };
  const windowDays = {
    q10: months.q10 * DAYS_PER_MONTH,
    q50: months.q50 * DAYS_PER_MONTH,
    q90: months.q90 * DAYS_PER_MONTH,
  };
  const startNextDay = (windowDays.q50 * 2) / 3;
  return {
    basis: 'calendar',
    life: { unit: 'months', ...months },
    usedKm: null,
    weeklyKm: null,
    windowDays,
    startNextDay,
    state: stateOf(input.ageDays, windowDays, startNextDay),
    adjustments: [],
    dominates: 'no distance is known: the calendar decides',
  };
}

function stateOf(
  ageDays: number,
  window: WearForecast['windowDays'],
  startNextDay: number,
): WearForecast['state'] {
  if (ageDays > window.q90) return 'overdue';
  if (ageDays >= window.q10) return 'in-window';
  return ageDays >= startNextDay ? 'bring-in-next' : 'fresh';
}
