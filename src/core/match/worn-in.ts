import type { ShoeModel } from '../catalogue/model';
import type { Specification } from '../prescribe/engine/specification';
import type { WearForecast } from '../wear/forecast';
import { rank } from './rank';

/** A pair that the patient has in use. */
export interface OwnPair {
  id: string;
  model: ShoeModel;
  /** Days since it was first worn. */
  ageDays: number;
  forecast: Pick<WearForecast, 'life' | 'used'>;
}

/** What a trip asks of a pair. */
export interface TripAhead {
  inDays: number;
  km: number | null;
}

export interface OwnCandidate {
  pair: OwnPair;
  /** 0 … 1, as new models are ranked; null where a limit excludes it. */
  score: number | null;
  isWornIn: boolean;
  /** Kilometres left in it: nine of ten such pairs have at least the first, half have the second; null where no distance is known. */
  leftKm: { q10: number; q50: number } | null;
  lasts: 'yes' | 'perhaps' | 'no' | 'unknown';
  /** Whether it is the better choice beside the best new pair. */
  wins: boolean;
  says: string;
}

/** Worn in after so much. Ours. */
const WORN_IN = { km: 30, days: 21 } as const;
/** What knowing a pair is worth beside a new one, in score; and with too few days left to break one in. Ours. */
const WORN_IN_IS_WORTH = 0.1;
const NO_TIME_DAYS = 14;

/**
 * The patient's own pairs as candidates for a trip, the best first: a pair that is worn in, suits nearly as well and has life
 * enough left wins over a new one; with less than two weeks to go nothing new is begun.
 *
 * @param best score of the best new model, null where there is none
 */
export function ownCandidates(
  pairs: readonly OwnPair[],
  specification: Specification,
  trip: TripAhead,
  best: number | null,
): OwnCandidate[] {
  return pairs
    .map((pair) => ownCandidate(pair, specification, trip, best))
    .toSorted((a, b) => Number(b.wins) - Number(a.wins) || (b.score ?? -1) - (a.score ?? -1));
}

function ownCandidate(
  pair: OwnPair,
  specification: Specification,
  trip: TripAhead,
  best: number | null,
): OwnCandidate {
  const { ranked, excluded } = rank([pair.model], specification);
  const score = ranked[0]?.score ?? null;
  const { life, used } = pair.forecast;
  const usedKm = life.clock === 'km' ? used : null;
  const isWornIn = (usedKm ?? 0) >= WORN_IN.km || (usedKm === null && pair.ageDays >= WORN_IN.days);
  const leftKm =
    usedKm !== null ? { q10: Math.max(0, life.q10 - usedKm), q50: Math.max(0, life.q50 - usedKm) } : null;
  const lasts = lastsFor(leftKm, trip.km);
  const isLate = trip.inDays < NO_TIME_DAYS;
  const isNear = best === null || (score !== null && score >= best - WORN_IN_IS_WORTH);
  const wins =
    score !== null && isWornIn && (lasts === 'yes' || (lasts === 'perhaps' && isLate)) && (isNear || isLate);
  const why = [
    excluded[0] ? `A limit excludes it: ${excluded[0].by[0]!.sentence}.` : '',
    isWornIn ? '' : 'Not worn in yet.',
    LASTS[lasts](leftKm),
    wins
      ? isLate
        ? `With ${trip.inDays} days to go nothing new is begun: take this one.`
        : 'Worn in, and as good a choice as a new pair.'
      : '',
  ];
  return { pair, score, isWornIn, leftKm, lasts, wins, says: why.filter(Boolean).join(' ') };
}

function lastsFor(left: OwnCandidate['leftKm'], km: number | null): OwnCandidate['lasts'] {
  if (left === null || km === null) return 'unknown';
  if (left.q10 >= km) return 'yes';
  return left.q50 >= km ? 'perhaps' : 'no';
}

const about = (left: OwnCandidate['leftKm']): string => `about ${Math.round(left?.q50 ?? 0)} km left`;
const LASTS: Record<OwnCandidate['lasts'], (left: OwnCandidate['leftKm']) => string> = {
  yes: (left) => `Lasts the trip: ${about(left)}.`,
  perhaps: (left) => `May not last the trip: ${about(left)}.`,
  no: (left) => `Spent before the trip is over: ${about(left)}.`,
  unknown: () =>
    'Whether it lasts cannot be said: write down how far the trip goes and what the pair has run.',
};
