import { mean, sampleStandardDeviation } from 'simple-statistics';
import { REAL_COMFORT } from '../fitting/try-on';
import { normalBelow, Z_95 } from '../statistics/normal';
import { kaplanMeier } from '../statistics/survival';
import { type Proportion, wilson } from '../statistics/wilson';
import type { Quantiles } from '../wear/forecast';

/** A pair with the life that was foretold when it began, and how far it has come. */
export interface Foretold {
  patient: string;
  /** In the unit of its clock. */
  life: Quantiles;
  used: number;
  isWornOut: boolean;
}

/** Of pairs that were foretold to be worn out by so much: how many were. */
export interface Calibration {
  /** 0.1, 0.5 or 0.9. */
  foretold: number;
  seen: number;
  /** Interval of what was seen, 95 %. */
  from: number;
  to: number;
}

/** Half of the width of the middle 80 % of a normal, in standard deviations. */
const Z_90 = 1.281552;
export const FORETOLD_AT = [0.1, 0.5, 0.9] as const;

/** The share of pairs like this one that were to be worn out by what it has come to: 0 to 1, of a log-normal life. */
function shareForetold({ life, used }: Foretold): number {
  const spread = Math.log(life.q90 / life.q10) / (2 * Z_90);
  if (used <= 0) return 0;
  if (!(spread > 0)) return used >= life.q50 ? 1 : 0;
  return normalBelow(Math.log(used / life.q50) / spread);
}

/**
 * Whether pairs last as long as was foretold when they began: each is laid on the scale of its own forecast, and what is still worn, or
 * ended for another reason, counts as followed until then (Kaplan and Meier), so that a young clinic's early ends do not look like a
 * wrong forecast.
 */
export function calibrationOf(pairs: readonly Foretold[]): Calibration[] {
  const steps = kaplanMeier(pairs.map((pair) => ({ time: shareForetold(pair), ended: pair.isWornOut })));
  return FORETOLD_AT.map((foretold) => {
    const last = steps.findLast(({ time }) => time <= foretold);
    const seen = 1 - (last?.share ?? 1);
    const half = Z_95 * (last?.standardError ?? 0);
    return { foretold, seen, from: Math.max(0, seen - half), to: Math.min(1, seen + half) };
  });
}

/** A guess of comfort and what the wearer then said, 0–100. */
export interface Guessed {
  patient: string;
  guess: number;
  comfort: number;
}

export interface GuessReading {
  n: number;
  patients: number;
  /** What was said less what was guessed, on average, with its interval of 95 %; null of fewer than two. */
  bias: { mean: number; from: number; to: number } | null;
  /** Within what counts as a real difference of comfort. */
  near: Proportion;
}

/** How far guesses of comfort lay off, and to which side. */
export function readGuesses(guesses: readonly Guessed[]): GuessReading {
  const errors = guesses.map(({ guess, comfort }) => comfort - guess);
  const middle = errors.length > 0 ? mean(errors) : 0;
  const half = errors.length > 1 ? (Z_95 * sampleStandardDeviation(errors)) / Math.sqrt(errors.length) : 0;
  return {
    n: guesses.length,
    patients: new Set(guesses.map(({ patient }) => patient)).size,
    bias: errors.length > 1 ? { mean: middle, from: middle - half, to: middle + half } : null,
    near: wilson(errors.filter((error) => Math.abs(error) <= REAL_COMFORT).length, errors.length),
  };
}
