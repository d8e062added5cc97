import { type Activity, SERVES } from '../../purpose/serves';
import type { FeatureValues } from '../../shoe/features';
import { CLOCK_OF_USE, type Clock, madeForUse } from '../clocks';

export const SESSION_KINDS = {
  easy: 'easy',
  long: 'long',
  fast: 'fast',
  race: 'race',
  other: 'other',
} as const;
export type SessionKind = keyof typeof SESSION_KINDS;

/** One outing of the week, the same each week. */
export interface Session {
  id: string;
  /** 0 is the first day of the week. */
  day: number;
  activity: Activity;
  kind: SessionKind;
  /** In the unit of the clock of whatever it is worn for: km, hours, days. */
  amount: number;
}

/** A pair as the planner sees it. */
export interface PairToPlan {
  id: string;
  features: FeatureValues;
  /** In the unit of its clock. */
  used: number;
  /** Half of such pairs last so long. */
  life: number;
  /** Of a racing pair that is only raced: races that are left; absent elsewhere. */
  racesLeft?: number | undefined;
}

/** A pair for each session, by session. */
export type Assignment = Readonly<Record<string, string>>;

/**
 * Weights of a week's cost. What counts is common practice (handbook 08: pairs alternate, foam recovers, load moves between
 * tissues); the sizes are ours.
 */
export const WEIGHTS = {
  /** A pair that only half serves the session. */
  misfit: 4,
  /** Worn again on the next day, and on the day after it. */
  withinADay: 1.5,
  withinTwoDays: 0.3,
  /** Distance in a new pair beyond its share, for the whole week. */
  newBeyondShare: 6,
  /** A race pair outside of races, a session. */
  racePairTrains: 2.5,
  /** A race in a pair that is not for racing, where one is there. */
  raceInTrainer: 3,
  /** Two outings in a row that load alike. */
  alike: 0.8,
  /** Two pairs that end within three weeks of each other. */
  endTogether: 1.5,
} as const;

/** A pair is new until it has gone so far, and then takes at most this share of a week. Ours. */
export const NEW_UNTIL_KM = 50;
export const NEW_SHARE = 0.35;
const STAGGER_WEEKS = 3;

/** Kilometres that a session brings: none where whatever serves it best counts hours or days. */
export function kmOf(session: Session, pairs: readonly PairToPlan[]): number {
  const best = pairs.toSorted((a, b) => servesSession(b, session) - servesSession(a, session))[0];
  return best && servesSession(best, session) > 0 && clockOf(best) === 'km' ? session.amount : 0;
}

/** Kilometres of a whole week. */
export const kmOfWeek = (sessions: readonly Session[], pairs: readonly PairToPlan[]): number =>
  sessions.reduce((sum, session) => sum + kmOf(session, pairs), 0);

/** How well a pair serves a session, 0 not at all. */
export const servesSession = ({ features }: PairToPlan, { activity }: Session): number =>
  SERVES[activity][madeForUse(features)] ?? 0;

export const clockOf = ({ features }: Pick<PairToPlan, 'features'>): Clock =>
  CLOCK_OF_USE[madeForUse(features)];

const number = (value: unknown, usual: number): number => (typeof value === 'number' ? value : usual);

/** How differently two pairs load a leg, 0 alike to 1: by drop, stack, cushioning and stiffness, which move load between foot, calf, knee and hip. */
export function loadDifference(a: FeatureValues, b: FeatureValues): number {
  const apart =
    Math.abs(number(a.drop, 8) - number(b.drop, 8)) / 10 +
    Math.abs(number(a.heelStack, 30) - number(b.heelStack, 30)) / 20 +
    Math.abs(number(a.heelCushioning, 3) - number(b.heelCushioning, 3)) / 4 +
    Math.abs(number(a.forefootStiffness, 2.5) - number(b.forefootStiffness, 2.5)) / 4;
  return Math.min(1, apart / 2);
}

/** Days from one session to the next, round the end of the week; two of one day count as a day apart. */
const daysBetweenSessions = (from: Session, to: Session): number => Math.max(1, (to.day - from.day + 7) % 7);

const isRacePair = (pair: PairToPlan): boolean => madeForUse(pair.features) === 'racing';

/** Weeks until half of such pairs would be used up; null where it is not worn. */
export function weeksLeft({ life, used }: PairToPlan, weekly: number): number | null {
  return weekly > 0 ? Math.max(0, life - used) / weekly : null;
}

const isRaceOf = ({ kind, activity }: Session): boolean => kind === 'race' || activity === 'racing';
/** A race that nobody wrote down is a half marathon. Ours. */
const USUAL_RACE_KM = 21.1;

/** Pairs with the races that are left in each racing pair, at the distance that is raced here. */
export function withRacesLeft<P extends PairToPlan>(
  pairs: readonly P[],
  sessions: readonly Session[],
): (P & Pick<PairToPlan, 'racesLeft'>)[] {
  const races = sessions.filter(isRaceOf).map(({ amount }) => amount);
  const distance = races.length > 0 ? races.reduce((sum, km) => sum + km, 0) / races.length : USUAL_RACE_KM;
  return pairs.map((pair) =>
    madeForUse(pair.features) === 'racing' && distance > 0
      ? { ...pair, racesLeft: Math.max(0, Math.floor((pair.life - pair.used) / distance)) }
      : pair,
  );
}

/** What each pair is used a week, in the unit of its clock. */
export function weeklyOf(sessions: readonly Session[], assignment: Assignment): Map<string, number> {
  const weekly = new Map<string, number>();
  for (const session of sessions) {
    const pair = assignment[session.id];
    if (pair !== undefined) weekly.set(pair, (weekly.get(pair) ?? 0) + session.amount);
  }
  return weekly;
}

/** What one session in one pair costs on its own. */
export function sessionCost(session: Session, pair: PairToPlan, pairs: readonly PairToPlan[]): number {
  const { misfit, racePairTrains, raceInTrainer } = WEIGHTS;
  let cost = misfit * (1 - servesSession(pair, session));
  const isRace = isRaceOf(session);
  if (isRacePair(pair) && !isRace && session.kind !== 'fast') cost += racePairTrains;
  if (isRacePair(pair) && (pair.racesLeft ?? 1) <= 0) cost += raceInTrainer;
  if (isRace && !isRacePair(pair) && pairs.some((other) => isRacePair(other) && (other.racesLeft ?? 1) > 0))
    cost += raceInTrainer;
  return cost;
}

/** What it costs that two sessions follow each other in these pairs, days apart. */
export function followCost(before: Session, after: Session, a: PairToPlan, b: PairToPlan): number {
  const days = daysBetweenSessions(before, after);
  const { withinADay, withinTwoDays, alike } = WEIGHTS;
  if (before.id === after.id || days > 2) return 0;
  const rest = a.id !== b.id ? 0 : days === 1 ? withinADay : withinTwoDays;
  return rest + alike * (1 - loadDifference(a.features, b.features));
}

/** What a new pair costs that takes more than its share of the week. */
export function newPairCost(pair: PairToPlan, weekly: number, all: number): number {
  if (clockOf(pair) !== 'km' || pair.used >= NEW_UNTIL_KM || all <= 0) return 0;
  return WEIGHTS.newBeyondShare * Math.max(0, weekly / all - NEW_SHARE);
}

/** What pairs cost that would be used up together. */
export function endTogetherCost(pairs: readonly PairToPlan[], weekly: ReadonlyMap<string, number>): number {
  const ends = pairs.flatMap((pair) => weeksLeft(pair, weekly.get(pair.id) ?? 0) ?? []);
  let cost = 0;
  for (let i = 0; i < ends.length; i += 1)
    for (let j = i + 1; j < ends.length; j += 1)
      if (Math.abs(ends[i]! - ends[j]!) < STAGGER_WEEKS) cost += WEIGHTS.endTogether;
  return cost;
}

/** Sessions in the order of the week. */
export const inOrder = (sessions: readonly Session[]): Session[] =>
  sessions.toSorted((a, b) => a.day - b.day || (a.id < b.id ? -1 : 1));

/** All that a week costs, with every pair named for every session. */
export function weekCost(
  sessions: readonly Session[],
  pairs: readonly PairToPlan[],
  assignment: Assignment,
): number {
  const week = inOrder(sessions);
  const of = (session: Session) => pairs.find(({ id }) => id === assignment[session.id])!;
  const weekly = weeklyOf(sessions, assignment);
  const all = kmOfWeek(sessions, pairs);
  let cost = endTogetherCost(pairs, weekly);
  week.forEach((session, at) => {
    const next = week[(at + 1) % week.length]!;
    cost += sessionCost(session, of(session), pairs) + followCost(session, next, of(session), of(next));
  });
  for (const pair of pairs) cost += newPairCost(pair, weekly.get(pair.id) ?? 0, all);
  return cost;
}
